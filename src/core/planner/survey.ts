import { MOVE, PLANE_AXES, readProgram, SPINDLE, sweptAngle, type Moves, type Program, type ReadOptions } from '../gcode'
import type { Finding } from '../units'
import { pathsOf } from './geometry'
import { planMoves, type Limits, type TimedPlan } from './plan'

/** A box around something, mm of the work's coordinates. */
export interface Bounds {
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
  readonly minZ: number
  readonly maxZ: number
}

/** What a program will do on a machine. */
export interface Survey {
  readonly lines: number
  readonly moves: number
  readonly findings: readonly Finding[]
  readonly findingCount: number
  readonly errorCount: number
  /** Of all moves, and of those with the beam on; null where there are none. */
  readonly bounds: Bounds | null
  readonly burntBounds: Bounds | null
  /** The lines in which the moves first reach each end of their bounds; 0 where nothing moves. */
  readonly reachedIn: Readonly<Record<keyof Bounds, number>>
  readonly seconds: number
  /** mm. */
  readonly wayLength: number
  readonly burntLength: number
  readonly burntSeconds: number
  /** Highest speed that is really reached, mm/s, and with the beam on. */
  readonly topSpeed: number
  readonly topBurningSpeed: number
  readonly highestS: number
  /** The first line with it; 0 where the beam is never on. */
  readonly highestSLine: number
  /** The first line where Z moves with the beam on, and whether X and Y stand still; null where none does. */
  readonly zLit: { readonly line: number; readonly still: boolean } | null
  /** Rapid moves with the beam’s word on, dark only where a controller makes them so; null where there are none. */
  readonly leftOn: Found | null
  /** Waits with the beam on, and the longest, s. */
  readonly standing: (Found & { readonly seconds: number }) | null
  /** It has no end, and the beam’s word is on there. */
  readonly endsOn: boolean
  /** Words that are not carried out here, the most frequent first. */
  readonly strangers: Program['strangers']
  readonly drawing: Drawing
}

/** How often something is there, and the first line. */
export interface Found {
  readonly count: number
  readonly line: number
}

/** The way of the head as points in order; `lit` of a point says whether the beam is on on the way to it. */
export interface Drawing {
  readonly x: Float32Array
  readonly y: Float32Array
  readonly lit: Uint8Array
  /** The line of the program that makes the way to a point. */
  readonly line: Uint32Array
  /** The point at which each move ends. */
  readonly end: Uint32Array
  /** Lines come in their order: none is carried out twice, as in a subroutine. */
  readonly isInOrder: boolean
}

/** Largest distance between an arc and the chords that are drawn for it, mm. */
const CHORD_ERROR = 0.02

/**
 * Reads a program and says what it will do: findings, bounds, time, what is burnt.
 * The beam counts as on while the spindle turns, S is above 0 and the move is not a rapid one: that is common practice
 * and not in the standard; an output card may say otherwise.
 * @param limits Of the machine; null where they are not known: then no time is worked (0).
 * @throws {RangeError} where a limit is not more than 0.
 */
export function surveyProgram(text: string, limits: Limits | null, options: ReadOptions = {}): Survey {
  return readAndSurvey(text, limits, options).survey
}

/** The same, with the moves and their times. @throws {RangeError} where a limit is not more than 0. */
export function readAndSurvey(text: string, limits: Limits | null, options: ReadOptions = {}) {
  const program = readProgram(text, options)
  const { moves } = program
  const plan = limits === null ? null : planMoves(moves, limits)
  const { modes, ended } = program
  // M2 and M30 turn the spindle off. Source: NISTIR 6556, 3.6.1 (from memory).
  const endsOn = !ended && modes.spindle !== 'off' && modes.s > 0 && moves.count > 0
  const survey: Survey = { ...summary(program), ...sums(moves, plan), ...beamOf(moves), endsOn, drawing: drawingOf(moves) }
  return { survey, moves, plan }
}

function summary({ lines, moves, findings, findingCount, errorCount, strangers }: Program) {
  return { lines, moves: moves.count, findings, findingCount, errorCount, strangers }
}

/** Where the beam’s word is on and ought not to be. */
function beamOf(moves: Moves): Pick<Survey, 'leftOn' | 'standing'> {
  let [rapids, rapidLine, waits, waitLine, longest] = [0, 0, 0, 0, 0]
  let [x, y] = [0, 0]
  const isOn = (i: number): boolean => moves.spindle[i] !== SPINDLE.off && (moves.s[i] as number) > 0
  for (let i = 0; i < moves.count; i++) {
    const [toX, toY] = [moves.x[i] as number, moves.y[i] as number]
    if (isOn(i) && moves.kind[i] === MOVE.rapid && (toX !== x || toY !== y) && rapids++ === 0) rapidLine = moves.line[i] as number
    if (isOn(i) && moves.kind[i] === MOVE.dwell && (moves.feed[i] as number) > 0) {
      if (waits++ === 0) waitLine = moves.line[i] as number
      longest = Math.max(longest, moves.feed[i] as number)
    }
    x = toX
    y = toY
  }
  return {
    leftOn: rapids === 0 ? null : { count: rapids, line: rapidLine },
    standing: waits === 0 ? null : { count: waits, line: waitLine, seconds: longest },
  }
}

/** Whether the beam is on in a move (common practice, see `surveyProgram`). */
export function isLit(moves: Moves, i: number): boolean {
  const kind = moves.kind[i]
  return kind !== MOVE.rapid && kind !== MOVE.dwell && moves.spindle[i] !== SPINDLE.off && (moves.s[i] as number) > 0
}

function sums(moves: Moves, plan: TimedPlan | null) {
  const lengths = plan?.length ?? pathsOf(moves).length
  const total = { wayLength: 0, burntLength: 0, burntSeconds: 0, topSpeed: 0, topBurningSpeed: 0, highestS: 0, highestSLine: 0 }
  let zLit: Survey['zLit'] = null
  let bounds: Bounds | null = null
  let burntBounds: Bounds | null = null
  const reachedIn: Record<keyof Bounds, number> = { minX: 0, maxX: 0, minY: 0, maxY: 0, minZ: 0, maxZ: 0 }
  let from: readonly [number, number, number] = [0, 0, 0]
  for (let i = 0; i < moves.count; i++) {
    const to = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number] as const
    const length = lengths[i] as number
    const lit = isLit(moves, i)
    if (length > 0) {
      const before: Bounds | null = bounds
      bounds = stretched(stretched(bounds, from), to)
      if (lit) burntBounds = stretched(stretched(burntBounds, from), to)
      for (const point of extremes(moves, i, from)) {
        bounds = stretched(bounds, point)
        if (lit) burntBounds = stretched(burntBounds, point)
      }
      noteReached(reachedIn, before, bounds, moves.line[i] as number)
    }
    const peak = length > 0 ? (plan?.peak[i] ?? 0) : 0
    total.wayLength += length
    total.topSpeed = Math.max(total.topSpeed, peak)
    if (lit) {
      total.burntLength += length
      total.burntSeconds += plan?.seconds[i] ?? 0
      total.topBurningSpeed = Math.max(total.topBurningSpeed, peak)
      if ((moves.s[i] as number) > total.highestS) {
        total.highestS = moves.s[i] as number
        total.highestSLine = moves.line[i] as number
      }
      // Standing still is worse than any slope: it is named where both are there.
      const still = to[0] === from[0] && to[1] === from[1]
      if (to[2] !== from[2] && (zLit === null || (still && !zLit.still))) zLit = { line: moves.line[i] as number, still }
    }
    from = to
  }
  return { bounds, burntBounds, reachedIn, zLit, seconds: plan?.totalSeconds ?? 0, ...total }
}

function stretched(box: Bounds | null, [x, y, z]: readonly [number, number, number]): Bounds {
  if (box === null) return { minX: x, maxX: x, minY: y, maxY: y, minZ: z, maxZ: z }
  if (x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY && z >= box.minZ && z <= box.maxZ) return box
  return {
    minX: Math.min(box.minX, x),
    maxX: Math.max(box.maxX, x),
    minY: Math.min(box.minY, y),
    maxY: Math.max(box.maxY, y),
    minZ: Math.min(box.minZ, z),
    maxZ: Math.max(box.maxZ, z),
  }
}

/** Notes the line that went further than all before it. */
function noteReached(reached: Record<keyof Bounds, number>, before: Bounds | null, after: Bounds, line: number): void {
  if (before === after) return
  for (const end of Object.keys(reached) as (keyof Bounds)[]) {
    if (before === null || before[end] !== after[end]) reached[end] = line
  }
}

type Point = readonly [number, number, number]

/** An arc by its angle: where it starts, how far it goes and which way. */
interface Arc {
  readonly a: 0 | 1 | 2
  readonly b: 0 | 1 | 2
  readonly ca: number
  readonly cb: number
  readonly radius: number
  readonly start: number
  readonly swept: number
  readonly way: 1 | -1
  /** The place at a share 0…1 of the angle. */
  readonly at: (share: number) => Point
}

/** The arc of a move; null for a straight one. */
function arcOf(moves: Moves, i: number, from: Point): Arc | null {
  const kind = moves.kind[i]
  if (kind !== MOVE.clockwise && kind !== MOVE.counterClockwise) return null
  const [a, b] = PLANE_AXES[moves.plane[i] as 17 | 18 | 19]
  const third = (3 - a - b) as 0 | 1 | 2
  const to: Point = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
  const [ca, cb] = [moves.centreA[i] as number, moves.centreB[i] as number]
  const way = kind === MOVE.clockwise ? -1 : 1
  const start = Math.atan2(from[b] - cb, from[a] - ca)
  const swept = sweptAngle([from[a], from[b]], [to[a], to[b]], [ca, cb], way === -1)
  const radius = Math.hypot(from[a] - ca, from[b] - cb)
  const at = (share: number): Point => {
    const angle = start + way * swept * share
    const point: [number, number, number] = [0, 0, 0]
    point[a] = ca + radius * Math.cos(angle)
    point[b] = cb + radius * Math.sin(angle)
    point[third] = from[third] + (to[third] - from[third]) * share
    return point
  }
  return { a, b, ca, cb, radius, start, swept, way, at }
}

/**
 * Places where an arc goes furthest along an axis of its plane: the quarter points of its circle that it passes, exact.
 * Source: derivative of the circle; none for a straight move.
 */
function* extremes(moves: Moves, i: number, from: Point): Generator<Point> {
  const arc = arcOf(moves, i, from)
  if (arc === null) return
  const { a, b, ca, cb, radius, start, swept, way } = arc
  for (const quarter of [0, 1, 2, 3]) {
    const turn = 2 * Math.PI
    const angle = (((((quarter * Math.PI) / 2 - start) * way) % turn) + turn) % turn
    if (angle >= swept) continue
    const point: [number, number, number] = [...arc.at(angle / swept)]
    point[a] = ca + radius * ([1, 0, -1, 0][quarter] as number)
    point[b] = cb + radius * ([0, 1, 0, -1][quarter] as number)
    yield point
  }
}

/** Points of an arc between its ends, close enough that chords stand for it on a drawing; none for a straight move. */
function* chordsOf(moves: Moves, i: number, from: Point): Generator<Point> {
  const arc = arcOf(moves, i, from)
  if (arc === null) return
  const { swept, radius } = arc
  const chords = Math.min(
    720,
    Math.max(8, Math.ceil(swept / (2 * Math.acos(Math.max(0, 1 - CHORD_ERROR / Math.max(radius, CHORD_ERROR)))))),
  )
  for (let k = 1; k < chords; k++) yield arc.at(k / chords)
}

function drawingOf(moves: Moves): Drawing {
  let size = moves.count + 1
  for (let i = 0; i < moves.count; i++)
    if (moves.kind[i] === MOVE.clockwise || moves.kind[i] === MOVE.counterClockwise) size += 720
  const drawing = { x: new Float32Array(size), y: new Float32Array(size), lit: new Uint8Array(size), line: new Uint32Array(size) }
  const end = new Uint32Array(moves.count)
  let isInOrder = true
  let n = 1
  let from: Point = [0, 0, 0]
  const add = (x: number, y: number, lit: number, line: number): void => {
    drawing.x[n] = x
    drawing.line[n] = line
    drawing.y[n] = y
    drawing.lit[n++] = lit
  }
  for (let i = 0; i < moves.count; i++) {
    const lit = isLit(moves, i) ? 1 : 0
    isInOrder &&= i === 0 || (moves.line[i] as number) >= (moves.line[i - 1] as number)
    for (const [x, y] of chordsOf(moves, i, from)) add(x, y, lit, moves.line[i] as number)
    from = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
    add(from[0], from[1], lit, moves.line[i] as number)
    end[i] = n - 1
  }
  const { x, y, lit, line } = drawing
  return { x: x.slice(0, n), y: y.slice(0, n), lit: lit.slice(0, n), line: line.slice(0, n), end, isInOrder }
}
