import { asJson, type Migration } from '../bench'

/** Of the slice `output`. */
export const outputMigrations: readonly Migration[] = [
  {
    to: 2,
    why: 'a bench got an output card',
    up: () => ({
      card: {
        name: 'Plain words',
        about: 'Power as the S word, the beam as the spindle clockwise. Edit it to what your controller wants.',
        units: 'mm',
        decimals: 3,
        powerDecimals: 0,
        header: '',
        footer: 'M2',
        beamOn: 'M3 S{power}',
        beamOff: 'M5',
        dwell: 'G4 P{seconds}',
      },
    }),
  },
  {
    to: 9,
    why: 'a card says its manner, arcs, line numbers, the wait behind beam on, air and extraction',
    up: ({ card, ...output }) => ({
      ...output,
      card: { ...asJson(card), manner: 'block', inMove: '', arcs: 'arcs', numbered: 0, afterOn: 0, airOn: '', airOff: '' },
    }),
  },
  {
    to: 10,
    why: 'how a controller is spoken with over a cable, and when its words for the beam act',
    up: (output) => ({ ...output, card: { ...asJson(output['card']), timing: 'queued' }, link: PLAIN_LINK_10 }),
  },
  {
    to: 13,
    why: 'a card states subroutines',
    up: (output) => ({ ...output, card: { ...asJson(output['card']), subCall: '', subBegins: '', subEnds: '' } }),
  },
]

const PLAIN_LINK_10 = {
  baud: 115_200,
  lineEnd: 'lf',
  taken: 'ok',
  refused: 'error',
  acknowledges: 'taken',
  greets: '',
  remarks: '(',
  list: 'list',
  state: 'state',
  stateIs: 'state {state} x {x} y {y} power {power}',
  resting: 'rest',
  fullPower: 1,
  stop: 'stop',
  pause: 'pause',
  goOn: 'go on',
  holds: 0,
}
