import { figureOf, type Plain, type View } from '../bench'
import { requireInRange } from '../units'
import { beltTravelPerTurn, pitchRadius, rackTravelPerTurn, screwLead, stepsPerMm } from './drive'
import { fieldPlace } from './mirrors'
import { runOut, speedByStepRate } from './speed'
import { closure, outOfSquare, wander } from './squareness'
import type { Axis } from './axisSlice'
import type { Motion, MotionBench } from './slice'
import { aLetter, anAxis } from './subjects'

const figure = figureOf<MotionBench>()
const MICRO = { metric: 'um', inch: 'mil' } as const

function axisOf(view: View<MotionBench>, id: string): Plain<Axis> {
  const axis = view.bench.motion.axes[id]
  if (axis === undefined) throw new RangeError(`there is no axis ${id} on this bench`)
  return axis
}

export const travelPerTurn = figure({
  id: 'motion.travelPerTurn',
  of: anAxis,
  label: 'Travel a turn',
  quantity: 'length',
  show: { metric: 'mm', inch: 'in' },
  formula:
    'L = \\v{p}\\cdot \\v{z} \\quad\\text{or}\\quad L = \\v{P}\\cdot \\v{n} \\quad\\text{or}\\quad L = \\pi\\cdot \\v{m_r}\\cdot \\v{z_p}',
  forms: { by: 'motion.axes.{0}.drive', of: { screw: 1, rack: 2 } },
  symbols: {
    m_r: 'motion.axes.{0}.rackModule',
    z_p: 'motion.axes.{0}.pinionTeeth',
    p: 'motion.axes.{0}.beltPitch',
    z: 'motion.axes.{0}.pulleyTeeth',
    P: 'motion.axes.{0}.screwPitch',
    n: 'motion.axes.{0}.screwStarts',
  },
  source: 'By definition of pitch line, lead (ISO 5408) and module (ISO 54).',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const axis = axisOf(view, axisId)
    return travelPerTurnOf(axis)
  },
})

export const reduction = figure({
  id: 'motion.reduction',
  of: anAxis,
  label: 'Reduction',
  quantity: 'ratio',
  formula: 'i = \\v{g} \\quad\\text{or}\\quad i = \\v{g}\\cdot \\dfrac{\\v{z_2}}{\\v{z_1}}',
  forms: { by: 'motion.axes.{0}.drive', of: { reducedBelt: 1 } },
  symbols: {
    g: 'motion.axes.{0}.motorGear',
    z_1: 'motion.axes.{0}.motorTeeth',
    z_2: 'motion.axes.{0}.drivenTeeth',
  },
  source: 'By definition: the gear on the motor, times teeth driven over teeth driving where there is a reduction.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const axis = axisOf(view, axisId)
    return reductionOf(axis)
  },
})

export const steps = figure({
  id: 'motion.stepsPerMm',
  of: anAxis,
  label: 'Nominal steps',
  quantity: 'stepsPerLength',
  formula:
    's = \\dfrac{\\v{N}\\cdot \\v{m}\\cdot \\v{i}}{\\v{L}} \\quad\\text{or}\\quad s = \\dfrac{\\v{N}\\cdot \\v{m}\\cdot \\v{i}}{4\\pi\\,(h + e\\ \\text{or}\\ h)}',
  forms: { by: 'motion.kinematics', of: { mirrors: 1 } },
  symbols: {
    N: 'motion.axes.{0}.fullSteps',
    m: 'motion.axes.{0}.microsteps',
    i: '=motion.reduction|{0}',
    L: '=motion.travelPerTurn|{0}',
  },
  source: 'By definition: one turn moves L and takes N·m·i microsteps; for mirrors, in the middle of the field.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { fullSteps, microsteps, letter } = axisOf(view, axisId)
    const turns = view.figure(reduction, axisId)
    if (view.bench.motion.kinematics === 'mirrors' && letter !== 'Z') {
      return mirrorSteps(view.bench.motion.mirrors, fullSteps * microsteps * turns, letter)
    }
    return stepsPerMm({ fullSteps, microsteps, reduction: turns, travelPerTurnMm: view.figure(travelPerTurn, axisId) })
  },
})

function travelPerTurnOf(axis: Plain<Axis>): number {
  switch (axis.drive) {
    case 'screw':
      return screwLead({ screwPitchMm: axis.screwPitch, screwStarts: axis.screwStarts })
    case 'rack':
      return rackTravelPerTurn(axis.rackModule, axis.pinionTeeth)
    case 'belt':
    case 'reducedBelt':
      return beltTravelPerTurn({ beltPitchMm: axis.beltPitch, pulleyTeeth: axis.pulleyTeeth })
  }
}

function reductionOf(axis: Plain<Axis>): number {
  return axis.drive === 'reducedBelt' ? (axis.motorGear * axis.drivenTeeth) / axis.motorTeeth : axis.motorGear
}

/** Steps/mm in the middle of a mirror pair's field. */
function mirrorSteps(mirrors: Plain<Motion>['mirrors'], stepsPerTurn: number, letter: 'X' | 'Y'): number {
  const { height, apart, last } = mirrors
  const pair = { heightMm: height, apartMm: apart, last }
  const place = fieldPlace(pair, stepsPerTurn / (2 * Math.PI), { x: 0, y: 0 })
  return letter === 'X' ? place.stepsX : place.stepsY
}

/**
 * Nominal steps of an axis from plain numbers, as `steps` works them.
 * @returns Steps per millimetre; NaN where a fact is not entered or out of range.
 * @throws never for numbers out of range; what else goes wrong is a programmer’s mistake and goes on.
 * Valid: nominal geometry. Source: by definition, as `stepsPerMm` and `fieldPlace`.
 * @example nominalStepsOf({ kinematics: 'axes', axes: { x: { letter: 'X', drive: 'belt', beltPitch: 2, pulleyTeeth: 20, motorGear: 1, fullSteps: 200, microsteps: 16 } } }, 'x') // 80
 */
export function nominalStepsOf(motion: Plain<Motion>, axisId: string): number {
  const axis = motion.axes[axisId]
  if (axis === undefined) return Number.NaN
  try {
    const turns = reductionOf(axis)
    if (motion.kinematics === 'mirrors' && axis.letter !== 'Z') {
      return mirrorSteps(motion.mirrors, axis.fullSteps * axis.microsteps * turns, axis.letter)
    }
    const { fullSteps, microsteps } = axis
    return stepsPerMm({ fullSteps, microsteps, reduction: turns, travelPerTurnMm: travelPerTurnOf(axis) })
  } catch (error) {
    if (error instanceof RangeError) return Number.NaN
    throw error
  }
}

export const smallestStep = figure({
  id: 'motion.smallestStep',
  of: anAxis,
  label: 'Smallest step',
  quantity: 'length',
  show: MICRO,
  formula: 'd = \\dfrac{1}{\\v{s}}',
  symbols: { s: '=motion.stepsPerMm|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, axisId: string): number => 1 / view.figure(steps, axisId),
})

export const motorSpeed = figure({
  id: 'motion.motorSpeed',
  of: anAxis,
  label: 'Top speed of the motor by step rate',
  quantity: 'speed',
  formula: 'v_m = \\dfrac{\\v{f}}{\\v{s}}',
  symbols: { f: 'motion.maxStepRate', s: '=motion.stepsPerMm|{0}' },
  source: 'By definition: steps a second over steps per millimetre of its belt, screw or rack.',
  doubt: 'nudge',
  work: (view, axisId: string): number => speedByStepRate(view.bench.motion.maxStepRate, view.figure(steps, axisId)),
})

export const topSpeed = figure({
  id: 'motion.topSpeedByStepRate',
  of: anAxis,
  label: 'Top speed by step rate',
  quantity: 'speed',
  formula: 'v = \\dfrac{\\v{f}}{\\v{s}} \\quad\\text{or}\\quad v = \\dfrac{\\v{f}}{\\sqrt2\\cdot \\v{s}}',
  forms: { by: 'motion.kinematics', of: { crossed: 1 } },
  symbols: { f: 'motion.maxStepRate', s: '=motion.stepsPerMm|{0}' },
  source: 'What the motor can do; with crossed belts one motor runs √2 as fast as a path at 45°.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const along = view.figure(motorSpeed, axisId)
    return view.bench.motion.kinematics === 'crossed' ? along / Math.SQRT2 : along
  },
})

export const speedReserve = figure({
  id: 'motion.speedReserve',
  of: anAxis,
  label: 'Top speed over wanted speed',
  quantity: 'ratio',
  formula: 'r = \\dfrac{\\v{v}}{\\v{w}}',
  symbols: { v: '=motion.topSpeedByStepRate|{0}', w: 'motion.wantedSpeed' },
  source: 'By definition; 1 is the limit.',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.figure(topSpeed, axisId) / view.bench.motion.wantedSpeed,
})

export const wantedRunOut = figure({
  id: 'motion.runOut',
  of: anAxis,
  label: 'Run-out for the wanted speed',
  quantity: 'length',
  formula: 'x = \\dfrac{\\v{w}^2}{2\\cdot \\v{a}}',
  symbols: { w: 'motion.wantedSpeed', a: 'motion.axes.{0}.acceleration' },
  source: 'Uniformly accelerated motion, v² = 2as.',
  doubt: 'nudge',
  work: (view, axisId: string): number => runOut(view.bench.motion.wantedSpeed, axisOf(view, axisId).acceleration),
})

const CORNERS = {
  a: 'motion.corners.width',
  b: 'motion.corners.depth',
  p: 'motion.corners.fromOrigin',
  q: 'motion.corners.across',
}

function cornersOf(view: View<MotionBench>) {
  const { width, depth, fromOrigin, across } = view.bench.motion.corners
  return { widthMm: width, depthMm: depth, fromOriginMm: fromOrigin, acrossMm: across }
}

export const squareness = figure({
  id: 'motion.outOfSquare',
  label: 'Out of square',
  quantity: 'angle',
  formula: '\\delta = \\arcsin\\dfrac{\\v{p}^2 - \\v{q}^2}{4\\cdot \\v{a}\\cdot \\v{b}}',
  symbols: CORNERS,
  source: 'Law of cosines on both diagonals of a parallelogram.',
  doubt: 'nudge',
  work: (view): number => outOfSquare(cornersOf(view)),
})

export const slant = figure({
  id: 'motion.slant',
  label: 'Slant at the end of Y',
  quantity: 'length',
  formula: 'e = \\v{b}\\cdot \\sin \\v{\\delta}',
  symbols: { b: 'motion.corners.depth', '\\delta': '=motion.outOfSquare' },
  source: 'Definition of the sine.',
  doubt: 'nudge',
  work: (view): number => wander(view.figure(squareness), view.bench.motion.corners.depth),
})

export const cornerClosure = figure({
  id: 'motion.cornerClosure',
  label: 'Diagonals against sides',
  quantity: 'length',
  formula: 'c = \\sqrt{\\tfrac12(\\v{p}^2 + \\v{q}^2)} - \\sqrt{\\v{a}^2 + \\v{b}^2}',
  symbols: CORNERS,
  source: 'Parallelogram law; near 0 where all four readings are true.',
  doubt: 'nudge',
  work: (view): number => closure(cornersOf(view)),
})

export const squareMargin = figure({
  id: 'motion.squareMargin',
  label: 'Angle left within the accepted one',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=motion.outOfSquare' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.motion.squareWithin - Math.abs(view.figure(squareness)),
})

/** The belt's pitch radius, for its drawing. */
export const pulleyRadius = figure({
  id: 'motion.pulleyRadius',
  of: anAxis,
  label: 'Pitch radius of the pulley',
  quantity: 'length',
  formula: 'R = \\dfrac{\\v{p}\\cdot \\v{z}}{2\\pi}',
  symbols: { p: 'motion.axes.{0}.beltPitch', z: 'motion.axes.{0}.pulleyTeeth' },
  source: 'By definition of the pitch circle.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { beltPitch, pulleyTeeth } = axisOf(view, axisId)
    return pitchRadius({ beltPitchMm: beltPitch, pulleyTeeth })
  },
})

export const travelOf = figure({
  id: 'motion.travelOf',
  of: aLetter,
  label: 'Travel',
  quantity: 'length',
  formula: 'T = \\text{travel}',
  symbols: {},
  source: 'As entered, by the letter of the axis.',
  doubt: 'nudge',
  work(view, letter: string): number {
    const found = Object.values(view.bench.motion.axes).find((axis) => axis.letter === letter)
    if (found === undefined) throw new RangeError(`this bench has no ${letter} axis`)
    return found.travel
  },
})

export const frameWidth = figure({
  id: 'motion.frameWidth',
  label: 'Frame, outside width',
  quantity: 'length',
  formula: 'W = \\v{X} + \\v{c} + 2\\cdot \\v{t}',
  symbols: { X: '=motion.travelOf|X', c: 'motion.frame.carriageWidth', t: 'motion.frame.barWidth' },
  source: 'Dimension chain: travel, carriage between the side bars, two bars.',
  doubt: 'nudge',
  work(view): number {
    const { carriageWidth, barWidth } = view.bench.motion.frame
    return requireChain('frameWidth', view.figure(travelOf, 'X') + carriageWidth + 2 * barWidth)
  },
})

export const frameDepth = figure({
  id: 'motion.frameDepth',
  label: 'Frame, outside depth',
  quantity: 'length',
  formula: 'D = \\v{Y} + \\v{c} + 2\\cdot \\v{t} \\quad\\text{or}\\quad D = 2\\cdot \\v{Y} + \\v{c} + 2\\cdot \\v{t}',
  forms: { by: 'motion.kinematics', of: { bed: 1 } },
  symbols: { Y: '=motion.travelOf|Y', c: 'motion.frame.carriageDepth', t: 'motion.frame.barWidth' },
  source: 'Dimension chain: travel, gantry between the end bars, two bars; twice the travel where the bed moves.',
  doubt: 'nudge',
  work(view): number {
    const { carriageDepth, barWidth } = view.bench.motion.frame
    const times = view.bench.motion.kinematics === 'bed' ? 2 : 1
    return requireChain('frameDepth', times * view.figure(travelOf, 'Y') + carriageDepth + 2 * barWidth)
  },
})

function requireChain(name: string, value: number): number {
  if (!Number.isNaN(value)) requireInRange(name, value, 1, 10_000, 'mm')
  return value
}

export const settingSpeed = figure({
  id: 'motion.settingSpeed',
  of: anAxis,
  label: 'Top speed to set',
  quantity: 'speed',
  formula: 'v_s = \\min(\\v{w},\\, \\v{v})',
  symbols: { w: 'motion.wantedSpeed', v: '=motion.topSpeedByStepRate|{0}' },
  source: 'What is wanted, as far as the step rate allows.',
  doubt: 'nudge',
  work: (view, axisId: string): number => Math.min(view.bench.motion.wantedSpeed, view.figure(topSpeed, axisId)),
})

export const settingAcceleration = figure({
  id: 'motion.settingAcceleration',
  of: anAxis,
  label: 'Acceleration to set',
  quantity: 'acceleration',
  formula: 'a_s = \\v{a}',
  symbols: { a: 'motion.axes.{0}.acceleration' },
  source: 'As entered.',
  doubt: 'nudge',
  work: (view, axisId: string): number => axisOf(view, axisId).acceleration,
})

export const settingTravel = figure({
  id: 'motion.settingTravel',
  of: anAxis,
  label: 'Travel to set',
  quantity: 'length',
  formula: 'T_s = \\v{T}',
  symbols: { T: 'motion.axes.{0}.travel' },
  source: 'As entered.',
  doubt: 'nudge',
  work: (view, axisId: string): number => axisOf(view, axisId).travel,
})
