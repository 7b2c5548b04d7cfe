import { focusStretches, type Zone } from '../../core/rotary'
import { shownBench, useBenchStore, useFigure } from '../../state'
import { DimensionDrawing, DimensionValue, FactField, Plate, ScaleBar, usePlateFrame, type DimensionLine } from '../../ui'
import { AddObject } from './Objects'
import { EndView } from './EndView'
import { RotaryHatching } from './RotaryHatching'
import { halfOfEnd, seenOf, type Seen } from './seen'
import { SideView } from './SideView'

const MARGINS = { left: 40, right: 34, top: 72, bottom: 64 }

/** The object from its side and its end, with what is to be burnt on it. */
export function ObjectPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const seen = seenOf(bench, bench.rotary.inHand)
  if (seen === null) return <NothingToDraw />
  const half = halfOfEnd(seen)
  const end = seen.length + 26 + half
  return (
    <Plate
      title="The object from its side and its end"
      extent={{ left: 0, right: end + half, bottom: -seen.widest / 2 - handleBelow(seen), top: seen.widest / 2 }}
      margins={MARGINS}
      className="keep-together mt-2 h-[clamp(300px,min(58vh,66vw),560px)] shrink-0 print:h-[340px]"
      drawing={<Drawing seen={seen} end={end} />}
      fields={<Fields seen={seen} bench={bench} />}
    />
  )
}

/** What stands in the plate's place before anything was measured. */
function NothingToDraw() {
  const name = useBenchStore(({ bench }) => bench?.rotary.objects[bench.rotary.inHand]?.name)
  return (
    <div className="my-6 max-w-[40rem]" data-plate="The object from its side and its end">
      {name === undefined ? (
        <>
          <p className="text-second">
            What is to be turned: a mug, a bottle, a tool handle? It is drawn to scale as soon as its diameter is known somewhere.
          </p>
          <AddObject />
        </>
      ) : (
        <p className="text-second">
          {name} is drawn as soon as its diameter is known somewhere: enter it below, with the place along it where it was
          measured.
        </p>
      )}
    </div>
  )
}

function Drawing({ seen, end }: { readonly seen: Seen; readonly end: number }) {
  const frame = usePlateFrame()
  const lines = dimensionsOf(seen, frame.y(seen.widest / 2), frame.y(-seen.widest / 2 - handleBelow(seen)))
  return (
    <>
      <RotaryHatching />
      <SideView seen={seen} />
      <EndView seen={seen} x={end} />
      <Focus seen={seen} />
      {lines.map((it) => (
        <DimensionDrawing key={it.path} {...it} />
      ))}
      {frame.width > 620 && <ScaleBar right={frame.width - 16} bottom={frame.height} />}
    </>
  )
}

/** How far a handle hangs below the widest place, mm. */
function handleBelow({ handle }: Seen): number {
  return handle === null ? 0 : Math.max(0, -Math.cos(handle.at) * handle.out)
}

/** Dimension lines: the whole length below, where the work begins and ends above. */
function dimensionsOf(seen: Seen, top: number, bottom: number): readonly DimensionLine[] {
  const along = { along: 'x', from: 0 } as const
  const whole = {
    ...along,
    path: `rotary.objects.${seen.id}.length`,
    to: seen.length,
    at: bottom + 36,
    extendFrom: bottom,
  } as const
  if (seen.work === null) return [whole]
  return [
    whole,
    { ...along, path: `rotary.objects.${seen.id}.workFrom`, to: seen.work.from, at: top - 30, extendFrom: top },
    { ...along, path: `rotary.objects.${seen.id}.workTo`, to: seen.work.to, at: top - 56, extendFrom: top },
  ]
}

/** Where it stays in focus, as a line along its top. */
function Focus({ seen }: { readonly seen: Seen }) {
  const frame = usePlateFrame()
  const figure = useFigure(focusStretches, seen.id)
  const zones: readonly Zone[] = figure?.result.known === true ? figure.result.value : []
  const y = frame.y(-seen.widest / 2) + 14
  return (
    <g stroke="var(--teal)" strokeWidth="1.2" fill="none" aria-hidden>
      {zones.map(({ from, to }) => (
        <path key={from} d={`M${frame.x(from)} ${y - 4}v8M${frame.x(from)} ${y}H${frame.x(to)}M${frame.x(to)} ${y - 4}v8`} />
      ))}
      {zones[0] !== undefined && frame.width > 480 && (
        <text
          x={(frame.x(zones[0].from) + frame.x(zones[0].to)) / 2}
          y={y + 16}
          textAnchor="middle"
          fontSize="11.5"
          stroke="none"
          fill="var(--second)"
        >
          in focus
        </text>
      )}
    </g>
  )
}

/** Diameters at their places, and the dimensions. */
function Fields({ seen, bench }: { readonly seen: Seen; readonly bench: NonNullable<ReturnType<typeof shownBench>> }) {
  const frame = usePlateFrame()
  const lines = dimensionsOf(seen, frame.y(seen.widest / 2), frame.y(-seen.widest / 2 - handleBelow(seen)))
  return (
    <>
      {lines.map((it) => (
        <DimensionValue key={it.path} {...it} />
      ))}
      {spacedOut(seen, bench, frame.x).map(({ id, x, at }) => (
        <span
          key={id}
          className="no-print absolute hidden -translate-x-1/2 bg-paper text-[13px] sm:inline"
          style={{ left: x, top: frame.y(0) - 11 + at * 24 }}
        >
          Ø<FactField path={`rotary.objects.${seen.id}.sections.${id}.diameter`} place="plate" small bare />
        </span>
      ))}
    </>
  )
}

/** Diameters beside one another, those that would lie over another in a row below. */
function spacedOut(seen: Seen, bench: NonNullable<ReturnType<typeof shownBench>>, toPx: (mm: number) => number) {
  const ROOM = 66
  const sections = Object.entries(bench.rotary.objects[seen.id]?.sections ?? {})
    .flatMap(([id, it]) => (it.at.value === null || it.diameter.value === null ? [] : [{ id, x: toPx(it.at.value) }]))
    .sort((p, q) => p.x - q.x)
  const ends = [-Infinity, -Infinity, -Infinity]
  return sections.flatMap(({ id, x }) => {
    const at = ends.findIndex((it) => x - it >= ROOM)
    if (at < 0) return []
    ends[at] = x
    return [{ id, x, at: [0, 1, -1][at] ?? 0 }]
  })
}
