import { fact, group, type Act, type Of } from '../bench'

const EYEWEAR: Act = { id: 'eyewear', words: "Copy density and scale number off the eyewear's certificate and label" }

/** What protects: certified eyewear, at the wavelength of the beam. */
export const safetyShape = group(
  {
    eyewearDensity: fact({
      also: 'goggles glasses od',
      label: 'Optical density of your eyewear at this wavelength',
      quantity: 'opticalDensity',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0,
      max: 12,
      assume: { value: 0, halfWidth: 0 },
      how: 'From the certificate, at the wavelength of the diode. Colour proves nothing; without a certificate it is 0.',
    }),
    eyewearScale: fact({
      also: 'goggles glasses lb label',
      label: 'Scale number of your eyewear at this wavelength',
      quantity: 'count',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0,
      max: 10,
      whole: true,
      assume: { value: 0, halfWidth: 0 },
      how: 'The n of LB n on its label, behind a D and a range that holds the wavelength of the diode. A label without one is 0.',
    }),
    beamAtEyewear: fact({
      label: 'Beam where it may meet the eyewear, across',
      quantity: 'length',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0.01,
      max: 100,
      assume: { value: 2, halfWidth: 1 },
      how: 'The narrowest that it can be there: as it leaves the lens, or thrown back by something bright. Narrower asks for more.',
    }),
  },
  { stage: 'safety' },
)

export type Safety = Of<typeof safetyShape>
export interface SafetyBench {
  readonly safety: Safety
}
