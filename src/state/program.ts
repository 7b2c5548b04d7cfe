import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Modes, SubroutineWords } from '../core/gcode'
import type { Limits, Measure, Moment, Span, Stretch } from '../core/planner'
import type { SearchFound } from '../workers/heldProgram'
import type { DrawingView } from '../workers/programDrawing'
import type { ProgramSummary, ProgramWorker } from '../workers/programTypes'
import { DONE, told, type Told } from './told'

/** A program that was dropped on the window: looked at, and not kept with the bench. */
interface ProgramState {
  readonly name: string
  readonly reading: { readonly lines: number } | null
  readonly survey: ProgramSummary | null
  /** Why it could not be read. */
  readonly refused: Told
  /** Limits and words it was read and timed with, as text; another machine means another time. */
  readonly timedWith: string
  /** The line that is looked at, and what it does; null where none is. */
  readonly line: number | null
  readonly way: Stretch | null
  /** The other end of what is chosen; null where only one line is. */
  readonly lineTo: number | null
  /** What the chosen lines come to, and what is in force when the line that is looked at has been carried out. */
  readonly span: Span | null
  readonly modes: Modes | null
  /** Words that are left out of it. */
  readonly leaveOut: readonly string[]
  /** The moment that is looked at; null where all of it is. */
  readonly moment: (Moment & { readonly share: number; readonly by: Measure }) | null
}

const NOTHING: ProgramState = {
  name: '',
  reading: null,
  survey: null,
  refused: DONE,
  timedWith: '',
  line: null,
  way: null,
  lineTo: null,
  span: null,
  modes: null,
  leaveOut: [],
  moment: null,
}

export const useProgram = create<ProgramState>()(() => NOTHING)

/** Rest on a line before it is worked what is in force there, ms. */
const REST = 120

/** Largest program that is read, bytes: well over a million blocks. */
const MOST_BYTES = 256 * 1024 * 1024

/** The worker that holds the program which is open, and the file it was read from. */
let open: { readonly worker: Worker; readonly remote: Comlink.Remote<ProgramWorker>; readonly file: File } | null = null

/** Reads a program file in a worker; what was being read before is given up. */
export async function openProgram(file: File, limits: Limits | null, subroutines?: SubroutineWords): Promise<void> {
  closeProgram()
  if (file.size > MOST_BYTES) {
    useProgram.setState({
      name: file.name,
      refused: told(`“${file.name}” has more than 256 MB. Split it, or check that it is a program.`),
    })
    return
  }
  const worker = new Worker(new URL('../workers/program.worker.ts', import.meta.url), { type: 'module' })
  open = { worker, remote: Comlink.wrap<ProgramWorker>(worker), file }
  await survey(limits, subroutines)
}

/** Works the program that is open again, for a machine with other limits or a card with other words. */
export async function surveyAgain(limits: Limits | null, subroutines?: SubroutineWords): Promise<void> {
  const { survey: shown, timedWith } = useProgram.getState()
  if (shown !== null && timedWith !== JSON.stringify([limits, subroutines])) await survey(limits, subroutines)
}

/** Leaves words out of the program that is open, or takes them back in; it is read again. */
export async function leaveOut(words: readonly string[], limits: Limits | null, subroutines?: SubroutineWords): Promise<void> {
  useProgram.setState({ leaveOut: words })
  await survey(limits, subroutines)
}

/** Puts the program away; one that is being read is given up at once. */
export function closeProgram(): void {
  open?.worker.terminate()
  open = null
  useProgram.setState(NOTHING)
}

/** The program's way as a picture; null where none is open. */
export async function drawProgram(view: DrawingView): Promise<ImageBitmap | null> {
  return (await open?.remote.draw(view, useProgram.getState().moment?.move ?? null)) ?? null
}

/** The program as it was, and what was made of it last, as a picture; null where none is open. */
export async function drawMade(view: DrawingView): Promise<ImageBitmap | null> {
  return (await open?.remote.drawMade(view)) ?? null
}

/** The worker that holds the program which is open; null where none is. */
export function programWorker(): Comlink.Remote<ProgramWorker> | null {
  return open?.remote ?? null
}

/** The file of the program that is open: another one is another program. */
export function programFile(): File | null {
  return open?.file ?? null
}

/** Some lines of the program that is open, from 1; none where none is. */
export async function linesOfProgram(first: number, count: number): Promise<readonly string[]> {
  return (await open?.remote.lines(first, count)) ?? []
}

/** Looks at one line: it is shown in the listing, and its way in the drawing. */
export async function lookAtLine(line: number | null): Promise<void> {
  await look(line, null)
}

/** Chooses the lines from the one that is looked at to another. */
export async function chooseTo(line: number): Promise<void> {
  const { line: from } = useProgram.getState()
  await (from === null ? look(line, null) : look(from, line === from ? null : line))
}

async function look(line: number | null, to: number | null): Promise<void> {
  const mine = open
  useProgram.setState({ line, lineTo: to, way: null, span: null, modes: null })
  if (line === null || mine === null) return
  const [from, end] = to === null ? [line, line] : [Math.min(line, to), Math.max(line, to)]
  const isStill = (): boolean => {
    const now = useProgram.getState()
    return open === mine && now.line === line && now.lineTo === to
  }
  const [way, span] = await Promise.all([mine.remote.way(from, end), to === null ? null : mine.remote.span(from, end)])
  if (isStill()) useProgram.setState({ way, span })
  // Of a long program it takes a while: who only passes by does not wait for it.
  await new Promise((resolve) => setTimeout(resolve, REST))
  const modes = isStill() ? await mine.remote.modes(to ?? line) : null
  if (isStill()) useProgram.setState({ modes })
}

/** Goes to a moment of the program. @param share 0 to 1; null: all of it is shown again. */
export async function goToMoment(share: number | null, by: Measure): Promise<void> {
  const mine = open
  const moment = share === null ? null : ((await mine?.remote.moment(share, by)) ?? null)
  if (open === mine) useProgram.setState({ moment: moment === null || share === null ? null : { ...moment, share, by } })
}

/** Looks for a text in the program, from the line that is looked at on; goes to the line that has it. */
export async function findInProgram(wanted: string, isBack: boolean): Promise<SearchFound> {
  const found = (await open?.remote.find(wanted, useProgram.getState().line ?? 0, isBack)) ?? { line: 0, count: 0, nth: 0 }
  if (found.line > 0) await lookAtLine(found.line)
  return found
}

/** Looks at the line whose way passes nearest to a place, mm; where none passes near, the one in hand stays. */
export async function lookAtPlace(x: number, y: number, withinMm: number): Promise<void> {
  const line = (await open?.remote.near(x, y, withinMm)) ?? null
  if (line !== null) await lookAtLine(line)
}

async function survey(limits: Limits | null, subroutines: SubroutineWords | undefined): Promise<void> {
  const mine = open
  if (mine === null) return
  const { name } = mine.file
  useProgram.setState({ name, reading: { lines: 0 }, refused: DONE, timedWith: JSON.stringify([limits, subroutines]) })
  try {
    const onProgress = Comlink.proxy((lines: number) => {
      if (open === mine) useProgram.setState({ reading: { lines } })
    })
    const words = { leaveOut: useProgram.getState().leaveOut, ...(subroutines === undefined ? {} : { subroutines }) }
    const done = await mine.remote.survey(mine.file, limits, words, onProgress)
    if (open !== mine) return
    if (done.ok) useProgram.setState({ survey: done.value, reading: null, moment: null })
    else useProgram.setState({ reading: null, refused: done.findings })
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error)
    if (open === mine)
      useProgram.setState({ reading: null, refused: told(`“${name}” could not be read: ${message}. The file is unharmed.`) })
  }
}
