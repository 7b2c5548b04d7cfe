export { issuesOfChange, recordSchema } from '../core/bench'
export { benchSchema, readBench } from '../core/document'
export { leftSchema } from './left'
