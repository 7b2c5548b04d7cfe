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
