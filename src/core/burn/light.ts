import { MOVE, SPINDLE, type Moves } from '../gcode'

/** How the words of a program become light. */
export interface LightLaw {
  /** The number behind S for all of the power; more than 0. */
  readonly fullS: number
  /** Light over share of full power: shares rise from 0 to 1, W beside them. Between them it goes straight. */
  readonly shares: readonly number[]
  readonly watts: readonly number[]
  /** Pulses a second where the light follows the signal's; null: it is even. */
  readonly pulsesHz: number | null
  /** Whether the light of a line follows the speed of the head, against the speed that was commanded; without it: constant. */
  readonly followsSpeed?: boolean
  /** Seconds by which light comes and goes behind its word. */
  readonly onDelay: number
  readonly offDelay: number
}

/**
 * Light at a share of full power, W. @param share 0…1.
 * Valid: a law with two places or more. Source: straight lines between the places of a power curve.
 * @example wattsAt({ fullS: 1000, shares: [0, 0.1, 1], watts: [0, 0, 4.5], pulsesHz: null, onDelay: 0, offDelay: 0 }, 0.55) // 2.25
 */
export function wattsAt({ shares, watts }: LightLaw, share: number): number {
  let k = 1
  while (k < shares.length - 1 && (shares[k] as number) < share) k++
  const [s0, s1, w0, w1] = [shares[k - 1] ?? 0, shares[k] ?? 1, watts[k - 1] ?? 0, watts[k] ?? 0]
  const t = s1 > s0 ? Math.min(1, Math.max(0, (share - s0) / (s1 - s0))) : 1
  return w0 + (w1 - w0) * t
}

/**
 * Share of full power that is commanded while a move or a wait goes on, 0…1.
 * @param fullS More than 0. Valid: any move. Source: common practice, the beam as the spindle.
 * @example commandedShare({ kind: [1], spindle: [1], s: [300] }, 0, 1000) // 0.3
 */
export function commandedShare(moves: Pick<Moves, 'kind' | 'spindle' | 's'>, i: number, fullS: number): number {
  if (moves.kind[i] === MOVE.rapid || moves.spindle[i] === SPINDLE.off) return 0
  return Math.min(1, Math.max(0, (moves.s[i] as number) / fullS))
}

/** Light for some time of a move: from, to in seconds from its beginning, at a share of full power. */
export interface Glow {
  readonly from: number
  readonly to: number
  readonly share: number
}

/** Follows the words of a program through time and says when there is light. */
export class Lamp {
  private clock = 0
  /** When the light of the present word comes; Infinity while none is commanded. */
  private lightAt = Infinity
  /** Until when light is left behind the last word for none, and how much. */
  private darkAt = -Infinity
  private share = 0

  constructor(private readonly law: LightLaw) {}

  /** The next move or wait, and how long it takes. @returns Light within it; null for none. */
  next(share: number, seconds: number): Glow | null {
    const { onDelay, offDelay } = this.law
    const [begin, end] = [this.clock, this.clock + seconds]
    this.clock = end
    if (share > 0) {
      // A word for light that comes while there is light still goes on with it.
      if (this.lightAt === Infinity) this.lightAt = begin < this.darkAt ? begin : begin + onDelay
      this.share = share
      const from = Math.max(begin, this.lightAt)
      return from < end ? { from: from - begin, to: seconds, share } : null
    }
    if (this.lightAt !== Infinity) {
      this.darkAt = this.lightAt <= begin ? begin + offDelay : -Infinity
      this.lightAt = Infinity
    }
    const to = Math.min(end, this.darkAt)
    return to > begin ? { from: 0, to: to - begin, share: this.share } : null
  }

  /** Seconds that have passed. */
  get seconds(): number {
    return this.clock
  }
}

/**
 * Seconds of light up to a time, of pulses that are each on for a share of their period.
 * @param time s from the first pulse. @param hz Pulses a second. @param duty 0…1.
 * Valid: pulses that begin on. Source: by definition. @example pulsedSeconds(2.25, 1, 0.5) // 1.25
 */
export function pulsedSeconds(time: number, hz: number, duty: number): number {
  const periods = time * hz
  const whole = Math.floor(periods)
  return (whole * duty + Math.min(periods - whole, duty)) / hz
}
