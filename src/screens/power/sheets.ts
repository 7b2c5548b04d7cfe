import { SignalGiven } from './Given'
import { SignalSide } from './Side'
import { SignalPlate } from './SignalPlate'

export const sheets = { signal: { plate: SignalPlate, given: SignalGiven, side: SignalSide } }
