import { domainOf } from '../bench'
import * as turnedFigures from './turnedFigures'
import * as turnedVerdicts from './turnedVerdicts'

/** The half of work that lies round an object: what a flat order does not wait for. */
export const turnedDomain = domainOf('turned', turnedFigures, turnedVerdicts)
