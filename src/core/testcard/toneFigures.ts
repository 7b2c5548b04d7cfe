import { figureOf, NotYet, type OwnDoubt, type View } from '../bench'
import { aMaterial, doseForTone, dotShare, lightByPower, speedKept, type CutBench } from '../burn'
import { luminanceOf } from './colour'
import { isInPlace, patchesOf, type Patch } from './patches'
import { LEAST_PATCHES, learnTone, toneAt, type ToneLearnt } from './toneLearning'
import { nextCard, settingForTone, type NoTone, type SmallCard, type ToneAsk, type ToneSetting } from './toneWanted'

const figure = figureOf<CutBench>()
const SOURCE =
  'L* = L₀ − (L₀ − L_min)(1 − e^(−(H·(v₀/v)^k − H₀)/H_c)) (common practice), fitted to all cells read of this material; no word beyond what was tried.'
const OWN = { own: 'The covariance of the fit and the scatter of the cells about it; there is nothing to nudge.' } as const

export const tonePatches = figure({
  id: 'testcard.tonePatches',
  of: aMaterial,
  label: 'Cells that were read for their tone',
  quantity: 'lightness',
  formula: '(H_i, v_i, L^*_i)',
  symbols: {},
  source: 'Readings of all cards of this material, each with the dose it was burnt with: P(s)·n/(v·p).',
  doubt: { none: 'A list.' },
  work: (view, id: string): readonly Patch[] => patchesOf(view, id).filter((it) => it.tone !== null && isInPlace(it)),
})

export const toneLaw = figure({
  id: 'testcard.toneLaw',
  of: aMaterial,
  label: 'How the material darkens',
  quantity: 'lightness',
  formula: 'L^*(H, v)',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'A law; each number that is shown is a figure of its own.' },
  work(view, id: string): ToneLearnt {
    const patches = view.figure(tonePatches, id)
    const bare = view.bench.burns.materials[id]?.bareTone ?? Number.NaN
    const points = patches.map(({ dose, speed, tone, u }) => ({ dose, speed, tone: tone as number, u: u ?? 1 }))
    const learnt = learnTone(points, bare)
    if (learnt !== null) return learnt
    if (points.length === 0) throw new NotYet('burn a test card and read it')
    if (points.length < LEAST_PATCHES) throw new NotYet('read four cells or more')
    throw new NotYet('burn a card with more light: no cell differs from the bare material')
  },
})

/** What the wanted tone is looked for with: pitch and passes of the card that is being designed. */
function askOf(view: View<CutBench>, id: string): ToneAsk {
  const { toneWanted } = view.bench.burns
  const { pitch, passes } = view.rows(({ burns }) => burns.card)
  const powers = view.figure(tonePatches, id).map((it) => it.power)
  const light = (share: number): number => lightByPower(view).at(share)
  return {
    tone: toneWanted,
    watts: view.bench.optics.power,
    most: light(Math.max(...powers)),
    least: light(Math.min(...powers)),
    pitch,
    passes,
  }
}

const WHY: Readonly<Record<NoTone, string>> = {
  lighter: 'ask for a tone that is darker than the bare material',
  stronger: 'ask for a tone that the material reaches',
  less: 'burn a card with less light: so faint a tone was not tried',
  more: 'burn a card with more light: slower, or with more power',
}

function settingOf(view: View<CutBench>, id: string): ToneSetting {
  const found = settingForTone(view.figure(toneLaw, id), askOf(view, id))
  if (typeof found === 'string') throw new NotYet(WHY[found])
  return found
}

/** A share as it is commanded: to a thousandth of full power. */
function commandable(share: number): number {
  return Math.round(share * 1000) / 1000
}

/** A setting of the machine for a tone. */
export interface ToneRow {
  readonly tone: number
  /** Share of full power as commanded, 0…1. */
  readonly power: number
  /** mm/s. */
  readonly speed: number
  /** J/mm². */
  readonly dose: number
  readonly u: number
}

export const toneSetting = figure({
  id: 'testcard.toneSetting',
  of: aMaterial,
  label: 'Setting for the wanted tone',
  quantity: 'lightness',
  formula: 'v = \\max\\{v: H(L^*, v)\\,v\\,p/n \\le P\\}',
  symbols: {},
  source: `${SOURCE} As fast as was tried and as there is light for; speed to two digits, the power for it.`,
  doubt: { none: 'A setting; its ± is that of the tone.' },
  work(view, id: string): ToneRow {
    const ask = askOf(view, id)
    const learnt = view.figure(toneLaw, id)
    const found = settingOf(view, id)
    const speed = Math.max(learnt.speeds[0], speedKept(found.speed))
    const dose = doseForTone(learnt.law, ask.tone, speed) ?? found.dose
    const light = Math.min(1, (dose * speed * ask.pitch) / (ask.watts * ask.passes))
    return {
      tone: ask.tone,
      power: commandable(lightByPower(view).shareFor(light)),
      speed,
      dose,
      u: toneAt(learnt, dose, speed).u,
    }
  },
})

export const toneSpeed = figure({
  id: 'testcard.toneSpeed',
  of: aMaterial,
  label: 'Speed for the wanted tone',
  quantity: 'speed',
  formula: 'v',
  symbols: {},
  source: 'Of the setting for the wanted tone.',
  doubt: { none: 'A choice; its ± is that of the tone.' },
  work: (view, id: string): number => view.figure(toneSetting, id).speed,
})

export const tonePower = figure({
  id: 'testcard.tonePower',
  of: aMaterial,
  label: 'Power for the wanted tone',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = P^{-1}(H\\,v\\,p/n)',
  symbols: {},
  source: 'Of the setting for the wanted tone, by the power curve where it was read.',
  doubt: { none: 'A choice; its ± is that of the tone.' },
  work: (view, id: string): number => view.figure(toneSetting, id).power,
})

export const toneExpected = figure({
  id: 'testcard.toneExpected',
  of: aMaterial,
  label: 'Tone that a patch of it comes to',
  quantity: 'lightness',
  formula: 'L^*',
  symbols: {},
  source: `${SOURCE} ± of a single patch.`,
  doubt: OWN,
  work(view, id: string): OwnDoubt {
    const { tone, u } = view.figure(toneSetting, id)
    return { value: tone, u }
  },
})

export const darkestTone = figure({
  id: 'testcard.darkestTone',
  of: aMaterial,
  label: 'Tone of the most light that was tried',
  quantity: 'lightness',
  formula: 'L^*(H_{max}, v_{min})',
  symbols: {},
  source: SOURCE,
  doubt: OWN,
  work(view, id: string): OwnDoubt {
    const learnt = view.figure(toneLaw, id)
    const { tone, uLaw } = toneAt(learnt, learnt.doses[1], learnt.speeds[0])
    return { value: tone, u: uLaw }
  },
})

/** Two greys are told apart where they differ by so many times the scatter of a patch: 95 % of a difference. */
const TOLD_APART = 2 * Math.SQRT2

export const greysTold = figure({
  id: 'testcard.greysTold',
  of: aMaterial,
  label: 'Greys that can be told apart',
  quantity: 'count',
  formula: 'n = 1 + \\lfloor (L_0 - L_{min})/(2\\sqrt2\\,s)\\rfloor',
  symbols: {},
  source:
    'From bare to the darkest that was tried, in steps of twice the scatter of a difference of two patches (by definition).',
  doubt: { none: 'A whole number.' },
  work(view, id: string): number {
    const { law, scatter } = view.figure(toneLaw, id)
    return 1 + Math.floor(Math.abs(law.bare - view.figure(darkestTone, id).value) / (TOLD_APART * scatter))
  },
})

/** Tones of the table from light to dark. */
const TABLE = 8

/** A grey of a picture: by power, or by dots of the darkest that was tried. */
export interface GreyRow extends ToneRow {
  /** Share of the area that such dots cover, 0…1. */
  readonly dots: number
}

export const toneTable = figure({
  id: 'testcard.toneTable',
  of: aMaterial,
  label: 'Powers for greys at one speed',
  quantity: 'lightness',
  formula: 's(L^*)',
  symbols: {},
  source:
    'The law, solved, at the speed of the wanted tone: grey by power. Evenly in L* over what was tried. Dots by Murray and Davies 1936 (from memory).',
  doubt: { none: 'A table; each tone has the ± of a patch.' },
  work(view, id: string): readonly GreyRow[] {
    const ask = askOf(view, id)
    const learnt = view.figure(toneLaw, id)
    const speed = view.figure(toneSetting, id).speed
    const doseOf = (light: number): number => (light * ask.watts * ask.passes) / (speed * ask.pitch)
    const [lightest, darkest] = [ask.least, ask.most].map((it) => toneAt(learnt, doseOf(it), speed).tone) as [number, number]
    const [bare, dot] = [learnt.law.bare, darkest].map(luminanceOf) as [number, number]
    return Array.from({ length: TABLE }, (_, i) => lightest + ((darkest - lightest) * i) / (TABLE - 1)).flatMap((tone) => {
      const dose = doseForTone(learnt.law, tone, speed)
      if (dose === null) return []
      const light = (dose * speed * ask.pitch) / (ask.watts * ask.passes)
      return [
        {
          tone,
          power: commandable(lightByPower(view).shareFor(Math.min(1, light))),
          speed,
          dose,
          u: toneAt(learnt, dose, speed).u,
          dots: dotShare(luminanceOf(tone), bare, dot),
        },
      ]
    })
  },
})

export const cardThatTells = figure({
  id: 'testcard.cardThatTells',
  of: aMaterial,
  label: 'The small card that would tell most',
  quantity: 'lightness',
  formula: '\\arg\\min u(L^*)',
  symbols: {},
  source: 'Of many small grids the one after which the law is known best at the wanted tone (c-optimal design, by trying).',
  doubt: { none: 'A choice.' },
  work: (view, id: string): SmallCard => nextCard(view.figure(toneLaw, id), askOf(view, id), settingOf(view, id)),
})

/** A wanted tone is known when a patch of it lies within so much, L* (common practice: the eye tells 2 to 3 apart side by side). */
const KNOWN_WITHIN = 5

export const toneRoom = figure({
  id: 'testcard.toneRoom',
  of: aMaterial,
  label: 'Wanted tone known within 5 L* by',
  quantity: 'lightness',
  formula: 'm = 5 - 2u',
  symbols: {},
  source: 'By definition; 0 is the limit.',
  doubt: { none: 'It is a doubt itself.' },
  work: (view, id: string): number => KNOWN_WITHIN - 2 * view.figure(toneSetting, id).u,
})
