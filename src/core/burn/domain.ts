import { domainOf } from '../bench'
import * as exposureFigures from './exposureFigures'
import * as figures from './figures'
import * as maskFigures from './maskFigures'
import * as maskVerdicts from './maskVerdicts'
import * as settingFigures from './settingFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const burnDomain = domainOf('burn', figures, verdicts, maskFigures, exposureFigures, settingFigures, maskVerdicts)
