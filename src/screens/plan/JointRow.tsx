import { INTO } from '../../core/fasteners'
import type { PlanJoint } from '../../core/schedule'
import { editRow, removeRow } from '../../state'
import { PlainField, SelectOf } from '../../ui'
import { Threads } from './Threads'

/** A joint: how many screws, of which thread, through what, into what. */
export function JointRow({ id, joint }: { readonly id: string; readonly joint: PlanJoint }) {
  const patch = (change: Partial<PlanJoint>): string | null => editRow('joints', id, change, `“${joint.name}”`)
  const number = (text: string): number => Number(text.replace(',', '.'))
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
      <PlainField
        label="Screws"
        value={String(joint.count)}
        className="w-12"
        keep={(text) => (/^\d+$/.test(text.trim()) ? patch({ count: Number(text) }) : 'Type a whole number.')}
      />
      <Threads value={joint.thread} label={`Thread of ${joint.name}`} choose={(thread) => patch({ thread })} />
      <PlainField
        label="Stack, mm"
        value={String(joint.stackMm)}
        className="w-16"
        keep={(text) => (number(text) > 0 ? patch({ stackMm: number(text) }) : 'Type a thickness above 0.')}
      />
      <SelectOf label={`What ${joint.name} goes into`} of={INTO} value={joint.into} choose={(into) => patch({ into })} />
      <PlainField
        label="Depth, mm"
        placeholder="through"
        value={joint.holeDepthMm === null ? '' : String(joint.holeDepthMm)}
        className="w-[5.5rem]"
        keep={(text) =>
          text.trim() === ''
            ? patch({ holeDepthMm: null })
            : number(text) > 0
              ? patch({ holeDepthMm: number(text) })
              : 'Type a depth above 0.'
        }
      />
      <button
        type="button"
        className="link no-print ml-auto min-h-8 min-w-6"
        aria-label={`Take ${joint.name} away`}
        title="Take it away"
        onClick={() => removeRow('joints', id, `“${joint.name}” taken away`)}
      >
        ×
      </button>
    </li>
  )
}
