import type { Bench } from '../../core/document'
import type { FactPath } from '../../core/document'
import type { Way } from '../../core/housing'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { shownBench, useBenchStore } from '../../state'
import {
  CENTRE_LINE,
  DimensionDrawing,
  DimensionValue,
  Hatching,
  Plate,
  ScaleBar,
  usePlateFrame,
  type DimensionLine,
} from '../../ui'
import { cameraCone, insideFromFront, insideFromLeft, type BoxBlock, type BoxInside } from './boxLayout'
import { seenBox, type SeenBox } from './seen'

const MARGINS = { left: 72, right: 26, top: 40, bottom: 74 }
/** Between the two views, mm. */
const GAP_SHARE = 0.14

/** The box from its front and its left, with the machine in it. */
export function BoxPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const seen = seenBox(bench)
  if (seen === null)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="The box from its front and its left">
        The box is drawn to scale once the machine is measured below: over all that stands out, with its head at every end of
        travel.
      </p>
    )
  const gap = GAP_SHARE * (seen.x + seen.y)
  return (
    <Plate
      title="The box from its front and its left"
      extent={{ left: -seen.t, right: seen.x + gap + seen.y + 3 * seen.t, bottom: -seen.t, top: seen.z + seen.t }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(280px,min(44vh,50vw),440px)] shrink-0 print:h-[340px]"
      drawing={<Drawing bench={bench} seen={seen} side={seen.x + gap + 2 * seen.t} />}
      fields={<Fields seen={seen} side={seen.x + gap + 2 * seen.t} />}
    />
  )
}

function linesOf(seen: SeenBox, side: number, bottom: number, left: number): readonly DimensionLine[] {
  const size = (way: 'x' | 'y' | 'z'): FactPath => `housing.size.${way}`
  return [
    { path: size('x'), along: 'x', from: 0, to: seen.x, at: bottom + 40, extendFrom: bottom },
    { path: size('y'), along: 'x', from: side, to: side + seen.y, at: bottom + 40, extendFrom: bottom },
    { path: size('z'), along: 'y', from: 0, to: seen.z, at: left - 40, extendFrom: left },
  ]
}

function useLines(seen: SeenBox, side: number): readonly DimensionLine[] {
  const frame = usePlateFrame()
  return linesOf(seen, side, frame.y(-seen.t), frame.x(-seen.t))
}

function Drawing({ bench, seen, side }: { readonly bench: Bench; readonly seen: SeenBox; readonly side: number }) {
  const frame = usePlateFrame()
  const lines = useLines(seen, side)
  return (
    <>
      <Hatching id="box-cut" />
      <View left={0} wide={seen.x} seen={seen} name="from the front">
        <Inside of={insideFromFront(bench, seen)} left={0} />
        <Camera bench={bench} seen={seen} />
      </View>
      <View left={side} wide={seen.y} seen={seen} name="from the left">
        <Inside of={insideFromLeft(bench, seen)} left={side} />
      </View>
      {lines.map((it) => (
        <DimensionDrawing key={it.path} {...it} />
      ))}
      <Decides bench={bench} seen={seen} side={side} />
      {frame.width > 640 && <ScaleBar right={frame.width - 10} bottom={frame.height} />}
    </>
  )
}

/** A section of the box: its walls cut, what is in it drawn. */
function View(props: {
  readonly left: number
  readonly wide: number
  readonly seen: SeenBox
  readonly name: string
  readonly children: React.ReactNode
}) {
  const { left, wide, seen, name, children } = props
  const frame = usePlateFrame()
  const { t, z } = seen
  const outer = [left - t, seen.hasFloor ? -t : 0, left + wide + t, z + t] as const
  const path = (x0: number, y0: number, x1: number, y1: number): string =>
    `M${frame.x(x0)} ${frame.y(y0)}H${frame.x(x1)}V${frame.y(y1)}H${frame.x(x0)}Z`
  return (
    <g>
      <text
        x={(frame.x(left) + frame.x(left + wide)) / 2}
        y={frame.y(z + t) - 14}
        textAnchor="middle"
        fontSize="12"
        fill="var(--second)"
      >
        {name}
      </text>
      {children}
      {t > 0 ? (
        <path
          d={`${path(...outer)}${path(left, 0, left + wide, z)}`}
          fill="url(#box-cut)"
          fillRule="evenodd"
          stroke="var(--ink)"
          strokeWidth="1.3"
        />
      ) : (
        <path d={path(left, 0, left + wide, z)} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      )}
    </g>
  )
}

/** What stands in the box, from where the view’s inner corner is: dashed blocks with their names, and where the beam can be. */
function Inside({ of: { blocks, work }, left }: { readonly of: BoxInside; readonly left: number }) {
  const frame = usePlateFrame()
  const isThere = ({ x0, z0, x1, z1 }: BoxBlock): boolean => [x0, z0, x1, z1].every(Number.isFinite)
  return (
    <>
      {blocks.filter(isThere).map(({ x0, z0, x1, z1, words }) => (
        <g key={words}>
          <rect
            x={frame.x(left + x0)}
            y={frame.y(z1)}
            width={Math.max(0, frame.x(left + x1) - frame.x(left + x0))}
            height={Math.max(0, frame.y(z0) - frame.y(z1))}
            fill="none"
            stroke="var(--second)"
            strokeWidth="1.1"
            strokeDasharray="6 4"
          />
          <text x={frame.x(left + (x0 + x1) / 2)} y={frame.y(z1) + 16} textAnchor="middle" fontSize="11.5" fill="var(--second)">
            {words}
          </text>
        </g>
      ))}
      {work.map(({ low, high, at }) => (
        <path
          key={at}
          d={`M${frame.x(left + low)} ${frame.y(at)}H${frame.x(left + high)}`}
          stroke="var(--ember)"
          strokeWidth="2.6"
        />
      ))}
    </>
  )
}

/** What the camera sees, from under the roof. */
function Camera({ bench, seen }: { readonly bench: Bench; readonly seen: SeenBox }) {
  const frame = usePlateFrame()
  const cone = cameraCone(bench, seen)
  if (cone === null) return null
  const path = cone.map(([x, z]) => `${frame.x(x)} ${frame.y(z)}`).join('L')
  return <path d={`M${path}`} fill="none" stroke="var(--teal)" strokeWidth="1" strokeDasharray={CENTRE_LINE} />
}

/** Beside each size what decides it; where nobody typed it, how much it comes to. */
function Decides({ bench, seen, side }: { readonly bench: Bench; readonly seen: SeenBox; readonly side: number }) {
  const frame = usePlateFrame()
  const unit = displayUnit('length', bench.units)
  const words = (way: Way, size: number): string => {
    const by = byFrame(bench, way) ? 'the frame of the window' : (seen.decides[way]?.label ?? '')
    return seen.worked[way] ? `${printNumber(fromCore(size, unit))} ${unitOf(unit).symbol}: ${by}` : by
  }
  const bottom = frame.y(-seen.t) + 60
  return (
    <g fontSize="11.5" fill="var(--second)" textAnchor="middle">
      <text x={frame.x(seen.x / 2)} y={bottom}>
        {words('x', seen.x)}
      </text>
      <text x={frame.x(side + seen.y / 2)} y={bottom}>
        {words('y', seen.y)}
      </text>
      <text transform={`translate(${frame.x(-seen.t) - 58} ${frame.y(seen.z / 2)}) rotate(-90)`}>{words('z', seen.z)}</text>
    </g>
  )
}

/** Whether the frame of the window gives this size. */
function byFrame({ housing }: Bench, way: Way): boolean {
  const { window, lid, size } = housing
  if (size[way].value !== null || window.kept.chosen !== 'yes' || window.decides.chosen !== 'yes') return false
  return way === 'x' || (way === 'y' && lid.form.chosen === 'top') || (way === 'z' && lid.form.chosen === 'front')
}

function Fields({ seen, side }: { readonly seen: SeenBox; readonly side: number }) {
  return useLines(seen, side).map((it) => <DimensionValue key={it.path} {...it} />)
}
