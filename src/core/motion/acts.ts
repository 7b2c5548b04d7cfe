import type { Act } from '../bench'

// Work at the machine that gives several facts at once.

export const DRIVE_TRAIN: Act = {
  id: 'drive train',
  words: "Read the drivers' switches and the motors' labels, and count the teeth",
}
export const MOTORS: Act = { id: 'motors', words: "Copy the motors' data sheet, and what their drivers are set to" }
export const MOVING: Act = { id: 'moving', words: 'Weigh what moves, and pull it along with a spring balance' }
export const TRAVEL: Act = { id: 'travel', words: 'Move each axis from stop to stop and measure the way' }
export const CORNERS: Act = { id: 'corners', words: 'Measure two sides and both diagonals between the corners' }
export const BELTS: Act = { id: 'belts', words: 'Measure the free span of the belts and pluck them' }
