import { figureOf, NotYet, subjectOf, type OwnDoubt, type View } from '../bench'
import { curvePoints, lightForShare, shareForLight, type CalibrateBench } from '../calibrate'
import type { OpticsBench } from '../optics'
import { requireInRange } from '../units'
import { cardCells } from './cardGrid'
import { energyToCut, learnCut, nextTryEnergy, type CutLearnt, type CutTry } from './cutLearning'
import type { BurnsBench } from './slice'

export type CutBench = BurnsBench & CalibrateBench & OpticsBench
const figure = figureOf<CutBench>()
const OWN = {
  own: 'Learnt from outcomes, cut or not: there is nothing to nudge. It is the spread that the tries leave open.',
} as const
const SOURCE = 'A logistic in the logarithm of line energy (common practice), learnt by Bayes over all tries of this material.'

/** Materials of the book. */
export const aMaterial = subjectOf<CutBench>()('material', ({ burns }): [materialId: string][] =>
  Object.keys(burns.materials).map((id) => [id]),
)

/** How light follows power on a machine. */
export interface LightByPower {
  /** Light at a share of full power, of that at full. */
  readonly at: (share: number) => number
  /** Share of full power for a share of all the light. @throws {NotYet} where the curve was not read so far down. */
  readonly shareFor: (light: number) => number
}

/** Light by the power curve where it was read, else as commanded. @throws {RangeError} never for a bench that its schema took. Source: `lightForShare`, `shareForLight`. */
export function lightByPower(view: View<CutBench>): LightByPower {
  const { curve, trials } = view.bench.calibrate
  const hasNone = Object.keys(curve).length === 0 && Object.keys(trials.wedge).length === 0
  return {
    // All of the power is all of the light, whatever the curve.
    at: (share) => (share === 1 || hasNone ? share : (lightForShare(view.figure(curvePoints), share) ?? share)),
    shareFor(light) {
      if (light >= 1 || hasNone) return Math.min(1, light)
      const share = shareForLight(view.figure(curvePoints), light)
      if (share === null) throw new NotYet('read the power curve at less power: this little light was not read')
      return share
    },
  }
}

/** Cells of cutting cards that fell out or held: each is a try. */
function cellsCut(view: View<CutBench>, id: string) {
  const cards = view.rows(({ burns }) => burns.materials[id]?.cards ?? {})
  return Object.values(cards)
    .filter((it) => it.does === 'cut')
    .sort((p, q) => p.order - q.order)
    .flatMap((card) =>
      cardCells(card).flatMap(({ id: cell, power, speed, passes }) => {
        const through = card.cells[cell]?.through ?? ''
        return through === '' ? [] : [{ power, speed, passes, through }]
      }),
    )
}

/**
 * Tries of a material, their energies as seconds for a millimetre at full light, added over the passes.
 * @throws {RangeError} never for a bench that its schema took.
 */
export function triesOfMaterial(view: View<CutBench>, id: string): readonly CutTry[] {
  const tries = view.rows(({ burns }) => burns.materials[id]?.tries ?? {})
  const light = lightByPower(view)
  const tried = Object.values(tries).sort((p, q) => p.order - q.order)
  return [...tried, ...cellsCut(view, id)]
    .map((it) => ({ energy: (light.at(it.power) * it.passes) / it.speed, isThrough: it.through === 'yes' }))
    .filter((it) => it.energy > 0)
}

function learntOf(view: View<CutBench>, id: string): CutLearnt {
  const tries = triesOfMaterial(view, id)
  const learnt = learnCut(tries)
  if (learnt !== null) return learnt
  const isNone = tries.length === 0
  if (isNone) throw new NotYet('try a line, and say whether it came through')
  throw new NotYet(
    tries[0]?.isThrough === true
      ? 'try faster until a line does not come through'
      : 'try slower until a line comes through: the next try says how much',
  )
}

/** mm/s at the power and passes that are asked for, from seconds for a millimetre at full light. */
function speedFor(view: View<CutBench>, energy: number): number {
  const { cutPower, cutPasses } = view.bench.burns
  return (lightByPower(view).at(cutPower) * cutPasses) / energy
}

export const cutLimit = figure({
  id: 'burn.cutLimit',
  of: aMaterial,
  label: 'Speed at which one of two lines cuts',
  quantity: 'speed',
  formula: 'v_{50} = \\dfrac{P\\,n}{E_{50}}',
  symbols: {},
  source: `${SOURCE} At another power than that of the tries the ± of the power curve comes on top.`,
  doubt: OWN,
  work(view, id: string): OwnDoubt {
    const { mean, u } = learntOf(view, id)
    const value = speedFor(view, Math.exp(mean))
    return { value, u: value * u }
  },
})

/** Relative standard uncertainty of a speed that is carried over: kerf, glue and grain are another sheet's (common practice). */
const CARRIED = 0.3

/** The sheet of the same kind that is nearest in thickness and whose cut is known. */
function nearestSheet(view: View<CutBench>, id: string): string | null {
  const { materials } = view.asEntered.burns
  const mine = materials[id]
  if (mine === undefined || mine.kind === '' || !(mine.thickness > 0)) return null
  const away = (other: string): number => Math.abs(Math.log((materials[other]?.thickness ?? 1) / mine.thickness))
  const others = Object.keys(materials).filter((other) => {
    const it = materials[other]
    return other !== id && it?.kind === mine.kind && it.thickness > 0 && learnCut(triesOfMaterial(view, other)) !== null
  })
  return others.reduce<string | null>((best, other) => (best === null || away(other) < away(best) ? other : best), null)
}

export const carriedSpeed = figure({
  id: 'burn.carriedSpeed',
  of: aMaterial,
  label: 'Speed carried over from another thickness',
  quantity: 'speed',
  formula: 'v = v_{95}\\,\\dfrac{t_0}{t}',
  symbols: {},
  source:
    'Energy balance d = ηP/(v·w·q) (common practice): the speed goes with 1/thickness. Assumed, ± 60 %: kerf, glue and grain are another sheet’s.',
  doubt: { own: 'A guess with the spread that such sheets have; no reading of this one is in it.' },
  work(view, id: string): OwnDoubt {
    const from = nearestSheet(view, id)
    if (from === null) throw new NotYet('measure this sheet, and have another of its kind tried and measured')
    const { materials } = view.bench.burns
    const value = (view.figure(cutSpeed, from) * (materials[from]?.thickness ?? 1)) / (materials[id]?.thickness ?? 1)
    return { value, u: CARRIED * value }
  },
})

/** Of a hundred lines so many shall come through. */
const WANTED = 0.95

export const cutSpeed = figure({
  id: 'burn.cutSpeed',
  of: aMaterial,
  label: 'Speed that cuts 95 of 100 lines',
  quantity: 'speed',
  formula: 'v_{95} = \\dfrac{P\\,n}{E_{95}}',
  symbols: {},
  source: `${SOURCE} What the tries leave open is in the 95 of 100. Two digits, never faster.`,
  doubt: { none: 'What is not known is in the chance itself.' },
  work: (view, id: string): number => speedKept(speedFor(view, energyToCut(learntOf(view, id), WANTED))),
})

export const nextTry = figure({
  id: 'burn.nextTry',
  of: aMaterial,
  label: 'Speed of the try that tells most',
  quantity: 'speed',
  formula: 'v \\approx \\dfrac{P\\,n}{E_{50}}',
  symbols: {},
  source:
    'A try tells most where its outcome is least certain; seven tenths slower or faster while all went one way (common practice); the first as fast as a sheet of its kind lets expect. Two digits.',
  doubt: { none: 'A choice.' },
  work(view, id: string): number {
    const energy = nextTryEnergy(triesOfMaterial(view, id))
    if (energy !== null) return Number(speedFor(view, energy).toPrecision(2))
    // Before the first try: from another thickness of its kind, where there is one.
    return nearestSheet(view, id) === null ? view.bench.burns.firstSpeed : speedKept(view.figure(carriedSpeed, id).value)
  },
})

/**
 * A cutting speed as it is kept: two digits, never faster. @param speed mm/s, more than 0.
 * @throws {RangeError} where it is not. Valid: any speed. Source: by definition.
 * @example speedKept(5.458) // 5.4
 */
export function speedKept(speed: number): number {
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  const unit = 10 ** (Math.floor(Math.log10(speed)) - 1)
  return Number((Math.floor(speed / unit + 1e-9) * unit).toPrecision(2))
}

/** Largest relative ± of a cutting speed that is still called known (common practice). */
const KNOWN_WITHIN = 0.25

export const cutRoom = figure({
  id: 'burn.cutRoom',
  of: aMaterial,
  label: 'Limit of cutting known within a quarter by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.25 - 2u/v_{50}',
  symbols: {},
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'It is a doubt itself.' },
  work(view, id: string): number {
    const { value, u } = view.figure(cutLimit, id)
    return KNOWN_WITHIN - (2 * u) / value
  },
})

/** A place on the curve of chances. */
export interface ChanceAt {
  /** mm/s. */
  readonly speed: number
  readonly chance: number
}

export const cutChances = figure({
  id: 'burn.cutChances',
  of: aMaterial,
  label: 'Chance of cutting over the speed',
  quantity: 'ratio',
  formula: 'p(v)',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'A curve; what is read off it is a figure of its own.' },
  work(view, id: string): readonly ChanceAt[] {
    const learnt = learntOf(view, id)
    const [low, high] = [learnt.mean - 2.5 * learnt.u - 0.25, learnt.mean + 2.5 * learnt.u + 0.25]
    const places = 60
    return Array.from({ length: places + 1 }, (_, i) => {
      const energy = Math.exp(high + ((low - high) * i) / places)
      return { speed: speedFor(view, energy), chance: learnt.chance(energy) }
    })
  },
})

export const triesMade = figure({
  id: 'burn.triesMade',
  of: aMaterial,
  label: 'Tries, as speeds at the power asked for',
  quantity: 'speed',
  formula: 'v_i',
  symbols: {},
  source: 'Each try at the speed that would give its energy at the power and passes asked for.',
  doubt: { none: 'A list.' },
  work: (view, id: string): readonly { readonly speed: number; readonly isThrough: boolean }[] =>
    triesOfMaterial(view, id).map(({ energy, isThrough }) => ({ speed: speedFor(view, energy), isThrough })),
})
