export * from './dose'
export * from './light'
export * from './response'
export * from './stamp'
