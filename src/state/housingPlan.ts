import { setAt, shownNumber, type FigureDef } from '../core/bench'
import { paintNeeded, SHEET_WORDS } from '../core/housing'
import { sheetsToBuy } from '../core/nesting'
import { withTasks, type Bench } from '../core/document'
import type { PlanPart, UsualTask } from '../core/schedule'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { NO_BENCH, told, type Told } from './told'

/** Work on a box with its waits; what the usual tasks have already is not there twice, for it is called alike. (common practice) */
const TASKS: readonly UsualTask[] = [
  task('panels', 'Cut the housing’s panels', 'Each against the cut plan, corners square', 120, 0, []),
  task('box-glue', 'Glue and screw the box together', 'Diagonals alike within a millimetre', 90, 24 * 60, ['panels']),
  task('paint', 'Paint the inside matt black', 'No bare wood shows', 45, 24 * 60, ['box-glue']),
  task('box-lid', 'Hang the lid, fix springs or stay', 'It stays up cold, and comes down on nobody', 60, 0, ['paint']),
  task('glaze', 'Set the certified window', 'Certificate on file, gap sealed', 30, 0, ['paint']),
]

function task(key: string, name: string, check: string, workMin: number, waitMin: number, needs: readonly string[]): UsualTask {
  return { key, name, check, workMin, waitMin, needs, noisy: key === 'panels' }
}

/** Puts sheets, paint and fittings onto the parts list and the work among the tasks; what stands there already stays as it is. @returns What stands in the way. */
export function boxOntoPlan(): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const wanted = partsOf(bench)
  if (wanted === null) return told('Say first how large the box is, and which sheet it is made of.')
  return editBench('the box onto the plan', (it) => withTasks(withParts(it, wanted), TASKS, newId))
}

type Wanted = Pick<PlanPart, 'name' | 'count' | 'price' | 'lengthMm'>

function partsOf(bench: Bench): readonly Wanted[] | null {
  const { housing } = bench
  const sheet = housing.sheets[housing.sheet]
  const engine = engineOf(bench)
  const number = <A extends string[]>(def: FigureDef<Bench, A>, ...args: A): number | null => {
    const found = shownNumber(engine.value(def, ...args).result)
    return found === null || Number.isNaN(found) ? null : found
  }
  const count = number(sheetsToBuy, housing.sheet)
  if (sheet === undefined || count === null) return null
  const named = SHEET_WORDS[sheet.kind.chosen ?? 'birch']
  const litres = number(paintNeeded)
  const one = (name: string, price = 0, howMany = 1, lengthMm = 0): Wanted => ({ name, count: howMany, price, lengthMm })
  const { lid, window } = housing
  return [
    ...(count > 0
      ? [
          one(
            `${named[0]?.toUpperCase() ?? ''}${named.slice(1)} ${sheet.thickness.typed} mm`,
            sheet.price.value ?? 0,
            count,
            sheet.along.value ?? 0,
          ),
        ]
      : []),
    ...(litres !== null && litres > 0
      ? [one('Matt black paint, a litre', housing.make.paintPrice.value ?? 0, Math.max(1, Math.ceil(litres * 1000)))]
      : []),
    one('Hinge along the lid'),
    ...(lid.springs.chosen === 'gas' || lid.springs.chosen === 'coil'
      ? [one(`${lid.springs.chosen === 'gas' ? 'Gas' : 'Coil'} spring ${lid.force.typed} N`, 0, lid.count.value ?? 2)]
      : []),
    ...(lid.seal.chosen === 'strip' ? [one('Sealing strip round the lid')] : []),
    ...(window.kept.chosen === 'yes' ? [one('Window sheet with its certificate')] : []),
  ]
}

function withParts(bench: Bench, wanted: readonly Wanted[]): Bench {
  const there = new Set(Object.values(bench.plan.parts).map((it) => it.name))
  const first = Math.max(0, ...Object.values(bench.plan.parts).map((it) => it.order))
  const added = wanted
    .filter((it) => !there.has(it.name))
    .map((it, k): [string, PlanPart] => [
      newId(),
      { ...it, order: first + k + 1, where: 'housing', state: 'needed', arrives: '', covers: '' },
    ])
  return setAt(bench, 'plan.parts', { ...bench.plan.parts, ...Object.fromEntries(added) })
}
