/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const burnHints: Readonly<Record<string, string>> = {
  'burns.cutPower': 'Full power cuts with the least heat around the cut; less spares the diode.',
  'burns.cutPasses': 'Two faster passes often char less than a slow one.',
  'burns.firstSpeed': 'Slow for thick or dark sheets: 3 mm plywood takes a 5 W diode 2 to 8 mm/s.',
  'burns.materials.*.thickness': 'Measured with calipers: sheet is rarely its nominal thickness.',
}
