import { create } from 'zustand'
import { newestRun, TRIAL_KINDS, TRIALS, type TrialKindId } from '../../core/calibrate'
import { NEXT_RUN, trialShown, useBenchStore, useSession } from '../../state'

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

/** Which kind of trial is shown in each part, and which trial of each kind; 'next': the one that is not burnt yet. */
export const useChosenTrials = create<{
  readonly kinds: Readonly<Record<string, TrialKindId>>
  readonly trials: Readonly<Partial<Record<TrialKindId, string>>>
}>()(() => ({ kinds: {}, trials: {} }))

/** Kinds of trial that a part shows. */
export function kindsOf(part: string): readonly TrialKindId[] {
  return TRIAL_KINDS.filter((it) => TRIALS[it].part === part)
}

/** The kind that a part shows, and the trial of it that is looked at: null while the next one is being laid out. */
export function useTrialShown(part: string): { readonly kind: TrialKindId; readonly id: string | null } {
  const [first = 'delay'] = kindsOf(part)
  const kind = useChosenTrials((it) => it.kinds[part] ?? first)
  const chosen = useChosenTrials((it) => it.trials[kind] ?? null)
  const id = useBenchStore(({ bench }) => (bench === null || chosen === NEXT_RUN ? null : trialShown(bench, kind, chosen)))
  return { kind, id }
}

export function chooseKind(part: string, kind: TrialKindId): void {
  useChosenTrials.setState(({ kinds }) => ({ kinds: { ...kinds, [part]: kind } }))
}

export function chooseTrial(kind: TrialKindId, id: string): void {
  useChosenTrials.setState(({ trials }) => ({ trials: { ...trials, [kind]: id } }))
}
