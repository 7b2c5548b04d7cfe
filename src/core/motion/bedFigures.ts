import { figureOf, NotYet, type View } from '../bench'
import { travelOf } from './figures'
import { fitPlane, shimsUnder, type BedPlane } from './level'
import type { MotionBench } from './slice'
import { aFoot } from './subjects'

const figure = figureOf<MotionBench>()

/** Fewer places say nothing of a plane. */
const LEAST_PLACES = 4

function heightsOf(view: View<MotionBench>) {
  const all = Object.values(view.bench.motion.heights)
  if (all.length < LEAST_PLACES) throw new NotYet(`read the height of the bed at ${LEAST_PLACES} places or more`)
  return all.map(({ x, y, height }) => ({ x, y, height }))
}

export const bedPlane = figure({
  id: 'motion.bedPlane',
  label: 'The plane of the bed',
  quantity: 'ratio',
  formula: 'z = a x + b y + c',
  symbols: {},
  source: 'Least squares over the heights read.',
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work: (view): BedPlane => fitPlane(heightsOf(view)),
})

export const bedRange = figure({
  id: 'motion.bedRange',
  label: 'Bed, highest less lowest',
  quantity: 'length',
  formula: '\\Delta = \\max z - \\min z',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const heights = heightsOf(view).map((it) => it.height)
    return Math.max(...heights) - Math.min(...heights)
  },
})

export const bedLeftOver = figure({
  id: 'motion.bedLeftOver',
  label: 'What shims would leave',
  quantity: 'length',
  formula: '\\Delta_s = \\max e - \\min e',
  symbols: {},
  source: 'Residuals of the plane: what no tilting takes away.',
  doubt: 'nudge',
  work(view): number {
    heightsOf(view)
    const { residuals } = view.figure(bedPlane)
    return Math.max(...residuals) - Math.min(...residuals)
  },
})

export const levelMargin = figure({
  id: 'motion.levelMargin',
  label: 'Height left within the accepted one',
  quantity: 'length',
  formula: 'm = \\v{\\ell} - \\v{\\Delta}',
  symbols: { '\\ell': 'motion.levelWithin', '\\Delta': '=motion.bedRange' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.levelWithin - view.figure(bedRange),
})

export const shim = figure({
  id: 'motion.shim',
  of: aFoot,
  label: 'Shim under a foot',
  quantity: 'length',
  formula: 's = \\max_k(a x_k + b y_k) - (a x + b y)',
  symbols: {},
  source: 'The plane at the corners of the frame; no foot is lowered.',
  doubt: 'nudge',
  work(view, foot: string): number {
    heightsOf(view)
    const [X, Y] = [view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')]
    const places = [0, Y].flatMap((y) => [0, X].map((x) => ({ x, y })))
    return shimsUnder(view.figure(bedPlane), places)[Number(foot)] ?? Number.NaN
  },
})
