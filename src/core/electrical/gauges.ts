/** Wires as they are sold. */
export const GAUGES = {
  awg26: 'AWG 26',
  awg24: 'AWG 24',
  awg22: 'AWG 22',
  awg20: 'AWG 20',
  awg18: 'AWG 18',
  awg16: 'AWG 16',
  awg14: 'AWG 14',
  mm025: '0.25 mm²',
  mm050: '0.5 mm²',
  mm075: '0.75 mm²',
  mm100: '1 mm²',
  mm150: '1.5 mm²',
  mm250: '2.5 mm²',
} as const
export type Gauge = keyof typeof GAUGES
