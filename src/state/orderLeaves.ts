import { axisIds, wordingOf, type Bench } from '../core/document'
import type { Verdict } from '../core/bench'
import { whyNotBurnt } from '../core/safety'
import { refused, type Finding, type Outcome, type UnitSystem } from '../core/units'
import { fitsTravel, leavesTravel } from '../core/work'
import type { PlannedProgram } from '../workers/work.worker'
import { doubtOfFullPower } from './scaleRun'
import { engineOf } from './evaluate'

/** Travel of X and Y, mm; null where it is not known. */
export function travelOfBench(bench: Bench): { readonly x: number | null; readonly y: number | null } {
  const of = (letter: string): number | null => {
    const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter)
    return id === undefined ? null : (bench.motion.axes[id]?.travel.value ?? null)
  }
  return { x: of('X'), y: of('Y') }
}

/**
 * Why a planned order does not leave as it is: a guessed power word, ways beyond the travel, what must not be done, lines that are wrong.
 * @param verdicts Those that count for it: what is a stop does not leave.
 */
export function whyOrderStays(
  bench: Bench,
  program: PlannedProgram,
  verdicts: readonly Verdict[],
  units: UnitSystem,
): readonly Finding[] {
  const doubtful = doubtOfFullPower(bench)
  const stopped = verdicts
    // Ways beyond the travel are said of the program itself.
    .filter((it) => it.mark === 'stop' && it.def.id !== fitsTravel.id)
    .map((it): Finding => {
      const { head, why } = wordingOf(engineOf(bench), it, units)
      return { code: it.def.id, severity: 'error', message: `${head}: ${why}` }
    })
  return [
    ...(doubtful === null ? [] : [doubtful]),
    ...leavesTravel(program.bounds, travelOfBench(bench)),
    ...stopped,
    ...program.findings.filter((it) => it.severity === 'error'),
  ]
}

/** Refuses, in words, what nobody may burn: a material of the never list, or one that nobody has said. @returns Null where it may be. */
export function refusedMaterial({ burns, work }: Bench): Outcome<never> | null {
  const against = whyNotBurnt(burns.materials[work.material]?.kind ?? '')
  if (against === null) return null
  const how = work.material === '' ? ' Say which material of the book the sheet is, under the drawing.' : ''
  return refused('not-burnt', `This sheet is not burnt. ${against}.${how}`)
}
