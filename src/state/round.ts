import { setAt, shownNumber, templateOf, worstMark, type Mark, type Verdict } from '../core/bench'
import type { Bench } from '../core/document'
import { roundSteps, tryShape, type RoundStep, type Tried, type Try } from '../core/round'
import { densityToAskFor, densityWatching, scaleNeeded } from '../core/safety'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf, useFigure } from './evaluate'
import { useVerdicts } from './judging'
import { keepRecord } from './library'
import { nextOrder } from './rotary'
import { useSession } from './session'
import { NO_BENCH, type Told } from './told'

/** A step of the round with the worst that is judged of what it rests on. */
export interface RoundLook extends RoundStep {
  readonly mark: Mark | null
  readonly worst: Verdict | null
}

/** The round of the open bench, as it stands now. */
export function useRound(): readonly RoundLook[] {
  const bench = useBenchStore((it) => it.bench)
  const density = useFigure(densityWatching)
  const scale = useFigure(scaleNeeded)
  const verdicts = useVerdicts()
  if (bench === null) return []
  const [od, lb] = [density, scale].map((it) => (it === null ? null : shownNumber(it.result)))
  const steps = roundSteps(bench, {
    density: od == null ? null : densityToAskFor(od, density?.doubt?.expanded ?? 0).toFixed(1),
    scale: lb == null ? null : String(Math.max(1, Math.ceil(lb + (scale?.doubt?.expanded ?? 0) - 1e-9))),
  })
  return steps.map((step) => {
    const mine = verdicts.filter((it) => step.rests.includes(it.def.id))
    const mark = worstMark(mine.map((it) => it.mark))
    return { ...step, mark, worst: mine.find((it) => it.mark === mark) ?? null }
  })
}

/** Writes down that a switch was tried, and what came of it. */
export function noteTry(what: Tried, went: Try['went'], note: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const made = templateOf(tryShape, { order: nextOrder(bench.round.tries), what, at: new Date().toISOString(), went, note })
  return editBench(`a try of ${what}`, (it) => setAt(it, `round.tries.${newId()}`, made))
}

/** Takes a try away that was none. */
export function removeSwitchTry(id: string): Told {
  return editBench('a try taken away', (it) => setAt(it, `round.tries.${id}`, undefined))
}

/** Steps before a burn that a stop of harm stands against: no program leaves past them, unless somebody takes that on and writes why. */
export const harmOf = (looks: readonly RoundLook[]): readonly RoundLook[] =>
  looks.filter((it) => it.when === 'before' && it.mark === 'stop' && it.worst?.def.hazard === true)

/** Keeps that the round was made: what was ticked, what was open. @param takenOn Why somebody burns against a stop of harm. */
export async function keepRound(looks: readonly RoundLook[], takenOn = ''): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { cautionsTicked } = useSession.getState()
  const open = looks.filter((it) => it.mark !== null && it.mark !== 'good').map((it) => it.head)
  const ticked = looks.filter((it) => cautionsTicked.includes(it.id)).map((it) => it.head)
  const harm = harmOf(looks).map((it) => it.head)
  const note = [
    `Looked at: ${ticked.join(' ')}`,
    ...(open.length === 0 ? [] : [`Open: ${open.join(' ')}`]),
    ...(harm.length === 0 ? [] : [`Taken on against a stop: ${harm.join(' ')} ${takenOn.trim()}`]),
  ].join('\n')
  const gave = [{ id: densityWatching.id, args: [], same: engineOf(bench).withDoubt(densityWatching).doubt?.expanded ?? 0 }]
  return keepRecord({ stage: 'safety', title: 'Round before a burn', note, redo: 'Make the round again.', beneath: [] }, gave, [])
}

/** What a bench says of how long somebody watches, ms. */
export const watchFor = (bench: Bench): number => (bench.round.watch.value ?? 1800) * 1000

/** Begins to watch after a burn, or ends it. */
export function watchUntil(at: number | null): void {
  useSession.setState({ watchUntil: at })
}
