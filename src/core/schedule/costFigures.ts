import { figureOf, NotYet, valuesOf, type View } from '../bench'
import { lackOf } from './lack'
import { timeNetwork } from './network'
import type { PlanBench } from './slice'

const figure = figureOf<PlanBench>()

const sumOf =
  (states: readonly string[]) =>
  (view: View<PlanBench>): number =>
    valuesOf(view.rows((it) => it.plan.parts))
      .filter((it) => states.includes(it.state))
      .reduce((sum, it) => sum + it.count * it.price, 0)

export const spent = figure({
  id: 'plan.spent',
  label: 'Spent: ordered and here',
  quantity: 'money',
  formula: '\\sum n\\cdot p',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'Prices are as written.' },
  work: sumOf(['ordered', 'here']),
})

export const toSpend = figure({
  id: 'plan.toSpend',
  label: 'Still to spend',
  quantity: 'money',
  formula: '\\sum n\\cdot p',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'Prices are as written.' },
  work: sumOf(['needed']),
})

export const saved = figure({
  id: 'plan.saved',
  label: 'Less than a ready-made one by',
  quantity: 'money',
  formula: 's = \\v{r} - \\v{a} - \\v{b}',
  symbols: { r: 'plan.readyPrice', a: '=plan.spent', b: '=plan.toSpend' },
  source: 'By definition; own hours are not counted as money.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => view.bench.plan.readyPrice - view.figure(spent) - view.figure(toSpend),
})

export const ownHours = figure({
  id: 'plan.ownHours',
  label: 'Own work in all',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: '\\sum w',
  symbols: {},
  source: 'The tasks, done and open.',
  doubt: { none: 'Durations are as written.' },
  work: (view): number => Object.values(view.bench.plan.tasks).reduce((sum, it) => sum + it.workMin * 60, 0),
})

export const breakEven = figure({
  id: 'plan.breakEven',
  label: 'Own work pays up to',
  quantity: 'moneyRate',
  formula: 'b = \\dfrac{\\v{s}}{\\v{h}}',
  symbols: { s: '=plan.saved', h: '=plan.ownHours' },
  source: 'By definition: at this worth of an hour, building and buying cost alike.',
  doubt: { none: 'Prices and durations are as written.' },
  work(view): number {
    const hours = view.figure(ownHours)
    if (hours === 0) throw new NotYet('write the tasks down; their hours are your own work')
    return view.figure(saved) / hours
  },
})

export const budgetLeft = figure({
  id: 'plan.budgetLeft',
  label: 'Left of what it may cost',
  quantity: 'money',
  formula: 'm = \\v{B} - \\v{a} - \\v{b}',
  symbols: { B: 'plan.goals.budget', a: '=plan.spent', b: '=plan.toSpend' },
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'Prices are as written.' },
  work: (view): number => view.bench.plan.goals.budget - view.figure(spent) - view.figure(toSpend),
})

export const unordered = figure({
  id: 'plan.unordered',
  label: 'Parts that nobody has ordered',
  quantity: 'count',
  formula: 'n = \\#\\{\\text{needed}\\}',
  symbols: {},
  source: 'The parts list.',
  doubt: { none: 'A count.' },
  work: (view): number => valuesOf(view.rows((it) => it.plan.parts)).filter((it) => it.state === 'needed').length,
})

export const orderedMargin = lackOf('plan.orderedMargin', 'Parts ordered, short by', unordered)

export const openWork = figure({
  id: 'plan.openWork',
  label: 'Work still to do',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: '\\sum w',
  symbols: {},
  source: 'The tasks that are open.',
  doubt: { none: 'Durations are as written.' },
  work: (view): number =>
    Object.values(view.bench.plan.tasks)
      .filter((it) => it.done === '')
      .reduce((sum, it) => sum + it.workMin * 60, 0),
})

export const criticalPath = figure({
  id: 'plan.criticalPath',
  label: 'Critical path',
  quantity: 'time',
  show: { metric: 'h', inch: 'h' },
  formula: 'C = \\max_{\\text{paths}} \\sum (w + d)',
  symbols: {},
  source: 'Critical path method over the open tasks: work w and drying d; parcels, free time and quiet hours only lengthen it.',
  doubt: { none: 'Durations are as written.' },
  work(view): number {
    const { tasks } = view.bench.plan
    const open = Object.keys(tasks).filter((id) => tasks[id]?.done === '')
    const network = timeNetwork(
      open.map((id) => {
        const { name = '', workMin = 0, waitMin = 0, needs = {} } = tasks[id] ?? {}
        return { id, name, workMin, waitMin, needs: Object.keys(needs).filter((it) => open.includes(it)) }
      }),
    )
    if (!network.ok) throw new NotYet('untie the tasks that wait for one another; the schedule names them')
    return network.value.totalMin * 60
  },
})
