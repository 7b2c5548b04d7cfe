import { domainOf } from '../bench'
import * as bedFigures from './bedFigures'
import * as correctionFigures from './correctionFigures'
import * as crossedFigures from './crossedFigures'
import * as driveFigures from './driveFigures'
import * as mechanicsVerdicts from './mechanicsVerdicts'
import * as mirrorFigures from './mirrorFigures'
import * as playFigures from './playFigures'
import * as rackingFigures from './rackingFigures'
import * as roundFigures from './roundFigures'

/** The half of motion that its first picture does not show: torque, belts, mirrors, gantry, play, bed. */
export const mechanicsDomain = domainOf(
  'mechanics',
  driveFigures,
  crossedFigures,
  mirrorFigures,
  rackingFigures,
  playFigures,
  bedFigures,
  correctionFigures,
  roundFigures,
  mechanicsVerdicts,
)
