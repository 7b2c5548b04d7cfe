import { domainOf } from '../bench'
import * as ageFigures from './ageFigures'
import * as ageVerdicts from './ageVerdicts'
import * as signalFigures from './signalFigures'
import * as signalVerdicts from './signalVerdicts'

/** The half of optics that follows from the driver: what Motion does not wait for. */
export const lightDomain = domainOf('light', signalFigures, signalVerdicts, ageFigures, ageVerdicts)
