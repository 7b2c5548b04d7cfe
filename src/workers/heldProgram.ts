import { ListedText, readProgram, type Modes, type Moves, type ReadOptions } from '../core/gcode'
import { readAndSurvey, type Drawing, type Limits, type Survey, type TimedPlan } from '../core/planner'

/** A program that is open: its text, how it is read, and all that was worked of it. */
export interface HeldProgram {
  readonly text: string
  readonly options: ReadOptions
  readonly listing: ListedText
  readonly moves: Moves
  readonly plan: TimedPlan | null
  readonly drawing: Drawing
}

/** Reads and times a program. */
export function holdProgram(
  text: string,
  limits: Limits | null,
  options: ReadOptions,
  onProgress: (lines: number) => boolean,
): { readonly held: HeldProgram; readonly survey: Omit<Survey, 'drawing'> } {
  const { survey, moves, plan } = readAndSurvey(text, limits, { ...options, onProgress })
  const { drawing, ...summary } = survey
  return { held: { text, options, listing: new ListedText(text), moves, plan, drawing }, survey: summary }
}

/** What stands in force when a line has been carried out. */
export function modesAt({ text, options }: HeldProgram, line: number): Modes {
  return readProgram(text, { ...options, until: line }).modes
}

/** What a search came to: the next line that has it, and how many have. */
export interface SearchFound {
  /** 0: none. */
  readonly line: number
  readonly count: number
  /** Which of them it is, from 1. */
  readonly nth: number
}

/** Lines with a text, whatever its case and whatever blanks stand between its words. */
export function searchIn({ text, listing }: HeldProgram, wanted: string, from: number, isBack: boolean): SearchFound {
  const bare = wanted.trim()
  if (bare === '') return { line: 0, count: 0, nth: 0 }
  // Blanks may stand anywhere, inside numbers too.
  const pattern = Array.from(bare.replace(/\s+/g, ''))
    .map((it) => it.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('[ \\t]*')
  const lines: number[] = []
  for (const match of text.matchAll(new RegExp(pattern, 'gi'))) {
    const line = listing.lineAt(match.index)
    if (lines.at(-1) !== line) lines.push(line)
  }
  const [first = 0, last = 0] = [lines[0], lines.at(-1)]
  // Round the end it goes on at the other.
  const next = isBack ? (lines.findLast((it) => it < from) ?? last) : (lines.find((it) => it > from) ?? first)
  return { line: next, count: lines.length, nth: lines.indexOf(next) + 1 }
}
