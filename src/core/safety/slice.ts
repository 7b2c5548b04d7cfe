import { fact, group, type Act, type Of } from '../bench'

const EYEWEAR: Act = { id: 'eyewear', words: "Copy density and scale number off the eyewear's certificate and label" }

/** What protects: certified eyewear, at the wavelength of the beam. */
export const safetyShape = group(
  {
    eyewearDensity: fact({
      label: 'Optical density of your eyewear at this wavelength',
      quantity: 'opticalDensity',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0,
      max: 12,
      assume: { value: 0, halfWidth: 0 },
    }),
    eyewearScale: fact({
      label: 'Scale number of your eyewear at this wavelength',
      quantity: 'count',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0,
      max: 10,
      whole: true,
      assume: { value: 0, halfWidth: 0 },
    }),
    beamAtEyewear: fact({
      label: 'Beam where it may meet the eyewear, across',
      quantity: 'length',
      cell: 'eyewear',
      act: EYEWEAR,
      min: 0.01,
      max: 100,
      assume: { value: 2, halfWidth: 1 },
    }),
  },
  { stage: 'safety', part: 'eyewear' },
)

export type Safety = Of<typeof safetyShape>
export interface SafetyBench {
  readonly safety: Safety
}
