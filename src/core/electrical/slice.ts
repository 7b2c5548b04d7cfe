import { choice, fact, group, type Of } from '../bench'

/** Whether the controller makes the power follow the speed of the head. */
export const FOLLOWS = { yes: 'follows the speed', no: 'stays as commanded' } as const

/** The signal that carries the power. */
export const electricalShape = group(
  {
    timerClock: fact({
      label: 'Clock of the power timer',
      quantity: 'frequency',
      min: 1000,
      max: 1e9,
      unit: 'MHz',
      how: 'From the data sheet of the controller: the clock that feeds the timer of the power output.',
    }),
    pwmFrequency: fact({
      also: 'pwm khz',
      label: 'Frequency of the power signal',
      quantity: 'frequency',
      min: 1,
      max: 1e6,
      unit: 'kHz',
      assume: { value: 1, halfWidth: 0.1, unit: 'kHz' },
      how: 'What the data sheet of the driver asks for, or read with a multimeter that counts frequency at half power.',
    }),
    fullPower: fact({
      also: 's max spindle laser power word',
      label: 'Full power word',
      quantity: 'count',
      min: 1,
      max: 1e6,
      whole: true,
      assume: { value: 1000, halfWidth: 0, others: [255, 100] },
      how: 'The number behind the power word at which the signal is always on; read it from the controller’s settings.',
    }),
    followsSpeed: choice({
      label: 'Power and speed',
      options: FOLLOWS,
      assume: { chosen: 'no' },
      how: 'Power that follows the speed keeps corners and line ends from burning darker.',
    }),
  },
  { stage: 'power', part: 'signal' },
)

export type Electrical = Of<typeof electricalShape>
export interface ElectricalBench {
  readonly electrical: Electrical
}
