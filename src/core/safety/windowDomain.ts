import { domainOf } from '../bench'
import * as windowFigures from './windowFigures'
import * as windowVerdicts from './windowVerdicts'

/** What is judged of a window: it needs the housing's facts, which the first picture does not wait for. */
export const windowDomain = domainOf('window', windowFigures, windowVerdicts)
