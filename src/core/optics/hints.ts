/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const opticsHints: Readonly<Record<string, string>> = {
  'optics.power': 'The optical power on the data sheet, not the electrical one; a tenth of it may be missing.',
  'optics.wavelength': 'From the label of the diode or module.',
  'optics.spotX': 'Width of the thinnest line burnt along Y, at focus.',
  'optics.flatAlong': 'Burn a line along X and one along Y: the wider line lies across the long side.',
  'optics.flatOrder': 'A Gaussian is 2, a rectangle with soft edges 4 to 10; a ramp finds it.',
  'optics.m2X': 'From a data sheet, or by a focus ramp; a diode has 1 to 3 across its thin side and more across its long one.',
  'optics.m2Y': 'From a data sheet, or by a focus ramp; a diode has 1 to 3 across its thin side and more across its long one.',
  'optics.gap': 'From the head’s lower edge to the material, by blocks or the depth rod of the calipers. Supply off.',
  'optics.focusGap': 'From the head’s sheet, or by a focus ramp.',
  'optics.sheet': 'Measured: sheet is rarely its nominal thickness.',
  'optics.headTurn': 'The pitch of the screw, or turn it ten times and divide.',
  'optics.lights.*.light': 'At full power, the meter’s head always at the same place, after the same time of warming up.',
  'optics.gauge': 'Measured at three places.',
  'optics.plate': 'Measured with calipers or micrometer.',
  'optics.feeler': 'With the feeler just touching: from the head’s lower edge to the plate.',
  'optics.spotY': 'Width of the thinnest line burnt along X, at focus.',
}
