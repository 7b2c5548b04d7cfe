import { axisAt, clearance, OBSTACLES } from '../../core/rotary'
import { shownNumber } from '../../core/bench'
import { gapAtFocus } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { DimensionDrawing, DimensionValue, FactLink, Plate, ScaleBar, usePlateFrame, type DimensionLine } from '../../ui'
import { EndView } from './EndView'
import { HolderFromSide, rollersBelow } from './HolderFromSide'
import { RotaryHatching } from './RotaryHatching'
import { halfOfEnd, outlineOf, radiusOf, seenOf, type Seen } from './seen'
import { SideView } from './SideView'

const MARGINS = { left: 64, right: 34, top: 40, bottom: 44 }

/** The object as it is held, from its side and its end. */
export function HoldingPlate() {
  return <HeldPlate title="The object as it is held" withHead={false} />
}

/** The same with the bed under it and the head over it. */
export function HeightPlate() {
  return <HeldPlate title="The object between bed and head" withHead />
}

/** Heights over the axis that are drawn, mm; null: not known. */
interface Heights {
  readonly bed: number | null
  /** The head’s lower edge in focus. */
  readonly head: number | null
  readonly along: number
  readonly across: number
  readonly hits: readonly string[]
}

function heightsOf(bench: Bench, seen: Seen): Heights {
  const engine = engineOf(bench)
  const { headAlong, headAcross } = bench.rotary.stack
  const gap = shownNumber(engine.value(gapAtFocus).result)
  const top = seen.work === null ? seen.widest / 2 : Math.max(...outlineOf(seen, seen.work.from, seen.work.to).map(([, r]) => r))
  return {
    bed: shownNumber(engine.value(axisAt, seen.id).result),
    head: gap === null ? null : top + gap,
    along: headAlong.value ?? 0,
    across: headAcross.value ?? 0,
    hits: OBSTACLES.filter((it) => (shownNumber(engine.value(clearance, seen.id, it).result) ?? 0) < 0),
  }
}

function HeldPlate({ title, withHead }: { readonly title: string; readonly withHead: boolean }) {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const seen = seenOf(bench, bench.rotary.inHand)
  if (seen === null)
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate={title}>
        {bench.rotary.inHand === '' ? (
          'Nothing is in hand yet: say on “Object” what is to be turned.'
        ) : (
          <FactLink path={`rotary.objects.${bench.rotary.inHand}.length`}>Measure the object first</FactLink>
        )}
      </p>
    )
  const heights = heightsOf(bench, seen)
  const half = Math.max(halfOfEnd(seen), (bench.rotary.holder.discDiameter.value ?? 0) / 2)
  const below = seen.widest / 2 + (seen.handle === null ? 0 : Math.max(0, -Math.cos(seen.handle.at) * seen.handle.out))
  const end = seen.length + 62 + half
  const bottom =
    withHead && heights.bed !== null ? -heights.bed : -Math.max(below, (bench.rotary.holder.discDiameter.value ?? 0) / 2)
  const top =
    withHead && heights.head !== null
      ? heights.head + HEAD
      : Math.max(seen.widest, bench.rotary.holder.discDiameter.value ?? 0) / 2
  return (
    <Plate
      title={title}
      extent={{ left: -62, right: end + half, bottom, top }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(300px,min(56vh,66vw),540px)] shrink-0 print:h-[340px]"
      drawing={<Drawing bench={bench} seen={seen} end={end} heights={withHead ? heights : null} />}
      fields={withHead && <HeightFields bench={bench} />}
    />
  )
}

/** What was measured from the bed, as a dimension line beside the holder. */
function heightLines({ rotary }: Bench): readonly DimensionLine[] {
  const { holding, stack } = rotary
  const path = {
    chuck: 'rotary.stack.axisHeight',
    centres: 'rotary.stack.axisHeight',
    rollers: 'rotary.stack.rollerHeight',
    plate: 'rotary.stack.plateTop',
  } as const
  const key = holding.chosen === null ? null : path[holding.chosen]
  const height = key === 'rotary.stack.axisHeight' ? stack.axisHeight.value : null
  return key === null || height === null ? [] : [{ path: key, along: 'y', from: -height, to: 0, at: 26, extendFrom: 64 }]
}

function HeightFields({ bench }: { readonly bench: Bench }) {
  return heightLines(bench).map((it) => <DimensionValue key={it.path} {...it} />)
}

/** Of a head nobody has measured the height. */
const HEAD = 26

function Drawing(props: { readonly bench: Bench; readonly seen: Seen; readonly end: number; readonly heights: Heights | null }) {
  const { bench, seen, end, heights } = props
  const frame = usePlateFrame()
  return (
    <>
      <RotaryHatching />
      {heights?.bed != null && heightLines(bench).map((it) => <DimensionDrawing key={it.path} {...it} />)}
      {heights?.bed != null && (
        <Bed at={-heights.bed} right={end + Math.max(halfOfEnd(seen), (bench.rotary.holder.discDiameter.value ?? 0) / 2)} />
      )}
      <HolderFromSide seen={seen} rotary={bench.rotary} bed={heights?.bed ?? null} />
      <HolderFromEnd seen={seen} rotary={bench.rotary} x={end} />
      <SideView seen={seen} />
      <EndView seen={seen} x={end} />
      {heights?.head != null && <Heads seen={seen} heights={heights} head={heights.head} end={end} />}
      {frame.width > 620 && <ScaleBar right={frame.width - 12} bottom={frame.height} />}
    </>
  )
}

function Bed({ at, right }: { readonly at: number; readonly right: number }) {
  const frame = usePlateFrame()
  const [x, y, w] = [frame.x(-62), frame.y(at), frame.x(right) - frame.x(-62)]
  return (
    <g>
      <rect x={x} y={y} width={w} height="9" fill="url(#cut)" />
      <path d={`M${x} ${y}h${w}`} stroke="var(--ink)" strokeWidth="1.6" />
      <text x={x} y={y + 24} fontSize="11.5" fill="var(--second)">
        bed
      </text>
    </g>
  )
}

/** The head at both ends of the work, and over the end view. */
function Heads(props: { readonly seen: Seen; readonly heights: Heights; readonly head: number; readonly end: number }) {
  const { seen, heights, head, end } = props
  const frame = usePlateFrame()
  const places = seen.work === null ? [seen.length / 2] : [seen.work.from, seen.work.to]
  const box = (x: number, half: number, key: string, dashed: boolean, surface: number, isHit: boolean) => (
    <g key={key}>
      <rect
        x={frame.x(x - half)}
        y={frame.y(head + HEAD)}
        width={2 * half * frame.scale}
        height={HEAD * frame.scale}
        fill="none"
        stroke={isHit ? 'var(--stop)' : 'var(--ink)'}
        strokeWidth={isHit ? 2.2 : 1.3}
        strokeDasharray={dashed ? '5 4' : undefined}
      />
      <path d={`M${frame.x(x)} ${frame.y(head)}V${frame.y(surface)}`} stroke="var(--ember)" strokeWidth="1.6" />
    </g>
  )
  const isHit = heights.hits.length > 0
  return (
    <g>
      {places.map((x, k) => box(x, heights.along, `at ${k}`, k > 0, radiusOf(seen, x), isHit))}
      {box(end, heights.across, 'end', false, radiusOf(seen, places[0] ?? 0), heights.hits.includes('handle'))}
      {heights.hits.map((it) => (
        <Hit key={it} obstacle={it} seen={seen} head={head} along={heights.along} />
      ))}
      <text x={frame.x(places[0] ?? 0)} y={frame.y(head + HEAD) - 6} textAnchor="middle" fontSize="11.5" fill="var(--second)">
        head in focus
      </text>
    </g>
  )
}

/** A cross where the head runs into something. */
function Hit(props: { readonly obstacle: string; readonly seen: Seen; readonly head: number; readonly along: number }) {
  const { obstacle, seen, head, along } = props
  const frame = usePlateFrame()
  const work = seen.work ?? { from: 0, to: seen.length }
  const AT: Readonly<Record<string, number>> = {
    drive: Math.max(-3, work.from - along),
    tail: Math.min(seen.length + 3, work.to + along),
    object: work.from,
    handle: seen.handle === null ? 0 : (seen.handle.from + seen.handle.to) / 2,
  }
  const [x, y] = [frame.x(AT[obstacle] ?? 0), frame.y(head)]
  return (
    <g stroke="var(--stop)" strokeWidth="2.4" fill="none">
      <path d={`M${x - 7} ${y - 7}l14 14M${x + 7} ${y - 7}l-14 14`} />
      <text x={x + 12} y={y - 8} fontSize="12" stroke="none" fill="var(--ink)" fontWeight="600">
        hits here
      </text>
    </g>
  )
}

/** What holds it, from its end: rollers, or the disc and the jaws behind it. */
function HolderFromEnd({ seen, rotary, x }: { readonly seen: Seen; readonly rotary: Bench['rotary']; readonly x: number }) {
  const frame = usePlateFrame()
  const { rollerDiameter, rollerGap, discDiameter } = rotary.holder
  const look = { fill: 'var(--paper)', stroke: 'var(--ink)', strokeWidth: 1.2 } as const
  if (rotary.holding.chosen === 'rollers') {
    const roller = rollerDiameter.value ?? 20
    const gap = rollerGap.value ?? roller + radiusOf(seen, seen.length / 2)
    const y = frame.y(-rollersBelow(seen, roller, gap))
    return [-1, 1].map((side) => (
      <circle key={side} cx={frame.x(x + (side * gap) / 2)} cy={y} r={(roller / 2) * frame.scale} {...look} />
    ))
  }
  if (rotary.holding.chosen === 'plate') return null
  if (discDiameter.value === null) return null
  return <circle cx={frame.x(x)} cy={frame.y(0)} r={(discDiameter.value / 2) * frame.scale} {...look} strokeDasharray="5 4" />
}
