import { LENGTHS } from '../../core/fasteners'
import type { PlanJoint } from '../../core/schedule'
import { addRow, editRow, removeRow, useBenchStore } from '../../state'
import { Panel, PlainField } from '../../ui'
import { Belongs } from './Belongs'
import { JointRow } from './JointRow'
import { Threads } from './Threads'
import { useAllotment } from './useAllotment'

const NEW_JOINT: Omit<PlanJoint, 'order'> = {
  name: 'A new joint',
  count: 4,
  thread: 'M5',
  stackMm: 6,
  into: 'slotNut',
  holeDepthMm: null,
}

/** The joints, and the screws that were counted in the bag. */
export function Fasteners() {
  const bench = useBenchStore((it) => it.bench)
  const allotment = useAllotment(bench)
  if (bench === null || allotment === null) return null
  const joints = Object.entries(bench.plan.joints).sort(([, p], [, q]) => p.order - q.order)
  const bag = Object.entries(bench.plan.bag).sort(([, p], [, q]) => p.order - q.order)
  return (
    <>
      <Panel title="Given, the joints">
        <ul className="m-0 list-none p-0">
          {joints.map(([id, joint]) => (
            <JointRow key={id} id={id} joint={joint} />
          ))}
        </ul>
        <button type="button" className="button no-print mt-2" onClick={() => addRow('joints', NEW_JOINT, 'a joint')}>
          Add a joint
        </button>
      </Panel>
      <Panel title="Given, what is in the bag">
        <ul className="m-0 list-none p-0">
          {bag.map(([id, it]) => (
            <li key={id} className="flex flex-wrap items-center gap-3 border-b border-rule py-1 text-[13px]">
              <Threads
                value={it.thread}
                label="Thread in the bag"
                choose={(thread) => editRow('bag', id, { thread }, 'the bag')}
              />
              <span>×</span>
              <select
                className="input min-h-8 py-0.5"
                aria-label="Length in the bag"
                value={it.lengthMm}
                onChange={(event) => editRow('bag', id, { lengthMm: Number(event.target.value) }, 'the bag')}
              >
                {[...new Set([...LENGTHS, it.lengthMm])]
                  .sort((p, q) => p - q)
                  .map((length) => (
                    <option key={length}>{length}</option>
                  ))}
              </select>
              <PlainField
                label="Counted"
                hideLabel
                value={String(it.count)}
                className="w-16 text-right"
                keep={(text) =>
                  /^\d+$/.test(text.trim()) ? editRow('bag', id, { count: Number(text) }, 'the bag') : 'Type a whole number.'
                }
              />
              <button
                type="button"
                className="link no-print ml-auto min-h-8 min-w-6"
                aria-label={`Take ${it.thread} × ${it.lengthMm} out of the count`}
                title="Take it away"
                onClick={() => removeRow('bag', id, 'the bag')}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="button no-print mt-2"
          onClick={() => addRow('bag', { thread: 'M5', lengthMm: 10, count: 1 }, 'the bag')}
        >
          Count another kind
        </button>
        {bag.length > 0 && <Belongs bench={bench} allotment={allotment} />}
      </Panel>
    </>
  )
}
