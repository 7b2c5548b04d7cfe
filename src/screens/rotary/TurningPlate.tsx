import { shownNumber } from '../../core/bench'
import { torqueParts, torqueRoom, turnSteps } from '../../core/rotary'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { CENTRE_LINE } from '../../ui'

const SIZE = { width: 760, height: 340 } as const
const MOTOR = { x: 92, y: 150 } as const
const DRIVEN = { x: 300, y: 150 } as const
const LARGEST = 92

/** What drives what, by how much, and the torque that it takes beside the torque that there is. */
export function TurningPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  return (
    <figure className="keep-together mt-2 mb-0" data-plate="From the motor to the object">
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="plate w-full max-w-[880px]"
        role="img"
        aria-label="From the motor to the object"
      >
        <Train bench={bench} />
        <Torques bench={bench} />
      </svg>
    </figure>
  )
}

/** Sizes of both wheels: by teeth, by grooves, or alike. */
function wheelsOf({ turn }: Bench['rotary']): readonly [motor: number, driven: number] {
  if (turn.drive.chosen === 'gears' || turn.drive.chosen === 'belt')
    return [turn.motorTeeth.value ?? 20, turn.drivenTeeth.value ?? 60]
  if (turn.drive.chosen === 'ring') return [turn.motorGroove.value ?? 10, turn.drivenGroove.value ?? 40]
  return [1, 1]
}

function Train({ bench }: { readonly bench: Bench }) {
  const { rotary } = bench
  const [z1, z2] = wheelsOf(rotary)
  const isDirect = rotary.turn.drive.chosen === 'direct'
  const scale = LARGEST / Math.max(z1, z2)
  const [r1, r2] = isDirect ? [26, 26] : [Math.max(6, z1 * scale), Math.max(6, z2 * scale)]
  const x1 = isDirect ? DRIVEN.x - 118 : rotary.turn.drive.chosen === 'gears' ? DRIVEN.x - r1 - r2 : MOTOR.x
  const engine = engineOf(bench)
  const steps = shownNumber(engine.value(turnSteps, rotary.inHand).result)
  const words = isDirect
    ? ['motor', 'driven']
    : rotary.turn.drive.chosen === 'ring'
      ? [`motor, Ø${printNumber(z1)}`, `driven, Ø${printNumber(z2)}`]
      : [`motor, ${printNumber(z1)} teeth`, `driven, ${printNumber(z2)} teeth`]
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="1.4">
      {isDirect ? (
        <path d={`M${x1 + 26} ${DRIVEN.y - 5}H${DRIVEN.x - 26}M${x1 + 26} ${DRIVEN.y + 5}H${DRIVEN.x - 26}`} />
      ) : (
        rotary.turn.drive.chosen !== 'gears' && <path d={tangents(x1, r1, DRIVEN.x, r2)} strokeWidth="2.2" stroke="var(--teal)" />
      )}
      <circle cx={x1} cy={MOTOR.y} r={r1} fill="var(--paper)" strokeDasharray={isDirect ? undefined : '3 2.2'} />
      <circle cx={DRIVEN.x} cy={DRIVEN.y} r={r2} fill="var(--paper)" strokeDasharray={isDirect ? undefined : '3 2.2'} />
      {[x1, DRIVEN.x].map((x, k) => (
        <path
          key={x}
          d={`M${x - 16} ${MOTOR.y}h32M${x} ${MOTOR.y - 16}v32`}
          stroke="var(--second)"
          strokeWidth="0.8"
          strokeDasharray={k === 2 ? undefined : CENTRE_LINE}
        />
      ))}
      <g stroke="none" fontSize="12" fill="var(--ink)" textAnchor="middle">
        <text x={x1} y={MOTOR.y + Math.max(r1, 20) + 18}>
          {words[0]}
        </text>
        <text x={DRIVEN.x} y={DRIVEN.y + r2 + 18}>
          {words[1]}
        </text>
        {steps !== null && (
          <text x={(x1 + DRIVEN.x) / 2} y={SIZE.height - 54} fontSize="13">
            <tspan className="num">{printNumber(Number(steps.toFixed(2)))}</tspan> steps for a turn of the object
          </text>
        )}
      </g>
    </g>
  )
}

/** Both outer tangents of two wheels side by side, px. */
function tangents(x1: number, r1: number, x2: number, r2: number): string {
  const lean = Math.asin((r2 - r1) / (x2 - x1))
  const [c, s] = [Math.cos(lean), Math.sin(lean)]
  return [-1, 1].map((side) => `M${x1 - r1 * s} ${MOTOR.y + side * r1 * c}L${x2 - r2 * s} ${DRIVEN.y + side * r2 * c}`).join('')
}

const BARS = { left: 468, right: 738, top: 66, step: 44 } as const

/** Torques as bars on one scale: what each needs, and half of what the motor holds. */
function Torques({ bench }: { readonly bench: Bench }) {
  const engine = engineOf(bench)
  const id = bench.rotary.inHand
  const figure = engine.value(torqueParts, id)
  const there = (bench.rotary.turn.holdTorque.value ?? 0) / 2
  if (!figure.result.known || shownNumber(engine.value(torqueRoom, id).result) === null) {
    return (
      <text x={BARS.left} y={BARS.top + 40} fontSize="12.5" fill="var(--second)">
        Torques are drawn once the object is measured.
      </text>
    )
  }
  const { inertia, friction, imbalance } = figure.result.value
  const rows = [
    ['to accelerate it', inertia],
    ['against friction', friction],
    ['against imbalance', imbalance],
    ['together', inertia + friction + imbalance],
    ['there while it runs', there],
  ] as const
  const most = Math.max(...rows.map(([, it]) => it))
  const unit = bench.units === 'metric' ? 'mNm' : displayUnit('torque', 'inch')
  return (
    <g fontSize="12">
      {rows.map(([words, value], k) => {
        const y = BARS.top + k * BARS.step
        const wide = Math.max(1, ((BARS.right - BARS.left) * value) / most)
        return (
          <g key={words}>
            <text x={BARS.left} y={y} fill="var(--ink)">
              {words}
              <tspan className="num" dx="8" fill="var(--second)">
                {printNumber(fromCore(value, unit), 2)} {unitOf(unit).symbol}
              </tspan>
            </text>
            <rect
              x={BARS.left}
              y={y + 7}
              width={wide}
              height="9"
              fill={k < 4 ? 'url(#cut)' : 'var(--second)'}
              stroke="var(--ink)"
              strokeWidth="0.8"
            />
          </g>
        )
      })}
      <defs>
        <pattern id="cut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--second)" strokeWidth="0.9" />
        </pattern>
      </defs>
    </g>
  )
}
