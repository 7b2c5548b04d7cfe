import { CutGiven } from './CutGiven'
import { CutPlate } from './CutPlate'
import { CutSide } from './CutSide'

/** Burns: what power and speed for this material? */
export const sheets = { cut: { plate: CutPlate, given: CutGiven, side: CutSide } }
