import type { Arc, Outline, Point, Segment } from './geometry'
import { flattened } from './flatten'

/** What is drawn alike, on a layer of its own. */
export interface Layer {
  readonly name: string
  /** CSS colour, for those who tell layers by it. */
  readonly colour: string
  readonly outlines: readonly Outline[]
}

/** How near a curve that a file cannot say is followed, mm. */
const WITHIN = 0.005
const say = (value: number): string => String(Number(value.toFixed(4)))

/** A drawing in millimetres as SVG. @param width Of the sheet, mm. @param height mm. @param layers Places from its lower left corner, y upwards. @throws {RangeError} from within, where an outline is none. */
export function drawingToSvg(width: number, height: number, layers: readonly Layer[]): string {
  const groups = layers.map(
    ({ name, colour, outlines }) =>
      `  <g id="${escaped(name)}" fill="none" stroke="${escaped(colour)}" stroke-width="0.1">\n${outlines
        .map((it) => `    <path d="${outlinePath(it, height)}"/>\n`)
        .join('')}  </g>\n`,
  )
  const size = `width="${say(width)}mm" height="${say(height)}mm" viewBox="0 0 ${say(width)} ${say(height)}"`
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" ${size}>\n${groups.join('')}</svg>\n`
}

const escaped = (words: string): string =>
  words.replace(/[&<>"]/g, (it) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[it] ?? it)

/** An outline as path data, y downwards from the upper edge of a sheet. @param height Of the sheet, mm. @throws {RangeError} from within, where an outline is none. */
export function outlinePath({ start, segments, isClosed }: Outline, height: number): string {
  const at = ({ x, y }: Point): string => `${say(x)} ${say(height - y)}`
  let from = start
  const ways = segments.map((it) => {
    const way = wayOf(from, it, at)
    from = it.to
    return way
  })
  return `M${at(start)}${ways.join('')}${isClosed ? 'Z' : ''}`
}

function wayOf(from: Point, it: Segment, at: (place: Point) => string): string {
  if (it.kind === 'line') return `L${at(it.to)}`
  if (it.kind === 'cubic') return `C${at(it.first)} ${at(it.second)} ${at(it.to)}`
  const radius = Math.hypot(it.u.x, it.u.y)
  if (!isRound(it)) {
    const outline: Outline = { start: from, segments: [it], isClosed: false }
    return flattened(outline, WITHIN)
      .slice(1)
      .map((place) => `L${at(place)}`)
      .join('')
  }
  // In quarters: a half turn's middle hangs on the last digit of its ends. y downwards turns the sweep about.
  const count = Math.max(1, Math.ceil(Math.abs(it.sweep) / (Math.PI / 2) - 1e-9))
  const sweeps = turnOf(it) > 0 ? 0 : 1
  return Array.from({ length: count }, (_, k) => it.start + (it.sweep * (k + 1)) / count)
    .map((t) => `A${say(radius)} ${say(radius)} 0 0 ${sweeps} ${at(placeOn(it, t))}`)
    .join('')
}

const placeOn = ({ centre, u, v }: Arc, t: number): Point => ({
  x: centre.x + u.x * Math.cos(t) + v.x * Math.sin(t),
  y: centre.y + u.y * Math.cos(t) + v.y * Math.sin(t),
})

function isRound({ u, v }: Arc): boolean {
  const radius = Math.hypot(u.x, u.y)
  return Math.abs(Math.hypot(v.x, v.y) - radius) < 1e-6 * radius && Math.abs(u.x * v.x + u.y * v.y) < 1e-6 * radius * radius
}

/** Against the clock above 0, y upwards. */
const turnOf = ({ u, v, sweep }: Arc): number => Math.sign((u.x * v.y - u.y * v.x) * sweep)

/** The same drawing as an exchange file in millimetres: lines, arcs, circles; what is none of them follows within 0.005 mm. @throws {RangeError} from within, where an outline is none. */
export function drawingToDxf(layers: readonly Layer[]): string {
  const body = layers.flatMap(({ name, outlines }) => outlines.flatMap((it) => entitiesOf(it, name.replace(/[^\w-]/g, '_'))))
  const header = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    [9, '$INSUNITS'],
    [70, 4],
    [0, 'ENDSEC'],
  ] as const
  const all = [...header, [0, 'SECTION'], [2, 'ENTITIES'], ...body, [0, 'ENDSEC'], [0, 'EOF']] as readonly (readonly [
    number,
    string | number,
  ])[]
  return all.map(([code, value]) => `${code}\n${typeof value === 'number' ? say(value) : value}\n`).join('')
}

type Group = readonly [code: number, value: string | number]

function entitiesOf({ start, segments, isClosed }: Outline, layer: string): readonly Group[] {
  const groups: Group[] = []
  let from = start
  const line = (p: Point, q: Point): void => {
    if (Math.hypot(q.x - p.x, q.y - p.y) < 1e-9) return
    groups.push([0, 'LINE'], [8, layer], [10, p.x], [20, p.y], [11, q.x], [21, q.y])
  }
  for (const it of segments) {
    if (it.kind === 'arc' && isRound(it)) groups.push(...arcEntity(it, layer))
    else if (it.kind === 'line') line(from, it.to)
    else flattened({ start: from, segments: [it], isClosed: false }, WITHIN).reduce((p, q) => (line(p, q), q))
    from = it.to
  }
  if (isClosed) line(from, start)
  return groups
}

function arcEntity(it: Arc, layer: string): readonly Group[] {
  const radius = Math.hypot(it.u.x, it.u.y)
  const at: Group[] = [
    [8, layer],
    [10, it.centre.x],
    [20, it.centre.y],
    [40, radius],
  ]
  if (Math.abs(it.sweep) >= 2 * Math.PI - 1e-9) return [[0, 'CIRCLE'], ...at]
  const angle = (t: number): number => {
    const { x, y } = placeOn(it, t)
    return ((Math.atan2(y - it.centre.y, x - it.centre.x) * 180) / Math.PI + 360) % 360
  }
  // The exchange file's arcs go against the clock.
  const [from, to] = turnOf(it) > 0 ? [it.start, it.start + it.sweep] : [it.start + it.sweep, it.start]
  return [[0, 'ARC'], ...at, [50, angle(from)], [51, angle(to)]]
}

/** A whole circle as an outline. Valid: radius more than 0. Source: by definition. */
export function circleOutline({ x, y }: Point, radius: number): Outline {
  const start = { x: x + radius, y }
  const arc = {
    kind: 'arc',
    to: start,
    centre: { x, y },
    u: { x: radius, y: 0 },
    v: { x: 0, y: radius },
    start: 0,
    sweep: 2 * Math.PI,
  } as const
  return { start, segments: [arc], isClosed: true }
}
