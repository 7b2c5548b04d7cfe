import { create } from 'zustand'

/** A repair that is being written down; kept while other sheets are looked at. */
interface RepairDraft {
  readonly title: string
  readonly text: string
  readonly touched: string
  readonly minutes: string
  readonly cost: string
  readonly before: readonly File[]
  readonly after: readonly File[]
}

const BLANK: RepairDraft = { title: '', text: '', touched: '', minutes: '', cost: '', before: [], after: [] }

export const useRepairDraft = create<RepairDraft>()(() => BLANK)

export function draftRepair(part: Partial<RepairDraft>): void {
  useRepairDraft.setState(part)
}

export function blankRepair(): void {
  useRepairDraft.setState(BLANK)
}
