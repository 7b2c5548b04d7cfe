import { useState, type KeyboardEvent } from 'react'
import { printNumber } from '../../core/units'
import { findInProgram } from '../../state'

/** Looks for a text in the program: the next line that has it, or the one before. */
export function Searching() {
  const [wanted, setWanted] = useState('')
  const [found, setFound] = useState<{ readonly of: string; readonly nth: number; readonly count: number } | null>(null)
  const look = async (isBack: boolean): Promise<void> => {
    if (wanted.trim() === '') return
    const { nth, count } = await findInProgram(wanted, isBack)
    setFound({ of: wanted, nth, count })
  }
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    void look(event.shiftKey)
  }
  const isOfThis = found?.of === wanted
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 pb-1.5 text-[13px]" role="search">
      <input
        className="input min-h-8 w-32 min-w-0 flex-1 py-0.5"
        aria-label="Text to look for in the program"
        placeholder="look for"
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <button type="button" className="button min-h-8 py-0.5" aria-label="The one before" onClick={() => void look(true)}>
        ↑
      </button>
      <button type="button" className="button min-h-8 py-0.5" aria-label="The next one" onClick={() => void look(false)}>
        ↓
      </button>
      <span role="status" className="num w-20 text-right text-second">
        {!isOfThis || wanted.trim() === ''
          ? ''
          : found.count === 0
            ? 'nowhere'
            : `${printNumber(found.nth)} of ${printNumber(found.count)}`}
      </span>
    </div>
  )
}
