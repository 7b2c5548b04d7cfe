import { useId, useState } from 'react'
import { Findings } from './Findings'
import { DONE, isDone, type Told } from '../state'

/** A plain text of the bench (a name, a key, a template): kept on Enter or on leaving; what is refused stays typed. */
export function PlainField(props: {
  readonly label: string
  readonly value: string
  readonly lines?: number
  readonly hideLabel?: boolean
  /** Words, not a number or a text of the machine: in the face of words. */
  readonly words?: boolean
  /** Stands above the field where the sheet is too narrow for the head of a table. */
  readonly caption?: string
  readonly placeholder?: string
  readonly className?: string
  /** @returns What stands in the way. */
  readonly keep: (text: string) => Told
}) {
  const { label, value, lines = 1, hideLabel = false, words = false, caption, placeholder, className = '', keep } = props
  const id = useId()
  const [typed, setTyped] = useState<string | null>(null)
  const [refused, setRefused] = useState(DONE)
  const leave = (): void => {
    if (typed === null) return
    const said = typed === value ? DONE : keep(typed)
    setRefused(said)
    if (isDone(said)) setTyped(null)
  }
  const shared = {
    id,
    className: `input ${words ? '' : 'num'} min-h-8 py-0.5 text-[13.5px] ${className}`,
    value: typed ?? value,
    placeholder,
    onBlur: leave,
    autoComplete: 'off',
    spellCheck: false,
    'aria-invalid': !isDone(refused),
  } as const
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'text-[12px] text-second'}>
        {label}
      </label>
      {caption !== undefined && (
        <span aria-hidden className="text-[12px] text-second tabular:hidden">
          {caption}
        </span>
      )}
      {lines === 1 ? (
        <input
          {...shared}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') leave()
            if (event.key === 'Escape') setTyped(null)
          }}
        />
      ) : (
        <textarea {...shared} rows={lines} onChange={(event) => setTyped(event.target.value)} />
      )}
      <Findings findings={refused} />
    </span>
  )
}
