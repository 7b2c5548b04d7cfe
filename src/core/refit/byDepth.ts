import { doseForTone, toneAfter, type ToneLaw } from '../burn'
import { requireInRange } from '../units'
import type { PowerByDepth } from './beam'

/** What is learnt of how deep a pass goes: d = slope·(H − from), with the largest dose a pass that was tried. mm and J/mm². */
export interface LearntDepth {
  readonly slope: number
  readonly from: number
  readonly most: number
}

/** The light that digs. */
export interface DiggingLight {
  /** Optical power at full power, W. */
  readonly watts: number
  /** Width of a line, mm: what it takes its dose over. */
  readonly width: number
  /** mm/s; null: the fastest that still reaches the depth. */
  readonly feed: number | null
  /** The share of full power that gives a share of its light. */
  readonly shareFor: (light: number) => number
}

export interface DugWish {
  readonly power: PowerByDepth
  /** mm/s. */
  readonly feed: number
  readonly times: number
}

const STEPS = 12

/** Width that a line takes its dose over where nothing says which way it goes, mm. Valid: widths more than 0. Source: geometric mean of both widths of the spot. @example lineWidth(0.08, 0.18) // 0.12 */
export function lineWidth(x: number, y: number): number {
  return Math.sqrt(x * y)
}

/**
 * Power, speed and passes with which lines come to their depths. @param deepest mm; more than 0.
 * @returns Passes as few as will do with no more a pass than was tried; where the wished speed is too fast for the depth, the fastest that is not.
 * @throws {RangeError} where depth, light or law are not more than 0. Valid: a law that grows. Source: energy balance, d = c·(H − H₀) (common practice); H = P·s/(v·b), handbook of the trade.
 */
export function beamForDepth({ slope, from, most }: LearntDepth, light: DiggingLight, deepest: number): DugWish {
  requireInRange('deepest', deepest, Number.MIN_VALUE, 1000, 'mm')
  requireInRange('slope', slope, Number.MIN_VALUE, Number.MAX_VALUE, 'mm³/J')
  requireInRange('watts', light.watts, Number.MIN_VALUE, Number.MAX_VALUE, 'W')
  requireInRange('width', light.width, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const aPass = Math.max(slope * (most - from), Number.MIN_VALUE)
  const times = Math.max(1, Math.ceil(deepest / aPass - 1e-9))
  const doseFor = (depth: number): number => depth / (times * slope) + from
  const fastest = light.watts / (doseFor(deepest) * light.width)
  const feed = light.feed === null ? fastest : Math.min(light.feed, fastest)
  const depths = Array.from({ length: STEPS + 1 }, (_, k) => (deepest * k) / STEPS)
  const powers = depths.map((it) => light.shareFor(Math.min(1, (doseFor(it) * feed * light.width) / light.watts)))
  return { power: { depths, powers }, feed, times }
}

/**
 * Powers with which a line is the darker the deeper the cutter went: bare at the surface, the darkest that full power reaches at the deepest, even in L* between.
 * @param light Its speed must be said. @param deepest mm; more than 0. @throws {RangeError} where speed, depth or light are not more than 0.
 * Valid: within what the tone curve was learnt over. Source: the inverse of the law of tone; H = P·s/(v·b), handbook of the trade.
 */
export function beamForTone(law: ToneLaw, light: DiggingLight & { readonly feed: number }, deepest: number): DugWish {
  requireInRange('deepest', deepest, Number.MIN_VALUE, 1000, 'mm')
  requireInRange('feed', light.feed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  requireInRange('watts', light.watts, Number.MIN_VALUE, Number.MAX_VALUE, 'W')
  const { watts, width, feed } = light
  const darkest = toneAfter(law, watts / (feed * width), feed)
  const depths = Array.from({ length: STEPS + 1 }, (_, k) => (deepest * k) / STEPS)
  const powers = depths.map((_, k) => {
    if (k === 0) return 0
    const dose = doseForTone(law, law.bare + ((darkest - law.bare) * k) / STEPS, feed)
    return light.shareFor(dose === null ? 1 : Math.min(1, (dose * feed * width) / watts))
  })
  return { power: { depths, powers }, feed, times: 1 }
}
