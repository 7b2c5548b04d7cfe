import { LineGiven } from './LineGiven'
import { LinePlate } from './LinePlate'
import { LogSide } from './LogSide'
import { MoneyGiven } from './MoneyGiven'
import { MoneyPlate } from './MoneyPlate'
import { MoneySide } from './MoneySide'
import { PassportPlate } from './PassportPlate'
import { RepairsGiven } from './RepairsGiven'
import { RepairsPlate } from './RepairsPlate'
import { UpkeepGiven } from './UpkeepGiven'
import { UpkeepPlate } from './UpkeepPlate'
import { UpkeepSide } from './UpkeepSide'

/** The passport is all of its sheet. */
const Nothing = (): null => null

/** Log: what happened, what is due, what did it cost? */
export const sheets = {
  line: { plate: LinePlate, given: LineGiven, side: LogSide },
  upkeep: { plate: UpkeepPlate, given: UpkeepGiven, side: UpkeepSide },
  repairs: { plate: RepairsPlate, given: RepairsGiven, side: LogSide },
  money: { plate: MoneyPlate, given: MoneyGiven, side: MoneySide },
  passport: { plate: PassportPlate, given: Nothing, side: LogSide },
}
