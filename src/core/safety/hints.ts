/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const safetyHints: Readonly<Record<string, string>> = {
  'safety.eyewearDensity':
    'From the certificate, at the wavelength of the diode. Colour proves nothing; without a certificate it is 0.',
  'safety.eyewearScale':
    'The n of LB n on its label, behind a D and a range that holds the wavelength of the diode. A label without one is 0.',
  'safety.beamAtEyewear':
    'The narrowest that it can be there: as it leaves the lens, or thrown back by something bright. Narrower asks for more.',
}
