import { z } from 'zod'
import { choice, fact } from '../bench'
import { axisSchema } from './axisSlice'

/** How the head comes to its place. */
export const KINEMATICS = {
  axes: 'one motor for each axis',
  gantry: 'a gantry with two motors',
  crossed: 'crossed belts',
  bed: 'a moving bed',
  retrofit: 'a module on a router or mill',
  mirrors: 'two turning mirrors',
} as const
export type Kinematics = keyof typeof KINEMATICS

/** What the carriage and the gantry run on. */
export const GUIDES = { wheels: 'wheels on the bars', rails: 'rails with blocks', shafts: 'round shafts in bearings' } as const
export type Guides = keyof typeof GUIDES

const WAYS = { '+x': 'right', '-x': 'left', '+y': 'back', '-y': 'front' } as const

/** One height of the bed, read at a place. */
export const heightSchema = z.strictObject({
  order: z.number(),
  x: z.number(),
  y: z.number(),
  height: fact({
    label: 'Height of the bed',
    quantity: 'length',
    min: -50,
    max: 50,
    how: 'Feeler or dial between head and bed; only differences count.',
  }),
})

export const motionSchema = z.strictObject({
  kinematics: choice({ label: 'How the head is moved', options: KINEMATICS }),
  axes: z.record(z.string(), axisSchema),
  motorVoltage: fact({
    label: 'Supply of the motor drivers',
    quantity: 'voltage',
    min: 1,
    max: 100,
    assume: { value: 24, halfWidth: 0.5, unit: 'V' },
    how: 'Read it at the driver under load.',
  }),
  belts: z.strictObject({
    massPerMetre: fact({
      label: 'Mass of a metre of belt',
      quantity: 'massPerLength',
      min: 0.0005,
      max: 0.5,
      unit: 'g/m',
      assume: { value: 8.4, halfWidth: 0.8, unit: 'g/m' },
      how: 'Weigh a metre; about 1.4 g for each millimetre of width.',
    }),
    tensionFrom: fact({
      label: 'Least belt tension',
      quantity: 'force',
      min: 0.5,
      max: 500,
      assume: { value: 15, halfWidth: 0, unit: 'N' },
    }),
    tensionTo: fact({
      label: 'Most belt tension',
      quantity: 'force',
      min: 1,
      max: 1000,
      assume: { value: 40, halfWidth: 0, unit: 'N' },
    }),
    alikeWithin: fact({
      label: 'Both sides alike within',
      quantity: 'ratio',
      min: 0.005,
      max: 1,
      unit: 'percent',
      assume: { value: 15, halfWidth: 0, unit: 'percent' },
    }),
  }),
  crossed: z.strictObject({
    idlerDiameter: fact({
      label: 'Diameter of the idlers, at the belt',
      quantity: 'length',
      min: 2,
      max: 100,
      assume: { value: 12, halfWidth: 1, unit: 'mm' },
    }),
    motorAside: fact({
      label: 'Motors stand aside of the parallel by',
      quantity: 'length',
      min: -50,
      max: 50,
      assume: { value: 0, halfWidth: 5, unit: 'mm' },
      how: 'Hold a rule along the belt from the gantry to the motor: how far off is the belt at the motor?',
    }),
    wentForX: choice({ label: 'For +X the head went', options: WAYS }),
    wentForY: choice({ label: 'For +Y the head went', options: WAYS }),
  }),
  retrofit: z.strictObject({
    asideX: fact({ label: 'Beam beside the spindle, X', quantity: 'length', min: -500, max: 500 }),
    asideY: fact({ label: 'Beam beside the spindle, Y', quantity: 'length', min: -500, max: 500 }),
  }),
  mirrors: z.strictObject({
    height: fact({
      label: 'Last mirror above the work',
      quantity: 'length',
      min: 10,
      max: 3000,
      assume: { value: 250, halfWidth: 5, unit: 'mm' },
    }),
    apart: fact({
      label: 'Between the mirrors',
      quantity: 'length',
      min: 0,
      max: 500,
      assume: { value: 30, halfWidth: 2, unit: 'mm' },
    }),
    last: choice({ label: 'Mirror met last', options: { y: 'the Y mirror', x: 'the X mirror' } }),
    focusDepth: fact({
      label: 'Depth of focus to either side',
      quantity: 'length',
      min: 0.01,
      max: 100,
      assume: { value: 1.2, halfWidth: 0.6, unit: 'mm' },
      how: 'Where the burnt line is a tenth wider; Beam will work it from the spot.',
    }),
    wantedSteps: fact({
      label: 'Wanted resolution',
      quantity: 'stepsPerLength',
      min: 0.1,
      max: 10_000,
      assume: { value: 12.5, halfWidth: 0, unit: 'steps/mm' },
    }),
  }),
  racking: z.strictObject({
    left: fact({
      label: 'Left end of the gantry to the front bar',
      quantity: 'length',
      min: 0,
      max: 5000,
      how: 'Drive to the front, then measure both ends with the same instrument.',
    }),
    right: fact({ label: 'Right end of the gantry to the front bar', quantity: 'length', min: 0, max: 5000 }),
  }),
  play: z.strictObject({
    clearance: fact({
      label: 'Play of the wheels',
      quantity: 'length',
      min: 0,
      max: 5,
      how: 'Feeler between wheel and rail, or rock the carriage against a dial.',
    }),
    lever: fact({
      label: 'Rail above the work',
      quantity: 'length',
      min: 1,
      max: 1000,
      assume: { value: 80, halfWidth: 20, unit: 'mm' },
    }),
    spacing: fact({
      label: 'Wheels apart along the rail',
      quantity: 'length',
      min: 1,
      max: 1000,
      assume: { value: 45, halfWidth: 10, unit: 'mm' },
    }),
  }),
  heights: z.record(z.string(), heightSchema),
  levelWithin: fact({
    label: 'Accepted height over the bed',
    quantity: 'length',
    min: 0.01,
    max: 20,
    assume: { value: 1, halfWidth: 0, unit: 'mm' },
    how: 'Less than the depth of focus to either side.',
  }),
  wantedSpeed: fact({
    label: 'Wanted speed',
    quantity: 'speed',
    min: 0.01,
    max: 10_000,
    assume: { value: 100, halfWidth: 0, unit: 'mm/s' },
    how: 'The fastest scan you hope for.',
  }),
  maxStepRate: fact({
    label: 'Highest step rate of the controller',
    quantity: 'frequency',
    min: 100,
    max: 10_000_000,
    unit: 'kHz',
    assume: { value: 25, halfWidth: 10, unit: 'kHz' },
    how: 'From the data sheet of the controller.',
  }),
  /** Four marks at the corners of a rectangle, measured by one instrument. */
  corners: z.strictObject({
    width: fact({ label: 'Side along X between the marks', quantity: 'length', min: 1, max: 5000 }),
    depth: fact({ label: 'Side along Y between the marks', quantity: 'length', min: 1, max: 5000 }),
    fromOrigin: fact({ label: 'Diagonal through the origin', quantity: 'length', min: 1, max: 8000 }),
    across: fact({ label: 'Other diagonal', quantity: 'length', min: 1, max: 8000 }),
  }),
  squareWithin: fact({
    label: 'Accepted angle out of square',
    quantity: 'angle',
    min: 1e-6,
    max: 0.2,
    unit: 'deg',
    assume: { value: 0.1, halfWidth: 0, unit: 'deg' },
    how: '0.1° is 0.5 mm over 300 mm.',
  }),
  frame: z.strictObject({
    barWidth: fact({
      label: 'Width of the frame bars',
      quantity: 'length',
      min: 1,
      max: 300,
      assume: { value: 20, halfWidth: 0.5, unit: 'mm' },
    }),
    carriageWidth: fact({
      label: 'Width of the carriage',
      quantity: 'length',
      min: 5,
      max: 500,
      assume: { value: 60, halfWidth: 20, unit: 'mm' },
    }),
    carriageDepth: fact({
      label: 'Depth of gantry and carriage',
      quantity: 'length',
      min: 5,
      max: 500,
      assume: { value: 70, halfWidth: 20, unit: 'mm' },
    }),
    guides: choice({ label: 'Carriage and gantry run on', options: GUIDES }),
    guideOver: fact({
      label: 'Rail or shaft beyond the carriage at each end',
      quantity: 'length',
      min: 0,
      max: 300,
      assume: { value: 10, halfWidth: 5, unit: 'mm' },
      how: 'Room for end stops or for the holders of a shaft.',
    }),
    plateThickness: fact({
      label: 'Thickness of the plates',
      quantity: 'length',
      min: 0.5,
      max: 50,
      assume: { value: 5, halfWidth: 1, unit: 'mm' },
    }),
    endHeight: fact({
      label: 'Height of the gantry’s end plates',
      quantity: 'length',
      min: 10,
      max: 500,
      assume: { value: 90, halfWidth: 20, unit: 'mm' },
      how: 'From the lower wheels or blocks to the top of the gantry’s beam.',
    }),
  }),
})

export type Motion = z.infer<typeof motionSchema>
/** What motion's figures see of a bench. */
export interface MotionBench {
  readonly motion: Motion
}
