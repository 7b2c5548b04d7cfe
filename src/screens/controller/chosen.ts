import { create } from 'zustand'
import type { Bench } from '../../core/document'
import { NEXT_RUN, useBenchStore } from '../../state'

/** The run that is looked at: the one chosen, else the newest; null while the next one is being planned. */
export function chosenRun(bench: Bench, selected: string | null, newest: string | null): string | null {
  if (selected === NEXT_RUN) return null
  return selected !== null && bench.calibrate.runs[selected] !== undefined ? selected : newest
}

/** The instrument that the next run will be read with. */
export const useChosenInstrument = create<{ readonly id: string }>()(() => ({ id: 'calipers' }))

/** The same, or the first that the bench has. */
export function useInstrument(): string {
  const id = useChosenInstrument((it) => it.id)
  return useBenchStore(({ bench }) => {
    if (bench === null || bench.instruments[id] !== undefined) return id
    return Object.keys(bench.instruments)[0] ?? ''
  })
}
