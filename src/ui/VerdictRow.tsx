import { useState } from 'react'
import type { Verdict } from '../core/bench'
import { labelAt, wordingOf, type Bench } from '../core/document'
import { engineOf, useJudgedBench } from '../state'
import { useUnits } from './Quantity'
import { FactLink, NextLink } from './FactLink'
import { later } from './later'
import { VerdictMark } from './VerdictMark'

const WhatDecides = later(async () => (await import('./WhatDecides')).WhatDecides, 'at rest')

/** A verdict: its mark, why, the one thing to do next, and whether it rests on guesses. */
export function VerdictRow({ verdict }: { readonly verdict: Verdict }) {
  const bench = useJudgedBench()
  const system = useUnits()
  if (bench === null) return null
  const { head, why, next } = wordingOf(engineOf(bench), verdict, system)
  const action = next === undefined ? null : <NextLink next={next}>{next.words}.</NextLink>
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
