import { CurveGiven, CurvePlate } from './PowerCurve'
import { RampGiven, RampPlate } from './Ramp'
import { RunGiven } from './RunGiven'
import { RunPlate } from './RunPlate'
import { SettingsGiven } from './SettingsGiven'
import { SettingsPlate } from './SettingsPlate'
import { CurveSide, RunSide, StepsSide } from './Side'

/** Controller: do the settings in the machine say what the bench says? */
export const sheets = {
  settings: { plate: SettingsPlate, given: SettingsGiven, side: StepsSide },
  ramp: { plate: RampPlate, given: RampGiven, side: StepsSide },
  run: { plate: RunPlate, given: RunGiven, side: RunSide },
  curve: { plate: CurvePlate, given: CurveGiven, side: CurveSide },
}
