import { templateOf } from '../core/bench'
import { placeShape, reachShape, type Reach } from '../core/reach'
import { readAir as read, saidAir as said, statedAir as stated } from './airFacts'

const blank = templateOf(reachShape)

/** Heron's shed: who may be where. Every number is invented. */
export const heronReach: Reach = {
  ...blank,
  beam: {
    ...blank.beam,
    focal: stated('40', 'mm', 3),
    across: read('4.6', 'mm', 0.3, 'calipers'),
    surface: said('dull'),
  },
  kept: said('shut'),
  room: {
    x: read('3.8', 'm', 0.02, 'tape'),
    y: read('2.6', 'm', 0.02, 'tape'),
    machineX: read('0.95', 'm', 0.02, 'tape'),
    machineY: read('1.9', 'm', 0.02, 'tape'),
    bed: read('0.86', 'm', 0.01, 'tape'),
  },
  places: {
    seat: templateOf(placeShape, {
      order: 1,
      kind: 'seat',
      name: 'Stool',
      x: read('1.9', 'm', 0.1, 'tape'),
      y: read('1.1', 'm', 0.1, 'tape'),
      eyes: read('1.2', 'm', 0.05, 'tape'),
      wears: said('yes'),
    }),
    door: templateOf(placeShape, {
      order: 2,
      kind: 'door',
      name: 'Door',
      x: read('3.5', 'm', 0.05, 'tape'),
      y: read('0.3', 'm', 0.05, 'tape'),
      eyes: stated('1.6', 'm', 0.2),
    }),
    pane: templateOf(placeShape, {
      order: 3,
      kind: 'pane',
      name: 'Garden pane',
      x: read('3.2', 'm', 0.05, 'tape'),
      y: read('2.5', 'm', 0.05, 'tape'),
      eyes: stated('1.6', 'm', 0.2),
    }),
  },
}
