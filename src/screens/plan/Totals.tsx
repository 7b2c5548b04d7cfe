import { totalsOf } from '../../core/fasteners'
import { screwLength } from '../../core/schedule'
import { useBenchStore } from '../../state'
import { FigureRow, Panel } from '../../ui'

/** What all joints take together: to order by, and to lay out on the bench before the first screw. */
export function Totals() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const joints = Object.entries(bench.plan.joints).sort(([, p], [, q]) => p.order - q.order)
  if (joints.length === 0) return null
  const { screws, nuts, drillsMm, keysMm } = totalsOf(joints.map(([id, joint]) => ({ id, ...joint })))
  return (
    <>
      <Panel title="Worked, all joints">
        <ul className="m-0 list-none p-0" aria-label="What all joints take">
          {screws.map(({ thread, lengthMm, count }) => (
            <Total key={`${thread}${lengthMm}`} what={`Screws ${thread} × ${lengthMm}`} count={count} />
          ))}
          {nuts.map(({ thread, slot, count }) => (
            <Total
              key={`${thread}${slot ? 'slot' : ''}`}
              what={`${slot ? 'Slot nuts' : 'Nuts'} ${thread}${slot ? ', slipped in first' : ''}`}
              count={count}
            />
          ))}
        </ul>
        <p className="py-1.5 text-[13px] text-second">
          Drills <span className="num">{drillsMm.join(', ')} mm</span>; keys <span className="num">{keysMm.join(', ')} mm</span>.
        </p>
      </Panel>
      <Panel title="Worked, screw by screw">
        {joints.map(([id, joint]) => (
          <FigureRow key={id} def={screwLength} args={[id]} label={`${joint.name}, ${joint.thread}`} />
        ))}
      </Panel>
    </>
  )
}

function Total({ what, count }: { readonly what: string; readonly count: number }) {
  return (
    <li className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <span>{what}</span>
      <span className="num">{count}</span>
    </li>
  )
}
