import { templateOf } from '../core/bench'
import { glassesShape, safetyShape, type Safety } from '../core/safety'
import { saidAir as said, statedAir as stated } from './airFacts'

/** Heron's eyewear to choose from, and the label of its window. Every number is invented. */
export const heronSafety: Safety = {
  ...templateOf(safetyShape),
  glasses: {
    narrow: templateOf(glassesShape, {
      order: 1,
      name: 'Amber, narrow',
      label: 'D 440-470 LB6',
      proof: 'en',
      filter: said('plastic'),
      light: stated('58', 'percent'),
    }),
    broad: templateOf(glassesShape, {
      order: 2,
      name: 'Dark, broad',
      label: 'D 180-315 LB9 + 315-534 LB7',
      proof: 'en',
      filter: said('plastic'),
      light: stated('14', 'percent'),
    }),
    given: templateOf(glassesShape, {
      order: 3,
      name: 'Came with the head',
      label: 'OD 4+ 190-490 nm',
      proof: 'seller',
      light: stated('40', 'percent'),
    }),
    pane: templateOf(glassesShape, {
      order: 4,
      name: 'Window of the box',
      label: 'D 430-465 LB6',
      proof: 'certificate',
      certificate: 'test sheet W 31, 12 March',
      filter: said('plastic'),
      light: stated('46', 'percent'),
    }),
  },
  worn: 'narrow',
  window: 'pane',
  beamAtEyewear: stated('2.5', 'mm', 0.5),
}
