import { domainOf } from '../bench'
import * as evenFigures from './evenFigures'
import * as evenVerdicts from './evenVerdicts'
import * as fenceFigures from './fenceFigures'
import * as fenceVerdicts from './fenceVerdicts'
import * as figures from './figures'
import * as toneFigures from './toneFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const workDomain = domainOf('work', figures, evenFigures, fenceFigures, toneFigures, verdicts, evenVerdicts, fenceVerdicts)
