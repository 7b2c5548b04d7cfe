/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const safetyHints: Readonly<Record<string, string>> = {
  'safety.glasses.*.light': 'Visible light transmission, VLT, on the sheet. Below 20 % the room must be lit more brightly.',
  'safety.glasses.*.filter': 'Glass is heavy and cold to the touch. Where nobody knows leave it at glass: that asks for more.',
  'safety.beamAtEyewear': 'As it leaves the lens, or thrown back by something bright. Narrower asks for more.',
}
