import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Limits } from '../core/planner'
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
}

const NOTHING: ProgramState = { name: '', reading: null, survey: null, refused: DONE, timedWith: '' }

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
