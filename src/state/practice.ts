import { isPracticeId, practiceOf, scorePractice, type Bench, type PracticeScore } from '../core/document'
import { drawPractice, type Mend, type PracticeMachine } from '../core/workshop'
import { useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { connectStandIn, specOf, standInSettings } from './machine'
import { useMachine } from './machineStore'
import { keepPractised, mendsOf } from './mends'
import { DONE, NO_BENCH, told, type Told } from './told'

/** Does something to the practice machine with a spanner, its power off meanwhile. @returns What stands in the way. */
export async function mendPractice(mend: Mend): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  if (!isPracticeId(bench.id)) return told('This is no practice machine: mend it at the machine itself.')
  const { link, running } = useMachine.getState()
  if (running) return told('It is running; stop it first.')
  keepPractised(bench.id, { mends: [...mendsOf(bench.id), { ...mend, at: new Date().toISOString() }] })
  return link === 'none' ? DONE : connectStandIn(1, null)
}

/** The practice machine of a bench as it was drawn, and how it scores now; null for another bench. */
export function practiceNow(bench: Bench): { readonly machine: PracticeMachine; readonly score: PracticeScore } | string | null {
  const practised = practiceOf(bench.id)
  if (practised === null) return null
  const spec = specOf(bench)
  if (typeof spec === 'string') return spec
  const settings = standInSettings(bench.id)
  if (settings['x/steps'] === undefined) return 'Connect the practice machine and read its settings first.'
  const { number, grade } = practised
  const machine = drawPractice(number, grade, spec)
  const score = scorePractice({ machine, number, spec, settings, mends: mendsOf(bench.id), bench, engine: engineOf(bench) })
  return { machine, score }
}

/** Shows the truth of a practice machine, or hides it again. */
export function showTruth(benchId: string, isShown: boolean): void {
  keepPractised(benchId, { isShown })
}
