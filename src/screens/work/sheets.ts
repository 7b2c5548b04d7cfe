import { Work } from './Work'

export const sheets = { program: { sheet: Work } }
