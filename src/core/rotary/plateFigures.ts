import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { discsThatFit, slotsThatFit, stationStep } from './indexing'
import { objectOf, theObject, type RotaryView } from './objectFigures'
import type { RotaryBench } from './slice'

const figure = figureOf<RotaryView>()
const GRAVITY = 9.80665

/** An indexing plate, where things are held on one. */
export const aPlate = subjectOf<RotaryBench>()('indexing plate', ({ rotary }): [][] =>
  rotary.holding.chosen === 'plate' ? [[]] : [],
)

/** The same with the object in hand. */
export const aPlated = subjectOf<RotaryBench>()('object on a plate', (bench): readonly [objectId: string][] =>
  bench.rotary.holding.chosen === 'plate' ? theObject.each(bench) : [],
)

export const capacity = figure({
  id: 'rotary.capacity',
  of: aPlate,
  label: 'Stations that fit',
  quantity: 'count',
  formula:
    'n = \\max\\{n : 2 r \\sin\\tfrac{\\pi}{n} \\ge w\\cos\\tfrac{\\pi}{n} + s\\}\\quad\\text{or}\\quad n = \\max\\{n : 2 R\\sin\\tfrac{\\pi}{n} \\ge d + s\\}',
  forms: { by: 'rotary.plate.shape', of: { disc: 1 } },
  symbols: {},
  source: 'Slots from their inner radius, round ones on the circle of their middles (handbook of the trade).',
  doubt: { none: 'A count: what is just too many jumps.' },
  work(view): number {
    const { shape, size, from, between } = view.bench.rotary.plate
    if (Number.isNaN(size + from + between)) return Number.NaN
    return shape === 'slot' ? slotsThatFit(size, from, between) : discsThatFit(size, from, between)
  },
})

export const capacityRoom = figure({
  id: 'rotary.capacityRoom',
  of: aPlate,
  label: 'Fewer stations than fit by',
  quantity: 'count',
  formula: 'm = \\v{n} - \\v{k}',
  symbols: { n: '=rotary.capacity', k: 'rotary.plate.stations' },
  source: 'By definition.',
  doubt: { none: 'Counts.' },
  work: (view): number => view.figure(capacity) - view.bench.rotary.plate.stations,
})

export const stationAngle = figure({
  id: 'rotary.stationAngle',
  of: aPlate,
  label: 'From station to station',
  quantity: 'angle',
  formula: '\\theta = \\dfrac{2\\pi}{\\v{n}}',
  symbols: { n: 'rotary.plate.stations' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => (2 * Math.PI) / view.bench.rotary.plate.stations,
})

export const stationSteps = figure({
  id: 'rotary.stationSteps',
  of: aPlate,
  label: 'That is, in steps',
  quantity: 'ratio',
  formula: 'N = \\dfrac{\\v{s}}{\\v{n}}',
  symbols: { s: 'rotary.plate.steps', n: 'rotary.plate.stations' },
  source:
    'Where it is not whole, each station is rounded for itself from the first turn on, never summed (handbook of the trade).',
  doubt: 'nudge',
  work: (view): number => view.bench.rotary.plate.steps / view.bench.rotary.plate.stations,
})

export const stationOff = figure({
  id: 'rotary.stationOff',
  of: aPlate,
  label: 'A station off its place by rounding, at most',
  quantity: 'angle',
  formula: '\\delta = \\max_k\\left|\\operatorname{round}\\tfrac{k N}{n} - \\tfrac{k N}{n}\\right|\\dfrac{360°}{N}',
  symbols: {},
  source: 'Half a step at most, however many turns (handbook of the trade).',
  doubt: { none: 'Rounding is exact.' },
  work(view): number {
    const { stations, steps } = view.bench.rotary.plate
    if (Number.isNaN(stations + steps)) return Number.NaN
    const off = Array.from({ length: stations }, (_, k) => Math.abs(stationStep(k, stations, steps) - (k * steps) / stations))
    return (Math.max(...off) * 2 * Math.PI) / steps
  },
})

export const pieceTime = figure({
  id: 'rotary.pieceTime',
  of: aPlate,
  label: 'For each piece',
  quantity: 'time',
  formula: 't = \\v{b} + \\v{l} + \\v{w}',
  symbols: { b: 'rotary.plate.burn', l: 'rotary.plate.load', w: 'rotary.plate.settle' },
  source: 'Burning, laying in and out, turning on.',
  doubt: 'nudge',
  work(view): number {
    const { burn, load, settle } = view.bench.rotary.plate
    return burn + load + settle
  },
})

export const piecesAMinute = figure({
  id: 'rotary.piecesAMinute',
  of: aPlate,
  label: 'Pieces in a minute',
  quantity: 'ratio',
  formula: 'p = \\dfrac{60}{\\v{t}}',
  symbols: { t: '=rotary.pieceTime' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => 60 / view.figure(pieceTime),
})

export const plateTime = figure({
  id: 'rotary.plateTime',
  of: aPlate,
  label: 'For a full plate',
  quantity: 'time',
  formula: 'T = \\v{n}\\cdot\\v{t}',
  symbols: { n: 'rotary.plate.stations', t: '=rotary.pieceTime' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => view.bench.rotary.plate.stations * view.figure(pieceTime),
})

/** Where the middle of a piece lies from the middle of the plate, mm. */
function armOf(view: View<RotaryView>, id: string): number {
  const { shape, from } = view.bench.rotary.plate
  return shape === 'disc' ? from : from + objectOf(view, id).length / 2
}

export const tipping = figure({
  id: 'rotary.tipping',
  of: aPlated,
  label: 'Tips to one side when half of it is filled',
  quantity: 'torque',
  show: { metric: 'mNm', inch: 'ozin' },
  formula: 'M = \\dfrac{m g r}{\\sin(\\pi/n)}',
  symbols: {},
  source: 'The sum of n/2 neighbours around the plate, each m g r: a geometric series; more of them on one side is not possible.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { stations } = view.bench.rotary.plate
    if (stations < 2) throw new NotYet('a plate of two stations or more')
    const one = objectOf(view, id).mass * GRAVITY * (armOf(view, id) / 1000)
    const half = Math.floor(stations / 2)
    return (one * Math.sin((half * Math.PI) / stations)) / Math.sin(Math.PI / stations)
  },
})

export const overhangOfPlate = figure({
  id: 'rotary.plateOverhang',
  of: aPlated,
  label: 'Pieces stand out over the edge of the plate',
  quantity: 'length',
  signs: { above: 'by', below: 'not: they end inside by' },
  formula: 'o = r + L - \\tfrac12 D',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { shape, from, outer, size } = view.bench.rotary.plate
    return (shape === 'disc' ? from + size / 2 : from + objectOf(view, id).length) - outer / 2
  },
})
