import { CutGiven } from './CutGiven'
import { CutPlate } from './CutPlate'
import { CutSide } from './CutSide'
import { DepthGiven, DepthPlate, DepthSide } from './Depth'
import { ExposeGiven, ExposePlate, ExposeSide } from './Expose'
import { MaskGiven } from './MaskGiven'
import { MaskPlate } from './MaskPlate'
import { MaskSide } from './MaskSide'
import { ToneGiven } from './ToneGiven'
import { TonePlate } from './TonePlate'
import { ToneSide } from './ToneSide'
import { WrongGiven } from './WrongGiven'
import { WrongPlate } from './WrongPlate'
import { WrongSide } from './WrongSide'

/** Burns: what power and speed for this material? */
export const sheets = {
  tone: { plate: TonePlate, given: ToneGiven, side: ToneSide },
  cut: { plate: CutPlate, given: CutGiven, side: CutSide },
  depth: { plate: DepthPlate, given: DepthGiven, side: DepthSide },
  mask: { plate: MaskPlate, given: MaskGiven, side: MaskSide },
  expose: { plate: ExposePlate, given: ExposeGiven, side: ExposeSide },
  wrong: { plate: WrongPlate, given: WrongGiven, side: WrongSide },
}
