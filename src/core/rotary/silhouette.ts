import type { Section } from './focus'

/** A picture in grey, row by row from the top, 0 dark to 255 bright. */
export interface GreyPicture {
  readonly width: number
  readonly height: number
  readonly data: Uint8Array | Uint8ClampedArray
}

/** What a side picture says of a round thing, or why it says nothing. */
export type Silhouette =
  | {
      readonly ok: true
      /** Along the axis from its left end, mm; both ends among them. */
      readonly sections: readonly Section[]
      readonly length: number
      /** mm for a pixel. */
      readonly scale: number
    }
  | { readonly ok: false; readonly why: string }

/** An edge in a picture is known to so many pixels; what is nearer the camera looks larger by so much. (common practice) */
const EDGE_PX = 0.7
const NEARER = 0.005

/**
 * Standard uncertainty of a size that was traced, mm. @param mm The size. @param scale mm for a pixel. @param share How well what gives the scale is known: its u over itself.
 * Valid: sizes of one picture; all share its scale. Source: edge, distance and scale in quadrature (JCGM 100:2008, 5.1.2). @example uOfTraced(80, 0.2, 0.001) // 0.4313
 */
export function uOfTraced(mm: number, scale: number, share: number): number {
  return Math.hypot(EDGE_PX * scale, NEARER * mm, share * mm)
}

/** Columns of an object shorter than this share of the picture are none. */
const LEAST_SHARE = 0.15
/** How near the outline keeps to what was seen, as a share of its widest. */
const WITHIN = 0.004
/** Sections that are kept at most. */
const MOST = 12

/**
 * The diameters of a round thing along its axis from a picture of its side. @param picture Its axis lies across; it stands out against an even ground and touches no edge.
 * @param known What one size of it is: its length, or its largest diameter, mm; more than 0. @returns Sections, or in words why there are none.
 * Valid: seen from far enough that near and far look alike; a handle turned towards the camera or away. Source: threshold between ground and object by Otsu 1979 (from memory), edges to a
 * part of a pixel where the grey crosses it, the axis by least absolute deviations, corners by Douglas and Peucker 1973 (from memory).
 */
export function traceSilhouette(
  picture: GreyPicture,
  known: { readonly of: 'length' | 'widest'; readonly mm: number },
): Silhouette {
  const off = differences(picture)
  const limit = otsu(off)
  if (limit === null)
    return { ok: false, why: 'Nothing stands out against the ground: lay it on paper of another brightness, in even light.' }
  const edges = edgesOf(picture, off, limit)
  const [first, last] = longestRun(edges)
  if (last - first < LEAST_SHARE * picture.width)
    return { ok: false, why: 'No object is seen that is long enough: fill the picture with it, its axis across.' }
  if (
    first === 0 ||
    last === picture.width - 1 ||
    edges.some((it) => it !== null && (it.top <= 0.5 || it.bottom >= picture.height - 1.5))
  )
    return { ok: false, why: 'It goes beyond the picture: leave ground to be seen all round.' }
  const columns = edges.slice(first, last + 1).flatMap((it, k) => (it === null ? [] : [{ x: k + 0.5, ...it }]))
  const axis = middleLine(columns.map(({ x, top, bottom }) => ({ x, y: (top + bottom) / 2 })))
  const lean = Math.hypot(1, axis.slope)
  const middleAt = (x: number): number => axis.at + axis.slope * x
  // An end that leans is cut where the axis meets it: columns beyond it show a corner only, those before it lack one.
  const onAxis = columns.filter(({ x, top, bottom }) => top < middleAt(x) && bottom > middleAt(x))
  const [from, to] = [(onAxis[0]?.x ?? 0) - 0.5, (onAxis.at(-1)?.x ?? 0) + 0.5]
  const short = Math.abs(axis.slope) * Math.max(...onAxis.map(({ top, bottom }) => (bottom - top) / 2))
  const whole = onAxis.filter(({ x }) => x - from > short && to - x > short)
  const [begin, end] = [whole[0], whole.at(-1)]
  if (begin === undefined || end === undefined)
    return { ok: false, why: 'It leans too much: turn the picture until its axis lies across.' }
  // Of a lengthened column only the nearer edge is the object's: the other may be a handle.
  const radiusOf = ({ x, top, bottom }: Edges & { readonly x: number }): number =>
    Math.min(middleAt(x) - top, bottom - middleAt(x)) / lean
  const radii = [
    { at: 0, radius: radiusOf(begin) },
    ...whole.map((it) => ({ at: (it.x - from) * lean, radius: radiusOf(it) })),
    { at: (to - from) * lean, radius: radiusOf(end) },
  ]
  const [longPx, widePx] = [(to - from) * lean, 2 * Math.max(...radii.map((it) => it.radius))]
  const scale = known.mm / (known.of === 'length' ? longPx : widePx)
  const corners = simplified(radii, WITHIN * widePx)
  const sections = corners.map(({ at, radius }) => ({ at: at * scale, diameter: 2 * radius * scale }))
  return { ok: true, sections, length: longPx * scale, scale }
}

/** How far each pixel is from the ground, whose grey is the middle one of the picture's edge. */
function differences({ width, height, data }: GreyPicture): Uint8Array {
  const rim: number[] = []
  for (let x = 0; x < width; x++) rim.push(data[x] as number, data[(height - 1) * width + x] as number)
  for (let y = 0; y < height; y++) rim.push(data[y * width] as number, data[y * width + width - 1] as number)
  const ground = rim.sort((p, q) => p - q)[rim.length >> 1] as number
  return Uint8Array.from(data, (it) => Math.abs(it - ground))
}

/** The threshold that parts two kinds of pixels best; null where there is one kind only. */
function otsu(off: Uint8Array): number | null {
  const histogram = new Float64Array(256)
  for (const it of off) histogram[it] = (histogram[it] as number) + 1
  const whole = histogram.reduce((sum, count, it) => sum + count * it, 0)
  let [best, limit, below, belowSum] = [0, 0, 0, 0]
  for (let it = 0; it < 255; it++) {
    below += histogram[it] as number
    belowSum += it * (histogram[it] as number)
    const above = off.length - below
    if (below === 0 || above === 0) continue
    const apart = belowSum / below - (whole - belowSum) / above
    const between = below * above * apart * apart
    if (between > best) [best, limit] = [between, it + 0.5]
  }
  const apart = best === 0 ? 0 : Math.sqrt(best) / off.length
  return apart < 4 ? null : limit
}

interface Edges {
  readonly top: number
  readonly bottom: number
}

/** Upper and lower edge of the largest piece of each column, to a part of a pixel. */
function edgesOf({ width, height }: GreyPicture, off: Uint8Array, limit: number): readonly (Edges | null)[] {
  const at = (x: number, y: number): number => off[y * width + x] as number
  return Array.from({ length: width }, (_, x) => {
    let [best, bestFrom, from] = [0, -1, -1]
    for (let y = 0; y <= height; y++) {
      const isIn = y < height && at(x, y) > limit
      if (isIn && from < 0) from = y
      if (!isIn && from >= 0) {
        if (y - from > best) [best, bestFrom] = [y - from, from]
        from = -1
      }
    }
    if (best < 3) return null
    const cross = (outer: number, inner: number): number => {
      const [a, b] = [outer < 0 || outer >= height ? 0 : at(x, outer), at(x, inner)]
      return b === a ? 0.5 : Math.min(1, Math.max(0, (limit - a) / (b - a)))
    }
    // Places are counted from the upper edge of the first row; a pixel's grey is that of its middle.
    const top = bestFrom - 0.5 + cross(bestFrom - 1, bestFrom)
    const end = bestFrom + best - 1
    const bottom = end + 1.5 - cross(end + 1, end)
    return { top, bottom }
  })
}

/** First and last column of the longest run that has an object. */
function longestRun(edges: readonly (Edges | null)[]): readonly [first: number, last: number] {
  let [best, from]: [readonly [number, number], number] = [[0, -1], -1]
  for (let x = 0; x <= edges.length; x++) {
    const isIn = edges[x] != null
    if (isIn && from < 0) from = x
    if (!isIn && from >= 0) {
      if (x - 1 - from > best[1] - best[0]) best = [from, x - 1]
      from = -1
    }
  }
  return best
}

/** A straight line through places by least absolute deviations: what stands out on one side does not lean it. */
function middleLine(places: readonly { readonly x: number; readonly y: number }[]): {
  readonly at: number
  readonly slope: number
} {
  let [at, slope] = [0, 0]
  let weights = places.map(() => 1)
  for (let round = 0; round < 30; round++) {
    const sum = (value: (it: { readonly x: number; readonly y: number }) => number): number =>
      places.reduce((total, it, k) => total + (weights[k] as number) * value(it), 0)
    const [w, wx, wy, wxx, wxy] = [
      sum(() => 1),
      sum((it) => it.x),
      sum((it) => it.y),
      sum((it) => it.x * it.x),
      sum((it) => it.x * it.y),
    ]
    slope = (w * wxy - wx * wy) / (w * wxx - wx * wx)
    at = (wy - slope * wx) / w
    weights = places.map((it) => 1 / Math.max(0.05, Math.abs(it.y - at - slope * it.x)))
  }
  return { at, slope }
}

interface Radius {
  readonly at: number
  readonly radius: number
}

/** Corners of an outline, so that no place lies further from it than a distance, or as near as so many corners allow. */
function simplified(radii: readonly Radius[], within: number): readonly Radius[] {
  for (let limit = within; ; limit *= 1.4) {
    const corners = peucker(radii, limit)
    if (corners.length <= MOST) return corners
  }
}

function peucker(radii: readonly Radius[], within: number): readonly Radius[] {
  const [first, last] = [radii[0] as Radius, radii.at(-1) as Radius]
  let [worst, index] = [0, -1]
  for (let k = 1; k < radii.length - 1; k++) {
    const it = radii[k] as Radius
    const straight = first.radius + ((last.radius - first.radius) * (it.at - first.at)) / (last.at - first.at)
    if (Math.abs(it.radius - straight) > worst) [worst, index] = [Math.abs(it.radius - straight), k]
  }
  if (worst <= within || index < 0) return [first, last]
  return [...peucker(radii.slice(0, index + 1), within), ...peucker(radii.slice(index), within).slice(1)]
}
