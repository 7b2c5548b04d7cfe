import { domainOf } from '../bench'
import * as figures from './figures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const reachDomain = domainOf('reach', figures, verdicts)
