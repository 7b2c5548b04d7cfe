import { EyewearGiven } from './Given'
import { EyewearPlate } from './Plate'
import { ReachGiven } from './ReachGiven'
import { ReachPlate } from './ReachPlate'
import { ReachSide } from './ReachSide'
import { RoundGiven } from './RoundGiven'
import { RoundPlate } from './RoundPlate'
import { RoundSide } from './RoundSide'
import { EyewearSide } from './Side'

/** Safety: what can hurt someone, and what is still open? */
export const sheets = {
  reach: { plate: ReachPlate, given: ReachGiven, side: ReachSide },
  eyewear: { plate: EyewearPlate, given: EyewearGiven, side: EyewearSide },
  round: { plate: RoundPlate, given: RoundGiven, side: RoundSide },
}
