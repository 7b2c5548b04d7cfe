export * from './domain'
export * from './figures'
export * from './slice'
export * from './verdicts'
