import { z } from 'zod'
import { choice, fact } from '../bench'

const HOW = 'Read it from the list of the controller’s settings, or let the link read it.'

/** What the machine itself is set to for one axis. */
export const axisSettingsSchema = z.strictObject({
  steps: fact({ label: 'Steps in the machine', quantity: 'stepsPerLength', min: 0.001, max: 100_000, how: HOW }),
  topSpeed: fact({ label: 'Top speed in the machine', quantity: 'speed', min: 0.001, max: 100_000, how: HOW }),
  acceleration: fact({
    label: 'Acceleration in the machine',
    quantity: 'acceleration',
    min: 0.01,
    max: 1_000_000,
    how: HOW,
  }),
  travel: fact({ label: 'Travel in the machine', quantity: 'length', min: 0.1, max: 10_000, how: HOW }),
})

/** How the machine counts speed in its list of settings. */
export const SPEED_UNITS = ['mm/s', 'mm/min'] as const

/** The settings in the machine, facts by read-back; and how the machine names and takes them. */
export const controllerSchema = z.strictObject({
  axes: z.record(z.string(), axisSettingsSchema),
  beam: z.strictObject({
    fullPower: fact({ label: 'Full power word in the machine', quantity: 'count', min: 1, max: 1e6, whole: true, how: HOW }),
    pwmFrequency: fact({ label: 'Signal frequency in the machine', quantity: 'frequency', min: 1, max: 1e6, how: HOW }),
    followsSpeed: choice({
      label: 'Power and speed in the machine',
      options: { yes: 'follows the speed', no: 'stays as commanded' },
    }),
  }),
  /** Key of each setting in the machine's own list, where it is not the plain one. */
  keys: z.record(z.string(), z.string().min(1).max(60)),
  /** The line that sets one: `{key}` and `{value}` are filled in. */
  line: z.string().min(1).max(120),
  speedUnit: z.enum(SPEED_UNITS),
})

export type Controller = z.infer<typeof controllerSchema>
export type AxisSettings = z.infer<typeof axisSettingsSchema>
export interface ControllerBench {
  readonly controller: Controller
}
