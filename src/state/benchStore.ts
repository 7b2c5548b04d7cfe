import { temporal } from 'zundo'
import { create, useStore } from 'zustand'
import { getAt, isFact, setAt, type BenchRecord, type Fact, type Path } from '../core/bench'
import type { Bench } from '../core/document'
import type { Finding } from '../core/units'
import type { BenchRow, FileRow } from '../data'
import { isSound, issuesOf, noteSound } from './checking'
import { DONE, NO_BENCH, type Told } from './told'

/** Where saving stands. */
export type SaveState =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'saving' }
  /** Another window saved or deleted it; `unsaved`: something was changed here too. */
  | { readonly kind: 'changed-elsewhere'; readonly unsaved: boolean }
  /** A newer Fine Kerf in another window has migrated it. */
  | { readonly kind: 'newer' }
  | { readonly kind: 'full' }
  | { readonly kind: 'failed'; readonly message: string }

interface OpenBenchState {
  readonly bench: Bench | null
  /** The edit that led to this document, in words: what undo takes back. */
  readonly edit: string
  /** A dimension being dragged: neither validated nor saved (T12). */
  readonly overlay: { readonly path: Path; readonly fact: Fact } | null
  /** A dimension that has been let go, until the ± of what follows from it is worked. */
  readonly letGo: Path | null
  readonly records: readonly BenchRecord[]
  readonly files: readonly FileRow[]
  readonly revision: number
  readonly birth: string
  /** The document as it stands in the store, null where it is not stored at all. */
  readonly saved: Bench | null
  readonly save: SaveState
  /** Name of a copy that holds what a window left unsaved; to be said once. */
  readonly leftAs: string | null
  /** Marks as last saved, shown until the stages are worked. */
  readonly savedMarks: BenchRow['marks']
  /** A bench that turned out to be damaged when its schema was checked, and what is wrong with it. */
  readonly refused: { readonly id: string; readonly findings: readonly Finding[] } | null
  /** Whether stages that are not open have been worked. */
  readonly worked: boolean
}

const CLOSED: OpenBenchState = {
  bench: null,
  edit: '',
  overlay: null,
  letGo: null,
  records: [],
  files: [],
  revision: 0,
  birth: '',
  saved: null,
  save: { kind: 'saved', at: '' },
  leftAs: null,
  savedMarks: {},
  refused: null,
  worked: false,
}

/** Undo steps that are kept. */
const DEPTH = 200

/** The open bench. Undo covers its document alone; records and saving stand outside. */
export const useBenchStore = create<OpenBenchState>()(
  temporal((): OpenBenchState => CLOSED, {
    partialize: ({ bench, edit }) => ({ bench, edit }),
    equality: (past, now) => past.bench === now.bench,
    limit: DEPTH,
  }),
)

/** Shows a bench; its history begins here. */
export function openInStore(
  open: Pick<OpenBenchState, 'bench' | 'records' | 'files' | 'revision' | 'savedMarks'> & { readonly birth?: string },
  savedAt: string,
): void {
  useBenchStore.setState({ ...CLOSED, saved: open.bench, ...open, save: { kind: 'saved', at: savedAt } })
  useBenchStore.temporal.getState().clear()
}

/** Shows a bench that could not be kept in this browser: it can be looked at, worked on and exported. */
export function openUnsaved(open: Pick<OpenBenchState, 'bench' | 'records' | 'files'>, save: SaveState): void {
  useBenchStore.setState({ ...CLOSED, ...open, save })
  useBenchStore.temporal.getState().clear()
}

/** Puts the bench away. */
export function closeInStore(): void {
  useBenchStore.setState(CLOSED)
  useBenchStore.temporal.getState().clear()
}

/**
 * The one way to change a bench: one undo step, validated where it has changed.
 * Rows that were checked already, one by one, need not be checked again: `checked` gives their place.
 * @param words What was done, for undo: “travel of X”.
 * @returns What stands in the way; a refused change leaves the bench as it was.
 */
export function editBench(words: string, change: (bench: Bench) => Bench, checked: Path | null = null): Told {
  const { bench, overlay } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const next = change(bench)
  if (next === bench) return DONE
  const issues = issuesOf(checked === null ? bench : setAt(bench, checked, getAt(next, checked)), next)
  if (issues.length > 0)
    return issues.map(({ path, message }) => ({
      code: 'refused',
      severity: 'error',
      message: `${path.join('.')}: ${message}`,
      path: path.join('.'),
    }))
  if (isSound(bench)) noteSound(next)
  useBenchStore.setState({ bench: next, edit: words, overlay: null, letGo: overlay?.path ?? null })
  return DONE
}

/** Enters a fact or choice at a path. */
export function setFact(path: Path, value: object, words: string): Told {
  return editBench(words, (bench) => setAt(bench, path, value))
}

/** Shows the bench with one number moved, until the drag ends. */
export function dragFact(path: Path, fact: Fact): void {
  useBenchStore.setState({ overlay: { path, fact } })
}

/** Ends a drag without a change. */
export function dropDrag(): void {
  if (useBenchStore.getState().overlay !== null) useBenchStore.setState({ overlay: null })
}

/** Whether the ± of what follows from these facts waits: one of them is dragged, or was let go just now. */
export function doubtWaits({ overlay, letGo }: Pick<OpenBenchState, 'overlay' | 'letGo'>, leaves: ReadonlySet<Path>): boolean {
  return (overlay !== null && leaves.has(overlay.path)) || (letGo !== null && leaves.has(letGo))
}

/** The bench as it is shown: with the dragged number in place. */
export function shownBench({ bench, overlay }: Pick<OpenBenchState, 'bench' | 'overlay'>): Bench | null {
  if (bench === null || overlay === null) return bench
  if (lastShown?.bench === bench && lastShown.overlay === overlay) return lastShown.shown
  const shown = setAt(bench, overlay.path, overlay.fact)
  lastShown = { bench, overlay, shown }
  return shown
}

/** The fact at a path as it is shown; what only needs one is not drawn again when another is dragged. */
export function useShownFact(path: Path): Fact | undefined {
  return useBenchStore((state) => {
    const fact = getAt(shownBench(state), path)
    return isFact(fact) ? fact : undefined
  })
}

let lastShown: { bench: Bench; overlay: OpenBenchState['overlay']; shown: Bench } | null = null

/**
 * What was in the machine before the rotary stays known, whatever is undone: a write to a machine is undone by another write, and nothing else
 * says what to write.
 */
function keepingSwap(step: () => void): void {
  const swap = useBenchStore.getState().bench?.rotary.swap
  step()
  const { bench } = useBenchStore.getState()
  if (bench === null || swap === undefined || bench.rotary.swap === swap) return
  withoutHistory(() => useBenchStore.setState({ bench: setAt(bench, 'rotary.swap', swap) }))
}

/** A change that is no step of undo. */
export function withoutHistory<T>(change: () => T): T {
  const { pause, resume } = useBenchStore.temporal.getState()
  pause()
  try {
    return change()
  } finally {
    resume()
  }
}

/** Takes back the last edit. @returns What was undone, or null. */
export function undo(): string | null {
  const { edit } = useBenchStore.getState()
  const history = useBenchStore.temporal.getState()
  if (history.pastStates.length === 0) return null
  keepingSwap(() => history.undo())
  return edit
}

/** Does again what was taken back. @returns What was redone, or null. */
export function redo(): string | null {
  const history = useBenchStore.temporal.getState()
  if (history.futureStates.length === 0) return null
  keepingSwap(() => history.redo())
  return useBenchStore.getState().edit
}

/** What undo and redo would do, in words; null where there is nothing. */
export function useHistory(): { readonly undo: string | null; readonly redo: string | null } {
  const past = useStore(useBenchStore.temporal, (it) => it.pastStates.length)
  const next = useStore(useBenchStore.temporal, (it) => it.futureStates.at(-1)?.edit ?? null)
  const edit = useBenchStore((it) => it.edit)
  return { undo: past > 0 ? edit : null, redo: next }
}
