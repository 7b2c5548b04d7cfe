import { getAt, isFact, setAt, templateOf } from '../../core/bench'
import type { Bench } from '../../core/document'
import { heightShape, type Axis } from '../../core/motion'
import { displayUnit, unitOf } from '../../core/units'
import { editBench, newId, useBenchStore } from '../../state'
import { SharedDriver } from './Given'
import {
  CENTRE_LINE,
  FactField,
  Hatching,
  LengthField,
  Panel,
  Plate,
  ScaleBar,
  Sentence,
  TakeAway,
  usePlateFrame,
} from '../../ui'

const MARGINS = { left: 60, right: 60, top: 30, bottom: 48 }
const SKETCH = { x: 300, y: 200 }

/** The bed from above: the rectangle of the four marks, the gantry's ends, and the heights that were read. */
export function SquarePlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const travel = travelOf(bench)
  return (
    <Plate
      title="The bed from above"
      extent={{ left: 0, right: travel.x, bottom: 0, top: travel.y }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(54vh,80vw),560px)] shrink-0 print:h-[340px]"
      drawing={<Drawing bench={bench} travel={travel} />}
      fields={<Heights bench={bench} />}
    />
  )
}

function travelOf(bench: Bench): { x: number; y: number } {
  const of = (letter: string): number | null =>
    Object.values(bench.motion.axes).find((it) => it.letter === letter)?.travel.value ?? null
  return { x: of('X') ?? SKETCH.x, y: of('Y') ?? SKETCH.y }
}

function Drawing({ bench, travel }: { readonly bench: Bench; readonly travel: { x: number; y: number } }) {
  const frame = usePlateFrame()
  const { corners, racking, heights } = bench.motion
  const [x0, y0, x1, y1] = [frame.x(0), frame.y(0), frame.x(travel.x), frame.y(travel.y)]
  const say = (path: string): string => {
    const fact = getAt(bench, path)
    return isFact(fact) && fact.typed !== '' ? fact.typed : '–'
  }
  const span = Object.values(heights)
    .map((it) => it.height.value)
    .filter((it) => it !== null)
  const [low, high] = [Math.min(...span), Math.max(...span)]
  return (
    <>
      <Hatching id="bed" />
      <rect x={x0} y={y1} width={x1 - x0} height={y0 - y1} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
      <path
        d={`M${x0} ${y0}L${x1} ${y1}M${x0} ${y1}L${x1} ${y0}`}
        stroke="var(--second)"
        strokeWidth="0.8"
        strokeDasharray="4 4"
      />
      <path
        d={`M${x0 - 22} ${(y0 + y1) / 2}H${x1 + 22}`}
        stroke="var(--second)"
        strokeWidth="0.9"
        strokeDasharray={CENTRE_LINE}
      />
      <g fontSize="11.5" className="num" fill="var(--ink)">
        <text x={(x0 + x1) / 2} y={y1 - 8} textAnchor="middle">
          {corners.width.typed || '–'}
        </text>
        <text x={x0 - 10} y={(y0 + y1) / 2 - 8} textAnchor="end">
          {corners.depth.typed || '–'}
        </text>
        <text x={x0 + 0.72 * (x1 - x0)} y={y0 + 0.72 * (y1 - y0) - 6} textAnchor="middle">
          {say('motion.corners.fromOrigin')}
        </text>
        <text x={x0 + 0.28 * (x1 - x0)} y={y0 + 0.72 * (y1 - y0) - 6} textAnchor="middle">
          {say('motion.corners.across')}
        </text>
        {racking.left.typed !== '' && (
          <text x={x0 - 10} y={y0 - 14} textAnchor="end">
            {racking.left.typed}
          </text>
        )}
        {racking.right.typed !== '' && (
          <text x={x1 + 10} y={y0 - 14}>
            {racking.right.typed}
          </text>
        )}
      </g>
      {Object.entries(heights).map(([id, { x, y, height }]) => {
        const share = height.value === null || high === low ? 0.5 : (height.value - low) / (high - low)
        return (
          <circle
            key={id}
            cx={frame.x(x)}
            cy={frame.y(y)}
            r={5 + 7 * share}
            fill={share > 0.5 ? 'url(#bed)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
        )
      })}
      {frame.width > 560 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** Heights stand on the bed where they were read. */
function Heights({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  return Object.entries(bench.motion.heights).map(([id, { x, y }]) => (
    <span key={id} className="absolute bg-paper" style={{ left: frame.x(x) + 14, top: frame.y(y) - 12 }}>
      <FactField path={`motion.heights.${id}.height`} small />
    </span>
  ))
}

export function SquareGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="grid gap-4">
      {bench.motion.kinematics.chosen !== 'mirrors' && <Corners />}
      <Squaring bench={bench} />
      <Panel title="Given, the bed">
        <Sentence>
          Up to <FactField path="motion.levelWithin" /> from the highest to the lowest place of the bed is accepted.
        </Sentence>
        <BedPlaces bench={bench} />
      </Panel>
    </div>
  )
}

/** What is square and what plays, of a machine that runs on rails or bars. */
function Corners() {
  return (
    <>
      <Panel title="Given, four marks at the corners">
        <Sentence>
          Mark four corners and measure over like edges, with one instrument: the sides are{' '}
          <FactField path="motion.corners.width" /> along X and <FactField path="motion.corners.depth" /> along Y; the diagonals
          are <FactField path="motion.corners.fromOrigin" /> through the origin and <FactField path="motion.corners.across" />{' '}
          across. Up to <FactField path="motion.squareWithin" /> out of square is accepted.
        </Sentence>
      </Panel>
      <Panel title="Given, the gantry and its wheels">
        <Sentence>
          Driven to the front, the gantry’s ends stand <FactField path="motion.racking.left" /> and{' '}
          <FactField path="motion.racking.right" /> from the front bar, left and right. The wheels have{' '}
          <FactField path="motion.play.clearance" /> of play; they stand <FactField path="motion.play.spacing" /> apart, and the
          rail is <FactField path="motion.play.lever" /> above the work.
        </Sentence>
      </Panel>
    </>
  )
}

/** How the gantry is brought square, by what drives it. */
function Squaring({ bench }: { readonly bench: Bench }) {
  const found = Object.entries(bench.motion.axes).find(([, it]) => it.letter === 'Y')
  if (found === undefined || bench.motion.kinematics.chosen === 'mirrors') return null
  const [id, axis] = found
  const isCrossed = bench.motion.kinematics.chosen === 'crossed'
  return (
    <Panel title="Given, how it is brought square">
      <Sentence>
        {isCrossed ? (
          'The two belts hold the gantry: each pulls one of its ends.'
        ) : (
          <>
            <FactField path={`motion.axes.${id}.motors`} place="square" />{' '}
            {axis.motors.value === 2 ? 'motors move' : 'motor moves'} the gantry. <SharedDriver id={id} axis={axis} />
          </>
        )}
      </Sentence>
      <p className="mt-1 max-w-[46rem] text-second">{isCrossed ? CROSSED_WAY : sayWay(axis)}</p>
    </Panel>
  )
}

/** Crossed belts square the gantry themselves; there is no shaft and no coupling to loosen. */
const CROSSED_WAY =
  'Supply off. Loosen the clamps of both belts, push the gantry against the front bar at both ends, and pull both belts alike, by ear, while it stands there; clamp, drive it once to the back and forth, measure again. A belt that is one tooth shorter holds its end back by half of that tooth.'

function sayWay({ drive, motors, drivers }: Axis): string {
  if (motors.value !== 2) {
    return drive.chosen === 'screw'
      ? 'One motor moves it by its screw: supply off, loosen the bearings or the nut’s holder on the right, move that end by the shift at the side, tighten, measure again.'
      : 'One motor moves both sides, by a shaft or by one belt round both: supply off, loosen what joins the right side to it (pulley, coupling or clamp), move that end by the shift at the side, tighten, measure again.'
  }
  return drivers.chosen === 'each'
    ? 'With a driver each, the right motor alone takes the steps at the side; or both ends are driven against stops of their own and the shift is shimmed under the right stop. Without stops it is lost whenever the drivers let go.'
    : 'One driver turns both motors alike, so neither can be moved alone: supply off, loosen the pulley or belt clamp on the right, move that end by the shift at the side, tighten, measure again. At rest the motors may each sit up to two full steps off when the driver wakes.'
}

function BedPlaces({ bench }: { readonly bench: Bench }) {
  const unit = unitOf(displayUnit('length', bench.units)).symbol
  const places = Object.entries(bench.motion.heights).sort(([, p], [, q]) => p.order - q.order)
  const place = (id: string, axis: 'x' | 'y', value: number, label: string) => (
    <LengthField
      label={label}
      hideLabel
      signed
      valueMm={value}
      className="w-20"
      keep={(number) => editBench('a place of the bed', (it) => setAt(it, `motion.heights.${id}.${axis}`, number ?? 0))}
    />
  )
  return (
    <div className="no-print mt-2 text-[13px]">
      {places.map(([id, { x, y }], i) => (
        <div key={id} className="flex flex-wrap items-center gap-2 border-b border-rule py-1">
          <span>At X</span>
          {place(id, 'x', x, `X of place ${i + 1}`)}
          <span>Y</span>
          {place(id, 'y', y, `Y of place ${i + 1}`)}
          <span className="num text-second">{unit}:</span>
          <FactField path={`motion.heights.${id}.height`} place="list" small />
          <TakeAway
            what={`Take place ${i + 1} of the bed away`}
            act={() => editBench('a place of the bed taken away', (it) => setAt(it, `motion.heights.${id}`, undefined))}
          />
        </div>
      ))}
      <div className="mt-2 flex gap-2">
        <button type="button" className="button" onClick={() => addPlaces(bench, places.length === 0 ? GRID : MIDDLE)}>
          {places.length === 0 ? 'Nine places over the bed' : 'Another place'}
        </button>
      </div>
    </div>
  )
}

const GRID = [0.05, 0.5, 0.95].flatMap((v) => [0.05, 0.5, 0.95].map((u) => [u, v] as const))
const MIDDLE = [[0.25, 0.25]] as const
/** Places lie on whole millimetres, or quarters of an inch. */
const ROUND_MM = { metric: 1, inch: 6.35 } as const

function addPlaces(bench: Bench, shares: readonly (readonly [number, number])[]): void {
  const travel = travelOf(bench)
  const first = Object.keys(bench.motion.heights).length
  const round = (mm: number): number => Math.round(mm / ROUND_MM[bench.units]) * ROUND_MM[bench.units]
  const added = shares.map(([u, v], i) => [
    newId(),
    templateOf(heightShape, { order: first + i, x: round(u * travel.x), y: round(v * travel.y) }),
  ])
  editBench('places on the bed', (it) =>
    setAt(it, 'motion.heights', { ...it.motion.heights, ...(Object.fromEntries(added) as Bench['motion']['heights']) }),
  )
}
