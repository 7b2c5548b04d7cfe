export * from './microphone'
export * from './tone'
