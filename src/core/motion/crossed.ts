import { requireInRange } from '../units'
import type { Wheel } from './beltRoute'
import type { Way } from './ways'

/** What is wrong with the wiring of a crossed-belt machine. */
export interface WiringFault {
  readonly swapped: boolean
  readonly reversedA: boolean
  readonly reversedB: boolean
}

/**
 * How far both motors' belts move for a move of the head: a = x + y, b = x − y.
 * Source: belt lengths between each motor and the carriage (crossed belts).
 * @example motorsFor({ x: 3, y: 1 }) // { a: 4, b: 2 }
 */
export function motorsFor(head: { readonly x: number; readonly y: number }): { readonly a: number; readonly b: number } {
  return { a: head.x + head.y, b: head.x - head.y }
}

/** The inverse of `motorsFor`. Source: the same. @example headFor({ a: 4, b: 2 }) // { x: 3, y: 1 } */
export function headFor({ a, b }: { readonly a: number; readonly b: number }): { readonly x: number; readonly y: number } {
  return { x: (a + b) / 2, y: (a - b) / 2 }
}

/** How hard each belt pulls while the head is pushed one way, as a share of that push; below 0 its other run is the tight one. */
export interface BeltPull {
  readonly a: number
  readonly b: number
}

/**
 * What each belt pulls so that the head is pushed along a way with a force of 1: a = (x + y)/2, b = (x − y)/2.
 * @param way Any direction; its length does not matter. @returns Nothing pulls where it has none.
 * Source: virtual work over a = x + y, b = x − y.
 * @example pullsFor({ x: 1, y: 1 }) // { a: 0.707, b: 0 }: at 45° one motor does all
 */
export function pullsFor(way: { readonly x: number; readonly y: number }): BeltPull {
  const length = Math.hypot(way.x, way.y)
  if (!(length > 0)) return { a: 0, b: 0 }
  const { a, b } = motorsFor({ x: way.x / length, y: way.y / length })
  return { a: a / 2, b: b / 2 }
}

const VECTOR: Readonly<Record<Way, readonly [number, number]>> = {
  '+x': [1, 0],
  '-x': [-1, 0],
  '+y': [0, 1],
  '-y': [0, -1],
  '+x+y': [0.5, 0.5],
  '-x-y': [-0.5, -0.5],
  '+x-y': [0.5, -0.5],
  '-x+y': [-0.5, 0.5],
  none: [0, 0],
}

/**
 * What to swap or reverse, from where the head really went when +X and then +Y was asked for.
 * @returns Null where both answers lie on one line: then no wiring explains them, and a belt slips or a motor stands.
 * Source: the eight signed swaps of two motors; their determinant is (−1)^faults.
 */
export function wiringFault(wentForX: Way, wentForY: Way): WiringFault | null {
  const found = [false, true].flatMap((swapped) =>
    [false, true].flatMap((reversedA) => [false, true].map((reversedB) => ({ swapped, reversedA, reversedB }))),
  )
  return found.find((fault) => goes(fault, [1, 0], wentForX) && goes(fault, [0, 1], wentForY)) ?? null
}

/**
 * Which motor stands still, from where the head went when +X and then +Y was asked for: with one motor alone the head
 * goes along one of the two diagonals, whichever plugs are swapped or reversed.
 * @returns The motor that does not move its belt, both, or null where the ways do not say so.
 * Source: a = x + y, b = x − y: with b alone x = −y, with a alone x = y.
 * @example deadMotor('+x+y', '+x+y') // 'b'
 */
export function deadMotor(wentForX: Way, wentForY: Way): 'a' | 'b' | 'both' | null {
  if (wentForX === 'none' && wentForY === 'none') return 'both'
  const [along, across] = [new Set<Way>(['+x+y', '-x-y']), new Set<Way>(['+x-y', '-x+y'])]
  if (along.has(wentForX) && along.has(wentForY)) return 'b'
  return across.has(wentForX) && across.has(wentForY) ? 'a' : null
}

/**
 * How far a line asked for along X leans where one number of steps is set for both motors: atan((1 − r)/(1 + r)).
 * @param ratio r, steps for a millimetre of the left motor's belt over those of the right one's; more than 0.
 * @returns rad; 0 where both step alike. @throws {RangeError} where the ratio is not more than 0.
 * Valid: no stretch. Source: x = (a + b)/2, y = (a − b)/2 with a = 1, b = r.
 * @example slantOfUnlike(0.5) // 0.32175: 18.4°
 */
export function slantOfUnlike(ratio: number): number {
  requireInRange('ratio', ratio, Number.MIN_VALUE, Number.MAX_VALUE)
  return Math.atan((1 - ratio) / (1 + ratio))
}

/** Whether a head with a fault goes a way when it is asked to go another. */
function goes({ swapped, reversedA, reversedB }: WiringFault, asked: readonly [number, number], way: Way): boolean {
  const { a, b } = motorsFor({ x: asked[0], y: asked[1] })
  // What each motor gets, then what the belts do with it.
  const [atA, atB] = swapped ? [b, a] : [a, b]
  const { x, y } = headFor({ a: reversedA ? -atA : atA, b: reversedB ? -atB : atB })
  const [vx, vy] = VECTOR[way]
  return Math.abs(x - vx) < 1e-12 && Math.abs(y - vy) < 1e-12
}

/** Where the wheels of a crossed-belt machine stand; lengths in mm, the head's origin at 0, 0. */
export interface CrossedShape {
  readonly travelX: number
  readonly travelY: number
  /** From the head's place at either end of X to the wheels on the gantry's end. */
  readonly endX: number
  /** From the head's place at either end of Y to the motors in front and the wheels behind. */
  readonly endY: number
  /** Of the left motor's pulley, and of the right one's. */
  readonly motorRadius: number
  readonly motorRadiusRight: number
  readonly idlerRadius: number
  /** By how much the motors stand aside of the place where their runs are parallel to Y. */
  readonly motorAside: number
  /** Half of the carriage's width. */
  readonly halfCarriage: number
}

/**
 * The wheels of both belts in their order, clamp to clamp, for a place of the head. Belt a is driven by the left motor
 * in front: carriage, gantry's left end, motor, behind on the left, behind on the right, gantry's right end, carriage.
 * Belt b is its mirror image in a layer of its own.
 */
export function crossedWheels(
  shape: CrossedShape,
  head: { readonly x: number; readonly y: number },
): {
  readonly a: readonly Wheel[]
  readonly b: readonly Wheel[]
} {
  const middle = shape.travelX / 2
  const mirrored = (wheel: Wheel): Wheel => ({ ...wheel, x: 2 * middle - wheel.x, turn: wheel.turn === 1 ? -1 : 1 })
  // Belt b is belt a of the machine seen in a mirror, with the right motor's pulley.
  const there = { x: 2 * middle - head.x, y: head.y }
  return { a: leftBelt(shape, head, shape.motorRadius), b: leftBelt(shape, there, shape.motorRadiusRight).map(mirrored) }
}

/** The wheels of the belt whose motor stands at the left in front. @param R Of its pulley, mm. */
function leftBelt(shape: CrossedShape, head: { readonly x: number; readonly y: number }, R: number): readonly Wheel[] {
  const { travelX, travelY, endX, endY, idlerRadius: r, motorAside, halfCarriage } = shape
  const left = -endX
  const right = travelX + endX
  const [front, back] = [-endY, travelY + endY]
  // The run from the gantry down to the motor lies at left − r; the motor's other side and the wheel behind follow it.
  const motor = left - r - R + motorAside
  const behind = left - 2 * r - 2 * R + 2 * r
  return [
    { x: head.x - halfCarriage, y: head.y + r, r: 0, turn: 1 },
    { x: left, y: head.y, r, turn: 1 },
    { x: motor, y: front, r: R, turn: -1 },
    { x: behind, y: back, r, turn: -1 },
    { x: right, y: back, r, turn: -1 },
    { x: right, y: head.y, r, turn: -1 },
    { x: head.x + halfCarriage, y: head.y - r, r: 0, turn: 1 },
  ]
}
