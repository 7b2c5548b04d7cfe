import type { Step } from '../gcode'
import type { Trial, TrialKindId } from './trialSlice'

/** What says where the marks of a trial are. */
export type TrialShape = Pick<Trial, 'origin' | 'power' | 'speed' | 'numbers'>

/** One burnt line of a trial, mm of the work's coordinates. */
export interface TrialStroke {
  /** What it is called on the plate; nothing where it needs no name. */
  readonly label: string
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

interface StrokeEnd {
  readonly line: number
  readonly at: 'start' | 'end'
}

/** Between which marks a reading is taken: as the instruments of `workshop` understand it. Numbers are places in the strokes. */
export type TrialSpan =
  | { readonly from: readonly number[]; readonly to: readonly number[]; readonly over: boolean }
  | { readonly beyond: number; readonly end: StrokeEnd }
  | { readonly first: StrokeEnd; readonly last: StrokeEnd; readonly axis: 'x' | 'y' }
  | { readonly pointer: 'x' | 'y'; readonly beside: number }
  | { readonly stack: readonly [first: number, last: number] }
  | { readonly opening: readonly [first: number, last: number] }
  | { readonly cut: number; readonly face: 'top' | 'bottom' }
  | { readonly width: number }
  | { readonly seen: readonly [first: number, last: number] }
  | { readonly board: 'gap' | 'lift' | 'run' }
  | { readonly outline: readonly [first: number, last: number]; readonly angleRad: number; readonly inside: boolean }

/** One reading of a trial. */
export interface TrialReading {
  readonly id: string
  /** Heading under which it is listed. */
  readonly group: string
  readonly words: string
  readonly span: TrialSpan
  /** mm; null where nothing is commanded but that there be none. */
  readonly commanded: number | null
  /** Standard uncertainty that the pattern itself adds to the reading, mm. */
  readonly moreU?: number
}

/** Something picked out of a trial by eye: one of its strokes, or none. */
export interface TrialPick {
  readonly id: string
  readonly words: string
  /** What none of them means. */
  readonly none: string
  /** Places of the strokes, in the order of their numbers from 1. */
  readonly strokes: readonly number[]
}

/** A trial laid out: its strokes in the order of burning, its program, and what is read of it. */
export interface TrialLayout {
  readonly strokes: readonly TrialStroke[]
  readonly steps: readonly Step[]
  readonly readings: readonly TrialReading[]
  readonly picks: readonly TrialPick[]
}

/** What a trial of a kind is: its place, what it is laid out with, and its layout. */
export interface TrialKind {
  readonly id: TrialKindId
  /** Part of Controller that shows it. */
  readonly part: string
  readonly name: string
  /** Facts that it is laid out with, by the name of their number. */
  readonly facts: Readonly<Record<string, string>>
  /** The beam must go on at once, whatever the output card waits for. */
  readonly withoutWait?: true
  /** It brings powers of its own: the faint mark's is not asked for. */
  readonly ownPower?: true
  /** How the sheet lies under the head; flat at its usual height where it does not say. */
  readonly lies?: (shape: TrialShape) => SheetLies
  readonly layout: (shape: TrialShape) => TrialLayout
}

/** A board on a block: at `from` along X it lies on the bed, `run` mm further on it is `lift` mm higher. Or a sheet that lies lower. */
export type SheetLies =
  | { readonly kind: 'tilted'; readonly from: number; readonly run: number; readonly lift: number }
  | { readonly kind: 'lower'; readonly by: number }

/** How a sheet lies, in the words that the stand-in is asked with. Source: by definition. */
export function sheetWords(lies: SheetLies): string {
  return lies.kind === 'lower' ? `sheet lower ${lies.by}` : `sheet tilted ${lies.from} ${lies.run} ${lies.lift}`
}

/**
 * A number that a trial is laid out with. @throws {RangeError} where it has none of that name.
 * Valid: any trial. Source: by definition. @example numberIn({ numbers: { small: 20 } }, 'small') // 20
 */
export function numberIn({ numbers }: Pick<TrialShape, 'numbers'>, name: string): number {
  const value = numbers[name]
  if (value === undefined) throw new RangeError(`the trial has no number ${name}`)
  return value
}

/** How far before its place a line is approached, mm: more than any backlash. */
export const TRIAL_APPROACH = 4

/** Gathers strokes and steps in the order of burning. */
export class TrialWriter {
  readonly strokes: TrialStroke[] = []
  readonly steps: Step[] = []

  constructor(name: string) {
    this.steps.push({ kind: 'remark', text: name })
  }

  /** Goes to a place from below on both axes, so that the play is taken up on one side. */
  approach(x: number, y: number): void {
    this.steps.push({ kind: 'rapid', x: x - TRIAL_APPROACH, y: y - TRIAL_APPROACH }, { kind: 'rapid', x, y })
  }

  /** Burns from place to place without a stop. @returns The place of the first stroke. */
  burn(label: string, way: readonly (readonly [x: number, y: number])[], feed: number, power: number): number {
    const first = this.strokes.length
    way.slice(1).forEach(([x1, y1], i) => {
      const [x0, y0] = way[i] as readonly [number, number]
      this.strokes.push({ label: i === 0 ? label : '', x0, y0, x1, y1 })
      this.steps.push({ kind: 'line', x: x1, y: y1, feed, power })
    })
    return first
  }

  /** Moves on in the dark, at a feed. */
  dark(x: number, y: number, feed: number): void {
    this.steps.push({ kind: 'line', x, y, feed, power: 0 })
  }

  /** Burns a line along X in full motion: up to its speed in the dark before it, and down again behind it. @returns Its place. */
  fly(
    label: string,
    from: number,
    to: number,
    y: number,
    line: { readonly feed: number; readonly power: number; readonly run: number },
  ): number {
    const way = Math.sign(to - from) * line.run
    this.steps.push({ kind: 'rapid', x: from - way, y })
    this.dark(from, y, line.feed)
    const stroke = this.burn(
      label,
      [
        [from, y],
        [to, y],
      ],
      line.feed,
      line.power,
    )
    this.dark(to + way, y, line.feed)
    return stroke
  }

  remark(text: string): void {
    this.steps.push({ kind: 'remark', text })
  }
}

/**
 * Way from rest to a speed, with some room, mm.
 * @param speed mm/s. @param acceleration mm/s², more than 0. Valid: even acceleration. Source: v²/2a, a tenth more and 2 mm.
 * @example runUp(100, 1000) // 7.5
 */
export function runUp(speed: number, acceleration: number): number {
  return 1.1 * ((speed * speed) / (2 * acceleration)) + 2
}

/**
 * Power that marks as much at another speed: the energy of a millimetre stays.
 * @param power Share of full power at `speed`, 0…1. @param lightFrom Share from which there is light; less than `power`.
 * @returns A share, never above 1.
 * Valid: where full power still marks, light that rises evenly from its threshold. Source: line energy P/v.
 * @example sameLine(0.1, 20, 60) // 0.3
 */
export function sameLine(power: number, speed: number, at: number, lightFrom = 0): number {
  const from = Math.min(lightFrom, power)
  return Math.min(1, from + ((power - from) * at) / speed)
}

/**
 * Power that a trial marks with at another speed than its own, by the threshold that the power curve had then; where nobody had
 * read one, slower lines keep its power, for with less there may be no light at all.
 * @param at mm/s. Valid: any trial. Source: line energy P/v.
 * @example powerAt({ origin: { x: 0, y: 0 }, power: 0.2, speed: 20, numbers: {} }, 10) // 0.2
 */
export function powerAt({ power, speed, numbers }: TrialShape, at: number): number {
  const from = numbers[LIGHT_FROM]
  return from === undefined ? Math.max(power, sameLine(power, speed, at)) : sameLine(power, speed, at, from)
}
/** Name of the number that says from which share of full power there was light. */
export const LIGHT_FROM = 'lightFrom'

/**
 * Standard uncertainty of what is read between two burnt marks: the reading's own, and that each mark lies on a whole step.
 * @param u Of the reading, mm. @param step Smallest step of the axis, mm. @returns mm.
 * Valid: steps that fall anyhow. Source: JCGM 100:2008, 4.3.7: step/√12 for each of two marks.
 * @example readingOfMarks(0.02, 0.0125) // 0.02064
 */
export function readingOfMarks(u: number, step: number): number {
  return Math.hypot(u, step / Math.sqrt(6))
}

/**
 * Values from one to another, each the same more than the one before. @param count Two or more.
 * Valid: any ends. Source: by definition. @example evenly(10, 60, 6) // [10, 20, 30, 40, 50, 60]
 */
export function evenly(from: number, to: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))
}
