import { figureOf, NotYet, type Plain, type View } from '../bench'
import { routeBelt } from './beltRoute'
import { crossedWheels, type CrossedShape } from './crossed'
import { frameWidth, pulleyRadius, steps, travelOf } from './figures'
import { fitPlane, rockingAtSpot, shimsUnder, type BedPlane } from './level'
import { fieldGrid, fieldPlace, halfFieldInFocus, type FieldGrid, type FieldPlace, type MirrorPair } from './mirrors'
import type { Motion, MotionBench } from './slice'
import { aCrossedBelt, aFoot, anAxis } from './subjects'

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

function pairOf({ mirrors }: Plain<Motion>): MirrorPair {
  return { heightMm: mirrors.height, apartMm: mirrors.apart, last: mirrors.last }
}

/** What the corner of the field is like. */
export const mirrorCorner = figure({
  id: 'motion.mirrorCorner',
  label: 'The corner of the field',
  quantity: 'ratio',
  formula: '\\text{slopes of the angles at the corner}',
  symbols: {},
  source: 'Reflection at two plane mirrors, tested against ray tracing.',
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view): FieldPlace {
    const [x, y] = [view.figure(travelOf, 'X') / 2, view.figure(travelOf, 'Y') / 2]
    return fieldPlace(pairOf(view.bench.motion), 1, { x, y })
  },
})

/** Places of the field where the plate says how fine it is: three by three. */
export interface FieldMap {
  readonly grid: FieldGrid
  readonly places: readonly { readonly x: number; readonly y: number; readonly stepsX: number; readonly stepsY: number }[]
}

export const fieldMap = figure({
  id: 'motion.fieldMap',
  label: 'The field of the mirrors',
  quantity: 'ratio',
  formula: '\\text{slopes of the angles over the field}',
  symbols: {},
  source: 'Reflection at two plane mirrors, tested against ray tracing.',
  doubt: { none: 'A map; each number that is judged is a figure of its own.' },
  work(view): FieldMap {
    const pair = pairOf(view.bench.motion)
    const [X, Y] = [view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')]
    const ids = Object.keys(view.bench.motion.axes)
    const idOf = (letter: string): string => ids.find((id) => view.bench.motion.axes[id]?.letter === letter) ?? ''
    const middle = fieldPlace(pair, 1, { x: 0, y: 0 })
    const perRadX = view.figure(steps, idOf('X')) / middle.stepsX
    const perRadY = view.figure(steps, idOf('Y')) / middle.stepsY
    const places = [-0.5, 0, 0.5].flatMap((v) =>
      [-0.5, 0, 0.5].map((u) => {
        const at = fieldPlace(pair, 1, { x: u * X, y: v * Y })
        return { x: u * X, y: v * Y, stepsX: perRadX * at.stepsX, stepsY: perRadY * at.stepsY }
      }),
    )
    return { grid: fieldGrid(pair, X, Y), places }
  },
})

export const cornerFocusError = figure({
  id: 'motion.cornerFocusError',
  label: 'Focus error in the corner of the field',
  quantity: 'length',
  formula: '\\Delta z = \\text{way to the corner} - \\text{way to the middle}',
  symbols: {},
  source: 'Reflection at two plane mirrors.',
  doubt: 'nudge',
  work: (view): number => view.figure(mirrorCorner).focusErrorMm,
})

export const cornerSpotGrowth = figure({
  id: 'motion.cornerSpotGrowth',
  label: 'Spot in the corner, longer by a factor of',
  quantity: 'ratio',
  formula: 'g = 1/\\cos^2\\vartheta',
  symbols: {},
  source: 'Projection of a cone on a tilted plane.',
  doubt: 'nudge',
  work: (view): number => view.figure(mirrorCorner).growthAlong,
})

export const focusMargin = figure({
  id: 'motion.focusMargin',
  label: 'Depth of focus left in the corner',
  quantity: 'length',
  formula: 'm = \\v{d} - \\v{z}',
  symbols: { d: 'motion.mirrors.focusDepth', z: '=motion.cornerFocusError' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.mirrors.focusDepth - view.figure(cornerFocusError),
})

export const halfField = figure({
  id: 'motion.halfField',
  label: 'Half field in focus, along an axis',
  quantity: 'length',
  formula: 's = \\sqrt{(\\v{h} + \\v{d})^2 - \\v{h}^2}',
  symbols: { h: 'motion.mirrors.height', d: 'motion.mirrors.focusDepth' },
  source: 'Pythagoras.',
  doubt: 'nudge',
  work: (view): number => halfFieldInFocus(view.bench.motion.mirrors.height, view.bench.motion.mirrors.focusDepth),
})

export const gearWanted = figure({
  id: 'motion.gearWanted',
  of: anAxis,
  label: 'More gear for the wanted resolution',
  quantity: 'ratio',
  formula: 'i = \\dfrac{\\v{w}}{\\v{s}}',
  symbols: { w: 'motion.mirrors.wantedSteps', s: '=motion.stepsPerMm|{0}' },
  source: 'By definition: wanted steps over those in the middle of the field.',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.bench.motion.mirrors.wantedSteps / view.figure(steps, axisId),
})

export const racking = figure({
  id: 'motion.racking',
  label: 'Gantry out of square with its rails',
  quantity: 'angle',
  formula: '\\rho = \\arctan\\dfrac{\\v{l} - \\v{r}}{\\v{W} - \\v{t}}',
  symbols: { l: 'motion.racking.left', r: 'motion.racking.right', W: '=motion.frameWidth', t: 'motion.frame.barWidth' },
  source: 'Definition of the tangent; both ends are measured over the rails.',
  doubt: 'nudge',
  work(view): number {
    const { left, right } = view.bench.motion.racking
    return Math.atan((left - right) / (view.figure(frameWidth) - view.bench.motion.frame.barWidth))
  },
})

export const rackingMargin = figure({
  id: 'motion.rackingMargin',
  label: 'Angle left before the gantry racks too far',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\rho}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\rho': '=motion.racking' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.squareWithin - Math.abs(view.figure(racking)),
})

export const rocking = figure({
  id: 'motion.rocking',
  label: 'Spot wanders in the play by',
  quantity: 'length',
  formula: 'w = \\v{c}\\cdot \\dfrac{\\v{a}}{\\v{b}}',
  symbols: { c: 'motion.play.clearance', a: 'motion.play.lever', b: 'motion.play.spacing' },
  source: 'Similar triangles.',
  doubt: 'nudge',
  work(view): number {
    const { clearance, lever, spacing } = view.bench.motion.play
    return Number.isNaN(clearance) ? Number.NaN : rockingAtSpot(clearance, lever, spacing)
  },
})

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
