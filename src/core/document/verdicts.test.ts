import { describe, expect, it } from 'vitest'
import { setAt, type Mark, type Path, type Verdict } from '../bench'
import { heron } from '../../data/heron'
import { plover } from '../../data/plover'
import { exactly, within } from '../../../tests/facts'
import { axisTemplate, benchChoiceSpec, benchFactSpec, engineFor, judgeAll, STAGE_IDS, type Bench } from '.'

const set = (bench: Bench, ...changes: readonly (readonly [Path, unknown])[]): Bench =>
  changes.reduce((it, [path, value]) => setAt(it, path, value), bench)

const { bench: demo } = heron()
const height = (z: number) => ({ order: 1, x: 10 * z, y: 10 * z * z, height: within(z / 10, 0.01) })
/** Benches that between them have every verdict there is. */
const benches: readonly Bench[] = [
  demo,
  plover().bench,
  set(
    demo,
    ['motion.kinematics.chosen', 'crossed'],
    ['motion.crossed.motorAside', within(0, 1)],
    ['motion.racking', { left: within(41, 0.1), right: within(40, 0.1) }],
  ),
  set(
    demo,
    ['motion.kinematics.chosen', 'mirrors'],
    ['motion.heights', { a: height(0), b: height(1), c: height(2), d: height(3) }],
  ),
  set(
    demo,
    ['motion.axes.z', axisTemplate('Z', 3)],
    ['plan.goals.workHeight', exactly(30)],
    ['plan.goals.materials.vinyl', true],
  ),
]
const judged = new Map<string, { readonly verdict: Verdict; readonly bench: Bench }>()
for (const bench of benches) {
  for (const verdict of judgeAll(engineFor(bench))) judged.set(verdict.def.id, { verdict, bench })
}

const MARKS: readonly Mark[] = ['good', 'look', 'stop', 'unknown']

describe.each([...judged])('%s', (id, { verdict, bench }) => {
  const said = MARKS.map((mark) =>
    verdict.def.say({
      mark,
      args: verdict.args,
      margin: mark === 'good' ? 1 : -1,
      figure: (def, ...args) => {
        // What a sentence reads is there: an unknown figure throws.
        engineFor(bench).byId(def.id, args)
        return '1.20 mm'
      },
      fact: (path) => {
        expect(benchFactSpec(path), `${id} reads ${path}`).toBeDefined()
        return '3 mm'
      },
      word: (path) => (path.endsWith('letter') ? 'X' : 'word'),
      keys: () => ['wood', 'vinyl', 'leather'],
    }),
  )

  it('says in every case what is so, why, and never that it is safe', () => {
    for (const [i, { head, why }] of said.entries()) {
      const words = `${head}. ${why}`
      expect(head.length, MARKS[i]).toBeGreaterThan(5)
      expect(why, `${MARKS[i] ?? ''}: ${words}`).toMatch(/[.?!]$/)
      expect(words).not.toMatch(/undefined|NaN|null|\[object|\bsafe(ly|ty)?\b/)
      expect(head, words).not.toMatch(/[.,;:]$/)
    }
  })

  it('asks where it is not known, and states nothing', () => {
    // What is counted from rows of the plan, chosen, or drawn, is always known.
    const alwaysKnown =
      /^(plan\.(everythingOrdered|stockEnough|withinBudget|materialsBurn|screwsFit|bagEnough)|electrical\.(stopThere|filterInPlace|relayGrey))$/
    if (!alwaysKnown.test(id)) expect(said[MARKS.indexOf('unknown')]?.head).toMatch(/\?$/)
  })

  it('gives one thing to do where it is not good, and that thing is a fact that can be entered', () => {
    for (const [i, { next }] of said.entries()) {
      if (next === undefined) continue
      const where = 'path' in next ? next.path : next.part
      const isPart = STAGE_IDS.some((it) => where.startsWith(`${it}/`))
      const there = 'path' in next ? (benchFactSpec(next.path) ?? benchChoiceSpec(next.path)) : isPart
      expect(there, `${id}, ${MARKS[i] ?? ''}: ${where}`).toBeTruthy()
      expect(next.words, id).toMatch(/^[A-Z].*[^.]$/)
    }
    // Parts and money of the plan are rows, not facts; all others lead to one.
    if (!id.startsWith('plan.'))
      expect(
        said.some((it) => it.next !== undefined),
        id,
      ).toBe(true)
  })

  it('belongs to a stage of the route, and its limits are in order', () => {
    expect(STAGE_IDS).toContain(verdict.def.stage)
    expect(verdict.def.stopBelow).toBeLessThanOrEqual(verdict.def.goodFrom)
  })
})

it('every family of verdicts is among them', () => {
  expect([...judged.keys()].sort()).toEqual(
    expect.arrayContaining([
      'motion.bedLevel',
      'motion.beltTight',
      'motion.beltsAlike',
      'motion.fastEnough',
      'motion.fieldInFocus',
      'motion.gantrySquare',
      'motion.runsParallel',
      'motion.squareEnough',
      'motion.torqueEnough',
      'plan.materialsBurn',
      'plan.stockEnough',
      'plan.withinBudget',
      'plan.workFits',
    ]),
  )
})
