import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { lidCentre, lidMass, lidThrough, sprungLid, type LidAt } from '../../core/housing'
import type { Bench } from '../../core/document'
import { printFixed } from '../../core/units'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { CENTRE_LINE, StageLink, useDrag } from '../../ui'
import { HINGE, layOutLid, type Spot } from './lidLayout'
import { seenBox } from './seen'

const SIZE = { width: 820, height: 420 } as const
const CHART = { left: 520, right: 800, top: 48, bottom: 340 } as const
const DEGREE = Math.PI / 180

/** The lid from the left, as it moves, and what turns it through its travel. */
export function LidPlate() {
  const bench = useBenchStore(shownBench)
  const [degrees, setDegrees] = useState<number | null>(null)
  if (bench === null) return null
  const seen = seenBox(bench)
  if (seen?.box === null || seen === null)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="The lid as it moves">
        The lid is drawn once{' '}
        <StageLink stage="housing" part="box">
          the box has its sizes
        </StageLink>{' '}
        and{' '}
        <StageLink stage="housing" part="panels">
          its sheet
        </StageLink>
        .
      </p>
    )
  const most = (bench.housing.lid.opensTo.value ?? 75 * DEGREE) / DEGREE
  const angle = Math.min(most, degrees ?? most * 0.6)
  return (
    <figure className="keep-together mt-2 mb-0 shrink-0 overflow-x-auto" data-plate="The lid as it moves">
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="plate w-full min-w-[640px] max-w-[920px] touch-none"
        role="group"
        aria-label="The lid as it moves"
      >
        <Side bench={bench} long={seen.box.lid.long} deep={seen.y} high={seen.z} angle={angle} most={most} set={setDegrees} />
        <Moments bench={bench} angle={angle} most={most} />
      </svg>
    </figure>
  )
}

interface SideProps {
  readonly bench: Bench
  readonly long: number
  readonly deep: number
  readonly high: number
  readonly angle: number
  readonly most: number
  readonly set: (degrees: number) => void
}

/** The box with its lid at an angle, its springs and its centre. */
function Side({ bench, long, deep, high, angle, most, set }: SideProps) {
  const laid = layOutLid({ form: bench.housing.lid.form.chosen === 'front' ? 'front' : 'top', long, deep, high })
  const onLid: Place = (along, above) => laid.lidAt(angle, along, above)
  const edge = onLid(long, 0)
  const centre = shownNumber(engineOf(bench).value(lidCentre).result)
  const drag = useDrag({
    move: (_, event) => {
      const svg = event.currentTarget.ownerSVGElement
      const matrix = svg?.getScreenCTM()
      if (matrix === null || matrix === undefined) return
      const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
      set(Math.min(most, Math.max(0, laid.angleTo(at.x, at.y))))
    },
    step: (right, up) => set(Math.min(most, Math.max(0, angle + 5 * (right + up)))),
  })
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="1.5">
      <path d={laid.box} />
      <path d={laid.arc(most)} stroke="var(--second)" strokeWidth="0.8" strokeDasharray={CENTRE_LINE} />
      <Springs bench={bench} way={onLid} place={laid.place} />
      <path d={`M${HINGE.x} ${HINGE.y}L${edge[0]} ${edge[1]}`} strokeWidth="4.5" />
      {centre !== null && Number.isFinite(centre) && <Centre at={onLid(centre, 0)} bench={bench} />}
      <circle cx={HINGE.x} cy={HINGE.y} r="5" fill="var(--paper)" />
      <circle
        cx={edge[0]}
        cy={edge[1]}
        r="13"
        fill="transparent"
        stroke="var(--teal)"
        strokeWidth="1.4"
        style={{ cursor: 'grab' }}
        tabIndex={0}
        role="slider"
        aria-label="Move the lid"
        aria-valuenow={Math.round(angle)}
        aria-valuemin={0}
        aria-valuemax={Math.round(most)}
        {...drag}
      />
      <text x={edge[0] - 16} y={edge[1] - 18} fontSize="12.5" fill="var(--ink)" stroke="none" textAnchor="end" className="num">
        {Math.round(angle)}°
      </text>
    </g>
  )
}

type Place = (along: number, above: number) => Spot

function Springs({ bench, way, place }: { readonly bench: Bench; readonly way: Place; readonly place: Place }) {
  const { onLid, boxOut, boxDown } = bench.housing.lid
  if (sprungLid.each(bench).length === 0 || onLid.value === null || boxOut.value === null || boxDown.value === null) return null
  const [a, b] = [way(onLid.value, 0), place(boxOut.value, -boxDown.value)]
  const middle = [b[0] + 0.55 * (a[0] - b[0]), b[1] + 0.55 * (a[1] - b[1])] as const
  return (
    <g stroke="var(--teal)">
      <path d={`M${b[0]} ${b[1]}L${middle[0]} ${middle[1]}`} strokeWidth="7" />
      <path d={`M${middle[0]} ${middle[1]}L${a[0]} ${a[1]}`} strokeWidth="2.4" />
      <circle cx={a[0]} cy={a[1]} r="4" fill="var(--paper)" />
      <circle cx={b[0]} cy={b[1]} r="4" fill="var(--paper)" />
    </g>
  )
}

/** Centre of mass, with the weight that pulls there. */
function Centre({ at: [x, y], bench }: { readonly at: readonly [number, number]; readonly bench: Bench }) {
  const mass = shownNumber(engineOf(bench).value(lidMass).result)
  return (
    <g stroke="var(--second)">
      <circle cx={x} cy={y} r="5" fill="var(--paper)" />
      <path d={`M${x - 5} ${y}h10M${x} ${y - 5}v46M${x} ${y + 41}l-4 -8h8Z`} strokeWidth="1.2" />
      {mass !== null && Number.isFinite(mass) && (
        <text x={x + 8} y={y + 36} fontSize="12" fill="var(--second)" stroke="none" className="num">
          {printFixed(mass, 2)} kg
        </text>
      )}
    </g>
  )
}

/** Moments that open or shut it, cold and warm, through the travel. */
function Moments({ bench, angle, most }: { readonly bench: Bench; readonly angle: number; readonly most: number }) {
  const found = engineOf(bench).value(lidThrough).result
  const all: readonly LidAt[] = found.known ? found.value : []
  const { left, right, top, bottom } = CHART
  if (sprungLid.each(bench).length === 0 || all.length === 0)
    return (
      <text x={(left + right) / 2} y={(top + bottom) / 2} textAnchor="middle" fontSize="12.5" fill="var(--second)">
        {sprungLid.each(bench).length > 0
          ? 'Moments stand here once the springs are known.'
          : 'Without springs the weight alone turns it.'}
      </text>
    )
  const values = all.flatMap((it) => [it.cold, it.warm])
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)]
  const x = (degrees: number): number => left + ((right - left) * degrees) / most
  const y = (value: number): number => bottom - ((bottom - top) * (value - low)) / Math.max(high - low, 1e-6)
  const line = (of: (it: LidAt) => number): string =>
    `M${all.map((it) => `${x(it.angle / DEGREE).toFixed(1)} ${y(of(it)).toFixed(1)}`).join('L')}`
  return (
    <g fontSize="11.5" fill="none">
      <path d={`M${left} ${top - 8}V${bottom + 8}M${left} ${y(0)}H${right}`} stroke="var(--ink)" strokeWidth="1" />
      <path d={line((it) => it.warm)} stroke="var(--ink)" strokeWidth="1.6" />
      <path d={line((it) => it.cold)} stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="5 4" />
      <path d={`M${x(angle)} ${top}V${bottom}`} stroke="var(--teal)" strokeWidth="1.2" strokeDasharray="2 3" />
      <g fill="var(--second)">
        <text x={left} y={top - 16}>
          moment on the lid, N·m
        </text>
        <text x={right} y={bottom + 26} textAnchor="end">
          opened by, °
        </text>
        <text x={left + 8} y={top + 6}>
          opens by itself
        </text>
        <text x={left + 8} y={bottom}>
          comes down
        </text>
        {[low, 0, high].map((it) => (
          <text key={it} x={left - 6} y={y(it) + 4} textAnchor="end" className="num">
            {printFixed(it, 1)}
          </text>
        ))}
        {[0, Math.round(most / 2), Math.round(most)].map((it) => (
          <text key={it} x={x(it)} y={bottom + 12} textAnchor="middle" className="num">
            {it}
          </text>
        ))}
        <text x={right} y={y(all[all.length - 1]?.warm ?? 0) - 8} textAnchor="end">
          warm
        </text>
        <text x={right} y={y(all[all.length - 1]?.cold ?? 0) + 16} textAnchor="end">
          cold
        </text>
      </g>
    </g>
  )
}
