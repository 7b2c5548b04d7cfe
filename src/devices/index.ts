export * from './microphone'
export * from './tone'
export * from './serialPort'
