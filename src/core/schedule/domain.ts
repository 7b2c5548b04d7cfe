import { domainOf } from '../bench'
import * as boardFigures from './boardFigures'
import * as costFigures from './costFigures'
import * as cutFigures from './cutFigures'
import * as fastenerFigures from './fastenerFigures'
import * as figures from './figures'
import * as kitFigures from './kitFigures'
import * as verdicts from './verdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const scheduleDomain = domainOf(
  'schedule',
  figures,
  boardFigures,
  costFigures,
  cutFigures,
  fastenerFigures,
  kitFigures,
  verdicts,
)
