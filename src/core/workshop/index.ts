export * from './calipers'
export * from './hidden'
export * from './machine'
export * from './random'
