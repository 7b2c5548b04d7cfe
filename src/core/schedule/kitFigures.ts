import { figureOf, NotYet, valuesOf } from '../bench'
import type { MotionBench } from '../motion'
import { kitGaps, kitWants, type KitGap, type KitMachine } from './kit'
import type { KindId } from './kindIds'
import type { PlanBench } from './slice'

type KitBench = PlanBench & MotionBench
const figure = figureOf<KitBench>()

export const kitMachine = figure({
  id: 'plan.kitMachine',
  label: 'The machine that a kit is of',
  quantity: 'count',
  formula: '\\text{kinematics, guides, bars, plates, axes}',
  symbols: {},
  source: 'The machine as Motion has it.',
  doubt: { none: 'A description; what follows from it is counted.' },
  work({ bench: { motion } }): KitMachine {
    const { kinematics, frame } = motion
    const isCrossed = kinematics === 'crossed'
    const axes = Object.values(motion.axes).map((axis) => ({
      letter: axis.letter,
      drive: axis.drive,
      motors: isCrossed && axis.letter !== 'Z' ? 1 : axis.motors,
    }))
    return { kinematics, guides: frame.guides, barWidth: frame.barWidth, plateThickness: frame.plateThickness, axes }
  },
})

export const kitLacks = figure({
  id: 'plan.kitLacks',
  label: 'What the kit lacks',
  quantity: 'count',
  formula: '\\text{kinds of which fewer were counted than the machine takes}',
  symbols: {},
  source: 'What such machines are made of (common practice).',
  doubt: { none: 'A list; how many are missing is a figure of its own.' },
  work(view): readonly KitGap[] {
    const rows = valuesOf(view.rows((it) => it.plan.counted))
    if (rows.length === 0) throw new NotYet('tip the bag out and count what is in it')
    const counted: Partial<Record<KindId, number>> = {}
    for (const { kind, count } of rows) counted[kind] = (counted[kind] ?? 0) + count
    return kitGaps(kitWants(view.figure(kitMachine)), counted)
  },
})

export const kitMissing = figure({
  id: 'plan.kitMissing',
  label: 'Parts missing from the kit',
  quantity: 'count',
  formula: 'n = \\sum (\\text{least} - \\text{counted})',
  symbols: {},
  source: 'By addition over the kinds of which too few were counted.',
  doubt: { none: 'A count.' },
  work: (view): number => view.figure(kitLacks).reduce((sum, { want, counted }) => sum + want.least - counted, 0),
})

export const kitMargin = figure({
  id: 'plan.kitMargin',
  label: 'Parts to spare in the kit, below 0 missing',
  quantity: 'count',
  formula: 'm = -\\v{n}',
  symbols: { n: '=plan.kitMissing' },
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'A count.' },
  work: (view): number => -view.figure(kitMissing),
})
