import fc from 'fast-check'
import { expect, it } from 'vitest'
import { benchSchema, benchShape, emptyBench } from '../document'
import { heron } from '../../data/heron'
import { changesBetween, eachFact, isFact, issuesOfChange, setAt, withChanges, type Path } from '.'

const { bench } = heron()
const paths: Path[] = []
eachFact(bench, (path) => paths.push(path))

it('finds what a check of the whole document finds, wherever it was changed (seed 9)', () => {
  const anything = fc.oneof(
    fc.integer(),
    fc.string(),
    fc.constant(null),
    fc.constant({}),
    fc.constant([]),
    fc.double({ noNaN: true }),
  )
  const place = fc.oneof(
    fc.constantFrom(...paths),
    fc.constantFrom(...paths).map((path) => `${path}.value`),
    fc.constantFrom(
      'name',
      'plan',
      'plan.parts',
      'plan.parts.new',
      'motion.axes.x',
      'motion.axes',
      'units',
      'nonsense',
      'controller.keys.k',
    ),
  )
  fc.assert(
    fc.property(place, anything, (path, value) => {
      const next = setAt(bench, path, value)
      const whole = benchSchema.safeParse(next).success
      expect(issuesOfChange(benchShape, bench, next).length === 0, path).toBe(whole)
    }),
    { seed: 9, numRuns: 600 },
  )
})

it('changes between two documents lead from one to the other, also through JSON (seed 10)', () => {
  const other = emptyBench('heron', 'Heron', bench.createdAt)
  expect(withChanges(bench, changesBetween(bench, other))).toEqual(other)
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.constantFrom(...paths), fc.double({ noNaN: true })), { maxLength: 6 }), (edits) => {
      const next = edits.reduce((at, [path, value]) => {
        const node = path.split('.').reduce<unknown>((it, key) => (it as Record<string, unknown>)[key], at)
        return isFact(node) ? setAt(at, path, { ...node, value }) : setAt(at, path, undefined)
      }, bench)
      const kept = JSON.parse(JSON.stringify(changesBetween(bench, next))) as ReturnType<typeof changesBetween>
      expect(withChanges(bench, kept)).toEqual(JSON.parse(JSON.stringify(next)))
    }),
    { seed: 10, numRuns: 200 },
  )
})
