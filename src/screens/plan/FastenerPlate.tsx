import { screwFor, THREADS } from '../../core/fasteners'
import type { PlanJoint } from '../../core/schedule'
import { useBenchStore } from '../../state'
import { Findings, VerdictMark } from '../../ui'
import { useAllotment } from './useAllotment'

/** Each joint in section, to one scale: the stack, the screw that fits it, and whether the bag has it. */
export function FastenerPlate() {
  const bench = useBenchStore((it) => it.bench)
  const allotment = useAllotment(bench)
  if (bench === null || allotment === null) return null
  const joints = Object.entries(bench.plan.joints).sort(([, p], [, q]) => p.order - q.order)
  if (joints.length === 0)
    return <p className="my-8 text-second">No joint yet: add one below, and the screw that fits it stands here.</p>
  const tallest = Math.max(...joints.map(([, joint]) => heightOf(joint)))
  const counted = Object.keys(bench.plan.bag).length > 0
  return (
    <ul
      className="m-0 mt-3 grid list-none grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-x-4 gap-y-3 p-0"
      data-plate="The joints"
    >
      {joints.map(([id, joint]) => (
        <JointFigure
          key={id}
          joint={joint}
          tallest={tallest}
          missing={counted ? (allotment.missing.find((it) => it.jointId === id)?.count ?? 0) : null}
        />
      ))}
    </ul>
  )
}

const MM = 4

/** Of its drawing: head, screw or hole whichever is longer, and room; at the scale of all. */
function heightOf(joint: PlanJoint): number {
  const { diameter } = THREADS[joint.thread]
  const fit = screwFor(joint)
  const length = fit.ok ? fit.value.lengthMm : joint.stackMm + diameter
  return (Math.max(length, joint.stackMm + (joint.holeDepthMm ?? diameter)) + diameter + 4) * MM
}

function JointFigure(props: { readonly joint: PlanJoint; readonly tallest: number; readonly missing: number | null }) {
  const { joint, tallest, missing } = props
  const fit = screwFor(joint)
  const { diameter: d, head, key } = THREADS[joint.thread]
  const length = fit.ok ? fit.value.lengthMm : joint.stackMm + d
  const height = heightOf(joint)
  const top = d * MM + 6
  const middle = 70
  return (
    <li className="keep-together text-[13px]">
      <svg
        width="140"
        height={Math.min(tallest, 190)}
        viewBox={`0 0 140 ${Math.max(tallest, height)}`}
        preserveAspectRatio="xMinYMin"
        aria-hidden
      >
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
          x={middle - (head * MM) / 2}
          y={top - d * MM}
          width={head * MM}
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
          {joint.thread} × {fit.value.lengthMm}, key {key} mm
        </p>
      ) : (
        <Findings findings={fit.findings} />
      )}
      {fit.ok && (
        <p className="text-second">
          hole {fit.value.clearanceHoleMm} mm{fit.value.tapDrillMm === null ? '' : `, tapped ${fit.value.tapDrillMm} mm`}
          {joint.into === 'slotNut' ? '; nut in first' : ''}
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
