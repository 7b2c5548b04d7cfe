import { accepted, refused, requireInRange, type Outcome } from '../units'

/** A length that is needed some number of times. */
export interface BarPart {
  readonly id: string
  readonly name: string
  readonly lengthMm: number
  readonly count: number
}

/** What bars are cut from. Lengths in mm. */
export interface BarStock {
  readonly lengthMm: number
  /** Taken off the first end, because it is rarely square; 0 or more. */
  readonly trimMm: number
  /** Width of the saw cut; 0 or more. */
  readonly kerfMm: number
}

/** One bar: its parts in the order of cutting, and what is left. */
export interface CutBar {
  readonly parts: readonly { readonly id: string; readonly name: string; readonly lengthMm: number }[]
  readonly leftMm: number
}

export interface CutPlan {
  readonly bars: readonly CutBar[]
  /** No plan takes fewer bars than this. */
  readonly atLeast: number
  /** Whether the plan is proved to take the fewest. */
  readonly proved: boolean
  /** mm of waste in all: trim, kerfs and rests. */
  readonly wasteMm: number
}

/** Steps of the search before it is cut off. */
const MOST_STEPS = 200_000

/**
 * Cuts parts from bars of one length with as few bars as can be found.
 * @returns The plan with its lower bound; refused where a part is longer than a bar gives.
 * @throws {RangeError} for stock that is not more than its trim.
 */
export function cutBars(parts: readonly BarPart[], { lengthMm: L, trimMm, kerfMm }: BarStock): Outcome<CutPlan> {
  requireInRange('trimMm', trimMm, 0, L, 'mm')
  requireInRange('kerfMm', kerfMm, 0, L, 'mm')
  const room = L - trimMm - (trimMm > 0 ? kerfMm : 0)
  const pieces = parts
    .flatMap(({ id, name, lengthMm, count }) => Array.from({ length: count }, () => ({ id, name, lengthMm })))
    .sort((p, q) => q.lengthMm - p.lengthMm)
  const long = pieces.find((it) => !(it.lengthMm > 0 && it.lengthMm <= room + 1e-9))
  if (long !== undefined) {
    return refused(
      'does-not-fit',
      long.lengthMm > 0
        ? `“${long.name}” is ${long.lengthMm.toFixed(1)} mm long, and a bar gives ${room.toFixed(1)} mm after its trim. Take longer stock, or join it from two.`
        : `“${long.name}” has a length of ${long.lengthMm.toFixed(1)} mm: the dimension chain leaves nothing. Check travel, carriage and bars.`,
    )
  }
  // The last part of a bar needs no cut behind it, so a bar counts a kerf longer and every part brings its own.
  const sizes = pieces.map((it) => it.lengthMm + kerfMm)
  const capacity = room + kerfMm
  const atLeast = lowerBound(sizes, capacity)
  const { bins, exhausted } = search(sizes, capacity, atLeast)
  const bars = bins.map((places): CutBar => {
    const own = places.map((it) => pieces[it]).filter((it) => it !== undefined)
    const used = own.reduce((sum, it) => sum + it.lengthMm + kerfMm, 0)
    return { parts: own, leftMm: Math.max(0, capacity - used) }
  })
  const net = pieces.reduce((sum, it) => sum + it.lengthMm, 0)
  const proved = bars.length === atLeast || exhausted
  return accepted({ bars, atLeast: proved ? bars.length : atLeast, proved, wasteMm: bars.length * L - net })
}

function lowerBound(sizes: readonly number[], capacity: number): number {
  const sum = sizes.reduce((total, it) => total + it, 0)
  const large = sizes.filter((it) => it > capacity / 2).length
  return sizes.length === 0 ? 0 : Math.max(Math.ceil(sum / capacity - 1e-9), large, 1)
}

/** Depth first: each piece, longest first, into every bar it fits that is not filled alike, then into a new one. */
function search(
  sizes: readonly number[],
  capacity: number,
  bound: number,
): { readonly bins: readonly (readonly number[])[]; readonly exhausted: boolean } {
  let best = firstFit(sizes, capacity)
  let steps = 0
  const bins: number[][] = []
  const rooms: number[] = []
  const place = (at: number): void => {
    if (best.length === bound || steps > MOST_STEPS) return
    const size = sizes[at]
    if (size === undefined) {
      if (bins.length < best.length) best = bins.map((it) => [...it])
      return
    }
    const tried = new Set<number>()
    for (let i = 0; i < bins.length; i++) {
      const left = rooms[i] ?? 0
      const alike = Math.round(left * 1e6)
      if (size > left + 1e-9 || tried.has(alike)) continue
      tried.add(alike)
      steps++
      bins[i]?.push(at)
      rooms[i] = left - size
      place(at + 1)
      bins[i]?.pop()
      rooms[i] = left
    }
    if (bins.length + 1 >= best.length) return
    steps++
    bins.push([at])
    rooms.push(capacity - size)
    place(at + 1)
    bins.pop()
    rooms.pop()
  }
  place(0)
  return { bins: best, exhausted: steps <= MOST_STEPS }
}

/** Longest first, each into the first bar that has room. */
function firstFit(sizes: readonly number[], capacity: number): number[][] {
  const bins: number[][] = []
  const rooms: number[] = []
  sizes.forEach((size, at) => {
    const i = rooms.findIndex((room) => size <= room + 1e-9)
    if (i < 0) {
      bins.push([at])
      rooms.push(capacity - size)
    } else {
      bins[i]?.push(at)
      rooms[i] = (rooms[i] ?? 0) - size
    }
  })
  return bins
}
