import type { Finding } from '../core/units'
import type { Bench } from '../core/document'
import { copyBundle } from '../data/copy'
import type { BenchBundle, SaveResult, Stand } from '../data'
import { openInStore, useBenchStore, type SaveState } from './benchStore'
import { areAllHere } from './domains'
import { allMarksOf, marksOf } from './evaluate'
import { answered } from './answered'
import { isCheckingHere, isSound, issuesOf, loadChecking, noteSound } from './checking'
import { newId } from '../data/ids'
import type { Left } from '../data/left'
import { dropLeft, keepLeft, leftOf, takeUp } from './journal'
import { fetchFiles, filesThere } from './filesThere'
import { loadFromStore } from './opening'
import { swapDrafts } from './session'
import { stored } from './stored'
import { held, knownWindow, windowId } from './window'
import { type Told } from './told'

export const now = (): string => new Date().toISOString()

/** Opens a stored bench into the store, with what was left unsaved of it. @returns What stands in the way; empty when it is open. */
export async function openBench(id: string): Promise<Told> {
  try {
    // What is being saved may be this very bench, left a moment ago.
    await answered(saving)
    const loaded = await loadFromStore(id)
    if (!loaded.ok) return loaded.findings
    const { bench, records, files, revision, birth, savedAt, marks, areLater } = loaded.value
    const before = useBenchStore.getState().bench?.id ?? null
    openInStore({ bench, records, files, revision, birth, savedMarks: marks }, savedAt)
    if (areLater === true) fetchFiles(id)
    swapDrafts(before, id)
    await takeUpLeft(bench, { revision, birth })
    return []
  } catch (error) {
    return [noStorage(error)]
  }
}

/** Shows the bench as it is stored; what was changed here and is not saved is given up. @returns What stands in the way. */
export async function reloadBench(id: string): Promise<Told> {
  const kept = (await leftOf(id)).find((it) => it.window === windowId())
  dropLeft(id, windowId())
  const findings = await openBench(id)
  if (findings.length > 0 && kept !== undefined) keepOpenLeft()
  return findings
}

/** What went wrong in the store, in its own words, without addresses of pages about it. */
export function wordsOf(error: unknown): string {
  const message = error instanceof Error ? error.message : String(error)
  if (/MissingAPI/.test(message)) return 'it offers no store, or its store is switched off'
  return message.replace(/\s*(?:Please )?(?:visit|see) https?:\S+/gi, '').replace(/[.\s]+$/, '')
}

function noStorage(error: unknown): Finding {
  const message = wordsOf(error)
  return {
    code: 'no-storage',
    severity: 'error',
    message: `What is kept in this browser cannot be read: ${message}. Allow storage for this page, leave private browsing, close other windows of Fine Kerf, then load the page again.`,
  }
}

/** Takes up what a window that is gone left unsaved: here where nothing else has changed it, else in a copy beside. */
async function takeUpLeft(bench: Bench, stand: Stand): Promise<void> {
  await knownWindow
  for (const left of await leftOf(bench.id)) {
    if (left.window !== windowId() && (await held(left.window))) continue
    const open = useBenchStore.getState().bench
    if (open?.id !== bench.id) return
    const taken = await takeUp(open, left)
    if (taken !== null && taken.clean && left.birth === stand.birth) {
      if (taken.bench !== open) useBenchStore.setState({ bench: taken.bench, edit: left.words })
      if (left.window !== windowId()) dropLeft(bench.id, left.window)
    } else if (taken !== null && (await copyLeft(taken.bench, left))) dropLeft(bench.id, left.window)
  }
}

/** What was left unsaved of a bench that was changed elsewhere since, as a bench beside it. */
async function copyLeft(bench: Bench, { at }: Left): Promise<boolean> {
  try {
    await filesThere()
  } catch {
    // A copy without its pictures is none: what was left stays where it is, for the next time.
    return false
  }
  const { records, files } = useBenchStore.getState()
  const name = `${bench.name.slice(0, 40)} (left ${at.slice(11, 16)})`
  const result = await addWhole(copyBundle({ bench, records, files }, newId, name), newId())
  if (result.kind === 'saved') useBenchStore.setState({ leftAs: name })
  return result.kind === 'saved'
}

/** Saves one after the other, so that each knows the revision of the one before. */
let saving: Promise<unknown> = Promise.resolve()
/** What was saved last, for a bench that is left before the store hears of its revision. */
let lastSaved: (Stand & { readonly id: string }) | null = null

function queued<T>(act: () => Promise<T>): Promise<T> {
  const next = saving.then(act)
  saving = next.catch(() => undefined)
  return next
}

/**
 * Saves the open bench as it stands when its turn comes. It counts as saved only while what was saved is what is open:
 * an edit or an undo meanwhile is still to be saved.
 */
export function saveOpenBench(): Promise<SaveState> {
  return queued(async () => {
    // Where the schema cannot be fetched the shape is what there is to check by.
    if (!isCheckingHere()) await loadChecking().catch(() => undefined)
    const { bench, revision, birth, saved, save: before } = useBenchStore.getState()
    if (bench === null) return { kind: 'saved', at: '' }
    if (bench === saved && before.kind !== 'failed' && before.kind !== 'full') {
      const state: SaveState = before.kind === 'saving' ? { kind: 'saved', at: now() } : before
      if (state !== before) useBenchStore.setState({ save: state })
      dropLeft(bench.id, windowId())
      return state
    }
    const wrong = saved === null ? null : wrongIn(saved, bench)
    if (wrong !== null) {
      useBenchStore.setState({ save: wrong })
      return wrong
    }
    const result = saved === null ? await keepOpen(bench) : await save(bench, { revision, birth })
    const state = stateOf(result)
    const open = useBenchStore.getState()
    if (open.bench?.id !== bench.id) return state
    if (result.kind !== 'saved') {
      useBenchStore.setState({ save: state })
      return state
    }
    const stand = { revision: result.revision, birth: saved === null ? (lastSaved?.birth ?? '') : birth, saved: bench }
    const whole = open.bench === bench
    useBenchStore.setState({ ...stand, save: whole ? state : { kind: 'saving' } })
    if (whole) dropLeft(bench.id, windowId())
    else keepOpenLeft()
    tellOthers(bench.id)
    return state
  })
}

/** What the schema says against a bench that was changed before the schema was here: what is stored must open again. */
function wrongIn(saved: Bench, bench: Bench): SaveState | null {
  if (isSound(bench)) return null
  const [issue] = issuesOf(saved, bench)
  if (issue === undefined && isCheckingHere()) noteSound(bench)
  return issue === undefined ? null : { kind: 'failed', message: `${issue.path.join('.')}: ${issue.message}` }
}

/** Saves a bench for the first time that could not be kept when it was opened. */
async function keepOpen(bench: Bench): Promise<SaveResult> {
  const { records, files } = useBenchStore.getState()
  const birth = newId()
  const result = await addWhole({ bench, records, files }, birth)
  if (result.kind === 'saved') lastSaved = { id: bench.id, revision: result.revision, birth }
  return result
}

/** Saves a bench that was left for another before its last edit was saved. */
export function saveLeftBench(bench: Bench, stand: Stand): Promise<SaveState> {
  return queued(async () => {
    const result = await save(bench, lastSaved?.id === bench.id ? lastSaved : stand)
    if (result.kind === 'saved') {
      dropLeft(bench.id, windowId())
      tellOthers(bench.id)
    }
    return stateOf(result)
  })
}

async function save(bench: Bench, stand: Stand): Promise<SaveResult> {
  onItsWay = bench
  const marks = areAllHere() ? marksOf(bench) : await allMarksOf(bench)
  const result = await answered(stored().then(({ db, saveBench }) => saveBench(db, bench, marks, stand, now()))).catch(
    failedResult,
  )
  onItsWay = null
  if (result.kind === 'saved') lastSaved = { id: bench.id, revision: result.revision, birth: stand.birth }
  return result
}

export function failedResult(error: unknown): SaveResult {
  return { kind: 'failed', message: wordsOf(error) }
}

/** What is on its way to the store just now. */
let onItsWay: Bench | null = null

/**
 * Keeps what of the open bench is not saved yet, at once. Taken back to what is stored while something else is on its way
 * there, it still differs from what will be stored in a moment.
 */
export function keepOpenLeft(): void {
  const { bench, saved, revision, birth, edit } = useBenchStore.getState()
  if (bench === null || saved === null || bench.id !== saved.id) return
  const base = bench === saved && onItsWay?.id === bench.id ? onItsWay : saved
  if (bench === base) dropLeft(bench.id, windowId())
  else keepLeft(base, bench, { window: windowId(), revision, birth, words: edit, at: now() })
}

/** Tells the other windows that a stored bench has changed. */
export function tellOthers(id: string): void {
  channel?.postMessage({ id })
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fine-kerf.benches')
// A test runner's own process is not kept alive by it.
;(channel as unknown as { unref?: () => void } | null)?.unref?.()

/** Looks whether the open bench still stands in the store as this window last saved or read it; says so where it does not. */
export async function checkElsewhere(): Promise<void> {
  const { bench, saved, save: state } = useBenchStore.getState()
  if (bench === null || saved === null || state.kind === 'changed-elsewhere') return
  await saving
  const stand = await answered(stored().then(({ db, standOf }) => standOf(db, bench.id))).catch(() => undefined)
  const open = useBenchStore.getState()
  if (stand === undefined || open.bench?.id !== bench.id) return
  if (stand !== null && stand.revision === open.revision && stand.birth === open.birth) return
  useBenchStore.setState({ save: { kind: 'changed-elsewhere', unsaved: open.bench !== open.saved } })
}

/** Hears what other windows do to the open bench. @returns Stops it. */
export function listenElsewhere(): () => void {
  const heard = (event: MessageEvent<{ readonly id?: unknown }>): void => {
    if (event.data.id === useBenchStore.getState().bench?.id) void checkElsewhere()
  }
  channel?.addEventListener('message', heard)
  return () => channel?.removeEventListener('message', heard)
}

/** Asks the browser not to throw away what is kept when room runs short. */
export async function askForLastingStorage(): Promise<void> {
  if (typeof navigator !== 'undefined' && 'storage' in navigator && 'persist' in navigator.storage) {
    await navigator.storage.persist().catch(() => false)
  }
}

/** Stores a bench with all that belongs to it. */
export async function addWhole(bundle: BenchBundle, birth: string): Promise<SaveResult> {
  const marks = await allMarksOf(bundle.bench)
  return answered(stored().then(({ db, addBundle }) => addBundle(db, bundle, marks, now(), birth))).catch(failedResult)
}

/** What a save comes to for the open bench. */
export function stateOf(result: SaveResult): SaveState {
  if (result.kind === 'changed-elsewhere') return { ...result, unsaved: true }
  return result.kind === 'saved' ? { kind: 'saved', at: result.savedAt } : result
}
