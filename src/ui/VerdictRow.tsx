import { useState } from 'react'
import type { Verdict } from '../core/bench'
import { labelAt, wordingOf, type Bench } from '../core/document'
import { engineOf, useJudgedBench } from '../state'
import { useUnits } from './Quantity'
import { FactLink, NextLink } from './FactLink'
import { later } from './later'
import { VerdictMark } from './VerdictMark'

const WhatDecides = later(async () => (await import('./WhatDecides')).WhatDecides, 'at rest')

/**
 * A verdict: its mark, why, the one thing to do next, and whether it rests on guesses.
 * @param first The first of its group, whose action is not said twice; null for the first itself.
 */
export function VerdictRow(props: { readonly verdict: Verdict; readonly first: Verdict | null; readonly last: boolean }) {
  const { verdict, first, last } = props
  const bench = useJudgedBench()
  const system = useUnits()
  if (bench === null) return null
  const engine = engineOf(bench)
  const { head, why, next } = wordingOf(engine, verdict, system)
  const isSaid = first !== null && wordingOf(engine, first, system).next?.words === next?.words
  const action = next === undefined || isSaid ? null : <NextLink next={next}>{next.words}.</NextLink>
  return (
    <li className={`keep-together flex gap-2 ${last ? 'border-b border-rule pb-2.5' : 'pb-1'} ${first === null ? 'pt-2.5' : ''}`}>
      <span className="pt-1">
        <VerdictMark mark={verdict.mark} />
      </span>
      <div className="min-w-0">
        <p>
          <strong className="font-[650]">{head}</strong>
          {/[?.!]$/.test(head) ? ' ' : '. '}
          {why} {verdict.straddles && !isSaid ? <WhatDecides verdict={verdict} bench={bench} otherwise={action} /> : action}
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
