import { domainOf } from '../bench'
import * as sheetFigures from './sheetFigures'
import * as sheetVerdicts from './sheetVerdicts'

/** What this domain works and judges of the sheets of a box: all figures and verdicts that these modules export. */
export const sheetsDomain = domainOf('nesting', sheetFigures, sheetVerdicts)
