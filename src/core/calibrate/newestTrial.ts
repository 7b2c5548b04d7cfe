import type { TrialKindId } from './trialSlice'

/** Id of the trial of a kind that was made last; null where there is none. */
export function newestTrial(
  trials: Readonly<Record<TrialKindId, Readonly<Record<string, { readonly order: number }>>>>,
  kind: TrialKindId,
): string | null {
  return Object.entries(trials[kind]).sort(([, p], [, q]) => q.order - p.order)[0]?.[0] ?? null
}
