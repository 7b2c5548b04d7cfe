import { domainOf } from '../bench'
import * as closureFigures from './closureFigures'
import * as delayFigures from './delayFigures'
import * as dueFigures from './dueFigures'
import * as limitFigures from './limitFigures'
import * as shapeFigures from './shapeFigures'
import * as trialVerdicts from './trialVerdicts'
import * as wedgeFigures from './wedgeFigures'
import * as tryFigures from './tryFigures'
import * as tryVerdicts from './tryVerdicts'

/** The half of calibration that patterns other than the scale run need, and what is tried without burning. */
export const trialsDomain = domainOf(
  'trials',
  delayFigures,
  closureFigures,
  shapeFigures,
  limitFigures,
  wedgeFigures,
  dueFigures,
  trialVerdicts,
  tryFigures,
  tryVerdicts,
)
