import { z } from 'zod'
import { choice, fact } from '../bench'

/** How an axis is driven. */
export const DRIVES = {
  belt: 'belt',
  reducedBelt: 'belt through a reduction',
  screw: 'screw',
} as const
export type Drive = keyof typeof DRIVES

/** Facts of one axis. All kinds of drive keep their facts side by side, so that changing the kind loses nothing. */
export const axisSchema = z.strictObject({
  order: z.number(),
  letter: z.enum(['X', 'Y', 'Z']),
  travel: fact({
    label: 'Travel',
    quantity: 'length',
    min: 1,
    max: 5000,
    how: 'Move from stop to stop and measure the way of one edge.',
  }),
  motors: fact({
    label: 'Motors on the axis',
    quantity: 'count',
    min: 1,
    max: 2,
    whole: true,
    assume: { value: 1, halfWidth: 0 },
  }),
  drive: choice({ label: 'Drive', options: DRIVES }),
  fullSteps: fact({
    label: 'Full steps a turn',
    quantity: 'count',
    min: 4,
    max: 1000,
    whole: true,
    assume: { value: 200, halfWidth: 0, others: [400] },
    how: '360° over the step angle on the motor label: 1.8° is 200.',
  }),
  microsteps: fact({
    label: 'Microsteps',
    quantity: 'divisor',
    min: 1,
    max: 256,
    whole: true,
    assume: { value: 16, halfWidth: 0, others: [8, 32] },
    how: 'Read the switches or jumpers of the driver against its table.',
  }),
  pulleyTeeth: fact({
    label: 'Pulley teeth',
    quantity: 'count',
    min: 6,
    max: 200,
    whole: true,
    assume: { value: 20, halfWidth: 0, others: [16] },
    how: 'Mark one tooth and count round.',
  }),
  beltPitch: fact({
    label: 'Belt pitch',
    quantity: 'length',
    min: 0.5,
    max: 10,
    assume: { value: 2, halfWidth: 0.01, unit: 'mm' },
    how: 'Measure over 50 teeth and divide by 50.',
  }),
  motorTeeth: fact({
    label: 'Teeth on the motor wheel',
    quantity: 'count',
    min: 6,
    max: 200,
    whole: true,
    assume: { value: 20, halfWidth: 0, others: [16] },
  }),
  drivenTeeth: fact({
    label: 'Teeth on the driven wheel',
    quantity: 'count',
    min: 6,
    max: 400,
    whole: true,
    assume: { value: 40, halfWidth: 0, others: [60] },
  }),
  screwPitch: fact({
    label: 'Screw pitch',
    quantity: 'length',
    min: 0.2,
    max: 20,
    assume: { value: 2, halfWidth: 0.01, unit: 'mm' },
    how: 'Measure over ten crests and divide by ten.',
  }),
  screwStarts: fact({
    label: 'Screw starts',
    quantity: 'count',
    min: 1,
    max: 12,
    whole: true,
    assume: { value: 1, halfWidth: 0, others: [2, 4] },
    how: 'Count the grooves that begin at the end of the screw.',
  }),
  acceleration: fact({
    label: 'Acceleration',
    quantity: 'acceleration',
    min: 1,
    max: 100_000,
    assume: { value: 500, halfWidth: 250, unit: 'mm/s2' },
    how: 'Read it from the settings in the controller.',
  }),
})

export const motionSchema = z.strictObject({
  axes: z.record(z.string(), axisSchema),
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
  }),
})

export type Axis = z.infer<typeof axisSchema>
export type Motion = z.infer<typeof motionSchema>
/** What motion's figures see of a bench. */
export interface MotionBench {
  readonly motion: Motion
}
