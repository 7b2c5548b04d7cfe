import { choice, fact, group, type Act, type FactSpec, type Of, type See } from '../bench'
import { HOW_READ, SYMPTOM_SEEN, type Reading, type Symptom } from './observed'

const LOOK: Act = { id: 'faults', words: 'Look at the burn, and read the one thing that tells most' }

type More = Partial<FactSpec>
const seen = (symptom: Symptom) =>
  choice({ label: SYMPTOM_SEEN[symptom].name, options: { yes: 'as in the picture', no: 'not so' }, begun: () => false })
const mm = (reading: Reading, more: More = {}) =>
  fact({ label: HOW_READ[reading].name, quantity: 'length', min: 0, max: 50, begun: () => false, ...more })
const share = (reading: Reading, max = 9) =>
  fact({ label: HOW_READ[reading].name, quantity: 'ratio', min: -0.9, max, unit: 'percent', begun: () => false })
const turns = (see: See): boolean => see('rotary.inHand') !== ''

/** What somebody saw of a burn that came out badly, and what was read of it. */
export const faultsShape = group(
  {
    seen: group({
      shifted: seen('shifted'),
      slanted: seen('slanted'),
      open: seen('open'),
      doubled: seen('doubled'),
      short: seen('short'),
      swinging: seen('swinging'),
      darkCorners: seen('darkCorners'),
      pale: seen('pale'),
      wide: seen('wide'),
      wedged: seen('wedged'),
      patchy: seen('patchy'),
      scorched: seen('scorched'),
      seamOpen: seen('seamOpen'),
    }),
    read: group({
      gap: mm('gap'),
      shiftSlow: mm('shiftSlow'),
      shiftFast: mm('shiftFast'),
      slant: mm('slant'),
      doubleSlow: mm('doubleSlow'),
      doubleFast: mm('doubleFast'),
      missing: mm('missing'),
      swing: mm('swing'),
      cornerDark: share('cornerDark'),
      width: share('width'),
      wedge: share('wedge'),
      dark: share('dark', 0.9),
      uneven: share('uneven', 0.9),
      rim: mm('rim'),
      seam: mm('seam', { when: turns }),
    }),
    slow: fact({
      label: 'Slow speed of the pattern',
      quantity: 'speed',
      min: 1,
      max: 500,
      exact: true,
      assume: { value: 20, halfWidth: 0, unit: 'mm/s' },
      begun: () => false,
    }),
    fast: fact({
      label: 'Fast speed of the pattern',
      quantity: 'speed',
      min: 2,
      max: 2000,
      exact: true,
      assume: { value: 100, halfWidth: 0, unit: 'mm/s' },
      begun: () => false,
    }),
  },
  { stage: 'burns', part: 'wrong', act: LOOK },
)
export type Faults = Of<typeof faultsShape>

/** What this domain reads of a bench. */
export interface FaultsBench {
  readonly faults: Faults
}
