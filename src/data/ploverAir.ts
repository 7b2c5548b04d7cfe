import { templateOf } from '../core/bench'
import { airShape, type Air } from '../core/air'
import { airWay, readAir, saidAir, statedAir } from './airFacts'

const blank = templateOf(airShape)
const wide = readAir('124.5', 'mm', 0.4)

/** Plover's air: a hood without a floor over the mill's table, drawn by a blower that the shed shares; the second mouth is over the soldering corner. Every number is invented. */
export const ploverAir: Air = {
  ...blank,
  box: {
    ...blank.box,
    caught: saidAir('hood'),
    hoodLength: statedAir('620', 'mm', 2),
    hoodWidth: statedAir('520', 'mm', 2),
    hoodGap: readAir('9', 'mm', 1),
    volume: statedAir('130', 'litre', 5),
  },
  wanted: { ...blank.wanted, clearIn: statedAir('90', 's') },
  room: { appliance: saidAir('none'), supply: statedAir('700', 'cm2', 150) },
  ways: {
    hood: airWay(
      1,
      'From the hood',
      ['box', 'joinA'],
      [
        ['mouth', 'end', { end: saidAir('flanged'), diameter: wide }],
        ['grille', 'grille', { diameter: wide, free: statedAir('70', 'percent', 5) }],
        [
          'foil',
          'duct',
          { wall: saidAir('foil'), diameter: wide, length: readAir('1.8', 'm', 0.02), slack: statedAir('8', 'percent', 4) },
        ],
      ],
    ),
    corner: airWay(
      2,
      'From the soldering corner',
      ['room', 'joinA'],
      [
        ['mouth', 'end', { end: saidAir('bell'), diameter: readAir('79.5', 'mm', 0.3) }],
        ['hose', 'duct', { wall: saidAir('hose'), diameter: readAir('79.5', 'mm', 0.3), length: readAir('2.1', 'm', 0.02) }],
        ['gate', 'gate', { diameter: readAir('79.5', 'mm', 0.3), free: statedAir('10', 'percent', 2) }],
      ],
    ),
    blower: airWay(
      3,
      'Blower',
      ['joinA', 'outdoors'],
      [
        ['pipe', 'duct', { wall: saidAir('metal'), diameter: wide, length: readAir('2.2', 'm', 0.02) }],
        [
          'fan',
          'fan',
          { freeFlow: statedAir('520', 'm3/h', 25), shutOff: statedAir('480', 'Pa', 30), noise: statedAir('58', 'dB', 3) },
        ],
        ['flap', 'flap', { takes: statedAir('12', 'Pa', 4), takesAt: statedAir('300', 'm3/h') }],
        ['end', 'end', { end: saidAir('out'), diameter: wide }],
      ],
    ),
  },
}
