import type { TrialKindId } from './trialSlice'

/** Id of the trial of a kind that was made last; null where there is none. */
export function newestTrial(
  trials: Readonly<Record<string, { readonly kind: string; readonly order: number }>>,
  kind: TrialKindId,
): string | null {
  const own = Object.entries(trials).filter(([, it]) => it.kind === kind)
  return own.sort(([, p], [, q]) => q.order - p.order)[0]?.[0] ?? null
}
