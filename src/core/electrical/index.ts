export * from './figures'
export * from './pwm'
export * from './slice'
export * from './verdicts'
