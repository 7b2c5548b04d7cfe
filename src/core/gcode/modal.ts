import { G } from './codes'
import type { CycleWords } from './cycles'
import { SPINDLE } from './moves'

/** Modal state: what stays in force from line to line. Lengths in mm of the work's coordinates. */
export interface Modal {
  motion: number
  plane: 17 | 18 | 19
  absolute: boolean
  /** mm for a unit. */
  unit: number
  /** mm/s; NaN while none was given. */
  feed: number
  s: number
  spindle: number
  x: number
  y: number
  z: number
  /** G92's offsets: what is taken from a number to come to the work. */
  offset: readonly [number, number, number]
  suspended: readonly [number, number, number]
  /** What canned cycles keep from line to line, whether they go back to where they began or to R, and how the spindle turned. */
  cycle: CycleWords
  toFirst: boolean
  before: number
}

/** A cycle that keeps nothing yet. */
export const NO_CYCLE: CycleWords = { r: Number.NaN, z: Number.NaN, p: Number.NaN, q: Number.NaN }

/** What is in force before the first line. */
export function startOf(): Modal {
  return {
    motion: G.line,
    plane: 17,
    absolute: true,
    unit: 1,
    feed: Number.NaN,
    s: 0,
    spindle: SPINDLE.off,
    x: 0,
    y: 0,
    z: 0,
    offset: [0, 0, 0],
    suspended: [0, 0, 0],
    cycle: NO_CYCLE,
    toFirst: true,
    before: SPINDLE.off,
  }
}

/** What stands in force at a line. Lengths in mm, feed in mm/s. */
export interface Modes {
  /** The motion word, such as `G1`. */
  readonly motion: string
  readonly plane: 17 | 18 | 19
  readonly isAbsolute: boolean
  readonly isInches: boolean
  /** Null while none was given. */
  readonly feed: number | null
  readonly s: number
  readonly spindle: 'off' | 'clockwise' | 'counter-clockwise'
  readonly place: readonly [x: number, y: number, z: number]
  /** What G92 takes from a number to come to the work. */
  readonly offset: readonly [x: number, y: number, z: number]
}

/** What is in force, as it is told. */
export function modesOf(modal: Modal): Modes {
  return {
    motion: `G${modal.motion / 10}`,
    plane: modal.plane,
    isAbsolute: modal.absolute,
    isInches: modal.unit !== 1,
    feed: Number.isNaN(modal.feed) ? null : modal.feed,
    s: modal.s,
    spindle: (['off', 'clockwise', 'counter-clockwise'] as const)[modal.spindle] ?? 'off',
    place: [modal.x, modal.y, modal.z],
    offset: modal.offset,
  }
}
