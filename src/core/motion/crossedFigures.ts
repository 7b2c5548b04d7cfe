import { figureOf, type View } from '../bench'
import { routeBelt } from './beltRoute'
import { crossedWheels, type CrossedShape } from './crossed'
import { pulleyRadius, travelOf } from './figures'
import type { MotionBench } from './slice'
import { aCrossedBelt } from './subjects'

const figure = figureOf<MotionBench>()

/** A belt may grow by this much over the travel, mm (common practice). */
const MOST_GROWTH = 0.3
const PARALLEL = 'Geometry of common tangents, at the four corners of the travel.'

/** Wheels from the facts of a bench; the carriage's and the gantry's own sizes say where they stand. */
function crossedShape(view: View<MotionBench>): CrossedShape {
  const { crossed, frame, axes } = view.bench.motion
  const x = Object.keys(axes).find((id) => axes[id]?.letter === 'X') ?? ''
  return {
    travelX: view.figure(travelOf, 'X'),
    travelY: view.figure(travelOf, 'Y'),
    endX: frame.carriageWidth / 2 + frame.barWidth / 2,
    endY: frame.carriageDepth / 2 + frame.barWidth / 2,
    motorRadius: view.figure(pulleyRadius, x),
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
