export * from './database'
export * from './heron'
export * from './plover'
export * from './store'
