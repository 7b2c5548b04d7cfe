import { domainOf } from '../bench'
import * as depthFigures from './depthFigures'
import * as designFigures from './designTones'
import * as settingFigures from './settingFigures'
import * as toneFigures from './toneFigures'
import * as toneVerdicts from './toneVerdicts'

/** What this domain works and judges: all figures and verdicts that these modules export. */
export const testcardDomain = domainOf('testcard', toneFigures, designFigures, depthFigures, settingFigures, toneVerdicts)
