import { useState } from 'react'
import { displayUnit, sayQuantity, type Finding } from '../../core/units'
import type { Saving } from '../../core/work'
import { findSavings, takeSaving, useBenchStore, type PlannedProgram } from '../../state'
import { Findings, useUnits } from '../../ui'
import { sayTime } from './sayTime'

/** What would save time, worked out when it is asked for. */
export function Savings({ program }: { readonly program: PlannedProgram }) {
  const bench = useBenchStore((it) => it.bench)
  const [found, setFound] = useState<{ readonly of: PlannedProgram; readonly savings: readonly Saving[] } | null>(null)
  const [isLooking, setLooking] = useState(false)
  const [said, say] = useState<readonly Finding[]>([])
  if (bench === null) return null
  const look = async (): Promise<void> => {
    setLooking(true)
    const outcome = await findSavings(bench)
    setLooking(false)
    say(outcome.findings)
    setFound(outcome.ok ? { of: program, savings: outcome.value } : null)
  }
  const savings = found?.of === program ? found.savings : null
  return (
    <div className="py-1 text-[13.5px]">
      {savings === null ? (
        <button type="button" className="link no-print" disabled={isLooking} onClick={() => void look()}>
          {isLooking ? 'Looking what would save time …' : 'What would save time?'}
        </button>
      ) : (
        <ul className="m-0 list-none p-0" aria-label="What would save time">
          {savings.length === 0 && <li>Nothing much: what is burnt uses its power, or comes from the book.</li>}
          {savings.map((it) => (
            <li key={'pieceId' in it ? `${it.kind} ${it.pieceId} ${it.drawn}` : it.kind} className="border-b border-rule py-1">
              <Change it={it} /> saves <span className="num">{sayTime(it.saved)}</span>
              {it.kind === 'faster' && ', with as much energy as now'}.{' '}
              <button type="button" className="link no-print" onClick={() => say(takeSaving(it))}>
                Take it over
              </button>
            </li>
          ))}
        </ul>
      )}
      <Findings findings={said} />
    </div>
  )
}

/** What is changed, in words. */
function Change({ it }: { readonly it: Saving }) {
  const unit = displayUnit('speed', useUnits())
  switch (it.kind) {
    case 'bothWays':
      return <>Scanning there and back, where the delay of the light is known,</>
    case 'quickest':
      return <>The quickest order of lines, whatever the list and the heat,</>
    case 'turned':
      return (
        <>
          {it.name}, {it.drawn}: lines in the quickest direction
        </>
      )
    case 'faster':
      return (
        <>
          {it.name}, {it.drawn}: {sayQuantity(Number(it.speed.toPrecision(3)), null, unit)} at{' '}
          <span className="num">{Math.round(it.power * 100)}%</span>
        </>
      )
  }
}
