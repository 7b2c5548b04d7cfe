export * from './asked'
export * from './beam'
export * from './shape'
