export * from './fit'
export * from './readings'
export * from './scale'
