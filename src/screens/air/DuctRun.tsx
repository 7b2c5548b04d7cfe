import { useEffect, useRef, useState } from 'react'
import { AIR_PLACE_WORDS, joints as jointsFigure, type AirJoint } from '../../core/air'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf, type UnitSystem } from '../../core/units'
import { engineOf } from '../../state'
import { FreeHandle, Hatching } from '../../ui'
import { layRun, profileOf, type Drawn, type Profile, type Run } from './runLayout'
import { PartGlyph } from './PartGlyph'

const MIDDLE = 74
const PROFILE = { top: 146, bottom: 226 } as const
const HEIGHT = 258

/** A way of the air as it runs: its parts, velocity and pressure at each joint. */
export function DuctRun({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const room = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const node = room.current
    if (node === null) return
    const observer = new ResizeObserver(() => setWidth(node.clientWidth))
    observer.observe(node)
    return () => observer.disconnect()
  }, [])
  const way = bench.air.ways[id]
  if (way === undefined) return null
  const found = engineOf(bench).value(jointsFigure, id).result
  const joints = found.known ? found.value : []
  const run = layRun(way, width)
  const profile = profileOf(run, joints, PROFILE.top, PROFILE.bottom)
  return (
    <div ref={room} className="overflow-x-auto">
      {width > 0 && (
        <svg
          width={run.width}
          height={HEIGHT}
          viewBox={`0 0 ${run.width} ${HEIGHT}`}
          className="plate block touch-pan-x"
          role="group"
          aria-label={`${way.name} as it runs, from ${AIR_PLACE_WORDS[way.from]} to ${AIR_PLACE_WORDS[way.to]}`}
        >
          <Hatching id="air-cut" />
          <Ends way={way} run={run} />
          {run.parts.map((it, k) => (
            <g key={it.id} data-air-part={it.kind}>
              <PartGlyph part={it} middle={MIDDLE} />
              <Words part={it} joint={joints[k]} system={bench.units} />
            </g>
          ))}
          {profile === null ? (
            <text
              x={run.width / 2}
              y={(PROFILE.top + PROFILE.bottom) / 2}
              textAnchor="middle"
              fontSize="12.5"
              fill="var(--second)"
            >
              Velocity and pressure stand here once every part of the way is known.
            </text>
          ) : (
            <PressureAlong profile={profile} run={run} system={bench.units} />
          )}
          {run.parts.map((it) => (
            <Grip key={it.id} wayId={id} part={it} run={run} />
          ))}
        </svg>
      )}
    </div>
  )
}

function Ends({ way, run }: { readonly way: Bench['air']['ways'][string]; readonly run: Run }) {
  const last = run.parts[run.parts.length - 1]
  const right = last === undefined ? 70 : last.x + last.width
  return (
    <g fontSize="12" fill="var(--ink)">
      <path d={`M10 ${MIDDLE}H46M${right + 8} ${MIDDLE}h34`} stroke="var(--teal)" strokeWidth="1.4" />
      <path d={`M52 ${MIDDLE}l-8 -3.5v7ZM${right + 48} ${MIDDLE}l-8 -3.5v7Z`} fill="var(--teal)" />
      <text x="8" y={MIDDLE - 12}>
        {AIR_PLACE_WORDS[way.from].replace('the ', '')}
      </text>
      <text x={right + 8} y={MIDDLE - 12}>
        {AIR_PLACE_WORDS[way.to].replace('the ', '')}
      </text>
    </g>
  )
}

/** What stands above a part: its length or its kind; of a duct how fast the air goes. */
function Words({
  part,
  joint,
  system,
}: {
  readonly part: Drawn
  readonly joint: AirJoint | undefined
  readonly system: UnitSystem
}) {
  const middle = part.x + part.width / 2
  const speedUnit = system === 'metric' ? 'm/s' : 'ft/min'
  const velocity = joint?.velocity ?? null
  const isDuct = part.kind === 'duct'
  return (
    <g textAnchor="middle" fontSize="11.5">
      <text x={middle} y={isDuct ? MIDDLE - 42 : MIDDLE + 42} fill="var(--second)">
        {wordOf(part)}
      </text>
      {isDuct && velocity !== null && Number.isFinite(velocity) && (
        <text x={middle} y={MIDDLE - 27} fill="var(--ink)" className="num">
          {printNumber(fromCore(velocity * 1000, speedUnit), 2)} {unitOf(speedUnit).symbol}
        </text>
      )}
    </g>
  )
}

function wordOf({ kind, facts }: Drawn): string {
  if (kind === 'duct')
    return facts.length.value === null ? 'length?' : `${facts.length.typed} ${unitOf(facts.length.typedUnit).symbol}`
  if (kind === 'bend') return facts.angle.value === null ? 'bend' : `${facts.angle.typed}°`
  if (kind === 'end') return facts.end.chosen === 'out' ? 'out' : 'in'
  return kind
}

function PressureAlong({ profile, run, system }: { readonly profile: Profile; readonly run: Run; readonly system: UnitSystem }) {
  const unit = displayUnit('pressure', system)
  const { places, zero } = profile
  const labelled = apart(places)
  return (
    <g fontSize="11">
      <path d={`M40 ${zero}H${run.width - 40}`} stroke="var(--second)" strokeWidth="0.8" strokeDasharray="2 3" />
      <text x="8" y={zero + 4} fill="var(--second)">
        0
      </text>
      {places.map((it, k) => (
        <path key={k} d={`M${it.x} ${MIDDLE + 24}V${it.y}`} stroke="var(--rule)" strokeWidth="0.8" />
      ))}
      <path
        d={`M${places.map((it) => `${it.x.toFixed(1)} ${it.y.toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {places.map((it, k) => (
        <circle key={k} cx={it.x} cy={it.y} r="2.4" fill="var(--ink)" />
      ))}
      {labelled.map((it) => (
        <text
          key={it.x}
          x={it.x}
          y={it.y > zero - 2 ? it.y + 15 : it.y - 7}
          textAnchor="middle"
          className="num"
          fill="var(--ink)"
        >
          {printNumber(fromCore(it.pressure, unit), 2)}
        </text>
      ))}
      <text x="8" y={PROFILE.bottom + 28} fill="var(--second)">
        pressure against outdoors, {unitOf(unit).symbol}
      </text>
    </g>
  )
}

/** Places whose numbers have room beside one another. */
function apart<T extends { readonly x: number }>(places: readonly T[]): readonly T[] {
  let last = -Infinity
  return places.filter((it) => {
    if (it.x - last < 36) return false
    last = it.x
    return true
  })
}

const LENGTH_STEPS = { metric: 0.05, inch: 2 } as const
const ANGLE_STEPS = { metric: 5, inch: 5 } as const
const DEGREE = Math.PI / 180

/** What of a part can be dragged: the end of a duct, the turn of a bend. */
function Grip({ wayId, part, run }: { readonly wayId: string; readonly part: Drawn; readonly run: Run }) {
  const at = `air.ways.${wayId}.parts.${part.id}` as const
  if (part.kind === 'duct') {
    const x = part.x + part.width
    return (
      <>
        <path
          d={`M${x - 5} ${MIDDLE - part.enters - 9}h10M${x} ${MIDDLE - part.enters - 13}v8`}
          stroke="var(--teal)"
          strokeWidth="1.2"
        />
        <FreeHandle path={`${at}.length`} along="x" x={x} y={MIDDLE - part.enters - 9} perPx={run.mmPerPx} steps={LENGTH_STEPS} />
      </>
    )
  }
  if (part.kind === 'bend') {
    const x = part.x + part.width / 2
    return (
      <FreeHandle path={`${at}.angle`} along="x" x={x} y={MIDDLE - part.enters - 11} perPx={2 * DEGREE} steps={ANGLE_STEPS} />
    )
  }
  return null
}
