import { bare, choice, fact, group, many, text, word, type Act, type Of } from '../bench'

const GLASSES: Act = { id: 'glasses', words: 'Copy the labels of eyewear and window letter by letter' }

/** What a filter is made of: a wide beam strains glass more than plastic (EN 207, annex B). */
export const FILTERS = { glass: 'glass', plastic: 'plastic' } as const
export type Filter = keyof typeof FILTERS

/** What can stand behind a label. */
export const PROOFS = ['unsaid', 'en', 'ansi', 'certificate', 'seller'] as const
export type ProofBy = (typeof PROOFS)[number]

/** What each of them is called. */
export const PROOF_WORDS: Readonly<Record<ProofBy, string>> = {
  unsaid: 'nobody has looked yet',
  en: 'the mark of EN 207 on the lens or frame',
  ansi: 'the mark of ANSI Z136.7 on the lens or frame',
  certificate: 'a certificate',
  seller: 'the seller’s word only',
}

/** Eyewear, or a window, by its label. */
export const glassesShape = group(
  {
    order: bare(),
    name: text(1, 60, undefined, 'It needs a name.'),
    /** What is printed on it, as it stands there. */
    label: text(0, 400, ''),
    /** What stands behind it, as it was looked at. */
    proof: word(PROOFS, 'unsaid'),
    /** Number, laboratory and day of a certificate. */
    certificate: text(0, 120, ''),
    filter: choice({ label: 'Its filter is of', options: FILTERS, assume: { chosen: 'glass' } }),
    light: fact({ label: 'Light of day that it lets through', quantity: 'ratio', min: 0, max: 1, unit: 'percent' }),
  },
  { act: GLASSES },
)
export type GlassesFacts = Of<typeof glassesShape>

/** What protects: certified eyewear and window, by their labels, at the wavelength of the beam. */
export const safetyShape = group(
  {
    glasses: many(glassesShape, { label: ({ label, thing }) => `${label}, ${thing.name}` }),
    /** Which of them is worn; none where it is empty. */
    worn: text(0, 40, ''),
    /** Which of them is the window of the box. */
    window: text(0, 40, ''),
    beamAtEyewear: fact({
      label: 'Beam where it may meet the eyewear, across',
      quantity: 'length',
      cell: 'eyewear',
      act: GLASSES,
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
