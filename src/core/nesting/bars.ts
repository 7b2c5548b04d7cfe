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

/** Another length that is there to cut from: an offcut, a bar of another job. */
export interface OtherLength {
  readonly lengthMm: number
  readonly count: number
}

/** One bar: its parts in the order of cutting, and what is left. */
export interface CutBar {
  /** Of the bar before anything is cut, mm. */
  readonly lengthMm: number
  /** Of the stock that is bought; else one of the other lengths. */
  readonly bought: boolean
  readonly parts: readonly { readonly id: string; readonly name: string; readonly lengthMm: number }[]
  readonly leftMm: number
}

export interface CutPlan {
  readonly bars: readonly CutBar[]
  /** Bars of the stock that it takes. */
  readonly toBuy: number
  /** No plan takes fewer bars of the stock than this. */
  readonly atLeast: number
  /** Whether the plan is proved to take the fewest. */
  readonly proved: boolean
  /** mm of waste in all: trim, kerfs and rests. */
  readonly wasteMm: number
}

/** Steps of the search before it is cut off. */
const MOST_STEPS = 200_000

/**
 * Cuts parts from bars of one length, and from other lengths that are there, with as few bars of the stock as can be found.
 * @param others What is there besides; it is used first, for it costs nothing.
 * @returns The plan with its lower bound; refused where a part is longer than any bar gives.
 * @throws {RangeError} for stock that is not more than its trim.
 */
export function cutBars(parts: readonly BarPart[], stock: BarStock, others: readonly OtherLength[] = []): Outcome<CutPlan> {
  const { lengthMm: L, trimMm, kerfMm } = stock
  requireInRange('trimMm', trimMm, 0, L, 'mm')
  requireInRange('kerfMm', kerfMm, 0, L, 'mm')
  const roomOf = (length: number): number => length - trimMm - (trimMm > 0 ? kerfMm : 0)
  const pieces = parts
    .flatMap(({ id, name, lengthMm, count }) => Array.from({ length: count }, () => ({ id, name, lengthMm })))
    .sort((p, q) => q.lengthMm - p.lengthMm)
  // The shortest that will do is used up first; what holds nothing is no length to cut from.
  const there = others
    .flatMap((it) => Array<number>(it.count).fill(it.lengthMm))
    .filter((it) => roomOf(it) > 0)
    .sort((p, q) => p - q)
  const longest = Math.max(roomOf(L), ...there.map(roomOf))
  const long = pieces.find((it) => !(it.lengthMm > 0 && it.lengthMm <= longest + 1e-9))
  if (long !== undefined) return tooLong(long, longest)
  // The last part of a bar needs no cut behind it, so a bar counts a kerf longer and every part brings its own.
  const sizes = pieces.map((it) => it.lengthMm + kerfMm)
  const capacity = roomOf(L) + kerfMm
  const given = there.map((it) => roomOf(it) + kerfMm)
  const atLeast = lowerBound(sizes, capacity, given)
  const { bins, exhausted } = search(sizes, capacity, atLeast, given)
  if (bins === null) return noRoom(exhausted)
  const bars = bins.flatMap((places, i): CutBar[] => {
    const own = places.map((it) => pieces[it]).filter((it) => it !== undefined)
    if (own.length === 0) return []
    const used = own.reduce((sum, it) => sum + it.lengthMm + kerfMm, 0)
    const lengthMm = there[i] ?? L
    return [{ lengthMm, bought: i >= there.length, parts: own, leftMm: Math.max(0, roomOf(lengthMm) + kerfMm - used) }]
  })
  const net = pieces.reduce((sum, it) => sum + it.lengthMm, 0)
  const toBuy = bars.filter((it) => it.bought).length
  const proved = toBuy === atLeast || exhausted
  const wasteMm = bars.reduce((sum, it) => sum + it.lengthMm, 0) - net
  return accepted({ bars, toBuy, atLeast: proved ? toBuy : atLeast, proved, wasteMm })
}

function tooLong({ name, lengthMm }: { readonly name: string; readonly lengthMm: number }, room: number): Outcome<never> {
  return refused(
    'does-not-fit',
    lengthMm > 0
      ? `“${name}” is ${lengthMm.toFixed(1)} mm long, and a bar gives ${room.toFixed(1)} mm after its trim. Take longer stock, or join it from two.`
      : `“${name}” has a length of ${lengthMm.toFixed(1)} mm: the dimension chain leaves nothing. Check travel, carriage and bars.`,
  )
}

/** Long parts that only other lengths can hold, and too few of those. */
function noRoom(exhausted: boolean): Outcome<never> {
  return refused(
    'no-room',
    `Some parts are longer than the stock, and ${exhausted ? 'the longer lengths that are there do not hold all of them' : 'no way was found to cut all of them from the longer lengths'}. Take longer stock, or join them from two.`,
  )
}

function lowerBound(sizes: readonly number[], capacity: number, given: readonly number[]): number {
  const sum = sizes.reduce((total, it) => total + it, 0) - given.reduce((total, it) => total + it, 0)
  const large = sizes.filter((it) => it > capacity / 2)
  const least = Math.min(...large)
  // What is there holds so many of the large ones at most.
  const held = large.length === 0 ? 0 : given.reduce((total, it) => total + Math.floor((it + 1e-9) / least), 0)
  return sizes.length === 0 ? 0 : Math.max(Math.ceil(sum / capacity - 1e-9), large.length - held, given.length === 0 ? 1 : 0)
}

interface Found {
  /** Pieces of each bar, those that are given first; null where no way was found. */
  readonly bins: readonly (readonly number[])[] | null
  readonly exhausted: boolean
}

/** Depth first: each piece, longest first, into every bar it fits that is not filled alike, then into a new one. */
function search(sizes: readonly number[], capacity: number, bound: number, given: readonly number[]): Found {
  let best = firstFit(sizes, capacity, given)
  let fewest = best === null ? Infinity : best.length - given.length
  let steps = 0
  const bins: number[][] = given.map(() => [])
  const rooms: number[] = [...given]
  const place = (at: number): void => {
    if (fewest === bound || steps > MOST_STEPS) return
    const size = sizes[at]
    if (size === undefined) {
      if (bins.length - given.length < fewest) {
        best = bins.map((it) => [...it])
        fewest = bins.length - given.length
      }
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
    if (size > capacity + 1e-9 || bins.length - given.length + 1 >= fewest) return
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

/** Longest first, each into the first bar that has room; null where one has none. */
function firstFit(sizes: readonly number[], capacity: number, given: readonly number[]): number[][] | null {
  const bins: number[][] = given.map(() => [])
  const rooms: number[] = [...given]
  for (const [at, size] of sizes.entries()) {
    const i = rooms.findIndex((room) => size <= room + 1e-9)
    if (i >= 0) {
      bins[i]?.push(at)
      rooms[i] = (rooms[i] ?? 0) - size
    } else if (size <= capacity + 1e-9) {
      bins.push([at])
      rooms.push(capacity - size)
    } else return null
  }
  return bins
}
