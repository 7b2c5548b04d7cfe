import { domainOf } from '../bench'
import * as curveFigures from './curveFigures'
import * as curveVerdicts from './curveVerdicts'
import * as figures from './figures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const calibrateDomain = domainOf('calibrate', figures, curveFigures, verdicts, curveVerdicts)
