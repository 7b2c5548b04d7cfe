import { domainOf } from '../bench'
import * as ductFigures from './ductFigures'
import * as flowFigures from './flowFigures'
import * as layFigures from './layFigures'
import * as printFigures from './printFigures'
import * as readFigures from './readFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const airDomain = domainOf('air', flowFigures, ductFigures, layFigures, readFigures, printFigures, verdicts)
