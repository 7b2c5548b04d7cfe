import { CurvePlate } from '../../ui/PowerCurve'
import { CurveGiven } from './PowerCurve'
import { RampGiven, RampPlate } from './Ramp'
import { RunGiven } from './RunGiven'
import { RunPlate } from './RunPlate'
import { SettingsGiven } from './SettingsGiven'
import { SettingsPlate } from './SettingsPlate'
import { HomingGiven, HomingPlate, HomingSide } from './Homing'
import { PracticeGiven, PracticePlate, PracticeSide } from './Practice'
import { trialGivenOf } from './TrialGiven'
import { trialPlateOf } from './TrialPlate'
import { trialSideOf } from './TrialSide'
import { CurveSide, RunSide, StepsSide } from './Side'

const trialSheet = (part: string) => ({ plate: trialPlateOf(part), given: trialGivenOf(part), side: trialSideOf(part) })

/** Controller: do the settings in the machine say what the bench says? */
export const sheets = {
  settings: { plate: SettingsPlate, given: SettingsGiven, side: StepsSide },
  ramp: { plate: RampPlate, given: RampGiven, side: StepsSide },
  run: { plate: RunPlate, given: RunGiven, side: RunSide },
  shape: trialSheet('shape'),
  closure: trialSheet('closure'),
  delay: trialSheet('delay'),
  wedge: trialSheet('wedge'),
  focus: trialSheet('focus'),
  curve: { plate: CurvePlate, given: CurveGiven, side: CurveSide },
  limits: trialSheet('limits'),
  practice: { plate: PracticePlate, given: PracticeGiven, side: PracticeSide },
  homing: { plate: HomingPlate, given: HomingGiven, side: HomingSide },
}
