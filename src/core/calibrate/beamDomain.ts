import { domainOf } from '../bench'
import * as beamFigures from './beamFigures'
import * as beamVerdicts from './beamVerdicts'
import * as focusFigures from './focusFigures'
import * as kerfFigures from './kerfFigures'

/** The half of calibration that says how the beam runs through focus. */
export const beamDomain = domainOf('beam', focusFigures, kerfFigures, beamFigures, beamVerdicts)
