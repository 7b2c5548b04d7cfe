import { EyewearGiven } from './Given'
import { EyewearPlate } from './Plate'
import { EyewearSide } from './Side'

export const sheets = { eyewear: { plate: EyewearPlate, given: EyewearGiven, side: EyewearSide } }
