import { doseForTone, type CardShape } from '../burn'
import { toneAt, withMore, type ToneLearnt } from './toneLearning'

/** What a wanted tone is looked for with. */
export interface ToneAsk {
  /** CIE L*. */
  readonly tone: number
  /** Optical power at all of the power, W, and shares of light that may be commanded: the most, and the least that was tried. */
  readonly watts: number
  readonly most: number
  readonly least: number
  /** Scan pitch, mm, and passes. */
  readonly pitch: number
  readonly passes: number
}

/** A setting for a tone, in light: what share is commanded for it is the power curve's. */
export interface ToneSetting {
  /** Share of all the light, 0…1. */
  readonly light: number
  /** mm/s. */
  readonly speed: number
  /** J/mm². */
  readonly dose: number
  /** Standard uncertainty of the tone of a patch burnt so, L*. */
  readonly u: number
}

/** Why there is none: the tone cannot be had, or only with more or less than what was tried. */
export type NoTone = 'lighter' | 'stronger' | 'less' | 'more'

/**
 * The setting for a tone in the least time: as fast as was tried and as there is light for.
 * @returns The setting, or why there is none within what was tried. @throws {RangeError} never for numbers that are more than 0.
 * Valid: within the doses and speeds that were tried. Source: the law, solved; time is area/(v·pitch).
 */
export function settingForTone(learnt: ToneLearnt, ask: ToneAsk): ToneSetting | NoTone {
  const { law } = learnt
  const way = Math.sign(law.bare - law.darkest)
  if ((law.bare - ask.tone) * way <= 0) return 'lighter'
  if ((ask.tone - law.darkest) * way <= 0) return 'stronger'
  const [slowest, fastest] = learnt.speeds
  const lightAt = (speed: number): number => {
    const dose = doseForTone(law, ask.tone, speed) ?? Infinity
    return (dose * speed * ask.pitch) / (ask.watts * ask.passes)
  }
  if (lightAt(slowest) > ask.most * 1.0001) return 'more'
  let [low, high] = [slowest, fastest]
  if (lightAt(fastest) > ask.most) {
    for (let turn = 0; turn < 60; turn++) {
      const middle = (low + high) / 2
      if (lightAt(middle) > ask.most) high = middle
      else low = middle
    }
  } else low = fastest
  const dose = doseForTone(law, ask.tone, low) as number
  const light = lightAt(low)
  // A little beyond what was tried is still within what the law was fitted on.
  if (dose < learnt.doses[0] * 0.8 || light < ask.least * 0.8) return 'less'
  if (dose > learnt.doses[1] * 1.2) return 'more'
  return { light: Math.min(light, ask.most), speed: low, dose, u: toneAt(learnt, dose, low).u }
}

/** Cells along a side of the small card that is burnt next. */
const SMALL = 3

/** Ranges of a small card: shares of all the light, and speeds, mm/s. */
export interface SmallCard {
  readonly power: readonly [number, number]
  readonly speed: readonly [number, number]
  /** Standard uncertainty of the law at the wanted tone now, and when the card has been read, L*. */
  readonly now: number
  readonly then: number
}

/**
 * The small card that would tell most about a tone: of many, the one after which the law is known best at its setting.
 * @throws {RangeError} for powers or speeds that are not more than 0. Valid: a law that was learnt. Source: c-optimal design by trying (Atkinson, Donev and Tobias, Optimum Experimental Designs, from memory).
 */
export function nextCard(learnt: ToneLearnt, ask: ToneAsk, setting: ToneSetting): SmallCard {
  const now = toneAt(learnt, setting.dose, setting.speed).uLaw
  const candidates = [0.6, 0.8, 1, 1.25, 1.6].flatMap((shift) =>
    [1.25, 1.6, 2.2].flatMap((span) => [1.15, 1.5].map((faster) => ({ shift, span, faster }))),
  )
  const cards = candidates.map(({ shift, span, faster }): SmallCard => {
    const speed = [setting.speed / faster, setting.speed] as const
    const top = Math.min(ask.most, setting.light * shift * span)
    const power = [Math.max(ask.least, top / span ** 2), top] as const
    const ways = (ends: readonly [number, number]): number[] =>
      Array.from({ length: SMALL }, (_, i) => ends[0] * (ends[1] / ends[0]) ** (i / (SMALL - 1)))
    const patches = ways(speed).flatMap((v) =>
      ways(power).map((p) => ({ speed: v, dose: (p * ask.watts * ask.passes) / (v * ask.pitch) })),
    )
    return { power, speed, now, then: toneAt(withMore(learnt, patches), setting.dose, setting.speed).uLaw }
  })
  return cards.reduce((best, it) => (it.then < best.then ? it : best))
}

/** A grid of powers and speeds as a card keeps it. Source: by definition. */
export function smallGrid({
  power,
  speed,
}: SmallCard): Pick<CardShape, 'across' | 'up' | 'columns' | 'rows' | 'acrossFrom' | 'acrossTo' | 'upFrom' | 'upTo'> {
  return {
    across: 'power',
    up: 'speed',
    columns: SMALL,
    rows: SMALL,
    acrossFrom: power[0],
    acrossTo: power[1],
    upFrom: speed[0],
    upTo: speed[1],
  }
}
