import { allotBag, INTO, LENGTHS, screwFor, THREAD_NAMES, type Allotment, type Into, type ThreadName } from '../../core/fasteners'
import type { Bench } from '../../core/document'
import type { PlanJoint } from '../../core/schedule'
import { addRow, editRow, removeRow, useBenchStore } from '../../state'
import { Findings, Panel, PlainField, VerdictMark } from '../../ui'

function useAllotment(bench: Bench | null): Allotment | null {
  if (bench === null) return null
  const joints = Object.entries(bench.plan.joints).map(([id, it]) => ({ id, ...it }))
  return allotBag(Object.values(bench.plan.bag), joints)
}

/** Each joint in section, to one scale: the stack, the screw that fits it, and whether the bag has it. */
export function FastenerPlate() {
  const bench = useBenchStore((it) => it.bench)
  const allotment = useAllotment(bench)
  if (bench === null || allotment === null) return null
  const joints = Object.entries(bench.plan.joints).sort(([, p], [, q]) => p.order - q.order)
  if (joints.length === 0)
    return <p className="my-8 text-second">No joint yet: add one below, and the screw that fits it stands here.</p>
  const counted = Object.keys(bench.plan.bag).length > 0
  return (
    <ul
      className="m-0 mt-3 grid list-none grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-x-6 gap-y-3 p-0"
      data-plate="The joints"
    >
      {joints.map(([id, joint]) => (
        <JointFigure
          key={id}
          joint={joint}
          missing={counted ? (allotment.missing.find((it) => it.jointId === id)?.count ?? 0) : null}
        />
      ))}
    </ul>
  )
}

const MM = 4

function JointFigure({ joint, missing }: { readonly joint: PlanJoint; readonly missing: number | null }) {
  const fit = screwFor(joint)
  const d = Number(joint.thread.slice(1))
  const length = fit.ok ? fit.value.lengthMm : joint.stackMm + d
  const height = (Math.max(length, joint.stackMm + (joint.holeDepthMm ?? d)) + d + 4) * MM
  const top = d * MM + 6
  const middle = 70
  return (
    <li className="keep-together text-[13px]">
      <svg width="140" height={Math.min(height, 190)} viewBox={`0 0 140 ${height}`} aria-hidden>
        <rect x="14" y={top} width="112" height={joint.stackMm * MM} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.2" />
        <rect
          x="14"
          y={top + joint.stackMm * MM}
          width="112"
          height={(joint.holeDepthMm ?? d + 4) * MM}
          fill={joint.into === 'nut' ? 'none' : 'var(--tape)'}
          stroke={joint.into === 'nut' ? 'none' : 'var(--second)'}
          strokeWidth="0.8"
        />
        <rect
          x={middle - d * MM * 0.85}
          y={top - d * MM}
          width={d * MM * 1.7}
          height={d * MM}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
        <rect
          x={middle - (d * MM) / 2}
          y={top}
          width={d * MM}
          height={length * MM}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
        <path d={`M${middle} 0V${height}`} stroke="var(--second)" strokeWidth="0.7" strokeDasharray="10 3 2 3" />
      </svg>
      <p className="font-[650]">
        {joint.count} × {joint.name}
      </p>
      {fit.ok ? (
        <p className="num">
          {joint.thread} × {fit.value.lengthMm}
        </p>
      ) : (
        <Findings findings={fit.findings} />
      )}
      {fit.ok && (
        <p className="text-second">
          hole {fit.value.clearanceHoleMm} mm{fit.value.tapDrillMm === null ? '' : `, tapped ${fit.value.tapDrillMm} mm`}
          {joint.into === 'slotNut' ? '; slip the nut in first' : ''}
        </p>
      )}
      {missing !== null && (
        <p className="flex items-center gap-1.5">
          <VerdictMark mark={missing === 0 ? 'good' : 'look'} label="" />
          {missing === 0 ? 'the bag has them' : `${missing} missing from the bag`}
        </p>
      )}
    </li>
  )
}

const NEW_JOINT: Omit<PlanJoint, 'order'> = {
  name: 'A new joint',
  count: 4,
  thread: 'M5',
  stackMm: 6,
  into: 'slotNut',
  holeDepthMm: null,
}

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
              <button type="button" className="link ml-auto" onClick={() => removeRow('bag', id, 'the bag')}>
                Take away
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

/** Where the screws of the bag belong, what is missing, what is left over. */
function Belongs({ bench, allotment }: { readonly bench: Bench; readonly allotment: Allotment }) {
  const name = (id: string): string => bench.plan.joints[id]?.name ?? ''
  const thread = (id: string): string => bench.plan.joints[id]?.thread ?? ''
  const { given, missing, left } = allotment
  return (
    <ul className="m-0 mt-2 list-none p-0 text-[13px]" aria-label="Where the screws belong">
      {given.map(({ jointId, lengthMm, count }) => (
        <li key={`${jointId}${lengthMm}`}>
          <span className="num">
            {count} of {thread(jointId)} × {lengthMm}
          </span>{' '}
          belong to {name(jointId)}.
        </li>
      ))}
      {missing.map(({ jointId, count }) => (
        <li key={jointId} className="font-[650]">
          {count} missing for {name(jointId)}.
        </li>
      ))}
      {left.map((it) => (
        <li key={`${it.thread}${it.lengthMm}`} className="text-second">
          <span className="num">
            {it.count} of {it.thread} × {it.lengthMm}
          </span>{' '}
          left over.
        </li>
      ))}
    </ul>
  )
}

function Threads({
  value,
  label,
  choose,
}: {
  readonly value: ThreadName
  readonly label: string
  readonly choose: (thread: ThreadName) => unknown
}) {
  return (
    <select
      className="input min-h-8 py-0.5"
      aria-label={label}
      value={value}
      onChange={(event) => choose(event.target.value as ThreadName)}
    >
      {THREAD_NAMES.map((it) => (
        <option key={it}>{it}</option>
      ))}
    </select>
  )
}

function JointRow({ id, joint }: { readonly id: string; readonly joint: PlanJoint }) {
  const patch = (change: Partial<PlanJoint>): string | null => editRow('joints', id, change, `“${joint.name}”`)
  const number = (text: string): number => Number(text.replace(',', '.'))
  return (
    <li className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]" data-joint={joint.name}>
      <PlainField
        label={`Name of ${joint.name}`}
        hideLabel
        value={joint.name}
        className="w-44"
        keep={(name) => patch({ name: name.trim() })}
      />
      <PlainField
        label="Screws"
        value={String(joint.count)}
        className="w-14"
        keep={(text) => (/^\d+$/.test(text.trim()) ? patch({ count: Number(text) }) : 'Type a whole number.')}
      />
      <Threads value={joint.thread} label={`Thread of ${joint.name}`} choose={(thread) => patch({ thread })} />
      <PlainField
        label="Stack, mm"
        value={String(joint.stackMm)}
        className="w-20"
        keep={(text) => (number(text) > 0 ? patch({ stackMm: number(text) }) : 'Type a thickness above 0.')}
      />
      <select
        className="input min-h-8 py-0.5"
        aria-label={`What ${joint.name} goes into`}
        value={joint.into}
        onChange={(event) => patch({ into: event.target.value as Into })}
      >
        {Object.entries(INTO).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
      <PlainField
        label="Depth, mm; empty: through"
        value={joint.holeDepthMm === null ? '' : String(joint.holeDepthMm)}
        className="w-20"
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
        className="link no-print ml-auto pb-1.5"
        onClick={() => removeRow('joints', id, `“${joint.name}” taken away`)}
      >
        Take away
      </button>
    </li>
  )
}
