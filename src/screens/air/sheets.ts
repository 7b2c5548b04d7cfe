import { BoxGiven } from './BoxGiven'
import { BoxPlate } from './BoxPlate'
import { BoxSide } from './BoxSide'
import { DuctGiven } from './DuctGiven'
import { DuctPlate } from './DuctPlate'
import { DuctSide } from './DuctSide'
import { MeasureGiven } from './MeasureGiven'
import { MeasurePlate } from './MeasurePlate'
import { MeasureSide } from './MeasureSide'
import { PrintGiven } from './PrintGiven'
import { PrintPlate } from './PrintPlate'
import { PrintSide } from './PrintSide'

/** Air: will the smoke leave, and where does fresh air come in? */
export const sheets = {
  duct: { plate: DuctPlate, given: DuctGiven, side: DuctSide },
  box: { plate: BoxPlate, given: BoxGiven, side: BoxSide },
  measure: { plate: MeasurePlate, given: MeasureGiven, side: MeasureSide },
  print: { plate: PrintPlate, given: PrintGiven, side: PrintSide },
}
