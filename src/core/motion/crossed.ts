import type { Wheel } from './beltRoute'

/** A way along the axes. */
export type Way = '+x' | '-x' | '+y' | '-y'

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
  readonly motorRadius: number
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
  const { travelX, travelY, endX, endY, motorRadius: R, idlerRadius: r, motorAside, halfCarriage } = shape
  const left = -endX
  const right = travelX + endX
  const [front, back] = [-endY, travelY + endY]
  // The run from the gantry down to the motor lies at left − r; the motor's other side and the wheel behind follow it.
  const motor = left - r - R + motorAside
  const behind = left - 2 * r - 2 * R + 2 * r
  const a: Wheel[] = [
    { x: head.x - halfCarriage, y: head.y + r, r: 0, turn: 1 },
    { x: left, y: head.y, r, turn: 1 },
    { x: motor, y: front, r: R, turn: -1 },
    { x: behind, y: back, r, turn: -1 },
    { x: right, y: back, r, turn: -1 },
    { x: right, y: head.y, r, turn: -1 },
    { x: head.x + halfCarriage, y: head.y - r, r: 0, turn: 1 },
  ]
  const middle = travelX / 2
  const mirrored = (wheel: Wheel): Wheel => ({ ...wheel, x: 2 * middle - wheel.x, turn: wheel.turn === 1 ? -1 : 1 })
  const b = crossedWheelsOf(a, head.x, middle, halfCarriage).map(mirrored)
  return { a, b }
}

/** Belt a as it would stand for the head mirrored in X, so that its mirror image is belt b. */
function crossedWheelsOf(a: readonly Wheel[], x: number, middle: number, half: number): readonly Wheel[] {
  const there = 2 * middle - x
  return a.map((wheel, i) =>
    i === 0 ? { ...wheel, x: there - half } : i === a.length - 1 ? { ...wheel, x: there + half } : wheel,
  )
}
