import { shownNumber, type WithDoubt } from '../../core/bench'
import { depthOfFocus, outOfFocus, rayleigh, waist } from '../../core/calibrate'
import { radiusAt, type Waist } from '../../core/optics'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { useFigure, useShownFact } from '../../state'
import { CENTRE_LINE, FactField, FactLink, Handle, Hatching, Plate, usePlateFrame, useUnits } from '../../ui'
import { edgeOf, reachOf, widening } from './beamShapes'

const MARGINS = { left: 54, right: 16, top: 30, bottom: 30 }
/** Width of the drawing against its height. */
const ASPECT = 1.7
/** Middles of both sections and of the spot, and half the room of each, as shares of the drawing's width. */
const AT = { x: 0.19, y: 0.52, spot: 0.85 }
const HALF = 0.14

function numberOf(figure: WithDoubt | null): number | null {
  return figure === null ? null : shownNumber(figure.result)
}

function useWaist(axis: 'x' | 'y'): Waist | null {
  const radius = numberOf(useFigure(waist, axis))
  const length = numberOf(useFigure(rayleigh, axis))
  return radius === null || length === null ? null : { radius, rayleigh: length }
}

/** The beam through focus from both sides, with the material in it and the spot that it makes there. */
export function BeamPlate() {
  const [x, y] = [useWaist('x'), useWaist('y')]
  const out = numberOf(useFigure(outOfFocus))
  const depth = numberOf(useFigure(depthOfFocus))
  const sheet = useShownFact('optics.sheet')?.value ?? 0
  if (x === null || y === null) {
    return (
      <div className="my-8 max-w-[40rem] text-second">
        <p>
          The beam is drawn as soon as its spot and wavelength are known: enter them below, or burn a focus ramp and follow it.
        </p>
        <p className="mt-1">
          <FactLink path="optics.spotX">Enter the spot</FactLink>
        </p>
      </div>
    )
  }
  const reach = reachOf([x.rayleigh, y.rayleigh], out ?? 0, sheet)
  return (
    <Plate
      title="The beam through focus"
      extent={{ left: 0, right: 2 * reach * ASPECT, bottom: -reach, top: reach }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(280px,min(54vh,62vw),520px)] shrink-0 print:h-[340px]"
      drawing={<Drawing x={x} y={y} out={out} depth={depth} reach={reach} sheet={sheet} />}
      fields={<GapField reach={reach} out={out} />}
    />
  )
}

interface Shown {
  readonly x: Waist
  readonly y: Waist
  /** mm; null while the gap or focus is not known. */
  readonly out: number | null
  readonly depth: number | null
  readonly reach: number
  readonly sheet: number
}

function Drawing({ x, y, out, depth, reach, sheet }: Shown) {
  const frame = usePlateFrame()
  const width = 2 * reach * ASPECT
  const k = widening([x, y], reach, width * HALF)
  const surface = -(out ?? 0)
  const [left, right] = [frame.x(0), frame.x(width * (AT.y + HALF * 1.2))]
  return (
    <>
      <Hatching id="material" />
      <Heights reach={reach} />
      {out !== null && (
        <rect
          x={left}
          y={frame.y(surface)}
          width={right - left}
          height={Math.max(0, Math.min(sheet, surface + reach)) * frame.scale}
          fill="url(#material)"
          stroke="none"
        />
      )}
      {depth !== null && <Depth depth={depth} left={left} right={right} />}
      <Section waist={x} middle={width * AT.x} widening={k} reach={reach} surface={surface} axis="x" isPlaced={out !== null} />
      <Section waist={y} middle={width * AT.y} widening={k} reach={reach} surface={surface} axis="y" isPlaced={out !== null} />
      {out !== null && (
        <>
          <path d={`M${left} ${frame.y(surface)}H${right}`} stroke="var(--ink)" strokeWidth="1.6" />
          <Handle path="optics.gap" along="y" x={left + 14} y={frame.y(surface)} fine />
          <path
            d={`M${left + 14} ${frame.y(surface) - 8}l4 5h-8zM${left + 14} ${frame.y(surface) + 8}l4 -5h-8z`}
            fill="var(--teal)"
            pointerEvents="none"
          />
        </>
      )}
      <Spot x={x} y={y} out={out ?? 0} middle={width * AT.spot} room={width * (1 - AT.spot)} isPlaced={out !== null} />
      <text x={left} y={frame.height - 8} fontSize="11.5" fill="var(--second)">
        heights to scale, widths drawn <tspan className="num">{k}</tspan> times as wide
      </text>
    </>
  )
}

/** Heights beside the drawing, from focus. */
function Heights({ reach }: { readonly reach: number }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const unit = system === 'metric' ? 1 : 25.4
  const step = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50].find((it) => (2 * reach) / (it * unit) <= 9) ?? 50
  const count = Math.floor(reach / (step * unit))
  return (
    <g fontSize="11.5" fill="var(--second)">
      {Array.from({ length: 2 * count + 1 }, (_, i) => {
        const height = (i - count) * step
        const y = frame.y(height * unit)
        return (
          <g key={i}>
            <path d={`M${frame.x(0) - 5} ${y}h5`} stroke="var(--second)" />
            <text x={frame.x(0) - 9} y={y + 4} textAnchor="end" className="num">
              {i === count ? 'focus' : `${height > 0 ? '+' : '−'}${Number(Math.abs(height).toFixed(2))}`}
            </text>
          </g>
        )
      })}
      <text x={frame.x(0) - 46} y={14}>
        {system === 'metric' ? 'mm from focus' : 'in from focus'}
      </text>
    </g>
  )
}

/** The heights between which the spot is at most a tenth larger. */
function Depth({ depth, left, right }: { readonly depth: number; readonly left: number; readonly right: number }) {
  const frame = usePlateFrame()
  const unit = displayUnit('length', useUnits())
  return (
    <g>
      {[depth / 2, -depth / 2].map((it) => (
        <path key={it} d={`M${left} ${frame.y(it)}H${right}`} stroke="var(--second)" strokeDasharray="4 4" strokeWidth="0.9" />
      ))}
      <text
        x={(left + right) / 2 + 4}
        y={frame.y(depth / 2) - 6}
        textAnchor="middle"
        fontSize="11.5"
        fill="var(--second)"
        stroke="var(--paper)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        depth of focus{' '}
        <tspan className="num">
          {printNumber(fromCore(depth, unit), 2)} {unitOf(unit).symbol}
        </tspan>
      </text>
    </g>
  )
}

/** The beam from one side: its edges, its middle, and how wide it is on the material. */
function Section(props: {
  readonly waist: Waist
  readonly middle: number
  readonly widening: number
  readonly reach: number
  readonly surface: number
  readonly axis: 'x' | 'y'
  readonly isPlaced: boolean
}) {
  const { waist: shape, middle, widening: k, reach, surface, axis, isPlaced } = props
  const frame = usePlateFrame()
  const edge = edgeOf(shape, reach)
  const at = (side: 1 | -1) => edge.map(([height, radius]) => `${frame.x(middle + side * k * radius)} ${frame.y(height)}`)
  const [rightEdge, leftEdge] = [at(1), at(-1)]
  const half = k * radiusAt(shape, surface)
  const y = frame.y(surface)
  return (
    <g>
      <path d={`M${rightEdge.join('L')}L${[...leftEdge].reverse().join('L')}Z`} fill="var(--ember)" fillOpacity="0.13" />
      <path d={`M${rightEdge.join('L')}M${leftEdge.join('L')}`} stroke="var(--ember)" strokeWidth="1.5" fill="none" />
      <path
        d={`M${frame.x(middle)} ${frame.y(reach)}V${frame.y(-reach)}`}
        stroke="var(--second)"
        strokeWidth="0.8"
        strokeDasharray={CENTRE_LINE}
      />
      {isPlaced && <path d={`M${frame.x(middle - half)} ${y}H${frame.x(middle + half)}`} stroke="var(--ember)" strokeWidth="4" />}
      <text x={frame.x(middle)} y={frame.y(reach) - 12} textAnchor="middle" fontSize="12.5" fill="var(--ink)">
        across {axis.toUpperCase()}
      </text>
    </g>
  )
}

/** The spot as it lies on the material, seen from above, with its sides. */
function Spot(props: {
  readonly x: Waist
  readonly y: Waist
  readonly out: number
  readonly middle: number
  readonly room: number
  readonly isPlaced: boolean
}) {
  const { x, y, out, middle, room, isPlaced } = props
  const frame = usePlateFrame()
  const [w, h] = [2 * radiusAt(x, out), 2 * radiusAt(y, out)]
  const [w0, h0] = [2 * x.radius, 2 * y.radius]
  const scale = (1.1 * room * frame.scale) / Math.max(w, h)
  const [cx, cy] = [frame.x(middle), frame.y(0)]
  const unit = displayUnit('length', useUnits())
  const corner = (side: number): number => Math.min(6, side / 4)
  return (
    <g>
      <text x={cx} y={frame.y(0) - (h * scale) / 2 - 30} textAnchor="middle" fontSize="12.5" fill="var(--ink)">
        {isPlaced ? 'spot on the material' : 'spot at focus'}
      </text>
      <rect
        x={cx - (w * scale) / 2}
        y={cy - (h * scale) / 2}
        width={w * scale}
        height={h * scale}
        rx={corner(h * scale)}
        fill="var(--ember)"
        fillOpacity="0.13"
        stroke="var(--ember)"
        strokeWidth="1.5"
      />
      {isPlaced && (
        <rect
          x={cx - (w0 * scale) / 2}
          y={cy - (h0 * scale) / 2}
          width={w0 * scale}
          height={h0 * scale}
          rx={corner(h0 * scale)}
          fill="none"
          stroke="var(--second)"
          strokeDasharray="3 3"
        />
      )}
      <text x={cx} y={cy + (h * scale) / 2 + 20} textAnchor="middle" fontSize="12" className="num" fill="var(--ink)">
        {printNumber(fromCore(w, unit), 2)} × {printNumber(fromCore(h, unit), 2)} {unitOf(unit).symbol}
      </text>
      {isPlaced && (
        <text x={cx} y={cy + (h * scale) / 2 + 38} textAnchor="middle" fontSize="11.5" fill="var(--second)">
          dashed: at focus
        </text>
      )}
    </g>
  )
}

/** The gap, to be typed at the surface of the material. */
function GapField({ reach, out }: { readonly reach: number; readonly out: number | null }) {
  const frame = usePlateFrame()
  const width = 2 * reach * ASPECT
  const y = Math.min(Math.max(frame.y(-(out ?? 0)), 24), frame.height - 40)
  return (
    <span
      className="no-print absolute hidden -translate-x-1/2 -translate-y-1/2 bg-paper px-1 text-[13px] sm:inline"
      style={{ left: frame.x(width * 0.375), top: y }}
    >
      gap <FactField path="optics.gap" place="plate" small />
    </span>
  )
}
