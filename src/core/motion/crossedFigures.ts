import { figureOf, type View } from '../bench'
import { routeBelt } from './beltRoute'
import { crossedWheels, deadMotor, slantOfUnlike, wiringFault, type CrossedShape } from './crossed'
import { pulleyRadius, steps, travelOf } from './figures'
import { tension } from './driveFigures'
import type { MotionBench } from './slice'
import { aCrossedBelt, aMotorPair } from './subjects'

const figure = figureOf<MotionBench>()

/** A belt may grow by this much over the travel, mm (common practice). */
const MOST_GROWTH = 0.3
const PARALLEL = 'Geometry of common tangents, at the four corners of the travel.'

/** Wheels from the facts of a bench; the carriage's and the gantry's own sizes say where they stand. */
function crossedShape(view: View<MotionBench>): CrossedShape {
  const { crossed, frame, axes } = view.bench.motion
  const of = (letter: string): string => Object.keys(axes).find((id) => axes[id]?.letter === letter) ?? ''
  return {
    travelX: view.figure(travelOf, 'X'),
    travelY: view.figure(travelOf, 'Y'),
    endX: frame.carriageWidth / 2 + frame.barWidth / 2,
    endY: frame.carriageDepth / 2 + frame.barWidth / 2,
    // The left motor stands under X, the right one under Y.
    motorRadius: view.figure(pulleyRadius, of('X')),
    motorRadiusRight: view.figure(pulleyRadius, of('Y')),
    idlerRadius: crossed.idlerDiameter / 2,
    motorAside: crossed.motorAside,
    halfCarriage: frame.carriageWidth / 2,
  }
}

/** The shape that the plate draws. */
export const crossedLayout = figure({
  id: 'motion.crossedLayout',
  label: 'Where the wheels stand',
  quantity: 'length',
  formula: '\\text{from travel, carriage, bars, pulleys and idlers}',
  symbols: {},
  source: 'Dimension chain.',
  doubt: { none: 'A set of places; each that is shown is a figure of its own.' },
  work: (view): CrossedShape => crossedShape(view),
})

function lengthAt(shape: CrossedShape, belt: string, x: number, y: number): number {
  return routeBelt(crossedWheels(shape, { x, y })[belt === 'b' ? 'b' : 'a']).length
}

export const crossedBeltLength = figure({
  id: 'motion.crossedBeltLength',
  of: aCrossedBelt,
  label: 'Length of the crossed belt, clamp to clamp',
  quantity: 'length',
  formula: 'B = \\sum \\text{runs} + \\sum r\\,\\varphi',
  symbols: {},
  source: PARALLEL,
  doubt: 'nudge',
  work(view, belt: string): number {
    const shape = crossedShape(view)
    if (Object.values(shape).some(Number.isNaN)) return Number.NaN
    return lengthAt(shape, belt, shape.travelX / 2, shape.travelY / 2)
  },
})

export const crossedSlack = figure({
  id: 'motion.crossedSlack',
  of: aCrossedBelt,
  label: 'Belt grows and shrinks over the travel by',
  quantity: 'length',
  formula: '\\Delta B = \\max B - \\min B',
  symbols: {},
  source: `${PARALLEL} Runs that are parallel to the axes leave it at 0.`,
  doubt: 'nudge',
  work(view, belt: string): number {
    const shape = crossedShape(view)
    if (Object.values(shape).some(Number.isNaN)) return Number.NaN
    const { travelX: X, travelY: Y } = shape
    const lengths = [
      lengthAt(shape, belt, 0, 0),
      lengthAt(shape, belt, X, 0),
      lengthAt(shape, belt, X, Y),
      lengthAt(shape, belt, 0, Y),
    ]
    return Math.max(...lengths) - Math.min(...lengths)
  },
})

export const crossedMargin = figure({
  id: 'motion.crossedMargin',
  of: aCrossedBelt,
  label: 'Growth left for the crossed belt',
  quantity: 'length',
  formula: 'm = 0.3\\,\\mathrm{mm} - \\v{B}',
  symbols: { B: '=motion.crossedSlack|{0}' },
  source: 'By definition; 0 is the limit (common practice).',
  doubt: 'nudge',
  work: (view, belt: string): number => MOST_GROWTH - view.figure(crossedSlack, belt),
})

export const crossedSlant = figure({
  id: 'motion.crossedSlant',
  of: aMotorPair,
  label: 'A line along X leans, were both motors set alike',
  quantity: 'angle',
  formula: '\\delta = \\arctan\\dfrac{\\v{s_r} - \\v{s_l}}{\\v{s_r} + \\v{s_l}}',
  symbols: { s_l: '=motion.stepsPerMm|{0}', s_r: '=motion.stepsPerMm|{1}' },
  source: 'Crossed belts: x = (a + b)/2, y = (a − b)/2, where one number of steps stands for both motors.',
  doubt: 'nudge',
  work(view, left: string, right: string): number {
    const ratio = view.figure(steps, left) / view.figure(steps, right)
    return Number.isNaN(ratio) ? Number.NaN : slantOfUnlike(ratio)
  },
})

/** Less than a line's width over the largest work, rad (common practice). */
export const LEAST_SLANT = 1e-4

export const crossedSlantMargin = figure({
  id: 'motion.crossedSlantMargin',
  of: aMotorPair,
  label: 'Lean left before both motors step unlike',
  quantity: 'angle',
  formula: 'm = 0.0001 - |\\v{\\delta}|',
  symbols: { '\\delta': '=motion.crossedSlant|{0}|{1}' },
  source: 'A tenth of a millimetre over a metre (common practice).',
  doubt: 'nudge',
  work: (view, left: string, right: string): number => LEAST_SLANT - Math.abs(view.figure(crossedSlant, left, right)),
})

export const crossedAlike = figure({
  id: 'motion.crossedAlike',
  of: aMotorPair,
  label: 'Both crossed belts alike, share left',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\v{w} - \\left|\\dfrac{\\v{T_r}}{\\v{T_l}} - 1\\right|',
  symbols: { w: 'motion.belts.alikeWithin', T_l: '=motion.tension|{0}|A', T_r: '=motion.tension|{1}|A' },
  source: 'By definition; what both readings share (mass) cancels.',
  doubt: 'nudge',
  work(view, left: string, right: string): number {
    const share = view.figure(tension, right, 'A') / view.figure(tension, left, 'A') - 1
    return view.bench.motion.belts.alikeWithin - Math.abs(share)
  },
})

export const crossedPlay = figure({
  id: 'motion.crossedPlay',
  label: 'Head gives, for the play of both clamps, by',
  quantity: 'length',
  formula: 'p = \\dfrac{\\v{p_l} + \\v{p_r}}{2}',
  symbols: { p_l: 'motion.crossed.clampPlayLeft', p_r: 'motion.crossed.clampPlayRight' },
  source: 'x = (a + b)/2: along an axis both belts give, each half of its play.',
  doubt: 'nudge',
  work(view): number {
    const { clampPlayLeft, clampPlayRight } = view.bench.motion.crossed
    return (clampPlayLeft + clampPlayRight) / 2
  },
})

/** Between the two layers of belt, so that neither rubs, mm (common practice). */
const LAYERS_APART = 1

export const layersMargin = figure({
  id: 'motion.layersMargin',
  label: 'Room between the two layers of belt',
  quantity: 'length',
  formula: 'm = |\\v{h_l} - \\v{h_r}| - \\v{w} - 1\\,\\mathrm{mm}',
  symbols: {
    h_l: 'motion.crossed.heightLeft',
    h_r: 'motion.crossed.heightRight',
    w: 'motion.crossed.beltWidth',
  },
  source: 'By definition; a millimetre of air keeps them from rubbing (common practice).',
  doubt: 'nudge',
  work(view): number {
    const { heightLeft, heightRight, beltWidth } = view.bench.motion.crossed
    return Math.abs(heightLeft - heightRight) - beltWidth - LAYERS_APART
  },
})

/** What each finding of the first power-up is as a margin: above 0 all is well. */
const WIRED = { right: 1, miswired: -1, dead: -2, unexplained: -3 } as const

export const crossedWired = figure({
  id: 'motion.crossedWired',
  of: aMotorPair,
  label: 'First power-up: 1 right, −1 plugs, −2 a dead motor, −3 not explained',
  quantity: 'count',
  formula: '\\text{where the head went for } {+X} \\text{ and } {+Y} \\text{ against } x = (a + b)/2,\\ y = (a - b)/2',
  symbols: {},
  source: 'The eight signed swaps of two motors, and the diagonals of one alone.',
  doubt: { none: 'Two choices.' },
  work(view, _left: string, _right: string): number {
    const { wentForX, wentForY } = view.bench.motion.crossed
    if (deadMotor(wentForX, wentForY) !== null) return WIRED.dead
    const fault = wiringFault(wentForX, wentForY)
    if (fault === null) return WIRED.unexplained
    return fault.swapped || fault.reversedA || fault.reversedB ? WIRED.miswired : WIRED.right
  },
})
