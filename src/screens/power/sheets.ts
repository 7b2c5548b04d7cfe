import { SignalGiven } from './Given'
import { SignalSide, WiringSide } from './Side'
import { SignalPlate } from './SignalPlate'
import { WiringGiven } from './WiringGiven'
import { WiringPlate } from './WiringPlate'

export const sheets = {
  wiring: { plate: WiringPlate, given: WiringGiven, side: WiringSide },
  signal: { plate: SignalPlate, given: SignalGiven, side: SignalSide },
}
