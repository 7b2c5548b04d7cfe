/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const burnHints: Readonly<Record<string, string>> = {
  'burns.cutPower': 'Full power cuts with the least heat around the cut; less spares the diode.',
  'burns.cutPasses': 'Two faster passes often char less than a slow one.',
  'burns.firstSpeed': 'Slow for thick or dark sheets: 3 mm plywood takes a 5 W diode 2 to 8 mm/s.',
  'burns.toneWanted': '100 is white, 0 is black: bare birch has about 78, a dark engraving 35 to 45.',
  'burns.depthWanted': 'From the bare face to the floor of what is engraved.',
  'burns.maskPower': 'Little power leaves what lies beneath alone; a third is a beginning for paint tape.',
  'burns.exposure.power': 'Far above where the light begins, or its ± is large: by the power curve.',
  'burns.exposure.speed': 'Fast enough that nothing warms.',
  'burns.exposure.pitch': 'Half of the spot or less, so that lines run into one another.',
  'burns.exposure.board': 'On the data sheet of the light-sensitive coat, for your wavelength.',
  'burns.exposure.wedgeStep': 'Printed on the step wedge, 0.15 for many.',
  'burns.exposure.held': 'Count the steps of the wedge that stayed on the developed board.',
  'burns.exposure.heldWanted': 'On the data sheet; 5 to 7 for many.',
  'burns.materials.*.bareTone': 'Of its bare face: a grey card beside it in a picture says how light it is.',
  'burns.materials.*.thickness': 'Measured with calipers: sheet is rarely its nominal thickness.',
}
