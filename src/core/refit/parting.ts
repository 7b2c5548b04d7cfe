import type { Moves, Step } from '../gcode'
import { tourOf, type Stop } from '../work'
import { lengthFromAbove, type Piece } from './shape'
import { stepOfPiece, tracesOf, type Trace } from './traces'

/** A stretch that is burnt without a break, and the dark way at feed rate that leads to it and away from it. */
export interface BurntRun {
  readonly from: { readonly x: number; readonly y: number }
  readonly to: { readonly x: number; readonly y: number }
  readonly steps: readonly Step[]
  /** Where a straight run-up begins and a run-out ends, mm; null where there is none. */
  readonly leadFrom: { readonly x: number; readonly y: number } | null
  readonly leadTo: { readonly x: number; readonly y: number } | null
  readonly feed: number
  readonly box: { readonly left: number; readonly bottom: number; readonly right: number; readonly top: number }
  /** The first line of the program that burns it. */
  readonly line: number
}

/** Ways that point as much apart as this are no run-up: the sine of the angle. */
const STRAIGHT = 1e-3
/** More runs than this are not put in another order: it takes longer than it saves. */
const MOST_ORDERED = 4000

/**
 * What a program burns, as stretches in its own order. @param fullS The power word of full power; more than 0.
 * @param lead Longest run-up that is kept of dark ways at feed rate, mm; 0 or more. @throws {RangeError} where the full word is not more than 0.
 * Valid: any program; heights are left out. Source: by definition; the beam as the spindle (common practice).
 */
export function burntRuns(moves: Moves, fullS: number, lead: number): readonly BurntRun[] {
  const runs: BurntRun[] = []
  /** The dark way at feed rate right before. */
  let dark: Piece | null = null
  let open: Open | null = null
  const close = (behind: Piece | null): void => {
    if (open !== null) runs.push(closed(open, behind, lead))
    open = null
  }
  for (const trace of tracesOf(moves, fullS)) {
    if (trace.kind === 'wait') {
      if (!trace.isLit) continue
      // A light that stands is burnt too, where it stands.
      close(null)
      dark = null
      runs.push(dotOf(trace))
      continue
    }
    const { piece, feed, power, line } = trace
    const length = lengthFromAbove(piece)
    if (!trace.isLit) {
      const isDarkFeed = !trace.isRapid && piece.arc === null && length > 0
      close(isDarkFeed ? piece : null)
      dark = isDarkFeed ? piece : null
      continue
    }
    if (length === 0) continue
    open ??= { first: piece, last: piece, steps: [], dark, feed, line, box: emptyBox() }
    open.last = piece
    open.steps.push(stepOfPiece(flat(piece), feed, power))
    stretch(open.box, piece)
    dark = null
  }
  close(null)
  return runs
}

/** A stretch that is under way. */
interface Open {
  readonly first: Piece
  last: Piece
  readonly steps: Step[]
  /** The dark way at feed rate right before it. */
  readonly dark: Piece | null
  readonly feed: number
  readonly line: number
  readonly box: Box
}

function closed({ first, last, steps, dark, feed, line, box }: Open, behind: Piece | null, lead: number): BurntRun {
  const [from, to] = [
    { x: first.from[0], y: first.from[1] },
    { x: last.to[0], y: last.to[1] },
  ]
  const leadFrom = dark !== null && isStraightOn(dark, first) ? along(from, dark, -lead) : null
  const leadTo = behind !== null && isStraightOn(last, behind) ? along(to, behind, lead) : null
  return { from, to, steps, leadFrom, leadTo, feed, box, line }
}

function dotOf({ x, y, seconds, power, line }: Extract<Trace, { kind: 'wait' }>): BurntRun {
  const at = { x, y }
  const box = { left: x, right: x, bottom: y, top: y }
  return { from: at, to: at, steps: [{ kind: 'dot', seconds, power }], leadFrom: null, leadTo: null, feed: 0, box, line }
}

/** Heights are left out. */
function flat(piece: Piece): Piece {
  return { ...piece, from: [piece.from[0], piece.from[1], 0], to: [piece.to[0], piece.to[1], 0] }
}

interface Box {
  left: number
  bottom: number
  right: number
  top: number
}

function emptyBox(): Box {
  return { left: Infinity, bottom: Infinity, right: -Infinity, top: -Infinity }
}

function stretch(box: Box, { from, to, arc }: Piece): void {
  const radius = arc === null ? 0 : Math.hypot(from[0] - arc.x, from[1] - arc.y)
  // A circle's own box is enough for what lies near to what.
  const xs = arc === null ? [from[0], to[0]] : [arc.x - radius, arc.x + radius]
  const ys = arc === null ? [from[1], to[1]] : [arc.y - radius, arc.y + radius]
  box.left = Math.min(box.left, ...xs)
  box.right = Math.max(box.right, ...xs)
  box.bottom = Math.min(box.bottom, ...ys)
  box.top = Math.max(box.top, ...ys)
}

/** Whether a straight way goes on as the one before it. */
function isStraightOn(before: Piece, after: Piece): boolean {
  if (before.arc !== null || after.arc !== null) return false
  const [a, b] = [before, after].map(({ from, to }) => [to[0] - from[0], to[1] - from[1]] as const) as [
    readonly [number, number],
    readonly [number, number],
  ]
  const size = Math.hypot(...a) * Math.hypot(...b)
  return size > 0 && Math.abs(a[0] * b[1] - a[1] * b[0]) <= STRAIGHT * size && a[0] * b[0] + a[1] * b[1] > 0
}

/** A place on a straight way's line, no further than the way is long; less than 0: back along it. */
function along(place: BurntRun['from'], way: Piece, lead: number): BurntRun['leadFrom'] {
  const [dx, dy] = [way.to[0] - way.from[0], way.to[1] - way.from[1]]
  const length = Math.hypot(dx, dy)
  const far = Math.sign(lead) * Math.min(Math.abs(lead), length)
  return far === 0 ? null : { x: place.x + (dx / length) * far, y: place.y + (dy / length) * far }
}

/** Stretches that lie near one another, in the program's own order. */
export type Island = readonly BurntRun[]

/**
 * Parts stretches into islands: what lies no further apart than a distance belongs together. @param apart mm; 0 or more.
 * @returns In the order in which each is first met. Valid: any. Source: connected components of boxes on a grid.
 */
export function islandsOfRuns(runs: readonly BurntRun[], apart: number): readonly Island[] {
  const parents = runs.map((_, i) => i)
  const rootOf = (i: number): number => {
    let at = i
    while (parents[at] !== at) {
      parents[at] = parents[parents[at] as number] as number
      at = parents[at] as number
    }
    return at
  }
  // A sweep along X: only boxes that are still open there can lie near.
  const order = [...runs.keys()].sort((p, q) => (runs[p] as BurntRun).box.left - (runs[q] as BurntRun).box.left)
  let open: number[] = []
  for (const i of order) {
    const { box } = runs[i] as BurntRun
    open = open.filter((k) => (runs[k] as BurntRun).box.right + apart >= box.left)
    for (const k of open) {
      const other = (runs[k] as BurntRun).box
      if (other.bottom - apart <= box.top && other.top + apart >= box.bottom) parents[rootOf(i)] = rootOf(k)
    }
    open.push(i)
  }
  const islands = new Map<number, BurntRun[]>()
  runs.forEach((run, i) => {
    const root = rootOf(i)
    const there = islands.get(root)
    if (there === undefined) islands.set(root, [run])
    else there.push(run)
  })
  return [...islands.values()]
}

/**
 * One program of some islands: each whole before the next, within it in its own order or the quickest, the islands in a short order.
 * @param order Whether stretches within an island keep their order: what was cut last may hold what was cut before.
 * @returns Steps; every stretch once, in its own sense. Valid: any. Source: `tourOf`.
 */
export function joinedSteps(islands: readonly Island[], order: 'own' | 'quickest', start = { x: 0, y: 0 }): readonly Step[] {
  const steps: Step[] = []
  let at = start
  for (const island of inShortOrder(islands.map(endsOf), at).map((i) => islands[i] as Island)) {
    const runs =
      order === 'own'
        ? island
        : inShortOrder(
            island.map((it) => endsOf([it])),
            at,
          ).map((i) => island[i] as BurntRun)
    for (const run of runs) {
      const begin = run.leadFrom ?? run.from
      if (begin.x !== at.x || begin.y !== at.y) steps.push({ kind: 'rapid', ...begin })
      if (run.leadFrom !== null) steps.push({ kind: 'line', ...run.from, feed: run.feed, power: 0 })
      for (const step of run.steps) steps.push(step)
      if (run.leadTo !== null) steps.push({ kind: 'line', ...run.leadTo, feed: run.feed, power: 0 })
      at = run.leadTo ?? run.to
    }
  }
  if (at.x !== start.x || at.y !== start.y) steps.push({ kind: 'rapid', ...start })
  return steps
}

function endsOf(runs: Island): Stop {
  const [first, last] = [runs[0] as BurntRun, runs.at(-1) as BurntRun]
  return { from: first.leadFrom ?? first.from, to: last.leadTo ?? last.to, turns: false, before: -1 }
}

function inShortOrder(stops: readonly Stop[], start: { readonly x: number; readonly y: number }): readonly number[] {
  return stops.length > MOST_ORDERED ? [...stops.keys()] : tourOf(stops, start).map((it) => it.stop)
}
