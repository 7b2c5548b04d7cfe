import { figureOf, findRoot, NotYet, type Plain, type View } from '../bench'
import { closedBeltLength } from './beltRoute'
import { pitchRadius } from './drive'
import { reduction, topSpeed, travelPerTurn } from './figures'
import type { Axis } from './axisSlice'
import type { MotionBench } from './slice'
import { tensionFromTone, toneForTension } from './tension'
import {
  behindDriver,
  cornerSpeedOfWinding,
  microstepTorque,
  runningTorque,
  torqueAt,
  torqueCurve,
  torqueNeeded,
  type TorqueCurve,
  type Winding,
} from './torque'
import { aBelt, anAxis } from './subjects'

const figure = figureOf<MotionBench>()

function axisOf(view: View<MotionBench>, id: string): Plain<Axis> {
  const axis = view.bench.motion.axes[id]
  if (axis === undefined) throw new RangeError(`there is no axis ${id} on this bench`)
  return axis
}

function windingOf(view: View<MotionBench>, id: string): Winding {
  const axis = axisOf(view, id)
  const { holdingTorque, ratedCurrent, windingResistance, windingInductance, fullSteps, currentIs } = axis
  const voltage = view.bench.motion.motorVoltage
  const winding = { resistance: windingResistance, inductance: windingInductance, voltage, fullSteps }
  const own = { holdingTorque, ratedCurrent, ...winding, setting: currentIs }
  // Crossed belts have a motor each, whatever was said of the axis before.
  if (isCrossed(view) || axis.motors !== 2 || axis.drivers === 'each') return own
  return behindDriver(own, { drivers: axis.drivers, driverCurrent: axis.driverCurrent })
}

/** Crossed belts: at 45° one motor does all, at √2 times the speed of the path. */
function isCrossed(view: View<MotionBench>): boolean {
  return view.bench.motion.kinematics === 'crossed'
}

export const travelPerRotorTurn = figure({
  id: 'motion.travelPerRotorTurn',
  of: anAxis,
  label: 'Travel a turn of the rotor',
  quantity: 'length',
  formula: 'L_r = \\dfrac{\\v{L}}{\\v{i}}',
  symbols: { L: '=motion.travelPerTurn|{0}', i: '=motion.reduction|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, axisId: string): number => view.figure(travelPerTurn, axisId) / view.figure(reduction, axisId),
})

export const windingSpeed = figure({
  id: 'motion.windingSpeed',
  of: anAxis,
  label: 'Full torque up to',
  quantity: 'speed',
  formula: 'v_c = \\dfrac{\\omega_c}{2\\pi}\\cdot \\v{L_r},\\quad V^2 = (\\hat I R + K\\omega_c)^2 + (p\\,\\omega_c L \\hat I)^2',
  symbols: { L_r: '=motion.travelPerRotorTurn|{0}' },
  source:
    'Phasor balance of one phase, K = T/(√2·I), Î = I or √2·I after what the setting means, p = full steps / 4; two motors on one driver share its current or its voltage; with crossed belts the path is slower by √2.',
  doubt: 'nudge',
  work: (view, axisId: string): number =>
    ((cornerSpeedOfWinding(windingOf(view, axisId)) / (2 * Math.PI)) * view.figure(travelPerRotorTurn, axisId)) /
    (isCrossed(view) ? Math.SQRT2 : 1),
})

export const neededTorque = figure({
  id: 'motion.neededTorque',
  of: anAxis,
  label: 'Torque to speed up',
  quantity: 'torque',
  formula:
    'T = (\\v{m}\\cdot \\v{a} + \\v{F})\\cdot \\dfrac{\\v{L_r}}{2\\pi\\cdot \\v{n}} + \\v{J}\\cdot \\v{a}\\cdot \\dfrac{2\\pi}{\\v{L_r}} \\quad\\text{or}\\quad T = (\\v{m}\\cdot \\v{a} + \\v{F})\\cdot \\dfrac{\\v{L_r}}{2\\pi\\sqrt2} + \\v{J}\\cdot \\v{a}\\cdot \\dfrac{2\\pi\\sqrt2}{\\v{L_r}}',
  forms: { by: 'motion.kinematics', of: { crossed: 1 } },
  symbols: {
    m: 'motion.axes.{0}.movingMass',
    a: 'motion.axes.{0}.acceleration',
    F: 'motion.axes.{0}.friction',
    L_r: '=motion.travelPerRotorTurn|{0}',
    n: 'motion.axes.{0}.motors',
    J: 'motion.axes.{0}.rotorInertia',
  },
  source: "Newton's second law; one motor's share; with crossed belts on a path at 45°, where one motor does all.",
  doubt: 'nudge',
  work(view, axisId: string): number {
    const axis = axisOf(view, axisId)
    const { movingMass, friction, acceleration, rotorInertia } = axis
    // Crossed belts have a motor each.
    const motors = isCrossed(view) ? 1 : axis.motors
    const travelPerRotorTurnMm = view.figure(travelPerRotorTurn, axisId)
    const load = { mass: movingMass, friction, acceleration, rotorInertia, motors, travelPerRotorTurnMm }
    return torqueNeeded({ ...load, crossed: isCrossed(view) })
  },
})

export const motorCurrent = figure({
  id: 'motion.motorCurrent',
  of: anAxis,
  label: 'Current that a motor gets',
  quantity: 'current',
  formula: 'I_m = \\min(I,\\; I_d / n)',
  symbols: {},
  source:
    'Kirchhoff: two motors in parallel split the current of their driver, in series both carry it; never over the rated one.',
  doubt: 'nudge',
  work: (view, axisId: string): number => windingOf(view, axisId).ratedCurrent,
})

export const torqueRunning = figure({
  id: 'motion.torqueRunning',
  of: anAxis,
  label: 'Torque while it runs',
  quantity: 'torque',
  formula:
    'T_r = \\dfrac{\\v{T_h}}{\\sqrt2}\\cdot\\dfrac{\\v{I_m}}{\\v{I}} \\quad\\text{or}\\quad T_r = \\v{T_h}\\cdot\\dfrac{\\v{I_m}}{\\v{I}}',
  forms: { by: 'motion.axes.{0}.currentIs', of: { effective: 1 } },
  symbols: {
    T_h: 'motion.axes.{0}.holdingTorque',
    I_m: '=motion.motorCurrent|{0}',
    I: 'motion.axes.{0}.ratedCurrent',
  },
  source:
    'Holding torque is read with both phases at the rated current (common practice); a sine of that peak gives 1/√2 of it, of that effective value all of it. Two motors on one driver share its current.',
  doubt: 'nudge',
  work: (view, axisId: string): number => runningTorque(windingOf(view, axisId)),
})

/** Torque that an axis's motor still has at a speed of the axis, N·m; for the chart. */
export const torqueAtWanted = figure({
  id: 'motion.torqueAtWanted',
  of: anAxis,
  label: 'Torque left at the wanted speed',
  quantity: 'torque',
  formula: 'T_w = \\v{T_r}\\cdot \\min(1,\\; \\v{v_c} / \\v{w})',
  symbols: { T_r: '=motion.torqueRunning|{0}', v_c: '=motion.windingSpeed|{0}', w: 'motion.wantedSpeed' },
  source: 'Constant power above the corner speed (common practice); a motor’s own curve is better.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const belt = view.bench.motion.wantedSpeed * (isCrossed(view) ? Math.SQRT2 : 1)
    const rotorTurns = belt / view.figure(travelPerRotorTurn, axisId)
    return torqueAt(windingOf(view, axisId), 2 * Math.PI * rotorTurns)
  },
})

export const torqueOverSpeed = figure({
  id: 'motion.torqueOverSpeed',
  of: anAxis,
  label: 'Torque over speed',
  quantity: 'torque',
  formula: 'T(v) = T_r\\cdot \\min(1,\\; v_c / v)',
  symbols: {},
  source: 'Constant power above the corner speed (common practice); a motor’s own curve is better.',
  doubt: { none: 'A curve; what is judged of it is a figure of its own.' },
  work(view, axisId: string): TorqueCurve {
    const widest =
      1.25 * Math.max(view.bench.motion.wantedSpeed, view.figure(topSpeed, axisId), view.figure(windingSpeed, axisId))
    const travel = view.figure(travelPerRotorTurn, axisId) / (isCrossed(view) ? Math.SQRT2 : 1)
    return torqueCurve(windingOf(view, axisId), travel, widest)
  },
})

export const torqueReserve = figure({
  id: 'motion.torqueReserve',
  of: anAxis,
  label: 'Torque to spare at the wanted speed',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'r = 1 - \\dfrac{\\v{T}}{\\v{T_w}}',
  symbols: { T_w: '=motion.torqueAtWanted|{0}', T: '=motion.neededTorque|{0}' },
  source: 'By definition; half is good, under 0 steps are lost (common practice).',
  doubt: 'nudge',
  work: (view, axisId: string): number => 1 - view.figure(neededTorque, axisId) / view.figure(torqueAtWanted, axisId),
})

export const torqueOfMicrostep = figure({
  id: 'motion.microstepTorque',
  of: anAxis,
  label: 'Torque of one microstep, of the holding torque',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: '\\sin\\dfrac{90^\\circ}{\\v{m}}',
  symbols: { m: 'motion.axes.{0}.microsteps' },
  source: 'The torque of a two-phase stepper is a sine of its load angle.',
  doubt: 'nudge',
  work: (view, axisId: string): number => microstepTorque(axisOf(view, axisId).microsteps),
})

export const centreDistance = figure({
  id: 'motion.centreDistance',
  of: anAxis,
  label: 'Motor to driven wheel, for the closed belt',
  quantity: 'length',
  formula:
    '\\v{B} = 2C\\cos\\varphi + \\tfrac{\\pi}{2}(d_1 + d_2) + \\varphi(d_2 - d_1),\\quad \\sin\\varphi = \\dfrac{d_2 - d_1}{2C}',
  symbols: { B: 'motion.axes.{0}.closedBelt' },
  source: 'Geometry of the open belt drive, solved for the distance.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { closedBelt, beltPitch, motorTeeth, drivenTeeth } = axisOf(view, axisId)
    const [d1, d2] = [motorTeeth, drivenTeeth].map((teeth) => 2 * pitchRadius({ beltPitchMm: beltPitch, pulleyTeeth: teeth }))
    if (Number.isNaN(closedBelt) || d1 === undefined || d2 === undefined) return Number.NaN
    const least = (d1 + d2) / 2
    if (closedBelt <= closedBeltLength(least, d1, d2)) {
      throw new RangeError(
        `a belt of ${closedBelt} mm is too short for wheels of ${motorTeeth} and ${drivenTeeth} teeth: they would overlap`,
      )
    }
    return findRoot((centres) => closedBeltLength(centres, d1, d2) - closedBelt, least, closedBelt)
  },
})

/** The first or the second belt of an axis. */
export type Side = 'A' | 'B'

export const tension = figure({
  id: 'motion.tension',
  of: aBelt,
  label: 'Tension of the belt',
  quantity: 'force',
  formula: 'T = 4\\,\\v{m}\\,\\v{L}^2\\,\\v{f}^2',
  symbols: { m: 'motion.belts.massPerMetre', L: 'motion.axes.{0}.freeSpan', f: 'motion.axes.{0}.tone{1}' },
  source: 'Fundamental of the ideal string; span free at both ends, belt still.',
  doubt: 'nudge',
  work(view, axisId: string, side: string): number {
    const axis = axisOf(view, axisId)
    const { freeSpan } = axis
    const { massPerMetre } = view.bench.motion.belts
    const tone = side === 'A' ? axis.toneA : axis.toneB
    if ([freeSpan, tone, massPerMetre].some(Number.isNaN)) return Number.NaN
    return tensionFromTone(massPerMetre, freeSpan, tone)
  },
})

export const wantedTone = figure({
  id: 'motion.wantedTone',
  of: anAxis,
  label: 'Tone in the middle of the band',
  quantity: 'frequency',
  formula: 'f = \\dfrac{1}{2\\cdot \\v{L}}\\sqrt{\\dfrac{\\v{T_1} + \\v{T_2}}{2\\cdot \\v{m}}}',
  symbols: {
    m: 'motion.belts.massPerMetre',
    L: 'motion.axes.{0}.freeSpan',
    T_1: 'motion.belts.tensionFrom',
    T_2: 'motion.belts.tensionTo',
  },
  source: 'The same, solved for the tone.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    const { massPerMetre, tensionFrom, tensionTo } = view.bench.motion.belts
    const { freeSpan } = axisOf(view, axisId)
    if (Number.isNaN(freeSpan)) return Number.NaN
    return toneForTension(massPerMetre, freeSpan, (tensionFrom + tensionTo) / 2)
  },
})

export const tensionMargin = figure({
  id: 'motion.tensionMargin',
  of: aBelt,
  label: 'Tension within the band by',
  quantity: 'force',
  formula: 'm = \\min(\\v{T} - \\v{T_1},\\; \\v{T_2} - \\v{T})',
  symbols: { T: '=motion.tension|{0}|{1}', T_1: 'motion.belts.tensionFrom', T_2: 'motion.belts.tensionTo' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work(view, axisId: string, side: string): number {
    const T = view.figure(tension, axisId, side)
    const { tensionFrom, tensionTo } = view.bench.motion.belts
    return Math.min(T - tensionFrom, tensionTo - T)
  },
})

export const tensionAlike = figure({
  id: 'motion.tensionAlike',
  of: anAxis,
  label: 'Both belts alike, share left',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\v{w} - \\left|\\dfrac{\\v{T_B}}{\\v{T_A}} - 1\\right|',
  symbols: { w: 'motion.belts.alikeWithin', T_A: '=motion.tension|{0}|A', T_B: '=motion.tension|{0}|B' },
  source: 'By definition; what both readings share (mass, span) cancels.',
  doubt: 'nudge',
  work(view, axisId: string): number {
    if (axisOf(view, axisId).motors !== 2) throw new NotYet('only an axis with two motors has a second belt')
    const share = view.figure(tension, axisId, 'B') / view.figure(tension, axisId, 'A') - 1
    return view.bench.motion.belts.alikeWithin - Math.abs(share)
  },
})
