import { argsOfVerdict, judge, type AnyVerdict, type Domain, type Engine, type Verdict } from '../bench'
import type { Bench } from './bench'

/** Fetches the slices of a bench that its first picture does not show; until then none of their places is known. */
export const loadLateSlices = (): Promise<unknown> => import('./lateSlices')

/** Every domain that works or judges anything, in their order; each is fetched with the stage that shows it, or at idle. */
export const DOMAIN_LOADERS = {
  motion: async () => (await import('../motion/domain')).motionDomain,
  mechanics: async () => (await import('../motion/mechanicsDomain')).mechanicsDomain,
  electrical: async () => (await import('../electrical/domain')).electricalDomain,
  optics: async () => (await import('../optics/domain')).opticsDomain,
  light: async () => (await import('../optics/lightDomain')).lightDomain,
  calibrate: async () => (await import('../calibrate/domain')).calibrateDomain,
  trials: async () => (await import('../calibrate/trialsDomain')).trialsDomain,
  beam: async () => (await import('../calibrate/beamDomain')).beamDomain,
  burn: async () => (await import('../burn/domain')).burnDomain,
  testcard: async () => (await import('../testcard/domain')).testcardDomain,
  rotary: async () => {
    await loadLateSlices()
    return (await import('../rotary/domain')).rotaryDomain
  },
  housing: async () => {
    await loadLateSlices()
    return (await import('../housing/domain')).housingDomain
  },
  sheets: async () => {
    await loadLateSlices()
    return (await import('../nesting/domain')).sheetsDomain
  },
  air: async () => {
    await loadLateSlices()
    return (await import('../air/domain')).airDomain
  },
  window: async () => {
    await loadLateSlices()
    return (await import('../safety/windowDomain')).windowDomain
  },
  safety: async () => (await import('../safety/domain')).safetyDomain,
  reach: async () => {
    await loadLateSlices()
    return (await import('../reach/domain')).reachDomain
  },
  round: async () => {
    await loadLateSlices()
    return (await import('../round/domain')).roundDomain
  },
  book: async () => (await import('../safety/bookDomain')).bookDomain,
  work: async () => (await import('../work/domain')).workDomain,
  turned: async () => {
    await loadLateSlices()
    return (await import('../work/turnedDomain')).turnedDomain
  },
  schedule: async () => (await import('../schedule/domain')).scheduleDomain,
  log: async () => {
    await loadLateSlices()
    return (await import('../log/domain')).logDomain
  },
} as const satisfies Readonly<Record<string, () => Promise<Domain>>>

export type DomainId = keyof typeof DOMAIN_LOADERS

/** What some domains ask of a bench, in their order and as each lists its own; of one stage, or of all. */
export function questionsOf(bench: Bench, domains: readonly Domain[], stage?: string): readonly Question[] {
  return domains
    .flatMap((it) => it.verdicts)
    .filter((def) => stage === undefined || def.stage === stage)
    .flatMap((def) => argsOfVerdict(def, bench).map((args) => ({ def, args })))
}

export interface Question {
  readonly def: AnyVerdict
  readonly args: readonly string[]
}

/** Verdicts of some domains over a bench, in the same order. */
export function judgeDomains(engine: Engine<Bench>, domains: readonly Domain[], stage?: string): readonly Verdict[] {
  return questionsOf(engine.bench, domains, stage).map(({ def, args }) => judge(engine, def, args))
}
