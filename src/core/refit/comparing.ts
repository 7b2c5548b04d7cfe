import type { Moves } from '../gcode'
import { lengthFromAbove, partOf, type Piece } from './shape'
import { tracesOf, type WayTrace } from './traces'

/** A way that only one of two programs burns, from its beginning to its end, mm; arcs as short lines. */
export type OnlyWay = readonly (readonly [x: number, y: number])[]

/** How two programs differ in what they burn. Lengths in mm. */
export interface BurntApart {
  readonly both: number
  readonly onlyFirst: number
  readonly onlySecond: number
  /** What both burn, and one with another power or speed. */
  readonly otherwise: number
  /** The first line of each that the other does not burn alike; 0: none. */
  readonly firstLine: number
  readonly secondLine: number
  /** Ways that only one burns; the first thousands. */
  readonly waysOfFirst: readonly OnlyWay[]
  readonly waysOfSecond: readonly OnlyWay[]
}

const MOST_WAYS = 4000
/** Shorter than this is no way, mm. */
const NO_WAY = 1e-6
/** Power and speed that differ by less than this share are the same. */
const ALIKE = 1e-3

/** What is burnt of a way, without where the program breaks it. */
interface Stretch {
  readonly piece: Piece
  readonly power: number
  readonly feed: number
  readonly line: number
}

/**
 * Holds what two programs burn against one another, whatever the order and the sense; straight pieces that go on straight are one.
 * @param fullS Power words at full power; more than 0. @throws {RangeError} where one is not. Valid: any programs; ends to a µm. Source: by definition.
 */
export function burntApart(first: Moves, second: Moves, fullS: readonly [first: number, second: number]): BurntApart {
  const [p, q] = [stretchesOf(first, fullS[0]), stretchesOf(second, fullS[1])]
  const there = new Map<string, Stretch[]>()
  for (const it of q) there.set(keyOf(it.piece), [...(there.get(keyOf(it.piece)) ?? []), it])
  let [both, otherwise, onlyFirst, firstLine] = [0, 0, 0, 0]
  const waysOfFirst: OnlyWay[] = []
  for (const it of p) {
    const length = lengthFromAbove(it.piece)
    const list = there.get(keyOf(it.piece)) ?? []
    // Of several that go the same way, one that is burnt alike.
    const at = Math.max(
      0,
      list.findIndex((other) => isAlike(it, other)),
    )
    const [other] = list.splice(at, 1)
    if (other === undefined) {
      onlyFirst += length
      firstLine = firstLine === 0 ? it.line : firstLine
      if (waysOfFirst.length < MOST_WAYS) waysOfFirst.push(pointsOf(it.piece))
      continue
    }
    both += length
    if (isAlike(it, other)) continue
    otherwise += length
    firstLine = firstLine === 0 ? it.line : firstLine
  }
  const left = [...there.values()].flat().sort((a, b) => a.line - b.line)
  return {
    both,
    onlyFirst,
    otherwise,
    onlySecond: left.reduce((sum, it) => sum + lengthFromAbove(it.piece), 0),
    firstLine,
    secondLine: left[0]?.line ?? 0,
    waysOfFirst,
    waysOfSecond: left.slice(0, MOST_WAYS).map((it) => pointsOf(it.piece)),
  }
}

function isAlike(p: Stretch, q: Stretch): boolean {
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * Math.max(a, b)
  return near(p.power, q.power) && near(p.feed, q.feed)
}

function stretchesOf(moves: Moves, fullS: number): readonly Stretch[] {
  const found: Stretch[] = []
  let isOpen = false
  for (const trace of tracesOf(moves, fullS)) {
    if (trace.kind === 'way' && trace.isLit && lengthFromAbove(trace.piece) <= NO_WAY) continue
    const last = found.at(-1)
    if (trace.kind === 'wait' || !trace.isLit) isOpen = false
    else if (isOpen && last !== undefined && goesOn(last, trace))
      found[found.length - 1] = { ...last, piece: { ...last.piece, to: trace.piece.to } }
    else {
      const { piece, power, feed, line } = trace
      found.push({ piece, power, feed, line })
      isOpen = true
    }
  }
  return found
}

/** Whether a straight piece goes on as the one before, burnt alike. */
function goesOn(before: Stretch, after: WayTrace): boolean {
  if (before.piece.arc !== null || after.piece.arc !== null) return false
  if (before.power !== after.power || before.feed !== after.feed) return false
  const [a, b] = [before.piece, after.piece]
  const [ax, ay, bx, by] = [a.to[0] - a.from[0], a.to[1] - a.from[1], b.to[0] - b.from[0], b.to[1] - b.from[1]]
  return Math.abs(ax * by - ay * bx) <= 1e-6 * Math.hypot(ax, ay) * Math.hypot(bx, by) && ax * bx + ay * by > 0
}

function keyOf({ from, to, arc }: Piece): string {
  const word = ([x, y]: Piece['to']): string => `${Math.round(x * 1000)},${Math.round(y * 1000)}`
  const [a, b] = [word(from), word(to)]
  const isForward = a <= b
  const ends = isForward ? `${a} ${b}` : `${b} ${a}`
  if (arc === null) return ends
  // A whole circle is the same in both senses.
  const swept = Math.round(arc.swept * 1000) * (isForward ? 1 : -1)
  return `${ends} ${Math.round(arc.x * 1000)},${Math.round(arc.y * 1000)} ${a === b ? Math.abs(swept) : swept}`
}

function pointsOf(piece: Piece): OnlyWay {
  const chords = piece.arc === null ? 1 : Math.max(2, Math.ceil(Math.abs(piece.arc.swept) / 0.15))
  const places = Array.from({ length: chords }, (_, k) => partOf(piece, 0, (k + 1) / chords).to)
  return [piece.from, ...places].map(([x, y]) => [x, y] as const)
}
