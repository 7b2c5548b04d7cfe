import { MOVE, SPINDLE, type Moves, type Step } from '../gcode'
import { isLit } from '../planner'
import { piecesOf, type Piece } from './shape'

/** A piece of a program's way, burnt or dark, or a wait. Lengths in mm, speeds in mm/s, powers as shares of full power. */
export type Trace =
  | {
      readonly kind: 'way'
      readonly piece: Piece
      readonly isLit: boolean
      readonly isRapid: boolean
      /** The beam’s word is on: on a rapid move it burns only where the controller does not make those dark. */
      readonly isOn: boolean
      readonly feed: number
      readonly power: number
      readonly line: number
    }
  | {
      readonly kind: 'wait'
      readonly seconds: number
      /** Where the head stands, and whether the beam is on there. */
      readonly x: number
      readonly y: number
      readonly isLit: boolean
      readonly power: number
      readonly line: number
    }
export type WayTrace = Extract<Trace, { kind: 'way' }>

/**
 * What a program does, piece by piece. @param fullS The power word of full power; more than 0. @param scale Its lengths and speeds are taken times this.
 * @throws {RangeError} where the full word or the scale is not more than 0. Valid: any program. Source: by definition; the beam as the spindle (common practice).
 */
export function* tracesOf(moves: Moves, fullS: number, scale = 1): Generator<Trace> {
  if (!(fullS > 0) || !(scale > 0)) throw new RangeError('the full power word and the scale must be more than 0')
  let at: Piece['to'] = [0, 0, 0]
  for (let i = 0; i < moves.count; i++) {
    const line = moves.line[i] as number
    const power = Math.min(1, (moves.s[i] as number) / fullS)
    const isOn = moves.spindle[i] !== SPINDLE.off && power > 0
    if (moves.kind[i] === MOVE.dwell) {
      yield { kind: 'wait', seconds: moves.feed[i] as number, x: at[0] * scale, y: at[1] * scale, isLit: isOn, power, line }
      continue
    }
    const pieces = piecesOf(moves, i, at, -Infinity)
    at = [moves.x[i] as number, moves.y[i] as number, moves.z[i] as number]
    const about = { isLit: isLit(moves, i), isOn, isRapid: moves.kind[i] === MOVE.rapid, feed: (moves.feed[i] as number) * scale }
    for (const piece of pieces) yield { kind: 'way', piece: scale === 1 ? piece : scaled(piece, scale), ...about, power, line }
  }
}

function scaled({ from, to, arc }: Piece, by: number): Piece {
  const place = ([x, y, z]: Piece['from']): Piece['from'] => [x * by, y * by, z * by]
  return { from: place(from), to: place(to), arc: arc === null ? null : { x: arc.x * by, y: arc.y * by, swept: arc.swept } }
}

/** A piece as a step; one that is dark has no power. Valid: any piece. Source: by definition. */
export function stepOfPiece({ from, to: [x, y, z], arc }: Piece, feed: number, power: number): Step {
  const height = z === from[2] ? {} : { z }
  return arc === null
    ? { kind: 'line', x, y, ...height, feed, power }
    : { kind: 'arc', x, y, ...height, centreX: arc.x, centreY: arc.y, clockwise: arc.swept < 0, feed, power }
}
