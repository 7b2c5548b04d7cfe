export * from './bag'
export * from './screw'
export * from './threads'
