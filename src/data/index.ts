export * from './database'
export * from './partsCsv'
export * from './standIn'
export * from './store'
