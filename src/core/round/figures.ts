import { figureOf, NotYet, subjectOf } from '../bench'
import type { ElectricalBench } from '../electrical'
import type { RoundBench, Tried } from './slice'

const figure = figureOf<RoundBench & ElectricalBench>()

/** Switches of the wiring that must darken the beam, and those that were ever tried. */
export const aSwitch = subjectOf<RoundBench & ElectricalBench>()('switch', ({ round, electrical }): [what: Tried][] => {
  const kinds = new Set<string>(Object.values(electrical.blocks).map((it) => it.kind))
  const tried = new Set<string>(Object.values(round.tries).map((it) => it.what))
  return (['interlock', 'stop', 'key'] as const).filter((it) => kinds.has(it) || tried.has(it)).map((it) => [it])
})

const DAY = 86_400

export const tryLeft = figure({
  id: 'round.tryLeft',
  of: aSwitch,
  label: 'Until it is tried again',
  quantity: 'time',
  show: { metric: 'd', inch: 'd' },
  signs: { above: 'left', below: 'over by' },
  formula: 't = \\v{n}\\cdot 1\\,\\mathrm{d} - (t_{\\mathrm{now}} - t_{\\mathrm{tried}})',
  symbols: { n: 'round.every' },
  source: 'From the newest try that darkened the beam and kept it dark.',
  doubt: { none: 'days of a calendar' },
  work(view, what: string): number {
    const mine = Object.values(view.bench.round.tries)
      .filter((it) => it.what === what)
      .sort((p, q) => q.at.localeCompare(p.at))
    const [newest] = mine
    if (newest === undefined) throw new NotYet('it was never tried; try it in the round')
    // What failed last is not in order, however good it was before.
    if (newest.went !== 'dark') return -view.bench.round.every * DAY
    return view.bench.round.every * DAY - (view.now - Date.parse(newest.at)) / 1000
  },
})

/** Asked of once somebody has said what is at hand, or who is there. */
const aSaid = (key: 'extinguisher' | 'room') =>
  subjectOf<RoundBench>()(key, ({ round }): readonly [][] => (round[key].chosen === null ? [] : [[]]))
export const anExtinguisher = aSaid('extinguisher')
export const aRoom = aSaid('room')

const FIGHTS: Readonly<Record<string, number>> = { co2: 1, mist: 1, powder: 0, blanket: 0, none: -1 }

export const fireFought = figure({
  id: 'round.fireFought',
  of: anExtinguisher,
  label: 'What is at hand against fire',
  quantity: 'count',
  formula: '1\\ \\text{CO₂ or water mist};\\quad 0\\ \\text{powder or blanket};\\quad -1\\ \\text{nothing}',
  symbols: {},
  source: 'CO₂ or water mist puts a small fire in a machine out; powder ruins it, a blanket does not reach in (common practice).',
  doubt: { none: 'what was said' },
  work: (view): number => FIGHTS[view.bench.round.extinguisher] ?? -1,
})

export const roomKept = figure({
  id: 'round.roomKept',
  of: aRoom,
  label: 'Others in the room are kept from the beam',
  quantity: 'count',
  formula: '1\\ \\text{nobody, or eyewear};\\quad -1\\ \\text{whoever comes in}',
  symbols: {},
  source: 'Access to a class 4 beam is controlled, and everybody within its reach is protected (IEC/TR 60825-14, from memory).',
  doubt: { none: 'what was said' },
  work: (view): number => (view.bench.round.room === 'free' ? -1 : 1),
})
