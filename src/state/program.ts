import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Limits, Stretch } from '../core/planner'
import type { DrawingView, ProgramSummary, ProgramWorker } from '../workers/program.worker'
import { DONE, told, type Told } from './told'

/** A program that was dropped on the window: looked at, and not kept with the bench. */
interface ProgramState {
  readonly name: string
  readonly reading: { readonly lines: number } | null
  readonly survey: ProgramSummary | null
  /** Why it could not be read. */
  readonly refused: Told
  /** Limits it was timed with, as text; another machine means another time. */
  readonly timedWith: string
  /** The line that is looked at, and what it does; null where none is. */
  readonly line: number | null
  readonly way: Stretch | null
}

const NOTHING: ProgramState = { name: '', reading: null, survey: null, refused: DONE, timedWith: '', line: null, way: null }

export const useProgram = create<ProgramState>()(() => NOTHING)

/** Largest program that is read, bytes: well over a million blocks. */
const MOST_BYTES = 256 * 1024 * 1024

/** The worker that holds the program which is open, and the file it was read from. */
let open: { readonly worker: Worker; readonly remote: Comlink.Remote<ProgramWorker>; readonly file: File } | null = null

/** Reads a program file in a worker; what was being read before is given up. */
export async function openProgram(file: File, limits: Limits | null): Promise<void> {
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
  await survey(limits)
}

/** Works the program that is open again, for a machine with other limits. */
export async function surveyAgain(limits: Limits | null): Promise<void> {
  const { survey: shown, timedWith } = useProgram.getState()
  if (shown !== null && timedWith !== JSON.stringify(limits)) await survey(limits)
}

/** Puts the program away; one that is being read is given up at once. */
export function closeProgram(): void {
  open?.worker.terminate()
  open = null
  useProgram.setState(NOTHING)
}

/** The program's way as a picture; null where none is open. */
export async function drawProgram(view: DrawingView): Promise<ImageBitmap | null> {
  return (await open?.remote.draw(view)) ?? null
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
  const mine = open
  useProgram.setState({ line, way: null })
  if (line === null || mine === null) return
  const way = await mine.remote.way(line)
  if (open === mine && useProgram.getState().line === line) useProgram.setState({ way })
}

/** Looks at the line whose way passes nearest to a place, mm; where none passes near, the one in hand stays. */
export async function lookAtPlace(x: number, y: number, withinMm: number): Promise<void> {
  const line = (await open?.remote.near(x, y, withinMm)) ?? null
  if (line !== null) await lookAtLine(line)
}

async function survey(limits: Limits | null): Promise<void> {
  const mine = open
  if (mine === null) return
  const { name } = mine.file
  useProgram.setState({ name, reading: { lines: 0 }, refused: DONE, timedWith: JSON.stringify(limits) })
  try {
    const onProgress = Comlink.proxy((lines: number) => {
      if (open === mine) useProgram.setState({ reading: { lines } })
    })
    const done = await mine.remote.survey(mine.file, limits, onProgress)
    if (open !== mine) return
    if (done.ok) useProgram.setState({ survey: done.value, reading: null })
    else useProgram.setState({ reading: null, refused: done.findings })
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error)
    if (open === mine)
      useProgram.setState({ reading: null, refused: told(`“${name}” could not be read: ${message}. The file is unharmed.`) })
  }
}
