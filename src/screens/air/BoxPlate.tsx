import { anOpening, below, clears, flowOfWay, inOrder, inward, leftAfter, openingFlow, smokeWay } from '../../core/air'
import { shownNumber } from '../../core/bench'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { Hatching } from '../../ui'

const SIZE = { width: 800, height: 300 } as const
const BOX = { left: 230, right: 540, top: 56, bottom: 236 } as const

const NAMES = {
  gaps: 'by the gaps',
  inlet: 'by the inlet',
  foot: 'under the foot',
  holes: 'through the table',
  mouth: 'into the mouth',
} as const
type OpeningId = keyof typeof NAMES

/** Where air comes in, as wide as it flows, and where it leaves. */
export function BoxPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  return (
    <figure className="keep-together mt-2 mb-0 shrink-0 overflow-x-auto" data-plate="Where air comes in and leaves">
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="plate w-full min-w-[600px] max-w-[900px]"
        role="img"
        aria-label="Where air comes in and leaves"
      >
        <Hatching id="air-wall" />
        <Caught bench={bench} />
        <Flows bench={bench} />
        <Left bench={bench} />
      </svg>
    </figure>
  )
}

/** The box, hood, table or mouth, in section. */
function Caught({ bench }: { readonly bench: Bench }) {
  const { caught } = bench.air.box
  const { left, right, top, bottom } = BOX
  const t = 9
  const wall = (d: string) => <path d={d} fill="url(#air-wall)" stroke="var(--ink)" strokeWidth="1.2" />
  const table = <path d={`M${left - 60} ${bottom}H${right + 60}`} stroke="var(--ink)" strokeWidth="1.6" />
  switch (caught.chosen) {
    case 'box':
      return wall(`M${left} ${top}H${right}V${bottom}H${left}ZM${left + t} ${top + t}V${bottom - t}H${right - t}V${top + t}Z`)
    case 'hood':
      return (
        <>
          {table}
          {wall(`M${left} ${bottom - 12}V${top}H${right}V${bottom - 12}H${right - t}V${top + t}H${left + t}V${bottom - 12}Z`)}
        </>
      )
    case 'table':
      return (
        <>
          <path d={`M${left} ${(top + bottom) / 2}H${right}`} stroke="var(--ink)" strokeWidth="5" strokeDasharray="12 6" />
          {wall(
            `M${left} ${(top + bottom) / 2}V${bottom}H${right}V${(top + bottom) / 2}H${right - t}V${bottom - t}H${left + t}V${(top + bottom) / 2}Z`,
          )}
        </>
      )
    case 'mouth':
      return (
        <>
          {table}
          <path
            d={`M${right - 90} ${top + 50}H${right}M${right - 90} ${top + 110}H${right}`}
            stroke="var(--ink)"
            strokeWidth="1.6"
            fill="none"
          />
          <path d={`M${left + 90} ${top + 30}v72`} stroke="var(--ember)" strokeWidth="2" />
        </>
      )
    case null:
      return (
        <text x={(left + right) / 2} y={(top + bottom) / 2} textAnchor="middle" fontSize="13" fill="var(--second)">
          Say below how the smoke is caught.
        </text>
      )
  }
}

/** An arrow whose shaft is so wide. */
function arrow(x: number, y: number, length: number, width: number): string {
  const half = Math.max(0.8, width / 2)
  const head = Math.max(10, width * 0.8)
  const way = Math.sign(length)
  const neck = x + length - way * head
  return `M${x} ${y - half}H${neck}V${y - half - head / 2}L${x + length} ${y}L${neck} ${y + half + head / 2}V${y + half}H${x}Z`
}

function Flows({ bench }: { readonly bench: Bench }) {
  const engine = engineOf(bench)
  const speedUnit = bench.units === 'metric' ? 'm/s' : 'ft/min'
  const flowUnit = displayUnit('flow', bench.units)
  const number = (value: number, unit: Parameters<typeof unitOf>[0]): string =>
    `${printNumber(fromCore(value, unit), 2)} ${unitOf(unit).symbol}`
  const value = (def: typeof inward, id: string): number | null => {
    const found = shownNumber(engine.value(def, id).result)
    return found === null || !Number.isFinite(found) ? null : found
  }
  const openings = anOpening.each(bench).map(([id]) => ({
    id,
    name: NAMES[id as OpeningId],
    flow: value(openingFlow, id),
    speed: value(inward, id),
  }))
  const supplies = inOrder(bench.air.ways)
    .filter(([, it]) => it.to === 'box')
    .map(([id, it]) => ({ id, name: `by “${it.name}”`, flow: value(flowOfWay, id), speed: null }))
  const coming = [...openings, ...supplies]
  const most = Math.max(1e-9, ...coming.map((it) => Math.abs(it.flow ?? 0)))
  const [way] = smokeWay.each(bench)[0] ?? []
  const flow = way === undefined ? null : shownNumber(engine.value(flowOfWay, way).result)
  const held = shownNumber(engine.value(below).result)
  const { left, right, top, bottom } = BOX
  const widthOf = (share: number): number => 3 + 25 * Math.min(1, share)
  return (
    <g fontSize="12">
      {coming.map(({ id, name, flow: comes, speed }, k) => {
        const y = id === 'foot' ? bottom - 6 : top + ((bottom - top) * (k + 0.6)) / (coming.length + 0.2)
        const isOut = comes !== null && comes < 0
        const wide = comes === null ? 0 : widthOf(Math.abs(comes) / most)
        return (
          <g key={id}>
            {comes !== null && (
              <path
                d={isOut ? arrow(left + 30, y, -110, wide) : arrow(left - 74, y, 104, wide)}
                fill={isOut ? 'var(--stop)' : 'var(--teal)'}
                fillOpacity="0.75"
              />
            )}
            <text x={left - 84} y={y - 4} textAnchor="end" fill="var(--ink)">
              {isOut ? `out ${name}` : name}
            </text>
            <text x={left - 84} y={y + 12} textAnchor="end" fill="var(--ink)" className="num">
              {comes === null ? 'not known yet' : number(Math.abs(comes), flowUnit)}
              {speed !== null && `, ${number(Math.abs(speed), speedUnit)}`}
            </text>
          </g>
        )
      })}
      {flow !== null && Number.isFinite(flow) && (
        <>
          <path d={arrow(right - 34, top + 44, 128, widthOf(1))} fill="var(--second)" fillOpacity="0.7" />
          <text x={right + 106} y={top + 40} fill="var(--ink)">
            {inOrder(bench.air.ways).find(([id]) => id === way)?.[1].name}
          </text>
          <text x={right + 106} y={top + 56} className="num" fill="var(--ink)">
            {number(flow, flowUnit)}
          </text>
        </>
      )}
      {held !== null && Number.isFinite(held) && bench.air.box.caught.chosen !== null && (
        <text x={(left + right) / 2} y={top + 40} textAnchor="middle" fill="var(--ink)" className="num">
          {number(Math.abs(held), displayUnit('pressure', bench.units))} {held < 0 ? 'above' : 'below'} the room
        </text>
      )}
    </g>
  )
}

/** How much of the smoke is left, over time. */
function Left({ bench }: { readonly bench: Bench }) {
  const engine = engineOf(bench)
  const caught = bench.air.box.caught.chosen
  if (caught !== 'box' && caught !== 'hood') return null
  const time = shownNumber(engine.value(clears).result)
  if (time === null || !Number.isFinite(time)) return null
  const { left, right, bottom } = BOX
  const [x0, x1, y0, y1] = [left + 40, right - 46, bottom - 28, bottom - 118]
  const places = Array.from({ length: 49 }, (_, k) => {
    const share = leftAfter(k / 48, 0.01)
    return `${(x0 + ((x1 - x0) * k) / 48).toFixed(1)} ${(y0 + (y1 - y0) * share).toFixed(1)}`
  })
  return (
    <g fontSize="11" fill="var(--second)">
      <path d={`M${x0} ${y1}V${y0}H${x1}`} stroke="var(--second)" strokeWidth="0.9" fill="none" />
      <path d={`M${places.join('L')}`} stroke="var(--ink)" strokeWidth="1.5" fill="none" />
      <text x={x0 + 8} y={y1 + 8}>
        smoke left
      </text>
      <text x={x1} y={y0 + 15} textAnchor="end" className="num" fill="var(--ink)">
        1 % after {printNumber(time, 2)} s
      </text>
    </g>
  )
}
