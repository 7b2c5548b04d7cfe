import { templateOf } from '../core/bench'
import { baffleShape, housingShape, offcutShape, portShape, sheetShape, type Housing } from '../core/housing'
import { readAir as read, saidAir as said, statedAir as stated } from './airFacts'

const blank = templateOf(housingShape)

/** Heron's box: sealed, its window sheet used uncut, which is what the width follows from. Every number is invented. */
export const heronHousing: Housing = {
  ...blank,
  needs: {
    ...blank.needs,
    machineX: read('556', 'mm', 1, 'tape'),
    machineY: read('498', 'mm', 1, 'tape'),
    machineZ: read('262', 'mm', 0.5, 'rule'),
    bedOver: read('34', 'mm', 0.5, 'rule'),
    headTall: read('118', 'mm', 0.5, 'rule'),
    loopAbove: stated('35', 'mm', 5),
    loopBehind: stated('40', 'mm', 5),
    handsSide: stated('50', 'mm', 10),
    handsFront: stated('60', 'mm', 10),
  },
  size: { ...blank.size, z: stated('375', 'mm'), inside: said('black') },
  make: { ...blank.make, joint: said('rebate'), screw: stated('2.8', 'mm'), paintPrice: stated('18', 'money') },
  sheets: {
    nine: templateOf(sheetShape, {
      order: 1,
      kind: said('birch'),
      thickness: read('8.7', 'mm', 0.05, 'calipers'),
      price: stated('64', 'money'),
    }),
    twelve: templateOf(sheetShape, {
      order: 2,
      kind: said('birch'),
      thickness: stated('12', 'mm', 0.4),
      price: stated('82', 'money'),
    }),
    eighteen: templateOf(sheetShape, {
      order: 3,
      kind: said('poplar'),
      thickness: stated('18', 'mm', 0.4),
      price: stated('58', 'money'),
    }),
  },
  sheet: 'nine',
  offcuts: {
    shelf: templateOf(offcutShape, { order: 1, along: read('820', 'mm', 1, 'tape'), across: read('410', 'mm', 1, 'tape') }),
  },
  window: {
    ...blank.window,
    kept: said('yes'),
    x: read('640', 'mm', 0.5, 'tape'),
    y: read('560', 'mm', 0.5, 'tape'),
    thick: read('5.9', 'mm', 0.05, 'calipers'),
    weighs: said('acrylic'),
    decides: said('yes'),
  },
  lid: {
    ...blank.lid,
    form: said('top'),
    seal: said('strip'),
    extra: stated('420', 'g', 60),
    springs: said('gas'),
    force: stated('50', 'N', 2),
    stretched: stated('386', 'mm', 1),
    stroke: stated('150', 'mm', 1),
    onLid: read('95', 'mm', 0.5, 'rule'),
    boxOut: read('69', 'mm', 0.5, 'rule'),
    boxDown: read('268', 'mm', 0.5, 'rule'),
    hinge: stated('560', 'N', 60),
  },
  ports: {
    vent: templateOf(portShape, {
      order: 1,
      kind: 'vent',
      name: 'Vent of the duct',
      wall: 'back',
      x: stated('140', 'mm'),
      y: stated('240', 'mm'),
      width: stated('100', 'mm'),
      round: said('yes'),
      filled: said('no'),
      free: read('62', 'percent', 2),
      baffles: {
        plate: templateOf(baffleShape, { order: 1, away: stated('45', 'mm'), over: stated('140', 'mm') }),
        lip: { ...templateOf(baffleShape, { order: 2, away: stated('12', 'mm'), over: stated('30', 'mm') }), up: 95 },
      },
    }),
    cable: templateOf(portShape, {
      order: 2,
      kind: 'cable',
      name: 'Cables',
      wall: 'left',
      x: stated('80', 'mm'),
      y: stated('60', 'mm'),
      width: stated('28', 'mm'),
      round: said('yes'),
      filled: said('yes'),
    }),
  },
}
