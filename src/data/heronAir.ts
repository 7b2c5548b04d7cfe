import { templateOf } from '../core/bench'
import { airShape, fanPointShape, printShape, type Air } from '../core/air'
import { airWay, readAir, saidAir, statedAir } from './airFacts'

const blank = templateOf(airShape)
const pipe = readAir('98.6', 'mm', 0.3, 'calipers')
const hose = readAir('100.8', 'mm', 0.5)

/** Heron's air: a sealed box that is fed by a duct of its own; its way out carries less than it should. Every number is invented. */
export const heronAir: Air = {
  ...blank,
  box: {
    ...blank.box,
    caught: saidAir('box'),
    volume: readAir('118', 'litre', 1),
    gaps: statedAir('14', 'cm2', 6),
    inlet: statedAir('0', 'cm2'),
    mixing: statedAir('4', 'one', 1.5),
  },
  wanted: { ...blank.wanted, clearIn: statedAir('2', 'min') },
  room: { appliance: saidAir('none'), supply: statedAir('240', 'cm2', 60) },
  ways: {
    out: airWay(
      1,
      'Way out',
      ['box', 'outdoors'],
      [
        ['mouth', 'end', { end: saidAir('flanged'), diameter: pipe }],
        ['grille', 'grille', { diameter: pipe, free: readAir('62', 'percent', 2) }],
        ['metal', 'duct', { wall: saidAir('metal'), diameter: pipe, length: readAir('0.9', 'm', 0.01, 'tape') }],
        ['bend', 'bend', { diameter: pipe, bend: saidAir('pleated'), angle: statedAir('90', 'deg', 3) }],
        [
          'hose',
          'duct',
          {
            wall: saidAir('foil'),
            diameter: hose,
            length: readAir('2.4', 'm', 0.02, 'tape'),
            ribs: statedAir('2.5', 'mm', 0.8),
            slack: readAir('12', 'percent', 2),
          },
        ],
        [
          'fan',
          'fan',
          {
            freeFlow: statedAir('187', 'm3/h', 9),
            shutOff: statedAir('305', 'Pa', 18),
            noise: statedAir('46', 'dB', 3),
            points: {
              middle: templateOf(fanPointShape, {
                order: 1,
                flow: statedAir('110', 'm3/h', 5),
                pressure: statedAir('178', 'Pa', 10),
              }),
            },
          },
        ],
        ['behind', 'duct', { wall: saidAir('metal'), diameter: pipe, length: readAir('0.6', 'm', 0.01, 'tape') }],
        ['flap', 'flap', { takes: statedAir('14', 'Pa', 4), takesAt: statedAir('150', 'm3/h') }],
        ['end', 'end', { end: saidAir('out'), diameter: pipe }],
      ],
    ),
    in: airWay(
      2,
      'Air in',
      ['outdoors', 'box'],
      [
        ['mouth', 'end', { end: saidAir('plain'), diameter: pipe }],
        ['filter', 'filter', { holds: saidAir('dust'), takes: statedAir('22', 'Pa', 5), takesAt: statedAir('150', 'm3/h') }],
        ['pipe', 'duct', { wall: saidAir('plastic'), diameter: pipe, length: readAir('1.4', 'm', 0.01, 'tape') }],
        ['end', 'end', { end: saidAir('out'), diameter: pipe }],
      ],
    ),
  },
  prints: {
    step: templateOf(printShape, {
      order: 1,
      kind: 'adapter',
      name: 'From pipe to hose',
      lowGoes: 'over',
      low: readAir('99.8', 'mm', 0.05, 'calipers'),
      highGoes: 'into',
      high: readAir('100.8', 'mm', 0.05, 'calipers'),
    }),
    flange: templateOf(printShape, {
      order: 2,
      kind: 'flange',
      name: 'Flange of the box',
      width: statedAir('140', 'mm'),
      height: statedAir('140', 'mm'),
      hole: readAir('99.8', 'mm', 0.05, 'calipers'),
      pitch: statedAir('115', 'mm'),
    }),
  },
}
