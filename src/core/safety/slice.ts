import { z } from 'zod'
import { fact } from '../bench'

/** What protects: certified eyewear, at the wavelength of the beam. */
export const safetySchema = z.strictObject({
  eyewearDensity: fact({
    label: 'Optical density of your eyewear at this wavelength',
    quantity: 'opticalDensity',
    min: 0,
    max: 12,
    assume: { value: 0, halfWidth: 0 },
    how: 'From the certificate, at the wavelength of the diode. Colour proves nothing; without a certificate it is 0.',
  }),
})

export type Safety = z.infer<typeof safetySchema>
export interface SafetyBench {
  readonly safety: Safety
}
