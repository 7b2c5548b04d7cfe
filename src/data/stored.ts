export * from './database'
export * from './store'
