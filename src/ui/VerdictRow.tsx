import { useState } from 'react'
import { getAt, isFact, sayUnknown, shownNumber, showFact, type AnyFigure, type FigureDef, type Verdict } from '../core/bench'
import { labelAt, type Bench } from '../core/document'
import { sayQuantity, type UnitSystem } from '../core/units'
import { engineOf, useJudgedBench } from '../state'
import { useUnits } from './Quantity'
import { figureUnit } from './figureUnit'
import { FactLink } from './FactLink'
import { later } from './later'
import { VerdictMark } from './VerdictMark'

const WhatDecides = later(async () => (await import('./WhatDecides')).WhatDecides, 'at rest')

/** A verdict: its mark, why, the one thing to do next, and whether it rests on guesses. */
export function VerdictRow({ verdict }: { readonly verdict: Verdict }) {
  const bench = useJudgedBench()
  const system = useUnits()
  if (bench === null) return null
  const { head, why, next } = wording(verdict, bench, system)
  const action = next === undefined ? null : <FactLink path={next.path}>{next.words}.</FactLink>
  return (
    <li className="keep-together flex gap-2 border-b border-rule py-2.5">
      <span className="pt-1">
        <VerdictMark mark={verdict.mark} />
      </span>
      <div className="min-w-0">
        <p>
          <strong className="font-[650]">{head}</strong>
          {/[?.!]$/.test(head) ? ' ' : '. '}
          {why} {verdict.straddles ? <WhatDecides verdict={verdict} bench={bench} otherwise={action} /> : action}
        </p>
        {verdict.assumed.length > 0 && <Assumed verdict={verdict} bench={bench} />}
      </div>
    </li>
  )
}

function Assumed({ verdict, bench }: { readonly verdict: Verdict; readonly bench: Bench }) {
  const [open, setOpen] = useState(false)
  const count = verdict.assumed.length
  return (
    <div className="text-[12px] text-second">
      <button
        type="button"
        className="no-print min-h-6 text-left underline decoration-dotted underline-offset-2"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        rests on {count} assumed {count === 1 ? 'fact' : 'facts'}
      </button>
      {open && (
        <ul className="m-0 list-none p-0">
          {verdict.assumed.map((path) => (
            <li key={path}>
              <FactLink path={path}>{labelAt(bench, path)}</FactLink>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

/** A verdict's sentence, its numbers printed in the bench's system. */
function wording(verdict: Verdict, bench: Bench, system: UnitSystem) {
  const engine = engineOf(bench)
  const print = (def: AnyFigure, ...args: string[]): string => {
    const figure = engine.withDoubt(def as FigureDef<Bench>, ...args)
    const value = shownNumber(figure.result)
    return value === null ? '(not known)' : sayQuantity(value, figure.doubt?.expanded ?? null, figureUnit(figure, system))
  }
  const fact = (path: string): string => {
    const node = getAt(bench, path)
    if (!isFact(node)) return ''
    const { text, unit } = showFact(node)
    return `${text}${unit === '' || unit === '°' || unit === '%' ? unit : `\u00a0${unit}`}`
  }
  const said = verdict.def.say({
    mark: verdict.mark,
    args: verdict.args,
    margin: shownNumber(verdict.margin.result) ?? Number.NaN,
    figure: print,
    fact,
    word: (path) => String(getAt(bench, path)),
    keys: (path) => Object.keys(getAt(bench, path) ?? {}),
  })
  if (verdict.unknown === null) return said
  const { message, path } = sayUnknown(verdict.unknown, (it) => labelAt(bench, it))
  const head = said.head
  return path === undefined ? { head, why: message } : { head, why: message, next: { words: 'Enter it', path } }
}
