/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const calibrateHints: Readonly<Record<string, string>> = {
  'calibrate.wantedShare': '0.1 % is 0.3 mm over 300 mm.',
  'calibrate.sightPower': 'The least power at which the spot can be seen; it marks nothing.',
  'calibrate.rampTo': 'Higher for hard or light material.',
  'calibrate.markPower': 'Burn the ramp and take the first line that can be seen well.',
  'calibrate.runs.*.readings.*': 'Like edge to like edge, as the plate shows.',
}
