/** A rectangle square to one of the axes: `at` along it, and from `low` to `high` along the other two in their order x, y, z. */
export interface Rect {
  readonly axis: 0 | 1 | 2
  readonly at: number
  readonly low: readonly [number, number]
  readonly high: readonly [number, number]
}

/** Way out of a box: an opening in a wall, its inner and its outer edge, and what stands before it. Places in mm. */
export interface WayOut {
  /** Seen from inside: the opening’s edges, one behind the other through the wall. */
  readonly edges: readonly Rect[]
  /** Plates between the work and the opening. */
  readonly baffles: readonly Rect[]
}

/** A straight line out: from a place of the work to a place of the opening. */
export interface LineOut {
  readonly from: readonly [number, number, number]
  readonly to: readonly [number, number, number]
}

/** What was found of a way out: a line; or none down to a fineness; or places so narrow that it cannot be told, which counts as one. */
export type Sight =
  | { readonly kind: 'seen'; readonly line: LineOut }
  | { readonly kind: 'narrow'; readonly line: LineOut }
  | { readonly kind: 'shut' }

/** Most cells that are looked at before a way counts as narrow. */
const MOST = 20_000

/**
 * Whether a straight line leads from a patch of the work out through an opening. All lines are parted into bundles; a bundle that one plate or the wall stops whole is dropped, one whose
 * middle goes free is an answer, any other is halved. Nothing that leads out is missed: what is finer than `fine` counts as a line. @param work Where beam or glint can come from. @param fine mm.
 * @returns The first line, with a line in the middle of what could not be told where there is none. Valid: plates square to the axes, the opening outside of the work’s plane.
 * Source: branch and bound with interval arithmetic over the four coordinates of a line.
 */
export function sightOut(work: Rect, { edges, baffles }: WayOut, fine = 1): Sight {
  const out = edges[edges.length - 1]
  if (out === undefined) return { kind: 'shut' }
  const heap: Bundle[] = [{ low: [...work.low, ...out.low], high: [...work.high, ...out.high] }]
  let narrow: LineOut | null = null
  for (let looked = 0; heap.length > 0; looked++) {
    const bundle = heap.pop() as Bundle
    if (baffles.some((it) => stops(bundle, work, out, it, true)) || edges.some((it) => stops(bundle, work, out, it, false)))
      continue
    const middle = bundle.low.map((it, k) => (it + (bundle.high[k] as number)) / 2)
    const point: Bundle = { low: middle, high: middle }
    const line = {
      from: placeOn(work, middle[0] as number, middle[1] as number),
      to: placeOn(out, middle[2] as number, middle[3] as number),
    }
    const isStopped =
      baffles.some((it) => stops(point, work, out, it, true)) || edges.some((it) => stops(point, work, out, it, false))
    if (!isStopped) return { kind: 'seen', line }
    const sizes = bundle.low.map((it, k) => (bundle.high[k] as number) - it)
    const widest = sizes.indexOf(Math.max(...sizes))
    if ((sizes[widest] as number) <= fine || looked >= MOST) {
      narrow ??= line
      if (looked >= MOST) break
      continue
    }
    const half = [...bundle.high]
    half[widest] = middle[widest] as number
    const rest = [...bundle.low]
    rest[widest] = middle[widest] as number
    heap.push({ low: bundle.low, high: half }, { low: rest, high: bundle.high })
  }
  return narrow === null ? { kind: 'shut' } : { kind: 'narrow', line: narrow }
}

/** A rectangle as a mirror shows it. @param axis The mirror is square to it. @param at Where it stands, mm. Valid: any. Source: by definition. */
export function mirrored(rect: Rect, axis: 0 | 1 | 2, at: number): Rect {
  if (rect.axis === axis) return { ...rect, at: 2 * at - rect.at }
  const k = OTHERS[rect.axis].indexOf(axis as never)
  const swap = (ends: readonly [number, number], other: readonly [number, number]): [number, number] =>
    k === 0 ? [2 * at - other[0], ends[1]] : [ends[0], 2 * at - other[1]]
  return { ...rect, low: swap(rect.low, rect.high), high: swap(rect.high, rect.low) }
}

/**
 * The same by way of one bright patch of a wall, floor or window: a line from the mirror image of the work through the patch. @param patch Where it is bright. @param fine mm.
 * Valid: flat patches square to the axes, one bounce. Source: the law of reflection, by images; plates before the patch are seen in it too.
 */
export function sightByMirror(work: Rect, { edges, baffles }: WayOut, patch: Rect, fine = 1): Sight {
  const image = (it: Rect): Rect => mirrored(it, patch.axis, patch.at)
  return sightOut(image(work), { edges: [patch, ...edges], baffles: [...baffles, ...baffles.map(image)] }, fine)
}

/** Lines from a box of places of the work to a box of places of the opening: two coordinates of each. */
interface Bundle {
  readonly low: readonly number[]
  readonly high: readonly number[]
}

type Span = readonly [low: number, high: number]

/** The other two axes, in their order. */
const OTHERS = [
  [1, 2],
  [0, 2],
  [0, 1],
] as const

function placeOn({ axis, at }: Rect, u: number, v: number): readonly [number, number, number] {
  const place: [number, number, number] = [0, 0, 0]
  place[axis] = at
  place[OTHERS[axis][0]] = u
  place[OTHERS[axis][1]] = v
  return place
}

/** Coordinates of a bundle’s end along an axis. */
function spanOf({ low, high }: Bundle, rect: Rect, first: 0 | 2, axis: number): Span {
  if (axis === rect.axis) return [rect.at, rect.at]
  const k = first + (OTHERS[rect.axis][0] === axis ? 0 : 1)
  return [low[k] as number, high[k] as number]
}

/** Whether a plate stops every line of a bundle; or, for an edge, whether every line passes beside it. */
function stops(bundle: Bundle, work: Rect, out: Rect, plate: Rect, within: boolean): boolean {
  const from = spanOf(bundle, work, 0, plate.axis)
  const to = spanOf(bundle, out, 2, plate.axis)
  const share = shareAt(from, to, plate.at)
  if (share === null) return false
  const spans = OTHERS[plate.axis].map((axis) => between(spanOf(bundle, work, 0, axis), spanOf(bundle, out, 2, axis), share))
  return within
    ? spans.every(([low, high], k) => low >= (plate.low[k] as number) && high <= (plate.high[k] as number))
    : spans.some(([low, high], k) => high < (plate.low[k] as number) || low > (plate.high[k] as number))
}

/** Along the line from its beginning, 0, to its end, 1, where it meets a plane; null where some lines of the bundle do not. */
function shareAt(from: Span, to: Span, at: number): Span | null {
  const isUp = from[1] <= at && at <= to[0]
  const isDown = from[0] >= at && at >= to[1]
  if (!isUp && !isDown) return null
  const ways = [from[0], from[1]].flatMap((p) => [to[0], to[1]].map((q) => (p === q ? 1 : (at - p) / (q - p))))
  return [Math.min(...ways), Math.max(...ways)]
}

/** All places between two spans at a span of shares: bilinear, so that its ends are at corners. */
function between(from: Span, to: Span, share: Span): Span {
  const all = from.flatMap((p) => to.flatMap((q) => share.map((t) => p + (q - p) * t)))
  return [Math.min(...all), Math.max(...all)]
}
