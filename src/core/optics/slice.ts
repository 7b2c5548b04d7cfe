import { fact, group, type Act, type Of } from '../bench'

const DIODE: Act = { id: 'diode', words: "Copy power and wavelength off the diode's label" }
const SPOT: Act = { id: 'spot', words: 'Burn a thin line along X and one along Y, and measure their widths', beam: true }

/** The beam: what the diode gives, and how small it is at focus. */
export const opticsShape = group(
  {
    power: fact({
      label: 'Optical power',
      cell: 'beam',
      act: DIODE,
      quantity: 'power',
      min: 0.001,
      max: 200,
    }),
    wavelength: fact({
      label: 'Wavelength',
      cell: 'beam',
      act: DIODE,
      quantity: 'wavelength',
      min: 180,
      max: 20_000,
    }),
    spotX: fact({
      label: 'Spot across X',
      cell: 'spot',
      act: SPOT,
      quantity: 'length',
      min: 0.001,
      max: 20,
    }),
    spotY: fact({
      label: 'Spot across Y',
      cell: 'spot',
      act: SPOT,
      quantity: 'length',
      min: 0.001,
      max: 20,
    }),
  },
  { stage: 'beam' },
)

export type Optics = Of<typeof opticsShape>
export interface OpticsBench {
  readonly optics: Optics
}
