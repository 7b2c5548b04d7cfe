import { domainOf } from '../bench'
import * as trialFigures from './trialFigures'
import * as trialVerdicts from './trialVerdicts'
import * as tryFigures from './tryFigures'
import * as tryVerdicts from './tryVerdicts'

/** The half of calibration that patterns other than the scale run need, and what is tried without burning. */
export const trialsDomain = domainOf('trials', trialFigures, trialVerdicts, tryFigures, tryVerdicts)
