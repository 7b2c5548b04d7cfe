/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const opticsHints: Readonly<Record<string, string>> = {
  'optics.power': 'The optical power on the data sheet, not the electrical one; a tenth of it may be missing.',
  'optics.wavelength': 'From the label of the diode or module.',
  'optics.spotX': 'Width of the thinnest line burnt along Y, at focus.',
  'optics.spotY': 'Width of the thinnest line burnt along X, at focus.',
}
