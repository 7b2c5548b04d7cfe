export * from './bars'
export * from './guillotine'
export * from './slicing'
export * from './strip'
