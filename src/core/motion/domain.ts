import { domainOf } from '../bench'
import * as correctionFigures from './correctionFigures'
import * as driveFigures from './driveFigures'
import * as figures from './figures'
import * as mechanicsVerdicts from './mechanicsVerdicts'
import * as shapeFigures from './shapeFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const motionDomain = domainOf(
  'motion',
  figures,
  driveFigures,
  shapeFigures,
  correctionFigures,
  verdicts,
  mechanicsVerdicts,
)
