import type { ReactNode } from 'react'
import type { Verdict } from '../core/bench'
import { labelAt, type Bench } from '../core/document'
import { useAdvice } from '../state'
import { FactLink } from './FactLink'

/** What to measure so that a straddling verdict is decided (T14); else what the verdict itself proposes. */
export function WhatDecides({
  verdict,
  bench,
  otherwise,
}: {
  readonly verdict: Verdict
  readonly bench: Bench
  readonly otherwise: ReactNode
}) {
  const advice = useAdvice(verdict, bench)
  const name = (path: string): string => lowerFirst(labelAt(bench, path))
  if (advice === null) return <>What would decide it is being worked out …</>
  if (advice.kind === 'none') {
    const [first] = advice.ranking
    return (
      <>
        {first === undefined ? (
          otherwise
        ) : (
          <>
            No instrument at hand will decide it; most of the doubt comes from the{' '}
            <FactLink path={first.path}>{name(first.path)}</FactLink>.
          </>
        )}
      </>
    )
  }
  const tools = [...new Set(advice.measure.map((it) => lowerFirst(it.instrument?.name ?? '')))].join(' and the ')
  return (
    <>
      Measure{' '}
      {advice.measure.map(({ path }, i) => (
        <span key={path}>
          {i > 0 && ' and '}
          <FactLink path={path}>the {name(path)}</FactLink>
        </span>
      ))}{' '}
      with the {tools}: that decides.
    </>
  )
}

function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1)
}
