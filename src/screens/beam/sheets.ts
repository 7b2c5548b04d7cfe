import { CurvePlate, CurveWorked } from '../../ui/PowerCurve'
import { BedGiven, BedPlate, BedSide } from './Bed'
import { BeamPlate } from './BeamPlate'
import { FocusGiven } from './FocusGiven'
import { FocusSide } from './FocusSide'
import { LightGiven, lightSideOf } from './Light'

/** Beam: where is focus, how big is the spot, what does 40 % really give? */
export const sheets = {
  focus: { plate: BeamPlate, given: FocusGiven, side: FocusSide },
  bed: { plate: BedPlate, given: BedGiven, side: BedSide },
  light: { plate: CurvePlate, given: LightGiven, side: lightSideOf(CurveWorked) },
}
