import { LENGTHS } from '../../core/fasteners'
import type { PlanBagItem, PlanJoint } from '../../core/schedule'
import { editRow, removeRow, useBenchStore, useRows, type Told } from '../../state'
import { NumberField, Panel, TakeAway } from '../../ui'
import { Belongs } from './Belongs'
import { JointRow } from './JointRow'
import { Rows } from './Rows'
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
  const isCounted = useRows('bag').length > 0
  const allotment = useAllotment(bench)
  if (bench === null || allotment === null) return null
  return (
    <>
      <Panel title="Given, the joints">
        <Rows
          list="joints"
          height={56}
          row={(id, joint) => <JointRow key={id} id={id} joint={joint} />}
          add={{ words: 'Add a joint', row: NEW_JOINT, undo: 'a joint' }}
        />
      </Panel>
      <Panel title="Given, what is in the bag">
        <Rows
          list="bag"
          height={41}
          row={(id, it) => <BagRow key={id} id={id} item={it} />}
          add={{ words: 'Count another kind', row: { thread: 'M5', lengthMm: 10, count: 1 }, undo: 'the bag' }}
        />
        {isCounted && <Belongs bench={bench} allotment={allotment} />}
      </Panel>
    </>
  )
}

/** One kind of screw in the bag, and how many of it were counted. */
function BagRow({ id, item }: { readonly id: string; readonly item: PlanBagItem }) {
  const patch = (change: Partial<PlanBagItem>): Told => editRow('bag', id, change, 'the bag')
  const lengths = [...new Set([...LENGTHS, item.lengthMm])].sort((p, q) => p - q)
  return (
    <li className="flex flex-wrap items-center gap-3 border-b border-rule py-1 text-[13px]">
      <Threads value={item.thread} label="Thread in the bag" choose={(thread) => patch({ thread })} />
      <span>×</span>
      <select
        className="input min-h-8 py-0.5"
        aria-label="Length in the bag"
        value={item.lengthMm}
        onChange={(event) => patch({ lengthMm: Number(event.target.value) })}
      >
        {lengths.map((length) => (
          <option key={length}>{length}</option>
        ))}
      </select>
      <NumberField
        label="Counted"
        hideLabel
        whole
        value={item.count}
        className="w-16 text-right"
        keep={(count) => patch({ count: count ?? 0 })}
      />
      <TakeAway what={`Take ${item.thread} × ${item.lengthMm} out of the count`} act={() => removeRow('bag', id, 'the bag')} />
    </li>
  )
}
