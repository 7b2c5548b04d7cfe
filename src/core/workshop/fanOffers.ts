import { drawAir, settledFlow, type HiddenAir } from './air'
import { between, seeded } from './random'
import { shuffled } from './table'

/** A fan on offer, by its label: m³/s into free air, Pa with its mouth shut, dB at 1 m. Straight between its two ends. */
export interface FanOffer {
  readonly id: string
  readonly name: string
  readonly freeFlow: number
  readonly shutOff: number
  readonly noise: number
}

/** A box whose gaps nobody knows, its duct as it was read, and four fans. */
export interface FanTable {
  readonly air: HiddenAir
  /** Open area of the inlet, m². */
  readonly inlet: number
  readonly offers: readonly FanOffer[]
}

/** A filter takes so many times what the bare duct takes. */
const FILTERED = 5

/** Speed that is asked for at every opening, m/s. (common practice) */
export const INWARD_WANTED = 0.5
/** Flow of each offer, of what is needed, and how much more than needed it presses with its mouth shut. */
const OFFERS = [
  { name: 'small radial blower', flow: 0.72, press: 1.7, noise: 37 },
  { name: 'radial blower', flow: 1.14, press: 1.7, noise: 43 },
  { name: 'large radial blower', flow: 1.75, press: 1.7, noise: 54 },
  { name: 'axial fan', flow: 0.74, press: 1.1, noise: 40 },
] as const

/**
 * Speed of the air at every opening with a fan, m/s. @param table Box and duct. @param fan Which fan. @param open How far the inlet stands open.
 * Valid: any offer. Source: orifice, quadratic duct and straight fan, found by halving.
 * @example inwardSpeed({ air: { gaps: 0.004, shutOff: 0, freeFlow: 0, before: 20000, behind: 10000, scale: 0, speedNoise: 0, columnNoise: 0 }, inlet: 0.02, offers: [] }, { freeFlow: 0.05, shutOff: 300 }) // 1.703
 */
export function inwardSpeed({ air, inlet }: FanTable, { freeFlow, shutOff }: Pick<FanOffer, 'freeFlow' | 'shutOff'>): number {
  const open = air.gaps + inlet
  return settledFlow({ ...air, freeFlow, shutOff }, open) / open
}

/** Draws a box, its duct and four fans: one is enough and quiet, one louder, one too weak, and one moves much air only where nothing is in its way. @param number The same number, the same box. */
export function drawFans(number: number): FanTable {
  const random = seeded(number ^ 0x66_61_6e)
  const plain = drawAir(number)
  // A filter of carbon stands in the way out.
  const air = { ...plain, before: FILTERED * plain.before }
  const inlet = Math.round(between(random, 160, 240)) * 1e-4
  const open = air.gaps + inlet
  const offers = OFFERS.map(({ name, flow: share, press, noise }) => {
    const flow = share * INWARD_WANTED * open
    const takes = (1.204 / 2) * (flow / (0.61 * open)) ** 2 + (air.before + air.behind) * flow * flow
    return {
      name,
      shutOff: Math.max(5, Math.round(takes * press * 2) / 2),
      freeFlow: Math.round((flow / (1 - 1 / press)) * 3600) / 3600,
      noise: Math.round(noise + between(random, -2, 2)),
    }
  })
  const named = ['Fan A', 'Fan B', 'Fan C', 'Fan D']
  return {
    air,
    inlet,
    offers: shuffled(offers, random).map((it, k) => ({ ...it, id: `fan-${k + 1}`, name: `${named[k]}, ${it.name}` })),
  }
}
