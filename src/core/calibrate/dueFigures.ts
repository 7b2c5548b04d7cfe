import { figureOf, NotYet } from '../bench'
import type { TrialBench } from './trialView'

const figure = figureOf<TrialBench>()

export const daysLeft = figure({
  id: 'calibrate.daysLeft',
  label: 'Until the scale run is due again, by the calendar',
  quantity: 'time',
  show: { metric: 'd', inch: 'd' },
  formula: 't = \\v{g} - (t_{\\mathrm{now}} - t_{\\mathrm{run}})',
  symbols: { g: 'calibrate.goodDays' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const runs = Object.values(view.rows((it) => it.calibrate.runs))
    const newest = Math.max(...runs.map((it) => Date.parse(it.at)))
    if (!Number.isFinite(newest)) throw new NotYet('burn a scale run and read it')
    return view.bench.calibrate.goodDays - (view.now - newest) / 1000
  },
})

export const hoursLeft = figure({
  id: 'calibrate.hoursLeft',
  label: 'Until the trials are due again, by hours run',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 't = \\v{g} - (\\v{h} - h_{\\mathrm{then}})',
  symbols: { g: 'calibrate.goodHours', h: 'calibrate.hours' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { trials } = view.bench.calibrate
    const then = Object.values(trials).flatMap((kind) =>
      Object.values(kind).flatMap((it) => (it.hours === null ? [] : [it.hours])),
    )
    if (then.length === 0) throw new NotYet('enter the hours the machine has run before a pattern is burnt')
    return view.bench.calibrate.goodHours - (view.bench.calibrate.hours - Math.max(...then))
  },
})
