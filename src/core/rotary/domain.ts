import { domainOf } from '../bench'
import * as heightFigures from './heightFigures'
import * as heightVerdicts from './heightVerdicts'
import * as holderFigures from './holderFigures'
import * as holderVerdicts from './holderVerdicts'
import * as holdingFigures from './holdingFigures'
import * as holdingVerdicts from './holdingVerdicts'
import * as leftFigures from './leftFigures'
import * as objectFigures from './objectFigures'
import * as objectVerdicts from './objectVerdicts'
import * as plateFigures from './plateFigures'
import * as plateVerdicts from './plateVerdicts'
import * as runFigures from './runFigures'
import * as runVerdicts from './runVerdicts'
import * as turnFigures from './turnFigures'
import * as turnVerdicts from './turnVerdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const rotaryDomain = domainOf(
  'rotary',
  objectFigures,
  holdingFigures,
  heightFigures,
  turnFigures,
  runFigures,
  leftFigures,
  holderFigures,
  plateFigures,
  objectVerdicts,
  holdingVerdicts,
  heightVerdicts,
  turnVerdicts,
  runVerdicts,
  holderVerdicts,
  plateVerdicts,
)
