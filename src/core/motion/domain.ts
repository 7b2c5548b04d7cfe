import { domainOf } from '../bench'
import * as bedFigures from './bedFigures'
import * as correctionFigures from './correctionFigures'
import * as crossedFigures from './crossedFigures'
import * as driveFigures from './driveFigures'
import * as figures from './figures'
import * as mechanicsVerdicts from './mechanicsVerdicts'
import * as mirrorFigures from './mirrorFigures'
import * as playFigures from './playFigures'
import * as rackingFigures from './rackingFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const motionDomain = domainOf(
  'motion',
  figures,
  driveFigures,
  crossedFigures,
  mirrorFigures,
  rackingFigures,
  playFigures,
  bedFigures,
  correctionFigures,
  verdicts,
  mechanicsVerdicts,
)
