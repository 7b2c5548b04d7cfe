import { expect, it } from 'vitest'
import { getAt, isFact, setAt, shownNumber } from '../../core/bench'
import { emptyBench, engineFor, type Bench } from '../../core/document'
import { KINEMATICS, type Kinematics } from '../../core/motion'
import { heron } from '../../data/heron'
import { chainOf } from './chain'

const { bench } = heron()
const moved = (kinematics: Kinematics): Bench => setAt(bench, 'motion.kinematics.chosen', kinematics)
const outside = (of: Bench, id: string) => shownNumber(engineFor(of).byId(id, []).result)

it.each(Object.keys(KINEMATICS) as Kinematics[])(
  'the links of %s stand end to end and come to the outside that is worked',
  (kinematics) => {
    const of = moved(kinematics)
    for (const [letter, id] of [
      ['X', 'motion.frameWidth'],
      ['Y', 'motion.frameDepth'],
    ] as const) {
      const links = chainOf(of, letter)!
      expect(links[0]?.from).toBe(0)
      for (const [i, { from, to, path }] of links.entries()) {
        const fact = getAt(of, path)
        expect(to - from).toBeCloseTo(isFact(fact) ? (fact.value ?? Number.NaN) : Number.NaN, 9)
        if (i > 0) expect(from).toBe(links[i - 1]?.to)
      }
      expect(links.at(-1)?.to).toBeCloseTo(outside(of, id) ?? Number.NaN, 9)
    }
  },
)

it('a moving bed takes its travel on both sides of the gantry; nothing is drawn of what is not entered', () => {
  expect(chainOf(moved('bed'), 'Y')?.map((it) => it.name)).toEqual(['bar', 'travel of Y', 'gantry', 'travel of Y', 'bar'])
  expect(chainOf(moved('bed'), 'X')?.map((it) => it.name)).toEqual(['bar', 'travel of X', 'carriage', 'bar'])
  expect(chainOf(emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z'), 'X')).toBeNull()
})
