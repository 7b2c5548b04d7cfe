import type { TrialKind, TrialLayout, TrialShape } from './trial'
import { alternateTrial } from './trialAlternate'
import { bandsTrial } from './trialBands'
import { circleTrial } from './trialCircle'
import { delayTrial } from './trialDelay'
import { focusTrial } from './trialFocus'
import { kerfTrial } from './trialKerf'
import { movesTrial } from './trialMoves'
import { outlineTrial } from './trialOutline'
import { pointerTrial } from './trialPointer'
import { rectangleTrial } from './trialRectangle'
import { wedgeTrial } from './trialWedge'
import type { TrialKindId } from './trialSlice'

/** Every kind of trial. A new one is a description here, its figures, and its facts. */
export const TRIALS: Readonly<Record<TrialKindId, TrialKind>> = {
  delay: delayTrial,
  outline: outlineTrial,
  circle: circleTrial,
  rectangle: rectangleTrial,
  alternate: alternateTrial,
  moves: movesTrial,
  bands: bandsTrial,
  focus: focusTrial,
  pointer: pointerTrial,
  kerf: kerfTrial,
  wedge: wedgeTrial,
}

/** A trial laid out. @throws {RangeError} where a number that its kind needs is missing. */
export function layoutOf(kind: TrialKindId, shape: TrialShape): TrialLayout {
  return TRIALS[kind].layout(shape)
}
