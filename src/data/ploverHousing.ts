import { templateOf } from '../core/bench'
import { housingShape, portShape, sheetShape, type Housing } from '../core/housing'
import { readAir as read, saidAir as said, statedAir as stated } from './airFacts'

const blank = templateOf(housingShape)

/** Plover's hood: no floor, lifted away; its grille lets one straight line out, which a baffle mends. Every number is invented. */
export const ploverHousing: Housing = {
  ...blank,
  needs: {
    ...blank.needs,
    machineX: read('500', 'mm', 1),
    machineY: read('380', 'mm', 1),
    machineZ: read('340', 'mm', 1),
    bedOver: read('70', 'mm', 1),
    handsFront: stated('60', 'mm', 10),
  },
  size: {
    ...blank.size,
    x: stated('680', 'mm'),
    y: stated('540', 'mm'),
    z: stated('400', 'mm'),
    floor: said('no'),
    lift: said('two'),
    foot: said('skirt'),
    inside: said('black'),
  },
  sheets: {
    six: templateOf(sheetShape, {
      order: 1,
      kind: said('poplar'),
      thickness: read('5.8', 'mm', 0.05),
      price: stated('31', 'money'),
    }),
  },
  sheet: 'six',
  lid: { ...blank.lid, form: said('front'), seal: said('strip'), springs: said('none') },
  ports: {
    grille: templateOf(portShape, {
      order: 1,
      kind: 'inlet',
      name: 'Grille of the shed',
      wall: 'right',
      x: stated('260', 'mm'),
      y: stated('150', 'mm'),
      width: stated('90', 'mm'),
      height: stated('40', 'mm'),
      round: said('no'),
      filled: said('no'),
      free: stated('60', 'percent'),
    }),
  },
}
