import { shownNumber } from '../../core/bench'
import { BED_GRID, bedGrowth, bedMap, bedRoom, depthOfFocus, type BedSpot } from '../../core/calibrate'
import { bedRange, FEET, shim, travelOf } from '../../core/motion'
import { displayUnit, fromCore, unitOf } from '../../core/units'
import { engineOf, useBenchStore, useFigure } from '../../state'
import { FigureRow, Panel, Sentence, Side, StageLink, useUnits } from '../../ui'

/** From this growth of the spot on a place counts as out of focus. */
const GROWN = 0.1

/** The bed from above: how much the spot grows where, and what the feet want under them. */
export function BedPlate() {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  if (bench === null) return null
  const engine = engineOf(bench)
  const map = engine.value(bedMap).result
  const [wide, high] = ['X', 'Y'].map((letter) => shownNumber(engine.value(travelOf, letter).result)) as [
    number | null,
    number | null,
  ]
  if (!map.known || wide === null || high === null) {
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate="The bed against focus">
        The bed is drawn once its height was read at four places or more, and the beam is known.{' '}
        <StageLink stage="motion" part="square">
          Read the heights of the bed
        </StageLink>
        .
      </p>
    )
  }
  const unit = displayUnit('length', system)
  const say = (mm: number): string => `${mm < 0 ? '−' : '+'}${Math.abs(fromCore(mm, unit)).toFixed(system === 'metric' ? 2 : 4)}`
  const { columns, rows } = BED_GRID
  const [cw, ch] = [wide / columns, high / rows]
  const least = Math.min(...Object.values(bench.motion.heights).map((it) => it.height.value ?? Infinity))
  const range = shownNumber(engine.value(bedRange).result) ?? 0
  const size = Math.max(wide, high) / 46
  const out = map.value.filter((it) => it.growth > GROWN).length
  return (
    <figure className="m-0 mt-3" data-plate="The bed against focus">
      <svg
        viewBox={`${-0.08 * wide} ${-0.08 * high} ${1.16 * wide} ${1.16 * high}`}
        className="keep-together w-full"
        style={{ maxHeight: '52vh' }}
        role="img"
        aria-label={`The bed from above: ${out === 0 ? 'everywhere within a tenth of growth' : `${Math.round((100 * out) / map.value.length)} % of it out of focus`}`}
      >
        {map.value.map(({ x, y, growth }) => (
          <rect
            key={`${x} ${y}`}
            x={x - cw / 2}
            y={high - y - ch / 2}
            width={cw}
            height={ch}
            fill="var(--ink)"
            opacity={Math.min(0.65, 0.03 + 2.2 * growth)}
            stroke={growth > GROWN ? 'var(--ink)' : 'none'}
            strokeWidth={size / 8}
          />
        ))}
        <rect width={wide} height={high} fill="none" stroke="var(--ink)" strokeWidth={size / 10} />
        {Object.entries(bench.motion.heights).map(([id, it]) =>
          it.height.value === null ? null : (
            <g key={id}>
              <circle cx={it.x} cy={high - it.y} r={size / 4} fill="var(--paper)" stroke="var(--ink)" strokeWidth={size / 10} />
              <text
                x={it.x}
                y={high - it.y - size * 0.6}
                textAnchor="middle"
                fontSize={size}
                className="num"
                fill="var(--ink)"
                stroke="var(--paper)"
                strokeWidth={size / 4}
                paintOrder="stroke"
              >
                {say(it.height.value - least - range / 2)}
              </text>
              <text
                x={it.x}
                y={high - it.y + size * 1.5}
                textAnchor="middle"
                fontSize={size}
                className="num"
                fill="var(--second)"
              >
                {growthNear(map.value, it)}
              </text>
            </g>
          ),
        )}
      </svg>
      <figcaption className="mt-1 text-[12.5px] text-second">
        Heights in {unitOf(unit).symbol} from the middle of them, for which the head is set, and by how much the spot grows there:
        the stronger the tint, the more; framed: by more than a tenth.
      </figcaption>
    </figure>
  )
}

/** Growth at the place of the map that lies nearest. */
function growthNear(map: readonly BedSpot[], { x, y }: { readonly x: number; readonly y: number }): string {
  const away = (it: BedSpot): number => Math.hypot(it.x - x, it.y - y)
  const nearest = map.reduce((p, q) => (away(q) < away(p) ? q : p))
  return `${(nearest.growth * 100).toFixed(1)}%`
}

/** Where the heights are read. */
export function BedGiven() {
  return (
    <Panel title="Given, the bed" className="mt-4">
      <Sentence>
        The heights are read on Motion:{' '}
        <StageLink stage="motion" part="square">
          the bed, place by place
        </StageLink>
        . Set the head for the middle of them, not for a corner.
      </Sentence>
    </Panel>
  )
}

/** What is worked of the bed against focus. */
export function BedSide() {
  const range = useFigure(bedRange)
  return (
    <Side stage="beam" part="bed">
      <Panel title="Worked, the bed">
        <FigureRow def={bedRange} args={[]} />
        <FigureRow def={depthOfFocus} args={[]} />
        <FigureRow def={bedRoom} args={[]} />
        {['x', 'y'].map((it) => (
          <FigureRow key={it} def={bedGrowth} args={[it]} label={`Grows over the bed, across ${it.toUpperCase()}`} />
        ))}
        {range?.result.known === true &&
          FEET.map((words, i) => <FigureRow key={words} def={shim} args={[String(i)]} label={`Under the foot ${words}`} />)}
      </Panel>
    </Side>
  )
}
