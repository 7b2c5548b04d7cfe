import { doseForTone, dotShare, toneAfter, type ToneLaw } from '../burn'
import { luminanceOf } from '../testcard'
import { requireInRange } from '../units'
import type { Toning } from './task'
import type { TONINGS } from './slice'

/** What a picture's greys are made with. */
export interface ToningAsk {
  readonly kind: (typeof TONINGS)[number]
  readonly law: ToneLaw
  /** Optical power at full, W. */
  readonly watts: number
  /** Share of full power for a share of all light; null where the power curve was not read so far down. */
  readonly shareFor: (light: number) => number | null
  /** Light at a share of full power, of that at full. */
  readonly lightAt: (share: number) => number
  readonly speed: number
  readonly pitch: number
  readonly passes: number
  /** Share of full power that is not gone beyond; of dots, the power of all of them. */
  readonly power: number
}

/** How greys become burns, and how far the material and the power let them. */
export interface Toned {
  readonly toning: Toning
  /** Darkest tone that is reached, L*, and that of the bare material. */
  readonly darkest: number
  readonly bare: number
  /** Share of greys that are darker than what the power reaches. */
  readonly clipped: number
}

/** Steps of grey. */
const STEPS = 256

/**
 * Powers or shares of dots for a picture's luminances: black is the darkest that the setting reaches, white the bare material, between them
 * even in L*. @throws {RangeError} where speed or pitch is not more than 0.
 * Valid: within what the tone curve was learnt over. Source: grey by power through the inverse of the tone curve; dots by luminance, which
 * adds up in light (handbook of the trade).
 */
export function tonedBy(ask: ToningAsk): Toned {
  requireInRange('speed', ask.speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  requireInRange('pitch', ask.pitch, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  const { law, watts, speed, pitch, passes, power } = ask
  const full = (watts * ask.lightAt(power) * passes) / (speed * pitch)
  const darkest = toneAfter(law, full, speed)
  const tones = Array.from({ length: STEPS }, (_, i) => darkest + ((law.bare - darkest) * toneOf(i / (STEPS - 1))) / 100)
  if (ask.kind !== 'grey') {
    const [bare, dot] = [luminanceOf(law.bare), luminanceOf(darkest)]
    const shares = tones.map((it) => (dot < bare ? dotShare(luminanceOf(it), bare, dot) : 0))
    return { toning: { kind: ask.kind, shares }, darkest, bare: law.bare, clipped: 0 }
  }
  let clipped = 0
  const powers = tones.map((tone) => {
    if (tone >= law.bare - 1e-9) return 0
    const dose = doseForTone(law, tone, speed)
    const light = dose === null ? Infinity : (dose * speed * pitch) / (watts * passes)
    const share = light > 1 ? null : ask.shareFor(light)
    if (share === null || share > power) {
      clipped++
      return power
    }
    return share
  })
  return { toning: { kind: 'grey', powers }, darkest, bare: law.bare, clipped: Math.max(0, clipped - 1) / STEPS }
}

/** L* of a luminance relative to white. Source: CIE 15. */
function toneOf(y: number): number {
  return y > 216 / 24389 ? 116 * Math.cbrt(y) - 16 : (24389 / 27) * y
}
