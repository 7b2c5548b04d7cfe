export * from './exposure'
export * from './figures'
export * from './slice'
export * from './verdicts'
