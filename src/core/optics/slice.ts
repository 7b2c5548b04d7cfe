import { bare, choice, fact, group, many, moment, orNull, type Act, type Of } from '../bench'

const DIODE: Act = { id: 'diode', words: "Copy power and wavelength off the diode's label" }
const SPOT: Act = { id: 'spot', words: 'Burn a thin line along X and one along Y, and measure their widths', beam: true }

const GAP: Act = { id: 'gap', words: 'Slide gauge blocks under the head until one just goes' }
const RAMP: Act = { id: 'ramp', words: 'Find the beam’s quality by a focus ramp, or on its data sheet' }
const TOUCH: Act = { id: 'touch', words: 'Measure the touch plate and its feeler' }
const m2 = (side: string) =>
  fact({
    label: `Beam quality M² across ${side}`,
    quantity: 'ratio',
    min: 1,
    max: 200,
    act: RAMP,
    assume: { value: 8, halfWidth: 4, unit: 'one' },
  })

/** The light at full power, read again and again over the months. */
export const lightReadShape = group({
  order: bare(),
  at: moment('instant'),
  /** Hours the machine had run; null where nobody counts them. */
  hours: orNull(bare()),
  light: fact({ label: 'Light at full power', quantity: 'power', min: 0, max: 1000 }),
})

export type LightRead = Of<typeof lightReadShape>

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
    /** Along which axis the long, flat side of the spot lies. */
    flatAlong: choice({
      label: 'Long side of the spot',
      options: { x: 'along X', y: 'along Y', none: 'none, it is round' },
      begun: () => false,
    }),
    flatOrder: fact({
      label: 'How flat the long side is',
      quantity: 'ratio',
      min: 2,
      max: 20,
      assume: { value: 6, halfWidth: 2, unit: 'one' },
      begun: () => false,
    }),
    m2X: m2('X'),
    m2Y: m2('Y'),
    /** Head's lower edge to the surface of the material. */
    gap: fact({ act: GAP, label: 'Gap from head to material', quantity: 'length', min: 0, max: 500 }),
    focusGap: fact({ label: 'Gap at focus, as stated', quantity: 'length', min: 0, max: 500, begun: () => false }),
    sheet: fact({
      label: 'Thickness of the material',
      quantity: 'length',
      min: 0,
      max: 200,
      assume: { value: 3, halfWidth: 0.3, unit: 'mm' },
      begun: () => false,
    }),
    /** What one turn of the knob or screw moves the head. */
    headTurn: fact({ label: 'Head for one turn of its knob', quantity: 'length', min: 0.01, max: 50, begun: () => false }),
    gauge: fact({ label: 'Gauge block', quantity: 'length', min: 0.1, max: 200, begun: () => false }),
    plate: fact({ act: TOUCH, label: 'Touch plate', quantity: 'length', min: 0.1, max: 100, begun: () => false }),
    /** What the light was at full power, in the order of reading. */
    lights: many(lightReadShape, {
      placed: { part: 'light' },
      label: ({ label, thing }) => `${label}, ${thing.at.slice(0, 10)}`,
    }),
    /** Gap that is left between head and plate when the feeler touches it. */
    feeler: fact({
      act: TOUCH,
      label: 'Gap from head to plate at touch',
      quantity: 'length',
      min: 0,
      max: 200,
      begun: () => false,
    }),
  },
  { stage: 'beam', part: 'focus' },
)

export type Optics = Of<typeof opticsShape>
export interface OpticsBench {
  readonly optics: Optics
}
