export * from './bars'
