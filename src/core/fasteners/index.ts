export * from './bag'
export * from './fits'
export * from './screw'
export * from './threads'
