export * from './bars'
export * from './strip'
