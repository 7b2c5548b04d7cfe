/** Letters of words as character codes. */
export const LETTER = {
  A: 65,
  F: 70,
  G: 71,
  I: 73,
  J: 74,
  K: 75,
  L: 76,
  M: 77,
  N: 78,
  P: 80,
  Q: 81,
  R: 82,
  S: 83,
  X: 88,
  Y: 89,
  Z: 90,
} as const

/** G words that are carried out, in tenths: G92.1 is 921. Source: NISTIR 6556, table 4 (from memory). */
export const G = {
  rapid: 0,
  line: 10,
  clockwise: 20,
  counterClockwise: 30,
  dwell: 40,
  inches: 200,
  noMotion: 800,
  drill: 810,
  drillDwell: 820,
  peck: 830,
  bore: 850,
  boreStop: 860,
  boreDwell: 890,
  absolute: 900,
  offset: 920,
  clearOffset: 921,
  suspendOffset: 922,
  returnFirst: 980,
} as const

/** M words that are carried out, in tenths. Source: NISTIR 6556, table 5 (from memory). */
export const M = { end: 20, clockwise: 30, off: 50, coolantOff: 90, rewind: 300 } as const
