import { setAt } from '../core/bench'
import { emptyBench, practiceId, type Bench } from '../core/document'
import { PRACTICE_CALIPERS, type Grade } from '../core/workshop'
import { heron } from './heron'
import type { BenchBundle } from './store'

/** The bench of a practice machine: built like the demo's, with nothing read of it yet. */
export function practiceBench(grade: Grade, number: number, at: string): BenchBundle {
  const id = practiceId(grade, number)
  const { bench: built } = heron(id)
  const blank = emptyBench(id, `Practice ${number}, grade ${grade}`, at)
  const calipers = built.instruments['calipers']
  const certified = { ...calipers?.scale, typed: '0', origin: 'stated', doubt: { kind: 'standard', u: PRACTICE_CALIPERS.uScale } }
  const bench: Bench = {
    ...built,
    name: blank.name,
    about: 'A practice machine: drawn by its number, and nothing of it is real.',
    createdAt: at,
    controller: { ...blank.controller, axes: blank.controller.axes },
    calibrate: {
      ...built.calibrate,
      runs: {},
      applied: {},
      curve: {},
      trials: blank.calibrate.trials,
      markPower: blank.calibrate.markPower,
    },
    log: blank.log,
    faults: blank.faults,
    reach: blank.reach,
    round: blank.round,
    plan: blank.plan,
    output: blank.output,
  }
  return { bench: calipers === undefined ? bench : setAt(bench, 'instruments.calipers.scale', certified), records: [], files: [] }
}
