import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { newestRun, runSquareness } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { sayQuantity } from '../../core/units'
import type { Mend } from '../../core/workshop'
import { DONE, engineOf, mendPractice, useBenchStore, useMachine, type Told } from '../../state'
import { Findings, Panel } from '../../ui'

export function sayMend(mend: Mend): string {
  switch (mend.act) {
    case 'snug':
      return `play taken out of ${mend.axis.toUpperCase()}`
    case 'belt':
      return `belt of ${mend.axis.toUpperCase()} tensioned`
    case 'pulley':
      return `pulley of ${mend.axis.toUpperCase()} tightened`
    case 'square':
      return `gantry squared by ${sayQuantity(mend.byRad, 1e-5, 'deg')}`
  }
}

const ACTS: readonly { readonly act: 'snug' | 'belt' | 'pulley'; readonly words: string }[] = [
  { act: 'snug', words: 'Take the play out of' },
  { act: 'belt', words: 'Tension the belt of' },
  { act: 'pulley', words: 'Tighten the pulley of' },
]

/** What can be done to a practice machine with a spanner. */
export function Spanner() {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState<Told>(DONE)
  const running = useMachine((it) => it.running)
  if (bench === null) return null
  const square = squareByRun(bench)
  const act = (mend: Mend): void => void mendPractice(mend).then(say)
  return (
    <Panel title="At the machine, with a spanner">
      <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
        Each of these is done with the power off, as at a real one. What is done and changes nothing is counted. Steps,
        acceleration and the like are set on Settings, the wait behind “on” on the output card.
      </p>
      <div className="flex flex-wrap gap-2 py-1">
        {ACTS.flatMap(({ act: what, words }) =>
          (['x', 'y'] as const).map((axis) => (
            <button
              key={what + axis}
              type="button"
              className="button"
              disabled={running}
              onClick={() => act({ act: what, axis })}
            >
              {words} {axis.toUpperCase()}
            </button>
          )),
        )}
        <button
          type="button"
          className="button"
          disabled={running || square === null}
          onClick={() => act({ act: 'square', byRad: square ?? 0 })}
        >
          {square === null
            ? 'Square the gantry: read the diagonals first'
            : `Square the gantry by ${sayQuantity(square, 1e-5, 'deg')}`}
        </button>
      </div>
      <Findings findings={said} />
    </Panel>
  )
}

/** By how much the newest scale run says that the gantry leans, rad; null where it says nothing. */
function squareByRun(bench: Bench): number | null {
  const run = newestRun(bench.calibrate)
  return run === null ? null : shownNumber(engineOf(bench).value(runSquareness, run).result)
}
