import { create } from 'zustand'
import { newestRun } from '../../core/calibrate'
import { NEXT_RUN, useBenchStore, useSession } from '../../state'

/** The run that is looked at: the one chosen, else the newest; null while the next one is being planned. */
export function useChosenRun(): string | null {
  const selected = useSession((it) => it.runId)
  return useBenchStore(({ bench }) => {
    if (bench === null || selected === NEXT_RUN) return null
    const { runs } = bench.calibrate
    return selected !== null && runs[selected] !== undefined ? selected : newestRun(bench.calibrate)
  })
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
