import { templateOf } from '../core/bench'
import { doneShape, entryShape, logShape, upkeepShape, type Log } from '../core/log'
import { statedAir as stated } from './airFacts'

const blank = templateOf(logShape)
const HOUR = 3600
const BEGUN = '2026-10-02T09:00:00.000Z'

/** Heron's log: a few weeks of a shed at an allotment. Everything is invented. */
export const heronLog: Log = {
  ...blank,
  entries: {
    bought: templateOf(entryShape, {
      order: 1,
      kind: 'bought',
      at: '2026-11-03T17:20:00.000Z',
      title: 'Idler with a better bearing',
      text: 'The old one ticked at every turn.',
      minutes: null,
      cost: 4.6,
      run: 6.5 * HOUR,
    }),
    plug: templateOf(entryShape, {
      order: 2,
      kind: 'repair',
      at: '2026-11-09T18:40:00.000Z',
      title: 'Y motor stuttered: plug half out',
      text: 'Coil read open on one pair. Pressed the plug home, tied the cable 3 cm before it.',
      touched: 'Motors and drivers',
      minutes: 40,
      cost: null,
      run: 10.2 * HOUR,
    }),
    labels: templateOf(entryShape, {
      order: 3,
      kind: 'job',
      at: '2026-11-16T15:05:00.000Z',
      title: 'Forty seed labels for the plots',
      text: 'Birch 3 mm; two spoilt by a knot.',
      minutes: 50,
      cost: 7.2,
      run: 16.1 * HOUR,
    }),
    squeak: templateOf(entryShape, {
      order: 4,
      kind: 'note',
      at: '2026-11-20T16:30:00.000Z',
      title: 'Fan louder than last week',
      text: 'Soot on the grille, wiped off.',
      minutes: null,
      cost: null,
      run: 19.4 * HOUR,
    }),
  },
  upkeep: {
    lens: templateOf(upkeepShape, {
      order: 1,
      kind: 'lens',
      name: 'Clean the lens',
      every: stated('10', 'h'),
      days: stated('60', 'd'),
      since: BEGUN,
      done: {
        a: templateOf(doneShape, { order: 1, at: '2026-11-14T10:40:00.000Z', run: 14.5 * HOUR, note: 'brown ring at its edge' }),
      },
    }),
    rails: templateOf(upkeepShape, {
      order: 2,
      kind: 'rails',
      name: 'Wipe rails and wheels',
      every: stated('25', 'h'),
      since: BEGUN,
    }),
    tray: templateOf(upkeepShape, {
      order: 3,
      kind: 'tray',
      name: 'Empty the crumb tray',
      every: stated('2', 'h'),
      since: BEGUN,
      done: { a: templateOf(doneShape, { order: 1, at: '2026-11-20T17:00:00.000Z', run: 19.4 * HOUR, note: '' }) },
    }),
    tape: templateOf(upkeepShape, {
      order: 4,
      kind: 'spare',
      name: 'Replace the taped slide under the tray',
      days: stated('120', 'd'),
      since: BEGUN,
    }),
  },
  job: {
    ...blank.job,
    beam: stated('38', 'min'),
    hands: stated('12', 'min'),
    material: stated('1.4', 'money'),
    hour: stated('15', 'money'),
    headPrice: stated('118', 'money'),
    filterPrice: stated('22', 'money'),
  },
}
