export * from './lid'
export * from './mounts'
export * from './panels'
export * from './sight'
