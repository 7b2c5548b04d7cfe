import { create } from 'zustand'
import { useBenchStore } from '../../state'

/** A repair that is being written down. */
interface RepairDraft {
  readonly title: string
  readonly text: string
  readonly touched: string
  readonly minutes: string
  readonly cost: string
  readonly before: readonly File[]
  readonly after: readonly File[]
}

/** Something else that is being written down. */
interface NoteDraft {
  readonly kind: 'note' | 'bought' | 'job'
  readonly title: string
  readonly text: string
  readonly cost: string
  readonly pictures: readonly File[]
}

interface Drafts {
  readonly repair: RepairDraft
  readonly note: NoteDraft
}

const BLANK: Drafts = {
  repair: { title: '', text: '', touched: '', minutes: '', cost: '', before: [], after: [] },
  note: { kind: 'note', title: '', text: '', cost: '', pictures: [] },
}

/** What is half written of each bench; kept while other sheets and other benches are looked at. */
const useAll = create<Readonly<Record<string, Drafts>>>()(() => ({}))

const openId = (): string => useBenchStore.getState().bench?.id ?? ''

/** What is half written of the open bench. */
export function useDrafts(): Drafts {
  const id = useBenchStore(({ bench }) => bench?.id ?? '')
  return useAll((it) => it[id]) ?? BLANK
}

/** Goes on writing a repair of the open bench. */
export function draftRepair(part: Partial<RepairDraft>): void {
  const id = openId()
  useAll.setState((all) => ({ [id]: { ...(all[id] ?? BLANK), repair: { ...(all[id] ?? BLANK).repair, ...part } } }))
}

/** The same of a note. */
export function draftNote(part: Partial<NoteDraft>): void {
  const id = openId()
  useAll.setState((all) => ({ [id]: { ...(all[id] ?? BLANK), note: { ...(all[id] ?? BLANK).note, ...part } } }))
}

/** Begins anew, once it was written down. */
export function blankRepair(): void {
  draftRepair(BLANK.repair)
}
export function blankNote(): void {
  draftNote(BLANK.note)
}

/** A typed amount: null where it is blank, NaN where it is none. */
export function amountOf(typed: string): number | null {
  if (typed.trim() === '') return null
  const value = Number(typed.trim().replace(',', '.'))
  return value >= 0 ? value : Number.NaN
}
