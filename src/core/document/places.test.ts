import { describe, expect, it } from 'vitest'
import { eachFact, setAt, type Path } from '../bench'
import { KINEMATICS, type Kinematics } from '../motion'
import { heron } from '../../data/heron'
import {
  ALSO,
  assumedFacts,
  benchChoiceSpec,
  benchFactSpec,
  engineFor,
  hasField,
  hintAt,
  HINTS,
  judgeAll,
  placeOf,
  STAGE_IDS,
  type Bench,
} from '.'

const { bench: demo } = heron()
const set = (...changes: readonly (readonly [Path, unknown])[]): Bench =>
  changes.reduce((bench, [path, value]) => setAt(bench, path, value), demo)
const moved = (kinematics: Kinematics): Bench => set(['motion.kinematics.chosen', kinematics])

it('every hint stands at a fact or a choice, and is found at one', () => {
  for (const place of [...Object.keys(HINTS), ...Object.keys(ALSO)])
    expect(benchFactSpec(place) ?? benchChoiceSpec(place), place).toBeDefined()
  expect(hintAt('motion.axes.x.pulleyTeeth')).toBe('Mark one tooth and count round.')
})

describe('where a fact is entered', () => {
  it('is a stage of the route, for every fact there is', () => {
    eachFact(demo, (path) => expect(STAGE_IDS, path).toContain(placeOf(path)?.stage))
    expect(['motion.frame.guides', 'motion.frame.barWidth', 'optics.power'].map((it) => placeOf(it)?.stage)).toEqual([
      'plan',
      'motion',
      'beam',
    ])
  })

  it.each(Object.keys(KINEMATICS) as Kinematics[])(
    'of %s: whatever a verdict rests on as a guess has a field, or could never be checked',
    (kinematics) => {
      const bench = moved(kinematics)
      for (const { def, assumed } of judgeAll(engineFor(bench))) {
        for (const path of assumed) expect(hasField(bench, path), `${def.id} rests on ${path}`).toBe(true)
      }
      for (const stage of STAGE_IDS) for (const path of assumedFacts(bench, stage)) expect(hasField(bench, path), path).toBe(true)
    },
  )

  it('follows kinematics, drive, motors and what things run on', () => {
    const fields = (bench: Bench, ...paths: Path[]) => paths.map((path) => hasField(bench, path))
    expect(fields(moved('mirrors'), 'motion.mirrors.height', 'motion.axes.x.beltPitch', 'motion.frame.barWidth')).toEqual([
      true,
      false,
      false,
    ])
    expect(fields(moved('crossed'), 'motion.crossed.motorAside', 'motion.retrofit.asideX')).toEqual([true, false])
    expect(fields(moved('retrofit'), 'plan.stock.length', 'motion.frame.plateThickness')).toEqual([false, true])
    const rails = set(['motion.frame.guides.chosen', 'rails'], ['motion.axes.y.drivers.chosen', 'series'])
    expect(fields(rails, 'plan.guideStock.kerf', 'motion.frame.guideOver', 'motion.axes.y.driverCurrent')).toEqual([
      true,
      true,
      true,
    ])
    expect(fields(demo, 'plan.guideStock.kerf', 'motion.axes.y.driverCurrent', 'motion.axes.x.drivers')).toEqual([
      false,
      false,
      false,
    ])
    const screw = set(['motion.axes.x.drive.chosen', 'screw'])
    expect(fields(screw, 'motion.axes.x.screwPitch', 'motion.axes.x.pulleyTeeth', 'motion.axes.y.pulleyTeeth')).toEqual([
      true,
      false,
      true,
    ])
  })
})
