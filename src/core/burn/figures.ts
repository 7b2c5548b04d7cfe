import { figureOf, NotYet, subjectOf, type OwnDoubt, type View } from '../bench'
import { curvePoints, lightForShare, type CalibrateBench } from '../calibrate'
import type { OpticsBench } from '../optics'
import { requireInRange } from '../units'
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

/** Light at a share of full power, of that at full: by the power curve where it was read, else as commanded. */
function lightAt(view: View<CutBench>, share: number): number {
  const { curve, trials } = view.bench.calibrate
  const hasNone = Object.keys(curve).length === 0 && Object.keys(trials.wedge).length === 0
  // All of the power is all of the light, whatever the curve.
  if (hasNone || share === 1) return share
  return lightForShare(view.figure(curvePoints), share) ?? share
}

/** Tries of a material, their energies as seconds for a millimetre at full light, added over the passes. */
function triesOf(view: View<CutBench>, id: string): readonly CutTry[] {
  const tries = view.rows(({ burns }) => burns.materials[id]?.tries ?? {})
  return Object.values(tries)
    .sort((p, q) => p.order - q.order)
    .map((it) => ({ energy: (lightAt(view, it.power) * it.passes) / it.speed, isThrough: it.through === 'yes' }))
    .filter((it) => it.energy > 0)
}

function learntOf(view: View<CutBench>, id: string): CutLearnt {
  const tries = triesOf(view, id)
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
  return (lightAt(view, cutPower) * cutPasses) / energy
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
    'A try tells most where its outcome is least certain; seven tenths slower or faster while all went one way (common practice). Two digits.',
  doubt: { none: 'A choice.' },
  work(view, id: string): number {
    const energy = nextTryEnergy(triesOf(view, id))
    return energy === null ? view.bench.burns.firstSpeed : Number(speedFor(view, energy).toPrecision(2))
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
    triesOf(view, id).map(({ energy, isThrough }) => ({ speed: speedFor(view, energy), isThrough })),
})
