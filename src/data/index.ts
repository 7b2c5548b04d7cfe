export * from './database'
export * from './standIn'
export * from './store'
