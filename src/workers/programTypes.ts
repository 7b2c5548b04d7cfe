import type { Modes, OutputCard, ReadOptions } from '../core/gcode'
import type { Bounds, Limits, Measure, Moment, Span, Stretch, Survey } from '../core/planner'
import type { BeamWish, BurntApart, Changed, CutterProgram, Mended, MendWish, Put } from '../core/refit'
import type { Finding, Outcome } from '../core/units'
import type { SearchFound } from './heldProgram'
import type { DrawingView } from './programDrawing'

/** What the page needs to know of a program; its drawing stays in the worker, for it may have a million points. */
export type ProgramSummary = Omit<Survey, 'drawing'> & {
  /** Lines of the text, those after its end too. */
  readonly listed: number
}

/** Through which card, and for which machine, something is made of the program that is held. */
export interface MakeAsk {
  readonly card: OutputCard
  readonly limits: Limits | null
}

/** How it is to become one for a beam. */
export interface RefitAsk extends MakeAsk {
  readonly wish: BeamWish
}

/** How it is parted and joined again. Lengths in mm. */
export interface PartAsk extends MakeAsk {
  /** What lies no further apart than this is one island. */
  readonly apart: number
  readonly order: 'own' | 'quickest'
  /** Longest run-up that is kept of dark ways. */
  readonly lead: number
  /** The program's own power word at full power. */
  readonly fullS: number
}

/** How it is put right. */
export interface MendAsk extends MakeAsk {
  readonly wish: MendWish
  /** Arcs are written as short lines, whatever the card says. */
  readonly asLines: boolean
}

/** A program of several that become one. */
export interface JointAsk {
  /** Null: the one that is held. */
  readonly file: File | null
  readonly fullS: number
  readonly puts: readonly Put[]
  readonly pause: string
}

export interface JoinAsk extends MakeAsk {
  readonly joints: readonly JointAsk[]
}

/** A program that was made of the one that is held. */
export interface MadeProgram {
  readonly text: string
  readonly lines: number
  readonly seconds: number
  readonly burntLength: number
  /** The most of its power, as a share of full power. */
  readonly power: number
  /** The speed that it burns at, mm/s; null where there are several. */
  readonly speed: number | null
  readonly bounds: Bounds | null
  readonly findings: readonly Finding[]
}

export type PartSummary = MadeProgram & { readonly islands: number; readonly runs: number }
export type RefitSummary = MadeProgram & {
  readonly changes: readonly Changed[]
  /** Where the light stands, mm; the first of them. */
  readonly dots: readonly { readonly x: number; readonly y: number }[]
}
export type MendSummary = MadeProgram & { readonly mended: readonly Mended[] }
/** Each section is a program of its own; `text` has them all, with a pause between. */
export type JoinSummary = MadeProgram & { readonly sections: readonly { readonly before: string; readonly made: MadeProgram }[] }
export type CompareSummary = BurntApart & {
  readonly lines: { readonly isSame: boolean; readonly from: number; readonly before: number; readonly now: number }
  readonly seconds: number
  readonly errorCount: number
}

/** Reads a program, and draws it, away from the page. */
export interface ProgramWorker {
  /** Refused in words where the file is no text. */
  survey(
    file: File,
    limits: Limits | null,
    options: Pick<ReadOptions, 'leaveOut' | 'subroutines'>,
    onProgress: (lines: number) => void,
  ): Promise<Outcome<ProgramSummary>>
  /** @param until The move up to which it is drawn; null: all of it. */
  draw(view: DrawingView, until: number | null): ImageBitmap | null
  /** What the program is like as one for a cutter, held against a height of the surface, mm; null where none is held. */
  cutter(level: number): CutterProgram | null
  refit(ask: RefitAsk): Outcome<RefitSummary>
  /** The same burns, island by island. */
  part(ask: PartAsk): Outcome<PartSummary>
  mend(ask: MendAsk): Outcome<MendSummary>
  join(ask: JoinAsk): Promise<Outcome<JoinSummary>>
  /** What it burns and its lines, held against another program’s. @param fullS Power words at full power. */
  compare(file: File, limits: Limits | null, fullS: readonly [number, number]): Promise<Outcome<CompareSummary>>
  /** What was held, thin, and what was made of it last, with what it burns. */
  drawMade(view: DrawingView): ImageBitmap | null
  /** Some lines of the text, from 1. */
  lines(first: number, count: number): readonly string[]
  /** What some lines do; null where they do not move the head. */
  way(from: number, to: number): Stretch | null
  span(from: number, to: number): Span | null
  modes(line: number): Modes | null
  moment(share: number, by: Measure): Moment | null
  find(wanted: string, from: number, isBack: boolean): SearchFound
  /** The line whose way passes nearest to a place, mm. */
  near(x: number, y: number, within: number): number | null
}
