export * from './asked'
export * from './beam'
export * from './parting'
export * from './shape'
