import { domainOf } from '../bench'
import * as bondFigures from './bondFigures'
import * as bringUpFigures from './bringUpFigures'
import * as bringUpVerdicts from './bringUpVerdicts'
import * as chainFigures from './chainFigures'
import * as chainVerdicts from './chainVerdicts'
import * as coolingFigures from './coolingFigures'
import * as coolingVerdicts from './coolingVerdicts'
import * as driverFigures from './driverFigures'
import * as driverVerdicts from './driverVerdicts'
import * as figures from './figures'
import * as mainsFigures from './mainsFigures'
import * as mainsVerdicts from './mainsVerdicts'
import * as railFigures from './railFigures'
import * as railVerdicts from './railVerdicts'
import * as signalFigures from './signalFigures'
import * as signalVerdicts from './signalVerdicts'
import * as verdicts from './verdicts'

const FIGURES = [
  figures,
  railFigures,
  mainsFigures,
  bondFigures,
  chainFigures,
  driverFigures,
  signalFigures,
  coolingFigures,
  bringUpFigures,
]
const VERDICTS = [
  verdicts,
  railVerdicts,
  mainsVerdicts,
  chainVerdicts,
  driverVerdicts,
  signalVerdicts,
  coolingVerdicts,
  bringUpVerdicts,
]

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const electricalDomain = domainOf('electrical', ...FIGURES, ...VERDICTS)
