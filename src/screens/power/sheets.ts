import { BringUpGiven, BringUpPlate, BringUpSide } from './BringUp'
import { ChainGiven } from './ChainGiven'
import { ChainPlate } from './ChainPlate'
import { CoolingGiven, CoolingPlate, CoolingSide } from './Cooling'
import { DriverGiven, DriverPlate, DriverSide } from './Driver'
import { SignalGiven } from './Given'
import { ChainSide, SignalSide, WiringSide } from './Side'
import { SignalPlate } from './SignalPlate'
import { WiringGiven } from './WiringGiven'
import { WiringPlate } from './WiringPlate'

export const sheets = {
  wiring: { plate: WiringPlate, given: WiringGiven, side: WiringSide },
  chain: { plate: ChainPlate, given: ChainGiven, side: ChainSide },
  driver: { plate: DriverPlate, given: DriverGiven, side: DriverSide },
  signal: { plate: SignalPlate, given: SignalGiven, side: SignalSide },
  cooling: { plate: CoolingPlate, given: CoolingGiven, side: CoolingSide },
  bringUp: { plate: BringUpPlate, given: BringUpGiven, side: BringUpSide },
}
