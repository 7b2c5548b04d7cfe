/** How each fact is found out, in a sentence; `*` stands for an id. */
export const reachHints: Readonly<Record<string, string>> = {
  'reach.beam.focal': 'On the head’s sheet, or from the lens to the spot by a rule, power off. Longer reaches further.',
  'reach.beam.across':
    'At the last lens; of a diode one side is narrower, and that one counts. Burn a card held there for an instant at low power, lid shut, and measure it.',
  'reach.beam.widths': 'Sheets of diodes mostly say 1/e². Where nothing is said leave it: that reaches further.',
  'reach.beam.back': 'Nothing throws back more than all of it; white card comes near.',
  'reach.beam.freeAcross': 'On the sheet of the module, before the lens.',
  'reach.beam.freeAngle': 'The whole angle, on the sheet of the module, mostly in mrad.',
  'reach.room.bed': 'From the floor to what lies under the head.',
  'reach.places.*.eyes': 'About 1.2 m seated, 1.6 m standing; a child’s are lower.',
}
