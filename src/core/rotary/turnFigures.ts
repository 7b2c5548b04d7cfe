import { figureOf, subjectOf, type View } from '../bench'
import { closedBeltLength, type MotionBench } from '../motion'
import { gripOfRollers } from './clearing'
import { aTurned } from './heightFigures'
import { bottomOf, diameterOfWork, massOff, objectOf, sectionsOf, type RotaryView } from './objectFigures'
import { turnFactor } from './runFigures'
import type { RotaryBench } from './slice'
import { massSpread } from './profile'
import { stepsOnRollers, surfaceSteps, turnFeed, turningTorque, type Turned } from './turning'
import { waist } from '../calibrate'

const figure = figureOf<RotaryView & MotionBench>()

export const turnRatio = figure({
  id: 'rotary.turnRatio',
  label: 'Turns of its motor for one of what is driven',
  quantity: 'ratio',
  formula:
    'i = \\v{k}\\cdot\\begin{cases}1 & \\text{direct}\\\\ z_2/z_1 & \\text{teeth}\\\\ (g_2 + c)/(g_1 + c) & \\text{ring}\\end{cases}',
  symbols: { k: 'rotary.turn.gearbox' },
  source: 'By definition; a ring of cord runs on its middle line.',
  doubt: 'nudge',
  work(view): number {
    // Only what the drive has is read: what is read and not entered makes a figure unknown.
    const { turn } = view.bench.rotary
    if (turn.drive === 'direct') return turn.gearbox
    if (turn.drive === 'ring') return (turn.gearbox * (turn.drivenGroove + turn.cord)) / (turn.motorGroove + turn.cord)
    return (turn.gearbox * turn.drivenTeeth) / turn.motorTeeth
  },
})

/** Nothing but a ring of cord has its length. */
const aRing = subjectOf<RotaryBench>()('drive ring', ({ rotary }): [][] => (rotary.turn.drive.chosen === 'ring' ? [[]] : []))

export const ringLength = figure({
  id: 'rotary.ringLength',
  of: aRing,
  label: 'Cord to cut for the ring',
  quantity: 'length',
  formula: 'L = \\dfrac{\\ell}{1 + \\v{\\varepsilon}}',
  symbols: { '\\varepsilon': 'rotary.turn.cordStretch' },
  source: 'Closed belt over both wheels on the middle line of the cord; joined end to end.',
  doubt: 'nudge',
  work(view): number {
    const { motorGroove, drivenGroove, cord, grooveGap, cordStretch } = view.bench.rotary.turn
    if (Number.isNaN(motorGroove + drivenGroove + cord + grooveGap)) return Number.NaN
    return closedBeltLength(grooveGap, motorGroove + cord, drivenGroove + cord) / (1 + cordStretch)
  },
})

export const drivenSteps = figure({
  id: 'rotary.drivenSteps',
  label: 'Steps for a turn of what is driven',
  quantity: 'ratio',
  formula: 'N = \\v{s}\\cdot\\v{m}\\cdot\\v{i}',
  symbols: { s: 'rotary.turn.fullSteps', m: 'rotary.turn.microsteps', i: '=rotary.turnRatio' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { fullSteps, microsteps } = view.bench.rotary.turn
    return fullSteps * microsteps * view.figure(turnRatio)
  },
})

export const nominalTurn = figure({
  id: 'rotary.nominalTurn',
  of: aTurned,
  label: 'Steps for a turn of the object, by its drive',
  quantity: 'ratio',
  formula: 'N_o = \\v{N}\\quad\\text{or}\\quad N_o = \\dfrac{\\v{N}\\cdot\\v{D}}{\\v{D_r}}',
  forms: { by: 'rotary.holding', of: { rollers: 1 } },
  symbols: { N: '=rotary.drivenSteps', D: '=rotary.diameter|{0}', D_r: 'rotary.holder.rollerDiameter' },
  source: 'On rollers that do not slip the surfaces go the same way (handbook of the trade).',
  doubt: 'nudge',
  work(view, id: string): number {
    const steps = view.figure(drivenSteps)
    if (view.bench.rotary.holding !== 'rollers') return steps
    const [object, roller] = [view.figure(diameterOfWork, id), view.bench.rotary.holder.rollerDiameter]
    return Number.isNaN(steps + object + roller) ? Number.NaN : stepsOnRollers(steps, roller, object)
  },
})

export const turnSteps = figure({
  id: 'rotary.turnSteps',
  of: aTurned,
  label: 'Steps for a turn of the object',
  quantity: 'ratio',
  formula: 'N = \\v{k}\\cdot \\v{N_o}',
  symbols: { k: '=rotary.turnFactor', N_o: '=rotary.nominalTurn|{0}' },
  source: 'By the run that is followed, scaled with its drive since; else by the drive.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(nominalTurn, id) * view.figure(turnFactor),
})

export const stepsADegree = figure({
  id: 'rotary.stepsADegree',
  of: aTurned,
  label: 'Steps for a degree',
  quantity: 'ratio',
  formula: 'n = \\dfrac{\\v{N}}{360}',
  symbols: { N: '=rotary.turnSteps|{0}' },
  source: 'By definition (handbook of the trade).',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(turnSteps, id) / 360,
})

export const stepsOfSurface = figure({
  id: 'rotary.stepsOfSurface',
  of: aTurned,
  label: 'Steps for a millimetre of surface',
  quantity: 'stepsPerLength',
  formula: 'n = \\dfrac{\\v{N}}{\\pi\\,\\v{D}}',
  symbols: { N: '=rotary.turnSteps|{0}', D: '=rotary.diameter|{0}' },
  source: 'By definition, in the middle of the work (handbook of the trade).',
  doubt: 'nudge',
  work(view, id: string): number {
    const [steps, diameter] = [view.figure(turnSteps, id), view.figure(diameterOfWork, id)]
    return Number.isNaN(steps + diameter) ? Number.NaN : surfaceSteps(steps, diameter)
  },
})

export const surfaceStep = figure({
  id: 'rotary.surfaceStep',
  of: aTurned,
  label: 'Smallest step along the surface',
  quantity: 'length',
  show: { metric: 'um', inch: 'mil' },
  formula: 'd = \\dfrac{1}{\\v{n}}',
  symbols: { n: '=rotary.stepsOfSurface|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => 1 / view.figure(stepsOfSurface, id),
})

export const stepsAcross = figure({
  id: 'rotary.stepsAcross',
  of: aTurned,
  label: 'Steps across the spot',
  quantity: 'ratio',
  formula: 'k = 2\\,\\v{w}\\cdot\\v{n}',
  symbols: { w: '=calibrate.waist|y', n: '=rotary.stepsOfSurface|{0}' },
  source: 'A step of a quarter of the spot is good, more than the spot a stop (common practice).',
  doubt: 'nudge',
  work: (view, id: string): number => 2 * view.figure(waist, 'y') * view.figure(stepsOfSurface, id),
})

export const rateRoom = figure({
  id: 'rotary.rateRoom',
  of: aTurned,
  label: 'Fastest that the controller steps the surface',
  quantity: 'speed',
  formula: 'v = \\dfrac{\\v{f}}{\\v{n}}',
  symbols: { f: 'motion.maxStepRate', n: '=rotary.stepsOfSurface|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.motion.maxStepRate / view.figure(stepsOfSurface, id),
})

export const speedRoom = figure({
  id: 'rotary.speedRoom',
  of: aTurned,
  label: 'Faster than wanted by',
  quantity: 'speed',
  formula: 'm = \\v{v} - \\v{w}',
  symbols: { v: '=rotary.rateRoom|{0}', w: 'rotary.turn.surfaceSpeed' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(rateRoom, id) - view.bench.rotary.turn.surfaceSpeed,
})

export const turnSpeed = figure({
  id: 'rotary.turnSpeed',
  of: aTurned,
  label: 'Feed of a rotary axis for that speed',
  quantity: 'angularSpeed',
  formula: 'F = \\dfrac{2\\,\\v{v}}{\\v{D}}',
  symbols: { v: 'rotary.turn.surfaceSpeed', D: '=rotary.diameter|{0}' },
  source:
    'F = 360 v/(πD) in degrees (handbook of the trade); a rotary axis alone is fed in degrees a minute (NISTIR 6556, 2.1.2.5).',
  doubt: 'nudge',
  work(view, id: string): number {
    const diameter = view.figure(diameterOfWork, id)
    return Number.isNaN(diameter) ? Number.NaN : (turnFeed(view.bench.rotary.turn.surfaceSpeed, diameter) * Math.PI) / 180
  },
})

export const inertia = figure({
  id: 'rotary.inertia',
  of: aTurned,
  label: 'Inertia of the object about its axis',
  quantity: 'inertia',
  formula: 'J = \\v{m}\\,k^2 + m\\,\\v{e}^2',
  symbols: { m: 'rotary.objects.{0}.mass', e: '=rotary.offAxis|{0}' },
  source: 'A solid of revolution, or a thin shell with a bottom; the rest by Steiner.',
  doubt: 'nudge',
  work(view, id: string): number {
    const it = objectOf(view, id)
    const { inertia: own } = massSpread(sectionsOf(view, id), it.length, bottomOf(it))
    return it.mass * (own + view.figure(offAxis, id) ** 2) * 1e-6
  },
})

export const offAxis = figure({
  id: 'rotary.offAxis',
  of: aTurned,
  label: 'Centre of mass off the axis at most',
  quantity: 'length',
  formula: 'e = \\v{e_h} + \\v{e_0}',
  symbols: { e_h: '=rotary.massOff|{0}', e_0: 'rotary.turn.offCentre' },
  source: 'Both on the same side, at worst.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(massOff, id) + view.bench.rotary.turn.offCentre,
})

/** What a motor gives for what: N·m at the motor. */
export interface TorqueParts {
  readonly inertia: number
  readonly friction: number
  readonly imbalance: number
}

export const torqueParts = figure({
  id: 'rotary.torqueParts',
  of: aTurned,
  label: 'What the torque is for',
  quantity: 'torque',
  formula: 'T_J,\\ T_f,\\ T_e',
  symbols: {},
  source: 'Inertia, friction and imbalance through the ratio (handbook of the trade).',
  doubt: { none: 'Parts for the drawing; their sum is a figure of its own.' },
  work(view, id: string): TorqueParts {
    const still = torqueOf(view, id, { acceleration: 0, offCentre: 0 })
    return {
      inertia: torqueOf(view, id, { friction: 0, offCentre: 0 }),
      friction: still,
      imbalance: torqueOf(view, id, { acceleration: 0, friction: 0 }),
    }
  },
})

/** The torque of the motor, or with some of what it turns left out. On rollers it goes through both diameters. */
function torqueOf(view: View<RotaryView & MotionBench>, id: string, without: Partial<Turned> = {}): number {
  const { holding, holder } = view.bench.rotary
  const { rotor, friction, surfaceAcceleration } = view.bench.rotary.turn
  const diameter = view.figure(diameterOfWork, id)
  const ratio = view.figure(turnRatio)
  // A turn of the object is that many turns of what is driven.
  const geared = holding === 'rollers' ? (ratio * diameter) / holder.rollerDiameter : ratio
  const turned = {
    inertia: view.figure(inertia, id),
    mass: objectOf(view, id).mass,
    offCentre: view.figure(offAxis, id) / 1000,
    friction,
    acceleration: (2 * surfaceAcceleration) / diameter,
    ...without,
  }
  return Number.isNaN(geared) ? Number.NaN : turningTorque(turned, geared, rotor)
}

export const torque = figure({
  id: 'rotary.torque',
  of: aTurned,
  label: 'Torque that its motor gives for it',
  quantity: 'torque',
  show: { metric: 'mNm', inch: 'ozin' },
  formula: 'T = \\left(\\dfrac{J}{i^2} + J_m\\right) i\\,\\alpha + \\dfrac{T_f + m g e}{i}',
  symbols: {},
  source: 'Inertia, friction and imbalance through the ratio (handbook of the trade); α = 2a/D.',
  doubt: 'nudge',
  work: (view, id: string): number => torqueOf(view, id),
})

/** Share of the holding torque that a motor gives while it runs. (common practice) */
const RUNNING = 0.5

export const torqueRoom = figure({
  id: 'rotary.torqueRoom',
  of: aTurned,
  label: 'Torque to spare',
  quantity: 'torque',
  show: { metric: 'mNm', inch: 'ozin' },
  formula: 'm = \\tfrac12\\,\\v{T_h} - \\v{T}',
  symbols: { T_h: 'rotary.turn.holdTorque', T: '=rotary.torque|{0}' },
  source: 'Half of the holding torque while it runs (common practice).',
  doubt: 'nudge',
  work: (view, id: string): number => RUNNING * view.bench.rotary.turn.holdTorque - view.figure(torque, id),
})

/** The object in hand on rollers. */
export const onRollers = subjectOf<RotaryBench>()('object on rollers', (bench): readonly [objectId: string][] =>
  bench.rotary.holding.chosen === 'rollers' ? aTurned.each(bench) : [],
)

export const grip = figure({
  id: 'rotary.grip',
  of: onRollers,
  label: 'Force along the surface before it slips',
  quantity: 'force',
  formula: 'F = \\dfrac{z\\,\\mu\\,m g}{2\\cos\\beta}',
  symbols: {},
  source: 'Coulomb friction at each driven roller, its load W/(2 cos β), sin β = g/(D + D_r).',
  doubt: 'nudge',
  work(view, id: string): number {
    const { rollerDiameter, rollerGap, grip: friction, driven } = view.bench.rotary.holder
    const diameter = view.figure(diameterOfWork, id)
    if (Number.isNaN(rollerDiameter + rollerGap + diameter)) return Number.NaN
    return gripOfRollers(objectOf(view, id).mass * GRAVITY, diameter, rollerDiameter, rollerGap, friction, driven)
  },
})

const GRAVITY = 9.80665

export const slipRoom = figure({
  id: 'rotary.slipRoom',
  of: onRollers,
  label: 'Force to spare before it slips',
  quantity: 'force',
  formula: 'm = \\v{F} - \\dfrac{J\\alpha + m g e}{R}',
  symbols: { F: '=rotary.grip|{0}' },
  source: 'What the surface must pass on to the object: its inertia, and its imbalance at worst.',
  doubt: 'nudge',
  work(view, id: string): number {
    const radius = view.figure(diameterOfWork, id) / 2000
    const alpha = view.bench.rotary.turn.surfaceAcceleration / 1000 / radius
    const pull = objectOf(view, id).mass * GRAVITY * (view.figure(offAxis, id) / 1000)
    return view.figure(grip, id) - (view.figure(inertia, id) * alpha + pull) / radius
  },
})

export const slipFrom = figure({
  id: 'rotary.slipFrom',
  of: onRollers,
  label: 'It slips from an acceleration of',
  quantity: 'acceleration',
  formula: 'a = \\left(\\v{F}\\,R - m g e\\right)\\dfrac{R}{J}',
  symbols: { F: '=rotary.grip|{0}' },
  source: 'Solved for the acceleration along the surface.',
  doubt: 'nudge',
  work(view, id: string): number {
    const radius = view.figure(diameterOfWork, id) / 2000
    const pull = objectOf(view, id).mass * GRAVITY * (view.figure(offAxis, id) / 1000)
    return (((view.figure(grip, id) * radius - pull) * radius) / view.figure(inertia, id)) * 1000
  },
})
