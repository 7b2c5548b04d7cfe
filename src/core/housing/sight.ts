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

/** One coordinate of a bundle’s end: of its low or high corner, at the work (0) or at the opening (2). */
function endOf(corner: readonly number[], rect: Rect, first: 0 | 2, axis: number): number {
  if (axis === rect.axis) return rect.at
  return corner[first + (OTHERS[rect.axis][0] === axis ? 0 : 1)] as number
}

/**
 * Whether a plate stops every line of a bundle; or, for an edge, whether every line passes beside it. It is asked a hundred
 * thousand times for one box, so it makes no lists.
 */
function stops({ low, high }: Bundle, work: Rect, out: Rect, plate: Rect, within: boolean): boolean {
  const { axis, at } = plate
  const [fromLow, fromHigh] = [endOf(low, work, 0, axis), endOf(high, work, 0, axis)]
  const [toLow, toHigh] = [endOf(low, out, 2, axis), endOf(high, out, 2, axis)]
  const isUp = fromHigh <= at && at <= toLow
  // Some lines of the bundle do not meet the plane.
  if (!isUp && !(fromLow >= at && at >= toHigh)) return false
  // Along a line from its beginning, 0, to its end, 1, the plane comes sooner the nearer both ends are to it or beyond.
  const one = shareAt(fromLow, toLow, at)
  const other = shareAt(fromHigh, toHigh, at)
  for (let k = 0; k < 2; k++) {
    const across = OTHERS[axis][k] as number
    const [p, q] = [endOf(low, work, 0, across), endOf(low, out, 2, across)]
    const [r, s] = [endOf(high, work, 0, across), endOf(high, out, 2, across)]
    // All places at a span of shares: bilinear, so that the ends are at corners.
    const least = Math.min(p + (q - p) * one, p + (q - p) * other)
    const most = Math.max(r + (s - r) * one, r + (s - r) * other)
    const [from, to] = [plate.low[k] as number, plate.high[k] as number]
    if (within ? !(least >= from && most <= to) : most < from || least > to) return !within
  }
  return within
}

/** Where a line from p to q meets a plane between them. */
const shareAt = (p: number, q: number, at: number): number => (p === q ? 1 : (at - p) / (q - p))
