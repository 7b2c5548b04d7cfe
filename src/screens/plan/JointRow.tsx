import { INTO } from '../../core/fasteners'
import type { PlanJoint } from '../../core/schedule'
import { editRow, removeRow, type Told } from '../../state'
import { LengthField, NumberField, PlainField, SelectOf, TakeAway } from '../../ui'
import { Threads } from './Threads'

/** A joint: how many screws, of which thread, through what, into what. */
export function JointRow({ id, joint }: { readonly id: string; readonly joint: PlanJoint }) {
  const patch = (change: Partial<PlanJoint>): Told => editRow('joints', id, change, `“${joint.name}”`)
  return (
    <li className="flex flex-wrap items-end gap-x-2.5 gap-y-1 border-b border-rule py-1.5 text-[13px]" data-joint={joint.name}>
      <PlainField
        label={`Name of ${joint.name}`}
        hideLabel
        words
        value={joint.name}
        className="w-40"
        keep={(name) => patch({ name: name.trim() })}
      />
      <NumberField label="Screws" whole value={joint.count} className="w-12" keep={(count) => patch({ count: count ?? 0 })} />
      <Threads value={joint.thread} label={`Thread of ${joint.name}`} choose={(thread) => patch({ thread })} />
      <LengthField
        label="Stack"
        above
        valueMm={joint.stackMm}
        className="w-16"
        keep={(stackMm) => patch({ stackMm: stackMm ?? 0 })}
      />
      <SelectOf label={`What ${joint.name} goes into`} of={INTO} value={joint.into} choose={(into) => patch({ into })} />
      <LengthField
        label="Depth"
        above
        empty="through"
        valueMm={joint.holeDepthMm}
        className="w-[5.5rem]"
        keep={(holeDepthMm) => patch({ holeDepthMm })}
      />
      <TakeAway what={`Take ${joint.name} away`} act={() => removeRow('joints', id, `“${joint.name}” taken away`)} />
    </li>
  )
}
