import { airDomain } from '../air'
import { createEngine, type AnyFigure, type Domain, type Engine, type EngineConfig, type Verdict } from '../bench'
import { burnDomain } from '../burn'
import { beamDomain, calibrateDomain, trialsDomain } from '../calibrate'
import { electricalDomain } from '../electrical'
import { housingDomain } from '../housing'
import { logDomain } from '../log'
import { mechanicsDomain, motionDomain } from '../motion'
import { sheetsDomain } from '../nesting'
import { lightDomain, opticsDomain } from '../optics'
import { reachDomain } from '../reach'
import { rotaryDomain } from '../rotary'
import { roundDomain } from '../round'
import { bookDomain, safetyDomain, windowDomain } from '../safety'
import { scheduleDomain } from '../schedule'
import { testcardDomain } from '../testcard'
import { turnedDomain, workDomain } from '../work'
import './lateSlices'
import { benchFactSpec, type Bench } from './bench'
import { judgeDomains } from './domains'
import { RENAMED_FIGURES } from './renames'

/** All domains at once, for whoever does not mind their size: tests, workers, the command line. */
export const DOMAINS: readonly Domain[] = [
  motionDomain,
  mechanicsDomain,
  electricalDomain,
  opticsDomain,
  lightDomain,
  calibrateDomain,
  trialsDomain,
  beamDomain,
  burnDomain,
  testcardDomain,
  rotaryDomain,
  housingDomain,
  sheetsDomain,
  airDomain,
  windowDomain,
  safetyDomain,
  reachDomain,
  roundDomain,
  bookDomain,
  workDomain,
  turnedDomain,
  scheduleDomain,
  logDomain,
]

/** Every figure of the product. */
export const FIGURES: readonly AnyFigure[] = DOMAINS.flatMap((it) => it.figures)

/** What an engine over a bench needs to know. */
export const ENGINE_CONFIG: EngineConfig = { figures: FIGURES, specAt: benchFactSpec, renamed: RENAMED_FIGURES }

/** An engine over a bench with the product's figures. @throws never for a valid bench. */
export function engineFor(bench: Bench): Engine<Bench> {
  return createEngine(bench, ENGINE_CONFIG)
}

/** All verdicts of a bench; of one stage, or of all. */
export function judgeAll(engine: Engine<Bench>, stage?: string): readonly Verdict[] {
  return judgeDomains(engine, DOMAINS, stage)
}
