export * from './lid'
export * from './panels'
export * from './sight'
