export * from './database'
export * from './heron'
export * from './store'
