import { handTime, stopRoom, STOPS } from '../../core/calibrate'
import { axisIds, type Bench } from '../../core/document'
import { sayQuantity } from '../../core/units'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, FigureRow, Panel, Plate, ScaleBar, Sentence, StageLink, usePlateFrame, useUnits } from '../../ui'
import { ControllerSide } from './ControllerSide'

const MARGINS = { left: 64, right: 56, top: 30, bottom: 60 }

/** The machine from above: its origin and plus ways, the travel that is set, and where each axis really ends. */
export function HomingPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const [x, y] = ['X', 'Y'].map((letter) => axisNamed(bench, letter))
  const width = Math.max(x?.travel ?? 0, x?.reach ?? 0)
  const depth = Math.max(y?.travel ?? 0, y?.reach ?? 0)
  if (!(width > 0) || !(depth > 0))
    return (
      <p className="py-6 text-second">
        The picture is drawn to the travel of X and Y: <StageLink stage="motion">enter it on Motion</StageLink>, or below as it is
        set in the machine.
      </p>
    )
  return (
    <Plate
      title="Origin, ways and ends"
      extent={{ left: -10, right: width + 10, bottom: -10, top: depth + 10 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(48vh,80vw),460px)] shrink-0 print:h-[320px]"
      drawing={<Ends bench={bench} />}
      fields={null}
    />
  )
}

interface Tried {
  readonly id: string
  readonly travel: number | null
  readonly reach: number | null
  readonly plus: string | null
}

function axisNamed(bench: Bench, letter: string): Tried | null {
  const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter)
  const set = id === undefined ? undefined : bench.controller.axes[id]
  if (id === undefined || set === undefined) return null
  return {
    id,
    travel: set.travel.value ?? bench.motion.axes[id]?.travel.value ?? null,
    reach: set.tried.reach.value,
    plus: set.tried.plus.chosen,
  }
}

function Ends({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const system = useUnits()
  const [x, y] = [axisNamed(bench, 'X'), axisNamed(bench, 'Y')]
  const [w, d] = [x?.travel ?? 0, y?.travel ?? 0]
  const [rw, rd] = [x?.reach ?? null, y?.reach ?? null]
  const box = (width: number, depth: number): string =>
    `M${frame.x(0)} ${frame.y(0)}H${frame.x(width)}V${frame.y(depth)}H${frame.x(0)}Z`
  const length = (mm: number): string => sayQuantity(mm, null, system === 'metric' ? 'mm' : 'in')
  const arm = 46
  const [ox, oy] = [frame.x(0), frame.y(0)]
  return (
    <>
      {(rw !== null || rd !== null) && <path d={box(rw ?? w, rd ?? d)} fill="none" stroke="var(--second)" strokeWidth="1" />}
      <path d={box(w, d)} fill="none" stroke="var(--ink)" strokeWidth="1.4" strokeDasharray="8 4" />
      <path d={`M${ox - 8} ${oy}h16M${ox} ${oy - 8}v16`} stroke="var(--ink)" strokeWidth="1.2" />
      <Way d={`M${ox} ${oy}h${arm}m-7 -4l7 4l-7 4`} is={x?.plus ?? null} />
      <Way d={`M${ox} ${oy}v${-arm}m-4 7l4 -7l4 7`} is={y?.plus ?? null} />
      <text x={ox + arm + 6} y={oy - 6} fontSize="12" fill="var(--ink)">{`X ${sayWay(x?.plus ?? null)}`}</text>
      <text x={ox + 8} y={oy - arm - 6} fontSize="12" fill="var(--ink)">{`Y ${sayWay(y?.plus ?? null)}`}</text>
      <text x={ox - 8} y={oy + 18} textAnchor="middle" fontSize="11.5" fill="var(--second)">
        origin
      </text>
      <text x={frame.x(w) - 6} y={frame.y(d) + 16} textAnchor="end" fontSize="11.5" fill="var(--ink)">
        travel set in the machine
      </text>
      {rw !== null && (
        <text x={frame.x(rw) + 4} y={frame.y(d / 2)} fontSize="11.5" fill="var(--second)">
          ends {length(rw)}
        </text>
      )}
      {rd !== null && (
        <text x={frame.x(w / 2)} y={frame.y(rd) - 6} textAnchor="middle" fontSize="11.5" fill="var(--second)">
          ends {length(rd)}
        </text>
      )}
      <ScaleBar right={frame.width - 24} bottom={frame.height} />
    </>
  )
}

function sayWay(is: string | null): string {
  return is === null ? 'plus, not tried' : is === 'plus' ? 'plus, tried' : 'plus, goes the other way'
}

function Way({ d, is }: { readonly d: string; readonly is: string | null }) {
  return (
    <path
      d={d}
      fill="none"
      stroke={is === 'minus' ? 'var(--stop)' : 'var(--ink)'}
      strokeWidth="1.6"
      strokeDasharray={is === null ? '3 3' : undefined}
    />
  )
}

/** What is tried of each axis, and of what stops the beam. */
export function HomingGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const tried = axisIds(bench).filter((id) => bench.controller.axes[id] !== undefined)
  return (
    <div className="mt-2 grid gap-5">
      <p className="max-w-[46rem] text-[13.5px] text-second">
        Try these with the beam’s supply off, but for the stop itself: a hand on the switch of the supply, slow moves, nobody’s
        fingers near belts and ends.
      </p>
      {tried.map((id) => {
        const at = `controller.axes.${id}.tried` as const
        return (
          <Panel key={id} title={`Given, axis ${bench.motion.axes[id]?.letter ?? ''}`}>
            <Sentence>
              Told to go plus, it went <ChoiceField path={`${at}.plus`} />. Untouched, its switch reads{' '}
              <ChoiceField path={`${at}.free`} />, pressed by hand <ChoiceField path={`${at}.pressed`} />. Looking for its origin,
              it <ChoiceField path={`${at}.found`} /> and then stood off it by <FactField path={`${at}.pullOff`} />; two searches
              differ by <FactField path={`${at}.repeats`} />. From its origin it is <FactField path={`${at}.reach`} /> to what
              stops it at the far end; the machine is set to <FactField path={`controller.axes.${id}.travel`} />.
            </Sentence>
          </Panel>
        )
      })}
      <Panel title="Given, what stops the beam">
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          With eyewear on and a piece of wood under the beam at low power: press, or open, and film it with a phone; count the
          frames until the light is gone. Mains and safety circuits are for licensed hands, and local codes come first.
        </p>
        {Object.keys(bench.calibrate.stops).map((id) => (
          <Sentence key={id}>
            The beam, {id === 'lid' ? STOPS.lid : STOPS.stop}, <ChoiceField path={`calibrate.stops.${id}.went`} /> after{' '}
            <FactField path={`calibrate.stops.${id}.seconds`} />; a hand has <FactField path={`calibrate.stops.${id}.reach`} /> to
            go to the beam.
          </Sentence>
        ))}
      </Panel>
    </div>
  )
}

/** What is worked of it. */
export function HomingSide() {
  return (
    <ControllerSide part="homing">
      <Panel title="Worked">
        {Object.keys(STOPS).flatMap((id) => [
          <FigureRow
            key={`${id}-hand`}
            def={handTime}
            args={[id]}
            label={`A hand’s time to the beam, ${id === 'lid' ? 'lid' : 'stop'}`}
          />,
          <FigureRow key={`${id}-room`} def={stopRoom} args={[id]} label={`Out before it, ${id === 'lid' ? 'lid' : 'stop'}`} />,
        ])}
      </Panel>
    </ControllerSide>
  )
}
