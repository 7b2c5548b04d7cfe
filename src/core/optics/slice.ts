import { z } from 'zod'
import { fact } from '../bench'

/** The beam: what the diode gives, and how small it is at focus. */
export const opticsSchema = z.strictObject({
  power: fact({
    label: 'Optical power',
    quantity: 'power',
    min: 0.001,
    max: 200,
    how: 'The optical power on the data sheet, not the electrical one; a tenth of it may be missing.',
  }),
  wavelength: fact({
    label: 'Wavelength',
    quantity: 'wavelength',
    min: 180,
    max: 20_000,
    how: 'From the label of the diode or module.',
  }),
  spotX: fact({
    label: 'Spot across X',
    quantity: 'length',
    min: 0.001,
    max: 20,
    how: 'Width of the thinnest line burnt along Y, at focus.',
  }),
  spotY: fact({
    label: 'Spot across Y',
    quantity: 'length',
    min: 0.001,
    max: 20,
    how: 'Width of the thinnest line burnt along X, at focus.',
  }),
})

export type Optics = z.infer<typeof opticsSchema>
export interface OpticsBench {
  readonly optics: Optics
}
