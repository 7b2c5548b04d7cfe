/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const planHints: Readonly<Record<string, string>> = {
  'plan.goals.workWidth': 'Along X.',
  'plan.goals.workDepth': 'Along Y.',
  'plan.goals.workHeight': 'With what holds it, from the bed to its top.',
  'plan.goals.budget': 'All of it, in your own money.',
  'plan.readyPrice': 'What you would pay for one that does the same; in your own money.',
  'plan.stock.leaveLong': 'A little more than needed, to creep up on it with file or mill.',
  'plan.fits.shaft': 'Measured with the calipers at three places.',
  'plan.fits.bush': 'Measured with the calipers.',
  'plan.fits.allowance':
    'Make a hole of known size and measure: by how much a printed one is too small, or the kerf of a cut one.',
  'plan.fits.holes': 'Outside to outside of the holes, less one hole.',
  'plan.boards.edge': 'From end to end of the board.',
  'plan.boards.screw': 'Outside of the thread.',
  'plan.mounts.high': 'Both over the same flat base, by the same instrument.',
  'plan.room.free': 'From the table to the shelf above.',
  'plan.room.machine': 'With the head and its cables at the very top.',
  'plan.room.above': 'A lid that swings up, a hand that changes the work.',
}
