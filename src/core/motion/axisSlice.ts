import { bare, choice, fact, group, word, type Labelled, type Of, type SeeBeside, type When } from '../bench'
import { BELTS, DRIVE_TRAIN, MOTORS, MOVING, TRAVEL } from './acts'

/** How an axis is driven. */
export const DRIVES = {
  belt: 'belt',
  reducedBelt: 'belt through a reduction',
  screw: 'screw',
  rack: 'rack and pinion',
} as const
export type Drive = keyof typeof DRIVES

/** How two motors of one axis are driven. */
export const DRIVERS = {
  each: 'a driver each',
  parallel: 'one driver for both, in parallel',
  series: 'one driver for both, in series',
} as const
export type Drivers = keyof typeof DRIVERS

/** What a driver's current setting means. */
export const SETTINGS_OF_DRIVER = {
  peak: 'the peak of the current',
  effective: 'its effective value (RMS)',
} as const

/** A mirror sits on its motor's shaft, or on its gear's: nothing is pulled. */
function isMirror(see: SeeBeside): boolean {
  return see('motion.kinematics') === 'mirrors' && see.beside('letter') !== 'Z'
}

/** Of an axis that something pulls; of these drives alone, where they are named. */
const pulled =
  (...drives: readonly Drive[]): When =>
  (see) =>
    !isMirror(see) && (drives.length === 0 || drives.some((it) => it === see.beside('drive')))

/** Crossed belts have a motor each. */
const isCrossed = (see: SeeBeside): boolean => see('motion.kinematics') === 'crossed' && see.beside('letter') !== 'Z'

const twoMotors: When = (see) => !isMirror(see) && !isCrossed(see) && see.beside('motors') === 2
const sharedDriver: When = (see) => twoMotors(see) && see.beside('drivers') !== 'each'

/** Facts of one axis. All kinds of drive keep their facts side by side, so that changing the kind loses nothing. */
export const axisShape = group({
  order: bare(),
  letter: word(['X', 'Y', 'Z'] as const),
  travel: fact({
    act: TRAVEL,
    label: 'Travel',
    quantity: 'length',
    min: 1,
    max: 5000,
  }),
  motors: fact({
    when: (see) => pulled()(see) && !isCrossed(see),
    label: 'Motors on the axis',
    quantity: 'count',
    min: 1,
    max: 2,
    whole: true,
    assume: { value: 1, halfWidth: 0 },
  }),
  drivers: choice({
    act: MOTORS,
    when: twoMotors,
    assume: { chosen: 'each', others: ['parallel'] },
    label: 'Two motors have',
    options: DRIVERS,
  }),
  driverCurrent: fact({
    act: MOTORS,
    when: sharedDriver,
    label: 'Current that the shared driver gives',
    quantity: 'current',
    min: 0.01,
    max: 40,
    assume: { value: 1.5, halfWidth: 0.5, unit: 'A' },
  }),
  currentIs: choice({
    act: MOTORS,
    part: 'drive',
    when: pulled(),
    assume: { chosen: 'peak', others: ['effective'] },
    label: 'What the driver is set to is',
    options: SETTINGS_OF_DRIVER,
  }),
  drive: choice({ act: DRIVE_TRAIN, when: pulled(), assume: { chosen: 'belt' }, label: 'Drive', options: DRIVES }),
  fullSteps: fact({
    act: DRIVE_TRAIN,
    label: 'Full steps a turn',
    quantity: 'count',
    min: 4,
    max: 1000,
    whole: true,
    assume: { value: 200, halfWidth: 0, others: [400] },
  }),
  microsteps: fact({
    act: DRIVE_TRAIN,
    label: 'Microsteps',
    quantity: 'divisor',
    min: 1,
    max: 256,
    whole: true,
    assume: { value: 16, halfWidth: 0, others: [8, 32] },
  }),
  pulleyTeeth: fact({
    act: DRIVE_TRAIN,
    when: pulled('belt', 'reducedBelt'),
    label: 'Pulley teeth',
    quantity: 'count',
    min: 6,
    max: 200,
    whole: true,
    assume: { value: 20, halfWidth: 0, others: [16] },
  }),
  beltPitch: fact({
    act: DRIVE_TRAIN,
    when: pulled('belt', 'reducedBelt'),
    label: 'Belt pitch',
    quantity: 'length',
    min: 0.5,
    max: 10,
    assume: { value: 2, halfWidth: 0.01, unit: 'mm' },
  }),
  motorTeeth: fact({
    act: DRIVE_TRAIN,
    when: pulled('reducedBelt'),
    label: 'Teeth on the motor wheel',
    quantity: 'count',
    min: 6,
    max: 200,
    whole: true,
    assume: { value: 20, halfWidth: 0, others: [16] },
  }),
  drivenTeeth: fact({
    act: DRIVE_TRAIN,
    when: pulled('reducedBelt'),
    label: 'Teeth on the driven wheel',
    quantity: 'count',
    min: 6,
    max: 400,
    whole: true,
    assume: { value: 40, halfWidth: 0, others: [60] },
  }),
  screwPitch: fact({
    act: DRIVE_TRAIN,
    when: pulled('screw'),
    label: 'Screw pitch',
    quantity: 'length',
    min: 0.2,
    max: 20,
    assume: { value: 2, halfWidth: 0.01, unit: 'mm' },
  }),
  screwStarts: fact({
    act: DRIVE_TRAIN,
    when: pulled('screw'),
    label: 'Screw starts',
    quantity: 'count',
    min: 1,
    max: 12,
    whole: true,
    assume: { value: 1, halfWidth: 0, others: [2, 4] },
  }),
  motorGear: fact({
    act: DRIVE_TRAIN,
    label: 'Gear on the motor',
    quantity: 'ratio',
    min: 1,
    max: 1000,
    assume: { value: 1, halfWidth: 0 },
  }),
  rackModule: fact({
    act: DRIVE_TRAIN,
    when: pulled('rack'),
    label: 'Module of the rack',
    quantity: 'length',
    min: 0.2,
    max: 10,
    assume: { value: 1, halfWidth: 0.01, unit: 'mm' },
  }),
  pinionTeeth: fact({
    act: DRIVE_TRAIN,
    when: pulled('rack'),
    label: 'Teeth of the pinion',
    quantity: 'count',
    min: 6,
    max: 200,
    whole: true,
    assume: { value: 15, halfWidth: 0, others: [20] },
  }),
  closedBelt: fact({
    act: DRIVE_TRAIN,
    part: 'drive',
    when: pulled('reducedBelt'),
    label: 'Length of the closed belt',
    quantity: 'length',
    min: 20,
    max: 3000,
  }),
  holdingTorque: fact({
    act: MOTORS,
    part: 'drive',
    label: 'Holding torque',
    quantity: 'torque',
    min: 0.001,
    max: 100,
    assume: { value: 0.4, halfWidth: 0.1, unit: 'Nm' },
  }),
  ratedCurrent: fact({
    act: MOTORS,
    part: 'drive',
    label: 'Rated current',
    quantity: 'current',
    min: 0.01,
    max: 20,
    assume: { value: 1.5, halfWidth: 0.3, unit: 'A' },
  }),
  windingResistance: fact({
    act: MOTORS,
    part: 'drive',
    label: 'Resistance of a phase',
    quantity: 'resistance',
    min: 0.01,
    max: 500,
    assume: { value: 1.6, halfWidth: 0.5, unit: 'ohm' },
  }),
  windingInductance: fact({
    act: MOTORS,
    part: 'drive',
    label: 'Inductance of a phase',
    quantity: 'inductance',
    min: 1e-5,
    max: 1,
    unit: 'mH',
    assume: { value: 2.8, halfWidth: 0.8, unit: 'mH' },
  }),
  rotorInertia: fact({
    act: MOTORS,
    part: 'drive',
    label: 'Inertia of the rotor',
    quantity: 'inertia',
    min: 0,
    max: 0.01,
    unit: 'gcm2',
    assume: { value: 54, halfWidth: 15, unit: 'gcm2' },
  }),
  movingMass: fact({
    act: MOVING,
    part: 'drive',
    label: 'Mass that moves',
    quantity: 'mass',
    min: 0.001,
    max: 200,
  }),
  friction: fact({
    act: MOVING,
    part: 'drive',
    label: 'Friction along the axis',
    quantity: 'force',
    min: 0,
    max: 1000,
    assume: { value: 3, halfWidth: 2, unit: 'N' },
  }),
  freeSpan: fact({
    act: BELTS,
    part: 'belts',
    when: pulled('belt', 'reducedBelt'),
    label: 'Free span of the belt',
    quantity: 'length',
    min: 20,
    max: 5000,
  }),
  toneA: fact({
    act: BELTS,
    part: 'belts',
    when: pulled('belt', 'reducedBelt'),
    label: 'Tone of the belt',
    quantity: 'frequency',
    min: 5,
    max: 2000,
  }),
  toneB: fact({
    act: BELTS,
    part: 'belts',
    when: twoMotors,
    label: 'Tone of the second belt',
    quantity: 'frequency',
    min: 5,
    max: 2000,
  }),
  acceleration: fact({
    label: 'Acceleration',
    quantity: 'acceleration',
    min: 1,
    max: 100_000,
    assume: { value: 500, halfWidth: 250, unit: 'mm/s2' },
  }),
})

export type Axis = Of<typeof axisShape>

/** What of an axis is its motor's and its belt's; the rest is the way's itself. */
const OF_THE_WAY = ['travel', 'movingMass', 'friction']

/** “Travel, X”; with crossed belts, what is a motor's is named after it: “Microsteps, left motor”. */
export function labelOfAxis({ label, thing, rest, see }: Labelled<Axis>): string {
  const isMotors = see('motion.kinematics') === 'crossed' && thing.letter !== 'Z' && !OF_THE_WAY.includes(rest[0] ?? '')
  return `${label}, ${isMotors ? MOTOR_OF[thing.letter] : thing.letter}`
}

/** With crossed belts: the motor that stands under an axis. */
export const MOTOR_OF = { X: 'left motor', Y: 'right motor', Z: 'Z' } as const
