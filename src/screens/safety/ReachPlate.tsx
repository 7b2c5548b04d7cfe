import { memo } from 'react'
import { shownNumber, type Mark } from '../../core/bench'
import type { Bench } from '../../core/document'
import { outsideSize } from '../../core/housing'
import { travelOf } from '../../core/motion'
import { beyondFocus, glow, LOOKS, PLACE_WORDS, type Look, type PlaceKind } from '../../core/reach'
import { engineOf, shownBench, useBenchStore, useVerdicts } from '../../state'
import { FreeHandle, Hatching, Plate, ScaleBar, usePlateFrame } from '../../ui'
import type { UnitSystem } from '../../core/units'
import { inLengthUnit } from './lengths'
import { endsWithin, glowOutline, layRoom, type RoomLayout, type RoomSeen } from './reachLayout'

const TITLE = 'The room from above and from the front'
const MARGINS = { left: 34, right: 34, top: 34, bottom: 62 }
/** What a hand can set, in the unit that a place is offered in. */
const STEPS = { metric: 0.05, inch: 2 } as const

/** Machine, places and how far the beam reaches, from above and from the front. */
export function ReachPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const room = seenRoom(bench)
  if (room === null)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate={TITLE}>
        Enter how large the room is and where in it the machine stands: then reach and places are drawn to scale.
      </p>
    )
  return (
    <Plate
      title={TITLE}
      extent={layRoom(room).extent}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(260px,min(43vh,44vw),400px)] shrink-0 print:h-[340px]"
      drawing={<Drawing bench={bench} room={room} />}
      fields={null}
    />
  )
}

/** The room as it is drawn; null while its size or the machine's place is not known. */
function seenRoom(bench: Bench): RoomSeen | null {
  const { room, places } = bench.reach
  const [width, depth, x, y] = [room.x.value, room.y.value, room.machineX.value, room.machineY.value]
  if (width === null || depth === null || x === null || y === null) return null
  return {
    width,
    depth,
    at: [x, y],
    bed: room.bed.value ?? 900,
    size: [sizeOf(bench, 'x'), sizeOf(bench, 'y')],
    places: Object.entries(places).flatMap(([id, it]) =>
      it.x.value === null || it.y.value === null ? [] : [{ id, x: it.x.value, y: it.y.value, eyes: it.eyes.value ?? 1500 }],
    ),
  }
}

/** Box, or where there is none the travel of the head, mm. */
function sizeOf(bench: Bench, way: 'x' | 'y'): number {
  const engine = engineOf(bench)
  const box = shownNumber(engine.value(outsideSize, way).result)
  if (box !== null && Number.isFinite(box)) return box
  const travel = shownNumber(engine.value(travelOf, way.toUpperCase()).result)
  return travel !== null && Number.isFinite(travel) ? travel : 300
}

interface Ring {
  readonly look: Look
  readonly reach: number
}

const LOOK_WORDS: Readonly<Record<Look, string>> = { glance: 'a glance', ten: '10 s', watching: 'watching, 100 s' }
const DASHES: Readonly<Record<Look, string | undefined>> = { glance: undefined, ten: '7 4', watching: '2 3' }

function ringsOf(bench: Bench): readonly Ring[] {
  const def = bench.reach.beam.surface.chosen === 'bright' ? beyondFocus : glow
  return LOOKS.flatMap((look) => {
    const reach = shownNumber(engineOf(bench).value(def, look).result)
    return reach === null || Number.isNaN(reach) ? [] : [{ look, reach }]
  })
}

const Drawing = memo(function Drawing({ bench, room }: { readonly bench: Bench; readonly room: RoomSeen }) {
  const frame = usePlateFrame()
  const layout = layRoom(room)
  const rings = ringsOf(bench)
  const isBright = bench.reach.beam.surface.chosen === 'bright'
  const verdicts = useVerdicts('safety')
  const marks = new Map(verdicts.filter((it) => it.def.id === 'reach.placeBeyond').map((it) => [it.args[0] ?? '', it.mark]))
  return (
    <>
      <Hatching id="reach-cut" />
      <Walls x={0} width={layout.plan.width} height={layout.plan.height} words="from above" />
      <Walls x={layout.side} width={layout.width} height={layout.ceiling} words="from the front" />
      <Plan room={room} rings={rings} />
      <SideView room={room} layout={layout} rings={rings} isBright={isBright} />
      {room.places.map((it) => (
        <Place
          key={it.id}
          id={it.id}
          name={bench.reach.places[it.id]?.name ?? ''}
          kind={bench.reach.places[it.id]?.kind ?? 'seat'}
          plan={[frame.x(it.x), frame.y(it.y)]}
          side={[frame.x(layout.side + it.x), frame.y(it.eyes)]}
          mark={marks.get(it.id) ?? null}
        />
      ))}
      <Said rings={rings} room={room} isBright={isBright} system={bench.units} kept={bench.reach.kept.chosen} />
      {frame.width > 620 && <ScaleBar right={frame.width - 30} bottom={frame.height} />}
    </>
  )
})

function Walls({
  x,
  width,
  height,
  words,
}: {
  readonly x: number
  readonly width: number
  readonly height: number
  readonly words: string
}) {
  const frame = usePlateFrame()
  return (
    <g>
      <text x={frame.x(x)} y={frame.y(height) - 12} fontSize="12" fill="var(--second)">
        {words}
      </text>
      <rect
        x={frame.x(x)}
        y={frame.y(height)}
        width={width * frame.scale}
        height={height * frame.scale}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </g>
  )
}

/** From above: the machine and the rings of reach, as far as the walls. */
function Plan({ room, rings }: { readonly room: RoomSeen; readonly rings: readonly Ring[] }) {
  const frame = usePlateFrame()
  const [x, y] = room.at
  const [wide, deep] = room.size
  return (
    <g>
      <clipPath id="reach-plan">
        <rect x={frame.x(0)} y={frame.y(room.depth)} width={room.width * frame.scale} height={room.depth * frame.scale} />
      </clipPath>
      <g clipPath="url(#reach-plan)">
        {[...rings].reverse().map(({ look, reach }) => (
          <circle
            key={look}
            cx={frame.x(x)}
            cy={frame.y(y)}
            r={reach * frame.scale}
            fill="var(--ember)"
            fillOpacity="0.07"
            stroke="var(--ember)"
            strokeWidth="1.3"
            strokeDasharray={DASHES[look]}
          />
        ))}
      </g>
      <rect
        x={frame.x(x - wide / 2)}
        y={frame.y(y + deep / 2)}
        width={wide * frame.scale}
        height={deep * frame.scale}
        fill="url(#reach-cut)"
        stroke="var(--ink)"
        strokeWidth="1.4"
      />
      <circle cx={frame.x(x)} cy={frame.y(y)} r="3.5" fill="var(--ember)" />
    </g>
  )
}

/** From the front: what stands on what, and the glow as it leaves the surface; a mirror throws it any way. */
function SideView(props: {
  readonly room: RoomSeen
  readonly layout: RoomLayout
  readonly rings: readonly Ring[]
  readonly isBright: boolean
}) {
  const { room, layout, rings, isBright } = props
  const frame = usePlateFrame()
  const [at, base] = [layout.side + room.at[0], frame.y(room.bed)]
  const half = room.size[0] / 2
  return (
    <g>
      <clipPath id="reach-side">
        <rect
          x={frame.x(layout.side)}
          y={frame.y(layout.ceiling)}
          width={layout.width * frame.scale}
          height={layout.ceiling * frame.scale}
        />
      </clipPath>
      <g clipPath="url(#reach-side)">
        {[...rings].reverse().map(({ look, reach }) =>
          isBright ? (
            <circle
              key={look}
              cx={frame.x(at)}
              cy={base}
              r={reach * frame.scale}
              fill="var(--ember)"
              fillOpacity="0.07"
              stroke="var(--ember)"
              strokeWidth="1.3"
              strokeDasharray={DASHES[look]}
            />
          ) : (
            <polygon
              key={look}
              points={glowOutline(reach)
                .map(([right, up]) => `${frame.x(at + right)},${frame.y(room.bed + up)}`)
                .join(' ')}
              fill="var(--ember)"
              fillOpacity="0.07"
              stroke="var(--ember)"
              strokeWidth="1.3"
              strokeDasharray={DASHES[look]}
            />
          ),
        )}
        <path
          d={`M${frame.x(at - half)} ${base}H${frame.x(at + half)}M${frame.x(at - half * 0.8)} ${base}V${frame.y(0)}M${frame.x(at + half * 0.8)} ${base}V${frame.y(0)}`}
          stroke="var(--ink)"
          strokeWidth="1.6"
          fill="none"
        />
      </g>
      <circle cx={frame.x(at)} cy={base} r="3.5" fill="var(--ember)" />
    </g>
  )
}

const MARK_FILL: Readonly<Record<Mark, string>> = {
  good: 'var(--good)',
  look: 'var(--look)',
  stop: 'var(--stop)',
  unknown: 'var(--paper)',
}

/** A place in both views: an eye with its mark, to be moved on the plan. */
function Place(props: {
  readonly id: string
  readonly name: string
  readonly kind: PlaceKind
  readonly plan: readonly [number, number]
  readonly side: readonly [number, number]
  readonly mark: Mark | null
}) {
  const { id, name, kind, plan, side, mark } = props
  const { scale } = usePlateFrame()
  const fill = mark === null ? 'var(--paper)' : MARK_FILL[mark]
  return (
    <g>
      <title>{`${name}, ${PLACE_WORDS[kind]}`}</title>
      {[plan, side].map(([x, y], k) => (
        <g key={k}>
          <path d={`M${x - 9} ${y}q9 -9 18 0q-9 9 -18 0Z`} fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.2" />
          {mark === 'stop' ? (
            <rect x={x - 3.5} y={y - 3.5} width="7" height="7" fill={fill} stroke="var(--ink)" strokeWidth="0.8" />
          ) : (
            <circle cx={x} cy={y} r="3.5" fill={fill} stroke="var(--ink)" strokeWidth="0.8" />
          )}
        </g>
      ))}
      <text x={plan[0]} y={plan[1] + 22} textAnchor="middle" fontSize="12" fill="var(--ink)">
        {name}
      </text>
      <FreeHandle path={`reach.places.${id}.x`} along="x" x={plan[0] + 8} y={plan[1]} perPx={1 / scale} steps={STEPS} />
      <FreeHandle path={`reach.places.${id}.y`} along="y" x={plan[0] - 8} y={plan[1]} perPx={1 / scale} steps={STEPS} />
    </g>
  )
}

/** What the rings are, in words below. */
function Said(props: {
  readonly rings: readonly Ring[]
  readonly room: RoomSeen
  readonly isBright: boolean
  readonly system: UnitSystem
  readonly kept: string | null
}) {
  const { rings, room, isBright, system, kept } = props
  const frame = usePlateFrame()
  const y = frame.y(0) + 22
  return (
    <g fontSize="12.5" fill="var(--ink)">
      <text x={frame.x(0)} y={y}>
        {kept === 'shut' ? 'Were the lid open: ' : ''}
        {isBright ? 'thrown back by something bright' : 'glow of a dull surface'}
      </text>
      {rings.map(({ look, reach }, k) => (
        <g key={look} transform={`translate(${frame.x(0) + k * Math.max(150, frame.width * 0.2)} ${y + 20})`}>
          <path d="M0 -4h26" stroke="var(--ember)" strokeWidth="1.6" strokeDasharray={DASHES[look]} />
          <text x="32">
            {LOOK_WORDS[look]} <tspan className="num">{inLengthUnit(reach, system)}</tspan>
            {endsWithin(reach, room) ? '' : ', past the walls'}
          </text>
        </g>
      ))}
    </g>
  )
}
