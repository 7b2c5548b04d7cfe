import { RAMP } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { fromCore, sayShare } from '../../core/units'
import { rampOf, setFact, useBenchStore, useMachine, DONE } from '../../state'
import { FactField, Panel, Plate, ScaleBar, Sentence, usePlateFrame } from '../../ui'
import { CardEditor } from './CardEditor'
import { Head } from './Head'
import { HandOut } from '../../ui/HandOut'

const MARGINS = { left: 40, right: 96, top: 16, bottom: 40 }

/** The faint ramp: as it will be burnt, or as it was; press the first line that can be seen well. */
export function RampPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ramp = rampOf(bench)
  if (ramp === null) return <p className="py-8 text-second">Enter sighting power, last power, speed and start below.</p>
  const { startX, startY } = bench.calibrate
  const [x, y] = [startX.value ?? 0, startY.value ?? 0]
  return (
    <Plate
      title="The faint ramp"
      extent={{ left: x - 6, right: x + RAMP.length + 6, bottom: y - 4, top: y + RAMP.apart * RAMP.lines }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(52vh,78vw),520px)] shrink-0 print:h-[320px]"
      drawing={<Lines bench={bench} powers={ramp.powers} />}
      fields={null}
    />
  )
}

function Lines({ bench, powers }: { readonly bench: Bench; readonly powers: readonly number[] }) {
  const frame = usePlateFrame()
  const running = useMachine((it) => it.running)
  const marks = useMachine((it) => (it.burnt === 'ramp' ? it.marks : null))
  const { startX, startY, markPower } = bench.calibrate
  const [x0, y0] = [startX.value ?? 0, startY.value ?? 0]
  const count = marks?.length ?? 0
  const burnt = count > 0
  const top = y0 + RAMP.apart * RAMP.lines
  return (
    <>
      <rect
        x={frame.x(x0 - 5)}
        y={frame.y(top)}
        width={(RAMP.length + 10) * frame.scale}
        height={(RAMP.apart * RAMP.lines + 4) * frame.scale}
        fill="none"
        stroke="var(--second)"
        strokeWidth="0.8"
      />
      {powers.map((power, i) => {
        const y = frame.y(y0 + i * RAMP.apart)
        const mark = marks?.[i] ?? null
        const chosen = markPower.value !== null && Math.abs(markPower.value / power - 1) < 0.02
        const words = sayShare(power)
        return (
          <g
            key={i}
            role="button"
            tabIndex={0}
            aria-pressed={chosen}
            aria-label={`Line ${i + 1}, ${words}${i < count ? (mark === null ? ', cannot be seen' : ', can be seen') : ''}: take it`}
            className="cursor-pointer"
            onClick={() => choosePower(power)}
            onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && choosePower(power)}
          >
            <rect x={frame.x(x0) - 14} y={y - 9} width={RAMP.length * frame.scale + 96} height="18" fill="transparent" />
            {i < count ? (
              mark !== null && (
                <path
                  d={`M${frame.x(mark.x0)} ${frame.y(mark.y0)}L${frame.x(mark.x1)} ${frame.y(mark.y1)}`}
                  stroke="var(--ink)"
                  strokeWidth={Math.max(1, mark.width * frame.scale)}
                  opacity={0.15 + 0.85 * mark.tone}
                />
              )
            ) : (
              <path d={`M${frame.x(x0)} ${y}H${frame.x(x0 + RAMP.length)}`} stroke="var(--ember)" strokeWidth="1" />
            )}
            {chosen && <path d={`M${frame.x(x0) - 14} ${y - 5}l9 5l-9 5Z`} fill="var(--teal)" />}
            <text
              x={frame.x(x0 + RAMP.length + 5) + 10}
              y={y + 4}
              fontSize="12.5"
              className="num"
              fill={chosen ? 'var(--teal)' : 'var(--ink)'}
              fontWeight={chosen ? 650 : 400}
            >
              {words}
            </text>
          </g>
        )
      })}
      <text x={frame.x(x0 - 5)} y={frame.y(top) - 6} fontSize="11" fill="var(--second)">
        {burnt ? (count < powers.length ? (running ? 'being burnt' : 'burnt so far') : 'as burnt') : 'as it will be burnt'}
      </text>
      <Head />
      {frame.width > 420 && <ScaleBar right={frame.width - 24} bottom={frame.height} />}
    </>
  )
}

/** Takes a line's power as the marking power: seen by the person, so measured. */
function choosePower(power: number): void {
  const rounded = Number(power.toPrecision(2))
  setFact(
    'calibrate.markPower',
    {
      value: rounded,
      typed: String(Number(fromCore(rounded, 'percent').toPrecision(2))),
      typedUnit: 'percent',
      origin: 'measured',
      doubt: { kind: 'exact' },
      at: new Date().toISOString(),
    },
    'the marking power',
  )
}

export function RampGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ramp = rampOf(bench)
  return (
    <div className="grid gap-4">
      <Panel title="Given, the ramp">
        <Sentence>
          From the sighting power of <FactField path="calibrate.sightPower" /> up to <FactField path="calibrate.rampTo" /> of full
          power, at <FactField path="calibrate.markSpeed" />, beginning at X <FactField path="calibrate.startX" />, Y{' '}
          <FactField path="calibrate.startY" />. The first line that can be seen well was burnt with{' '}
          <FactField path="calibrate.markPower" />.
        </Sentence>
        {ramp !== null && (
          <HandOut
            name="faint ramp"
            steps={ramp.steps}
            bench={bench}
            prepare={() => ({ ok: true, value: { id: 'ramp', keep: () => DONE }, findings: [] })}
            burnWords="Burn the ramp"
          />
        )}
      </Panel>
      <CardEditor bench={bench} />
    </div>
  )
}
