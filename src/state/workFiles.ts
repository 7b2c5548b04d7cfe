import * as Comlink from 'comlink'
import { create } from 'zustand'
import type { Bench } from '../core/document'
import { refused, type Outcome } from '../core/units'
import type { Taken, WorkWorker } from '../workers/work.worker'
import { useBenchStore } from './benchStore'

/** Files of artwork that the worker holds, by print. */
interface Files {
  readonly taken: Readonly<Record<string, Taken>>
  /** Why a file cannot be had any more. */
  readonly lost: Readonly<Record<string, string>>
  /** The name of the file that is being read. */
  readonly reading: string | null
}

export const useWorkFiles = create<Files>()(() => ({ taken: {}, lost: {}, reading: null }))

let at: Comlink.Remote<WorkWorker> | null = null

/** The worker that reads and plans. */
export function workWorker(): Comlink.Remote<WorkWorker> {
  at ??= Comlink.wrap<WorkWorker>(new Worker(new URL('../workers/work.worker.ts', import.meta.url), { type: 'module' }))
  return at
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
  useWorkFiles.setState(({ taken: before, lost }) => {
    const { [print]: _, ...left } = lost
    return { taken: { ...before, [print]: taken }, lost: left }
  })
}

/** Forgets files. */
export function forgetFile(isForgotten: (print: string) => boolean): void {
  useWorkFiles.setState(({ taken }) => ({
    taken: Object.fromEntries(Object.entries(taken).filter(([print]) => !isForgotten(print))),
  }))
}

/** Prints that are being read, so that none is read twice. */
const asked = new Set<string>()

/** Reads the files of a bench's pieces again, from where they are kept with it. */
export async function openFiles(bench: Bench): Promise<void> {
  for (const { print, record, name } of Object.values(bench.work.pieces)) {
    const { taken, lost } = useWorkFiles.getState()
    const row = useBenchStore.getState().files.find((it) => it.recordId === record)
    // What was lost on one bench may be kept with another.
    if (taken[print] !== undefined || (lost[print] !== undefined && row === undefined) || asked.has(print)) continue
    asked.add(print)
    const lose = (why: string): void => useWorkFiles.setState((was) => ({ lost: { ...was.lost, [print]: why } }))
    if (row === undefined) lose(`The file of “${name}” is not kept with this bench: choose it again.`)
    else {
      const read = await workWorker()
        .take(print, row.bytes, row.name)
        .catch(() => refused('unread', `The file of “${name}” could not be read again.`))
      if (read.ok) rememberRead(print, read.value)
      else lose(read.findings[0]?.message ?? '')
    }
    asked.delete(print)
  }
}
