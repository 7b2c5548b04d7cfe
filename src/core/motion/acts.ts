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
export const ROLLING: Act = { id: 'rolling', words: 'Rock the carriage, push it along, turn a wheel with a finger' }
export const CABLES: Act = { id: 'cables', words: 'Say where the controller stands, and measure the shortest cable' }
export const LAYERS: Act = { id: 'layers', words: 'Measure both layers of belt: height, width, what the clamps give' }
export const POWER_UP: Act = { id: 'power-up', words: 'Ask for a short way along +X, then +Y, and watch where the head goes' }
