import { useEffect, useRef, useState } from 'react'
import type { Path } from '../core/bench'
import { displayUnit, sayQuantity, unitOf, type Finding } from '../core/units'
import { stopEditing, useSession, type Told } from '../state'
import { Findings } from './Findings'
import { useUnits } from './Quantity'

/** One reading of a list that is typed in one go: Enter goes on to the next, Escape puts back what was there. */
export function ReadingField(props: {
  readonly id: string
  readonly path: Path
  readonly words: string
  /** mm; null where nothing is commanded. */
  readonly commanded: number | null
  /** As it stands on the bench; empty where it was not read. */
  readonly shown: string
  readonly enter: (typed: string) => Told
  /** What is likely to be wrong with the value as it stands. */
  readonly doubts?: readonly Finding[]
}) {
  const { id, path, words, commanded, shown, enter, doubts = [] } = props
  const [typed, setTyped] = useState<string | null>(null)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const system = useUnits()
  const unit = unitOf(displayUnit('length', system)).symbol
  const input = useRef<HTMLInputElement>(null)
  const asked = useSession(({ editing }) => editing?.path === path)
  useEffect(() => {
    if (!asked) return
    input.current?.focus()
    stopEditing()
  }, [asked])
  const leave = (): void => {
    if (typed === null || typed.trim() === shown) return setTyped(null)
    const found = enter(typed)
    setFindings(found)
    if (!found.some((it) => it.severity === 'error')) setTyped(null)
  }
  return (
    <div className="border-b border-rule py-1" data-reading={id}>
      <label className="flex items-center justify-between gap-3 text-[13.5px]">
        <span>
          {words}
          {commanded !== null && (
            <span className="num ml-2 text-[12px] text-second">
              {sayQuantity(commanded, null, system === 'metric' ? 'mm' : 'in')}
            </span>
          )}
        </span>
        <span className="flex items-center gap-1.5">
          <input
            ref={input}
            data-fact={path}
            data-place="given"
            className="input num min-h-8 w-24 py-0.5 text-right"
            inputMode="decimal"
            value={typed ?? shown}
            aria-invalid={findings.some((it) => it.severity === 'error')}
            onChange={(event) => setTyped(event.target.value)}
            onFocus={() => useSession.setState({ pointedReading: id })}
            onBlur={() => {
              leave()
              useSession.setState({ pointedReading: null })
            }}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setTyped(null)
              if (event.key === 'Enter') next(event.currentTarget)
            }}
          />
          {!(typed ?? shown).endsWith(unit) && <span className="num text-[12px] text-second">{unit}</span>}
        </span>
      </label>
      <Findings findings={[...findings, ...doubts]} />
    </div>
  )
}

/** Enter goes on to the next reading, which enters this one. */
function next(input: HTMLInputElement): void {
  const all = [...document.querySelectorAll<HTMLInputElement>('[data-reading] input')]
  const following = all[all.indexOf(input) + 1]
  if (following === undefined) input.blur()
  else following.focus()
}
