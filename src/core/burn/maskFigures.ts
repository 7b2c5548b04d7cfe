import { figureOf, NotYet, type OwnDoubt, type View } from '../bench'
import { learnCut, nextTryEnergy, type CutLearnt, type CutTry } from './cutLearning'
import { aMaterial, lightByPower, speedKept, type CutBench } from './figures'

const figure = figureOf<CutBench>()
const SOURCE =
  'Two logistics in the logarithm of line energy (common practice), each learnt by Bayes over the tries of this mask.'
const OWN = { own: 'Learnt from outcomes: there is nothing to nudge. It is the spread that the tries leave open.' } as const

/** Tries of a mask in their order: energies as seconds for a millimetre at full light, and one of their two outcomes. */
function triesOf(view: View<CutBench>, id: string, of: 'cut' | 'marked'): readonly CutTry[] {
  const tries = view.rows(({ burns }) => burns.materials[id]?.maskTries ?? {})
  return Object.values(tries)
    .sort((p, q) => p.order - q.order)
    .map((it) => ({ energy: lightByPower(view).at(it.power) / it.speed, isThrough: it[of] === 'yes' }))
    .filter((it) => it.energy > 0)
}

function learntOf(view: View<CutBench>, id: string, of: 'cut' | 'marked'): CutLearnt {
  const tries = triesOf(view, id, of)
  const learnt = learnCut(tries)
  if (learnt !== null) return learnt
  if (tries.length === 0) throw new NotYet('cut a line through the tape, peel it, and say what became of it')
  const all = tries[0]?.isThrough === true
  if (of === 'cut') throw new NotYet(all ? 'try faster until the tape stays whole' : 'try slower until the tape comes off clean')
  throw new NotYet(
    all ? 'try faster until nothing shows beneath' : 'try slower until a mark shows beneath: then the window has its end',
  )
}

const speedAt = (view: View<CutBench>, energy: number): number => lightByPower(view).at(view.bench.burns.maskPower) / energy

function limit(of: 'cut' | 'marked', id: string, label: string, symbol: string) {
  return figure({
    id,
    of: aMaterial,
    label,
    quantity: 'speed',
    formula: `v_{${symbol}} = P/E_{${symbol}}`,
    symbols: {},
    source: SOURCE,
    doubt: OWN,
    work(view, materialId: string): OwnDoubt {
      const { mean, u } = learntOf(view, materialId, of)
      const value = speedAt(view, Math.exp(mean))
      return { value, u: value * u }
    },
  })
}

export const maskTapeLimit = limit('cut', 'burn.maskTapeLimit', 'Speed at which one of two lines cuts the tape', 't')
export const maskMarkLimit = limit('marked', 'burn.maskMarkLimit', 'Speed at which one of two lines marks what lies beneath', 'm')

/** Energies that are looked through for the best, between far below and far above both limits, and turns that part the best of them. */
const [PLACES, TURNS] = [36, 12]

/** The energy at which both hold with the greatest chance, and that chance. */
function bestOf(view: View<CutBench>, id: string): { readonly energy: number; readonly chance: number } {
  const [tape, beneath] = [learntOf(view, id, 'cut'), learntOf(view, id, 'marked')]
  const [low, high] = [Math.min(tape.mean, beneath.mean) - 1, Math.max(tape.mean, beneath.mean) + 1]
  const chanceAt = (log: number): number => tape.chance(Math.exp(log)) * (1 - beneath.chance(Math.exp(log)))
  const step = (high - low) / PLACES
  const places = Array.from({ length: PLACES + 1 }, (_, i) => low + step * i)
  const best = places.map((log) => ({ log, chance: chanceAt(log) })).reduce((p, q) => (q.chance > p.chance ? q : p)).log
  let [a, b] = [best - step, best + step]
  for (let turn = 0; turn < TURNS; turn++) {
    const [p, q] = [a + (b - a) / 3, b - (b - a) / 3]
    if (chanceAt(p) < chanceAt(q)) a = p
    else b = q
  }
  const log = (a + b) / 2
  return { energy: Math.exp(log), chance: chanceAt(log) }
}

/** Chance over the energy that a line cuts the tape and leaves what lies beneath alone. @throws {NotYet} where either is not known. */
export function maskChanceOf(view: View<CutBench>, id: string): (energy: number) => number {
  const [tape, beneath] = [learntOf(view, id, 'cut'), learntOf(view, id, 'marked')]
  return (energy) => tape.chance(energy) * (1 - beneath.chance(energy))
}

export const maskSpeed = figure({
  id: 'burn.maskSpeed',
  of: aMaterial,
  label: 'Speed that cuts the tape alone',
  quantity: 'speed',
  formula: 'v = \\arg\\max\\ p_t(1 - p_m)',
  symbols: {},
  source: `${SOURCE} Two digits.`,
  doubt: { none: 'What is not known is in the chance itself.' },
  work: (view, id: string): number => speedKept(speedAt(view, bestOf(view, id).energy)),
})

export const maskChance = figure({
  id: 'burn.maskChance',
  of: aMaterial,
  label: 'Chance that both hold there',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'p = p_t(1 - p_m)',
  symbols: {},
  source: `${SOURCE} The product over both doubts.`,
  doubt: { none: 'It is a chance itself.' },
  work: (view, id: string): number => bestOf(view, id).chance,
})

export const maskNext = figure({
  id: 'burn.maskNext',
  of: aMaterial,
  label: 'Speed of the mask try that tells most',
  quantity: 'speed',
  formula: 'v \\approx P/E',
  symbols: {},
  source: 'At the limit that is known worse; until both are, on the side where no line went yet. Two digits.',
  doubt: { none: 'A choice.' },
  work(view, id: string): number {
    const [tape, beneath] = (['cut', 'marked'] as const).map((of) => triesOf(view, id, of)) as [
      readonly CutTry[],
      readonly CutTry[],
    ]
    if (tape.length === 0) return view.bench.burns.firstSpeed * FASTER
    const [a, b] = [learnCut(tape), learnCut(beneath)]
    const energy = a === null || (b !== null && a.u >= b.u) ? nextTryEnergy(tape) : nextTryEnergy(beneath)
    return speedKept(speedAt(view, energy as number))
  },
})
/** A tape is cut so many times faster than a sheet (common practice). */
const FASTER = 6

/** How sure a mask has to be: of ten lines nine hold both ways (common practice). */
const SURE = 0.9

export const maskRoom = figure({
  id: 'burn.maskRoom',
  of: aMaterial,
  label: 'Chance of the mask above nine in ten by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = p - 0.9',
  symbols: {},
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'It is worked from a chance.' },
  work: (view, id: string): number => view.figure(maskChance, id) - SURE,
})

/** A place on the curves of chances. */
export interface MaskChanceAt {
  /** mm/s. */
  readonly speed: number
  readonly tape: number
  readonly marked: number
}

export const maskChances = figure({
  id: 'burn.maskChances',
  of: aMaterial,
  label: 'Chances of cutting the tape and of marking beneath over the speed',
  quantity: 'ratio',
  formula: 'p_t(v),\\ p_m(v)',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'Curves; what is read off them is a figure of its own.' },
  work(view, id: string): readonly MaskChanceAt[] {
    const [tape, beneath] = [learntOf(view, id, 'cut'), learntOf(view, id, 'marked')]
    const [low, high] = [Math.min(tape.mean, beneath.mean) - 0.6, Math.max(tape.mean, beneath.mean) + 0.6]
    const places = 80
    return Array.from({ length: places + 1 }, (_, i) => {
      const energy = Math.exp(high + ((low - high) * i) / places)
      return { speed: speedAt(view, energy), tape: tape.chance(energy), marked: beneath.chance(energy) }
    })
  },
})
