import { domainOf } from '../bench'
import * as boxFigures from './boxFigures'
import * as lidFigures from './lidFigures'
import * as makingFigures from './makingFigures'
import * as portFigures from './portFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const housingDomain = domainOf('housing', boxFigures, makingFigures, lidFigures, portFigures, verdicts)
