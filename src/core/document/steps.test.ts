import { describe, expect, it } from 'vitest'
import { getAt, isChoice, isFact, setAt } from '../bench'
import { KINEMATICS, type Kinematics } from '../motion'
import { usualTasks, wayBack } from '../schedule'
import { AIDED, DOMAINS, emptyBench, stepAid } from '.'

const empty = emptyBench('b', 'Gate', '2026-01-01T00:00:00.000Z')
const on = (kinematics: Kinematics) => setAt(empty, 'motion.kinematics.chosen', kinematics)
const verdicts = new Set(DOMAINS.flatMap((it) => it.verdicts.map(({ id }) => id)))
const kinds = Object.keys(KINEMATICS) as Kinematics[]

describe('what stands in a step', () => {
  it.each(kinds)('of %s names facts that are there and verdicts that are judged', (kinematics) => {
    for (const { key } of [...usualTasks(kinematics, { portable: true, rotary: true, kit: true }), ...wayBack()]) {
      const { facts, verdicts: ids } = stepAid(key, on(kinematics))
      for (const path of facts) {
        const node = getAt(on(kinematics), path)
        expect(isFact(node) || isChoice(node), `${key}: ${path}`).toBe(true)
      }
      for (const id of ids) expect(verdicts.has(id), `${key}: ${id}`).toBe(true)
    }
  })

  it('is of a usual task: no kind is left over', () => {
    const usual = new Set(
      [...kinds.flatMap((it) => usualTasks(it, { portable: true })), ...usualTasks('gantry', { kit: true }), ...wayBack()].map(
        ({ key }) => key,
      ),
    )
    expect(AIDED.filter((it) => !usual.has(it))).toEqual([])
  })

  it('squaring has the four lengths and its verdict; belts have a tone each, one a motor where they cross', () => {
    const { facts, verdicts: ids } = stepAid('square', on('gantry'))
    expect(facts.map((it) => it.split('.').at(-1))).toEqual(['width', 'depth', 'fromOrigin', 'across'])
    expect(ids).toEqual(['motion.squareEnough'])
    const two = setAt(on('gantry'), 'motion.axes.y.motors.value', 2)
    expect(stepAid('belts', two).facts).toEqual(
      ['x.freeSpan', 'x.toneA', 'y.freeSpan', 'y.toneA', 'y.toneB'].map((it) => `motion.axes.${it}`),
    )
    expect(stepAid('belts', setAt(two, 'motion.kinematics.chosen', 'crossed')).facts).toHaveLength(4)
    expect(stepAid('', on('gantry'))).toEqual({ facts: [], verdicts: [], at: null, lists: [] })
  })
})
