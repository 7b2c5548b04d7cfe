import { MOVE, type Moves, type Step } from '../gcode'
import { isLit } from '../planner'
import { tourOf, type Stop } from '../work'
import { lengthFromAbove, piecesOf, type Piece } from './shape'

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
  if (!(fullS > 0)) throw new RangeError('the full power word must be more than 0')
  const runs: BurntRun[] = []
  let at: Piece['to'] = [0, 0, 0]
  /** The dark way at feed rate right before. */
  let dark: Piece | null = null
  let open: {
    first: Piece
    last: Piece
    steps: Step[]
    leadFrom: BurntRun['leadFrom']
    feed: number
    line: number
    box: Box
  } | null = null
  const close = (behind: Piece | null): void => {
    if (open === null) return
    const { first, last, steps, leadFrom, feed, line, box } = open
    const [from, to] = [
      { x: first.from[0], y: first.from[1] },
      { x: last.to[0], y: last.to[1] },
    ]
    const leadTo = behind !== null && isStraightOn(last, behind) ? along(to, behind, lead) : null
    runs.push({ from, to, steps, leadFrom, leadTo, feed, box, line })
    open = null
  }
  for (let i = 0; i < moves.count; i++) {
    if (moves.kind[i] === MOVE.dwell) continue
    const pieces = piecesOf(moves, i, at, -Infinity)
    at = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
    const feed = moves.feed[i] as number
    for (const piece of pieces) {
      if (!isLit(moves, i)) {
        const isDarkFeed = moves.kind[i] === MOVE.feed && lengthFromAbove(piece) > 0
        close(isDarkFeed ? piece : null)
        dark = isDarkFeed ? piece : null
        continue
      }
      if (lengthFromAbove(piece) === 0) continue
      if (open === null) {
        const start = { x: piece.from[0], y: piece.from[1] }
        const leadFrom = dark !== null && isStraightOn(dark, piece) ? along(start, dark, -lead) : null
        open = { first: piece, last: piece, steps: [], leadFrom, feed, line: moves.line[i] as number, box: emptyBox() }
      }
      open.last = piece
      open.steps.push(stepOf(piece, feed, Math.min(1, (moves.s[i] as number) / fullS)))
      stretch(open.box, piece)
      dark = null
    }
  }
  close(null)
  return runs
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

function stepOf({ to: [x, y], arc }: Piece, feed: number, power: number): Step {
  return arc === null
    ? { kind: 'line', x, y, feed, power }
    : { kind: 'arc', x, y, centreX: arc.x, centreY: arc.y, clockwise: arc.swept < 0, feed, power }
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
