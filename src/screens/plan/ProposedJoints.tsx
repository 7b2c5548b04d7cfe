import { screwFor } from '../../core/fasteners'
import { kitMachine, proposedJoints } from '../../core/schedule'
import { takeProposedJoints, useBenchStore, useFigure } from '../../state'
import { Panel, StageLink } from '../../ui'

/** The joints that this kind of frame has: to be taken over, and then to be held against the screws in the bag. */
export function ProposedJoints() {
  const bench = useBenchStore((it) => it.bench)
  const machine = useFigure(kitMachine)
  if (bench === null || machine?.result.known !== true) return null
  const proposed = proposedJoints(machine.result.value)
  if (proposed.length === 0) return null
  const there = new Set(Object.values(bench.plan.joints).map((it) => it.name))
  const missing = proposed.filter((it) => !there.has(it.name))
  return (
    <Panel title="Given, the joints of such a frame">
      <ul className="m-0 list-none p-0">
        {proposed.map((joint) => {
          const fit = screwFor(joint)
          return (
            <li key={joint.name} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1.5 text-[13.5px]">
              <span className="min-w-48 flex-1">{joint.name}</span>
              <span className="num text-second">
                {joint.count} × {joint.thread} × {fit.ok ? fit.value.lengthMm : '?'}
              </span>
              <span className="w-24 text-[12.5px] text-second">{there.has(joint.name) ? 'taken' : 'proposed'}</span>
            </li>
          )
        })}
      </ul>
      <p className="mt-2 max-w-[46rem] text-[13px] text-second">
        Counts and stacks are those of the usual kind of frame: look them over against your plates and brackets. Screws are
        counted, and shared out among the joints, under{' '}
        <StageLink stage="plan" part="fasteners">
          Fasteners
        </StageLink>
        : what is left over and what is missing stands there.
      </p>
      {missing.length > 0 && (
        <button type="button" className="button button-first no-print mt-2" onClick={() => takeProposedJoints(missing)}>
          Take {missing.length === proposed.length ? 'these joints' : `the ${missing.length} that are not taken`}
        </button>
      )}
    </Panel>
  )
}
