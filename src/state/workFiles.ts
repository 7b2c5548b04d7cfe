import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Bench } from '../core/document'
import { refused, type Outcome } from '../core/units'
import type { Taken, WorkWorker } from '../workers/work.worker'
import { useBenchStore } from './benchStore'
import { filesThere } from './filesThere'

/** Files of artwork that the worker holds, by print. */
interface Files {
  readonly taken: Readonly<Record<string, Taken>>
  /** Why a file cannot be had any more. */
  readonly lost: Readonly<Record<string, string>>
  /** The name of the file that is being read. */
  readonly reading: string | null
}

export const useWorkFiles = create<Files>()(() => ({ taken: {}, lost: {}, reading: null }))

let worker: Worker | null = null
let at: Comlink.Remote<WorkWorker> | null = null

/** The worker that reads and plans. */
export function workWorker(): Comlink.Remote<WorkWorker> {
  if (at === null || worker === null) {
    worker = new Worker(new URL('../workers/work.worker.ts', import.meta.url), { type: 'module' })
    at = Comlink.wrap<WorkWorker>(worker)
  }
  return at
}

/** Prints of the files that the present worker holds. */
const held = new Set<string>()

/** Ends the worker with all that it does. What it held is read again before the next order is planned. */
export function endWorkWorker(): void {
  worker?.terminate()
  ;[worker, at] = [null, null]
  held.clear()
  opening = Promise.resolve()
  useWorkFiles.setState({ reading: null })
}

/** What a file is known by: SHA-256 of its bytes. */
async function printOf(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** Reads a file in the worker. @returns What it is known by and what it holds, or why it cannot be used. */
export async function readFile(file: File): Promise<Outcome<{ readonly print: string; readonly taken: Taken }>> {
  useWorkFiles.setState({ reading: file.name })
  try {
    const bytes = new Uint8Array(await file.arrayBuffer())
    const print = await printOf(bytes)
    const read = await workWorker().take(print, bytes, file.name)
    return read.ok ? { ok: true, value: { print, taken: read.value }, findings: read.findings } : read
  } catch {
    return refused('unread', `“${file.name}” could not be read: the memory of this browser may be full. The file is unharmed.`)
  } finally {
    useWorkFiles.setState({ reading: null })
  }
}

/** Keeps what was read of a file for as long as the page lives. */
export function rememberRead(print: string, taken: Taken): void {
  held.add(print)
  useWorkFiles.setState(({ taken: before, lost }) => {
    const { [print]: _, ...left } = lost
    return { taken: { ...before, [print]: taken }, lost: left }
  })
}

/** Forgets files. */
export function forgetFile(isForgotten: (print: string) => boolean): void {
  for (const print of held) if (isForgotten(print)) held.delete(print)
  useWorkFiles.setState(({ taken }) => ({
    taken: Object.fromEntries(Object.entries(taken).filter(([print]) => !isForgotten(print))),
  }))
}

/** Readings one after the other, so that no file is read twice. */
let opening: Promise<void> = Promise.resolve()

/** Reads the files of a bench's pieces again, from where they are kept with it, as far as the worker does not hold them. */
export function openFiles(bench: Bench): Promise<void> {
  opening = opening.then(() => readKept(bench))
  return opening
}

async function readKept(bench: Bench): Promise<void> {
  await filesThere().catch(() => undefined)
  for (const { print, record, name } of Object.values(bench.work.pieces)) {
    const { lost } = useWorkFiles.getState()
    const row = useBenchStore.getState().files.find((it) => it.recordId === record)
    // What was lost on one bench may be kept with another.
    if (held.has(print) || (lost[print] !== undefined && row === undefined)) continue
    const lose = (why: string): void => useWorkFiles.setState((was) => ({ lost: { ...was.lost, [print]: why } }))
    if (row === undefined) {
      lose(`The file of “${name}” is not kept with this bench: choose it again.`)
      continue
    }
    const read = await workWorker()
      .take(print, row.bytes, row.name)
      .catch(() => refused('unread', `The file of “${name}” could not be read again.`))
    if (read.ok) rememberRead(print, read.value)
    else lose(read.findings[0]?.message ?? '')
  }
}
