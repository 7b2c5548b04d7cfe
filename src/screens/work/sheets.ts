import { OrderGiven } from './OrderGiven'
import { OrderPlate } from './OrderPlate'
import { OrderSide } from './OrderSide'
import { Refit } from './Refit'
import { Work } from './Work'

/** Work: what will it look like, and how long will it take? */
export const sheets = {
  order: { plate: OrderPlate, given: OrderGiven, side: OrderSide },
  program: { sheet: Work },
  refit: { sheet: Refit },
}
