import { domainOf } from '../bench'
import * as figures from './figures'
import * as railFigures from './railFigures'
import * as railVerdicts from './railVerdicts'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const electricalDomain = domainOf('electrical', figures, railFigures, verdicts, railVerdicts)
