import { figureOf, NotYet, subjectOf, type Plain, type View } from '../bench'
import type { CalibrateBench } from '../calibrate'
import type { OpticsBench } from '../optics'
import { spent, type PlanBench } from '../schedule'
import type { LogBench, Upkeep } from './slice'

export type LogView = LogBench & CalibrateBench & OpticsBench & PlanBench
const figure = figureOf<LogView>()

/** Everything that is looked after. */
export const anUpkeep = subjectOf<LogBench>()('upkeep', ({ log }): [upkeepId: string][] =>
  Object.keys(log.upkeep).map((id) => [id]),
)

function upkeepOf(view: View<LogView>, id: string): Plain<Upkeep> {
  const found = view.bench.log.upkeep[id]
  if (found === undefined) throw new NotYet('this is no longer looked after')
  return found
}

/** When it was last done, and the hours run by then; since it is looked after, where it never was. */
function lastOf(it: Plain<Upkeep>): { readonly at: string; readonly run: number | null } {
  const [newest] = Object.values(it.done).sort((p, q) => q.at.localeCompare(p.at))
  return newest === undefined ? { at: it.since, run: 0 } : { at: newest.at, run: newest.run }
}

const isSaid = (value: number): boolean => !Number.isNaN(value)

/** What of its interval is used up, by each of the ways that there are. */
function usedOf(view: View<LogView>, id: string): readonly number[] {
  const it = upkeepOf(view, id)
  const asked = view.asEntered.log.upkeep[id]
  if (asked === undefined) throw new NotYet('this is no longer looked after')
  const last = lastOf(it)
  const used: number[] = []
  // A clock that was set back makes nothing less due than when it was done.
  if (isSaid(asked.days) && it.days > 0) used.push(Math.max(0, (view.now - Date.parse(last.at)) / 1000) / it.days)
  const byHours = isSaid(asked.every) && it.every > 0
  const byDose = isSaid(asked.dose) && it.dose > 0
  if (byHours || byDose) {
    const run = Math.max(0, view.bench.calibrate.hours - (last.run ?? 0))
    if (byHours) used.push(run / it.every)
    if (byDose) used.push((run * view.bench.optics.power) / it.dose)
  }
  if (used.length === 0) throw new NotYet('say how often it is looked after')
  return used
}

export const upkeepLeft = figure({
  id: 'log.upkeepLeft',
  of: anUpkeep,
  label: 'Of its interval',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  signs: { above: 'left', below: 'over by' },
  formula: 'm = 1 - \\max\\Bigl(\\frac{h - h_0}{h_e},\\ \\frac{t - t_0}{t_e},\\ \\frac{P(h - h_0)}{W_e}\\Bigr)',
  symbols: {},
  source: 'Hours run, days and light since it was last done, whichever comes first.',
  doubt: 'nudge',
  work: (view, id: string): number => 1 - Math.max(...usedOf(view, id)),
})

/** How fast the machine runs up its hours, s of work a second. */
export const pace = figure({
  id: 'log.pace',
  label: 'Work in a week',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 'p = \\dfrac{\\v{h}}{t_{\\mathrm{now}} - t_{\\mathrm{begun}}}\\cdot 7\\,\\mathrm{d}',
  symbols: { h: 'calibrate.hours' },
  source: 'Hours run since the bench was begun.',
  doubt: 'nudge',
  work(view): number {
    const since = (view.now - Date.parse(view.bench.createdAt)) / 1000
    if (!(since > 0)) throw new NotYet('the clock stands before the day on which this bench was begun: set it right')
    return (view.bench.calibrate.hours / since) * WEEK
  },
})

const WEEK = 7 * 86_400

export const dueIn = figure({
  id: 'log.dueIn',
  of: anUpkeep,
  label: 'Due',
  quantity: 'time',
  show: { metric: 'd', inch: 'd' },
  signs: { above: 'in', below: 'since' },
  formula: 't = \\min\\Bigl(t_e - (t - t_0),\\ \\frac{h_e - (h - h_0)}{p}\\Bigr)',
  symbols: {},
  source: 'Days that are left, or hours that are left at the pace of work so far, whichever comes first.',
  doubt: 'nudge',
  work(view, id: string): number {
    const it = upkeepOf(view, id)
    const asked = view.asEntered.log.upkeep[id]
    if (asked === undefined) throw new NotYet('this is no longer looked after')
    const last = lastOf(it)
    const ways: number[] = []
    if (isSaid(asked.days) && it.days > 0) ways.push(it.days - Math.max(0, (view.now - Date.parse(last.at)) / 1000))
    const limits = [
      ...(isSaid(asked.every) && it.every > 0 ? [it.every] : []),
      ...(isSaid(asked.dose) && it.dose > 0 ? [it.dose / view.bench.optics.power] : []),
    ]
    if (limits.length > 0) {
      const run = Math.max(0, view.bench.calibrate.hours - (last.run ?? 0))
      const weekly = view.figure(pace)
      const left = Math.min(...limits) - run
      // At rest nothing comes nearer; what is over is over.
      if (weekly > 0) ways.push((left / weekly) * WEEK)
      else if (left <= 0) ways.push(0)
    }
    if (ways.length === 0) throw new NotYet('say how often it is looked after, in days, or let it run')
    return Math.min(...ways)
  },
})

const entries = (view: View<LogView>): readonly Plain<LogBench['log']['entries'][string]>[] =>
  Object.values(view.bench.log.entries)

export const runningCost = figure({
  id: 'log.runningCost',
  label: 'Spent since, by the log',
  quantity: 'money',
  formula: '\\sum c',
  symbols: {},
  source: 'The entries of the log.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => entries(view).reduce((sum, it) => sum + (it.cost ?? 0), 0),
})

export const spentInAll = figure({
  id: 'log.spentInAll',
  label: 'Spent in all',
  quantity: 'money',
  formula: 's = \\v{a} + \\v{b}',
  symbols: { a: '=plan.spent', b: '=log.runningCost' },
  source: 'By definition.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => view.figure(spent) + view.figure(runningCost),
})

export const againstBought = figure({
  id: 'log.againstBought',
  label: 'Less than the bought thing by',
  quantity: 'money',
  formula: 's = \\v{r} - \\v{a}',
  symbols: { r: 'plan.readyPrice', a: '=log.spentInAll' },
  source: 'By definition; own hours are not counted as money.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => view.bench.plan.readyPrice - view.figure(spentInAll),
})

export const perHour = figure({
  id: 'log.perHour',
  label: 'Spent for an hour of work',
  quantity: 'moneyRate',
  show: { metric: 'perH', inch: 'perH' },
  formula: 'c = \\dfrac{\\v{s}}{\\v{h}}',
  symbols: { s: '=log.spentInAll', h: 'calibrate.hours' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { hours } = view.bench.calibrate
    if (hours === 0) throw new NotYet('it has not run yet')
    return view.figure(spentInAll) / hours
  },
})

const KWH = 3.6e6

export const jobWear = figure({
  id: 'log.jobWear',
  label: 'Diode, filter and current of a job',
  quantity: 'money',
  formula: 'w = \\v{t}\\,(\\dfrac{\\v{P_h}}{\\v{L_h}} + \\dfrac{\\v{P_f}}{\\v{L_f}} + \\dfrac{\\v{W}\\,\\v{k}}{3600000})',
  symbols: {
    t: 'log.job.beam',
    P_h: 'log.job.headPrice',
    L_h: 'log.job.headLife',
    P_f: 'log.job.filterPrice',
    L_f: 'log.job.filterLife',
    W: 'log.job.draws',
    k: 'log.job.kilowattHour',
  },
  source: 'By definition: each wears out evenly over its life.',
  doubt: 'nudge',
  work(view): number {
    const { beam, headPrice, headLife, filterPrice, filterLife, draws, kilowattHour } = view.bench.log.job
    return beam * (headPrice / headLife + filterPrice / filterLife + (draws * kilowattHour) / KWH)
  },
})

export const jobHands = figure({
  id: 'log.jobHands',
  label: 'Own hands of a job',
  quantity: 'money',
  formula: 'g = \\dfrac{\\v{t}\\,\\v{u}}{3600}',
  symbols: { t: 'log.job.hands', u: 'log.job.hour' },
  source: 'By definition; an hour has 3600 s.',
  doubt: 'nudge',
  work: (view): number => (view.bench.log.job.hands / 3600) * view.bench.log.job.hour,
})

export const jobCost = figure({
  id: 'log.jobCost',
  label: 'A good piece costs',
  quantity: 'money',
  formula: 'c = \\dfrac{\\v{m} + \\v{w} + \\v{g}}{1 - \\v{q}}',
  symbols: { m: 'log.job.material', w: '=log.jobWear', g: '=log.jobHands', q: 'log.job.spoilt' },
  source: 'By definition; what is spoilt is paid for by what is good.',
  doubt: 'nudge',
  work(view): number {
    const { material, spoilt } = view.bench.log.job
    return (material + view.figure(jobWear) + view.figure(jobHands)) / (1 - spoilt)
  },
})

export const jobPrice = figure({
  id: 'log.jobPrice',
  label: 'To ask for it',
  quantity: 'money',
  formula: 'p = \\v{c}\\,(1 + \\v{g})',
  symbols: { c: '=log.jobCost', g: 'log.job.profit' },
  source: 'By definition; taxes are a matter of where it is sold.',
  doubt: 'nudge',
  work: (view): number => view.figure(jobCost) * (1 + view.bench.log.job.profit),
})
