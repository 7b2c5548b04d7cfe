import { describe, expect, it } from 'vitest'
import { consequences, setAt, templateOf, type Fact, type Path } from '../bench'
import { glassesShape } from '../safety'
import { heron } from '../../data/heron'
import { plover } from '../../data/plover'
import { emptyBench, engineFor, hasField, judgeAll, STAGE_IDS, whatNext, type Beginnable, type Bench, type Todo } from '.'

const TODAY = '2026-11-26'
const empty = emptyBench('b', 'Gate', '2026-01-01T00:00:00.000Z')
const demo = heron()

function todo(bench: Bench, more: { readonly tasks?: readonly Beginnable[]; readonly records?: boolean } = {}): readonly Todo[] {
  const engine = engineFor(bench)
  const spoilt = more.records === true ? consequences(engine, demo.records, STAGE_IDS) : []
  return whatNext(engine, { verdicts: judgeAll(engine), consequences: spoilt, tasks: more.tasks ?? [], today: TODAY }, 'metric')
}

/** A bench with facts stated, exact, at their places. */
function stating(bench: Bench, facts: Readonly<Record<Path, number>>): Bench {
  return Object.entries(facts).reduce((it, [path, value]) => {
    const fact: Omit<Fact, 'typedUnit'> = { value, typed: String(value), origin: 'stated', doubt: { kind: 'exact' } }
    return setAt(it, path, { ...fact, typedUnit: 'mm' })
  }, bench)
}

const choosing = (bench: Bench, path: Path, chosen: string): Bench =>
  setAt(bench, path, { chosen, origin: 'stated', doubt: { kind: 'exact' } })

const DIODE = { 'optics.power': 5.5, 'optics.wavelength': 455 }
const GOGGLES = { 'safety.beamAtEyewear': 3 }
/** A pair is worn whose label holds this beam. */
const wearing = (bench: Bench, label = 'D 400-500 LB7'): Bench =>
  setAt(setAt(bench, 'safety.glasses.a', templateOf(glassesShape, { order: 1, name: 'A', label })), 'safety.worn', 'a')
/** Heron with what it leaves open closed: corners read well, its signal fast, its second belt as tight as the first. */
const quietDemo = stating(demo.bench, {
  'motion.corners.fromOrigin': 530.1,
  'motion.corners.across': 530.1,
  'motion.corners.width': 430,
  'motion.corners.depth': 310,
})

interface Case {
  readonly of: string
  readonly bench: Bench
  readonly more?: Parameters<typeof todo>[1]
  /** The right first lines, worked out by hand: what is on the bench, what is open because of it, what settles it. */
  readonly first: readonly RegExp[]
}

const CASES: readonly Case[] = [
  // Nothing is known: the diode settles both tests of the eyewear and two cells; the mass that moves two torques, which come
  // on the route before the two settings that the machine's list settles.
  {
    of: 'an empty bench',
    bench: empty,
    first: [/^Say what you build/, /^Copy power and wavelength/, /^Weigh what moves/, /^Read the settings/],
  },
  // The beam is known and no eyewear is proved: two stops, one certificate. It is not untouched any more.
  {
    of: 'a beam without eyewear',
    bench: stating(empty, DIODE),
    first: [/^Copy the label of your eyewear/, /^Weigh what moves/, /^Read the settings/],
  },
  // Density is proved, the label is not: one stop, in the words of that verdict.
  {
    of: 'eyewear without a scale number',
    bench: wearing(stating(empty, { ...DIODE, ...GOGGLES }), 'D 400-500 LB2'),
    first: [/^Look at the label, or choose/, /^Weigh what moves/, /^Read the settings/],
  },
  // Everything of the beam is settled: two torques, two settings, then the doubt of the drive train.
  {
    of: 'a beam with its eyewear',
    bench: wearing(stating(empty, { ...DIODE, ...GOGGLES })),
    first: [/^Weigh what moves/, /^Read the settings/, /^Read the drivers/],
  },
  // What must never be burnt stands before everything else.
  {
    of: 'vinyl to be burnt',
    bench: setAt(wearing(stating(empty, { ...DIODE, ...GOGGLES })), 'plan.goals.materials', { wood: true, vinyl: true }),
    first: [/^Take it off/, /^Weigh what moves/, /^Read the settings/],
  },
  // Both axes have other steps in the machine: one line for both, and that Y is off size follows from it.
  {
    of: 'other steps in the machine',
    bench: stating(quietDemo, { 'controller.axes.x.steps': 78, 'controller.axes.y.steps': 78 }),
    first: [/^Write the steps into the machine/],
  },
  // With another pulley the machine's steps are a fifth off: not to be burnt. Then the run's program, the run that was burnt
  // with it, and the setting that was written from it, each on what lies beneath.
  {
    of: 'a changed pulley',
    bench: stating(demo.bench, { 'motion.axes.x.pulleyTeeth': 24 }),
    more: { records: true },
    first: [
      /^Write the steps into the machine/,
      /^Write the program again: scale run$/,
      /^Burn a scale run.*X steps$/,
      /^Write X steps/,
    ],
  },
  // Its diagonals straddle the limit, its spot the banding: what needs no beam comes first.
  { of: 'the demo', bench: demo.bench, first: [/diagonals between the corners$/, /^Burn a thin line/] },
  // With the diagonals read well only the spot is open; then what the plan lets begin.
  {
    of: 'the demo, its corners measured, with tasks',
    bench: quietDemo,
    more: { tasks: [{ name: 'Cut the panels', words: 'it can be begun now and takes 2 h' }] },
    first: [/^Burn a thin line/, /^Cut the panels$/],
  },
  // The grille looks out. The router's own settings were never read: steps of two axes, the most that one act settles.
  {
    of: 'the retrofit',
    bench: plover().bench,
    first: [/^Shut the way out/, /^Read the settings/, /diagonals between the corners$/],
  },
  // Mirrors have no belts, no corners of a gantry, and no travel from stop to stop to square.
  {
    of: 'mirrors',
    bench: choosing(wearing(stating(empty, { ...DIODE, ...GOGGLES })), 'motion.kinematics', 'mirrors'),
    first: [/^Read the settings/],
  },
  // Parcels of last week are asked after, before what could merely be better.
  {
    of: 'a late parcel',
    bench: setAt(quietDemo, 'plan.parts', {
      hose: {
        order: 1,
        name: 'Hose',
        where: 'air',
        count: 1,
        state: 'ordered',
        price: 9,
        arrives: '2026-11-19',
        covers: '',
        lengthMm: 0,
      },
    }),
    first: [/^Burn a thin line/, /^Ask after “Hose”/],
  },
]

describe('what to do next', () => {
  it.each(CASES)('$of', ({ bench, more, first }) => {
    const words = todo(bench, more).map((it) => it.words)
    first.forEach((expected, i) => expect(words[i], words.join('\n')).toMatch(expected))
  })

  it('is never the same thing twice, says why in a sentence, and leads to a place that is there', () => {
    for (const { bench, more } of CASES) {
      const all = todo(bench, more)
      expect(new Set(all.map((it) => it.words)).size).toBe(all.length)
      for (const { words, why, at } of all) {
        expect(words).not.toMatch(/[.]$|undefined|NaN/)
        expect(why).toMatch(/[.?!]$/)
        const [stage = ''] = 'part' in at ? at.part.split('/') : []
        const isThere = 'path' in at ? hasField(bench, at.path) : (STAGE_IDS as readonly string[]).includes(stage)
        expect(isThere, `${words}: ${JSON.stringify(at)}`).toBe(true)
      }
    }
  })

  it('leaves out what follows from another: differing steps and a wrong size of one axis are one thing', () => {
    const bench = stating(quietDemo, { 'controller.axes.y.steps': 70 })
    const named = todo(bench).filter(({ why }) => /off size|steps differ/.test(why))
    expect(named.map((it) => it.why)).toEqual([expect.stringMatching(/^Y steps differ/)])
  })

  it('of mirrors asks for no diagonal and no belt', () => {
    const all = todo(choosing(empty, 'motion.kinematics', 'mirrors'))
      .map((it) => it.words)
      .join(' ')
    expect(all).not.toMatch(/diagonal|belt/)
  })
})
