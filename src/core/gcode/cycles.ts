import { G } from './codes'

/**
 * Canned cycles in the plane XY: what they do at one place, as moves along Z.
 * Source: NISTIR 6556, 3.5.16 (from memory).
 */

/** Words of a cycle, mm and seconds; they stay in force from line to line. */
export interface CycleWords {
  /** Level that the cycle begins from, and depth. */
  readonly r: number
  readonly z: number
  /** Seconds at the bottom; NaN where none were given. */
  readonly p: number
  /** Depth of a peck; NaN where none was given. */
  readonly q: number
}

/** A move along Z, or what happens there. */
export type CycleStep =
  | { readonly kind: 'feed'; readonly z: number }
  | { readonly kind: 'rapid'; readonly z: number }
  | { readonly kind: 'dwell'; readonly seconds: number }
  | { readonly kind: 'spindle'; readonly isOn: boolean }

/** How far above the last peck a rapid move stops, mm. Source: NISTIR 6556 says 0.010 in (from memory). */
const ABOVE_PECK = 0.254
/** More pecks than this are no hole. */
const MOST_PECKS = 10_000

/** Whether a code in tenths is a cycle that is carried out. */
export function isCycle(code: number): boolean {
  return code >= G.drill && code <= G.boreDwell
}

/**
 * What a cycle does between its level R and the way back up, without the move to R and the last retreat.
 * @param code In tenths. @returns Its steps, or what is missing, in words. Valid: z no higher than r. Source: NISTIR 6556, 3.5.16 (from memory).
 */
export function cycleSteps(code: number, { r, z, p, q }: CycleWords): readonly CycleStep[] | string {
  const dwell = (): CycleStep[] => (p > 0 ? [{ kind: 'dwell', seconds: p }] : [])
  switch (code) {
    case G.drill:
      return [{ kind: 'feed', z }]
    case G.drillDwell:
      return Number.isNaN(p) ? 'G82 needs P with the seconds to wait at the bottom.' : [{ kind: 'feed', z }, ...dwell()]
    case G.peck:
      return q > 0 ? pecks(r, z, q) : 'G83 needs Q with the depth of a peck, more than 0.'
    case G.bore:
      return [
        { kind: 'feed', z },
        { kind: 'feed', z: r },
      ]
    case G.boreStop:
      return Number.isNaN(p)
        ? 'G86 needs P with the seconds to wait at the bottom.'
        : [
            { kind: 'feed', z },
            ...dwell(),
            { kind: 'spindle', isOn: false },
            { kind: 'rapid', z: r },
            { kind: 'spindle', isOn: true },
          ]
    case G.boreDwell:
      return Number.isNaN(p)
        ? 'G89 needs P with the seconds to wait at the bottom.'
        : [{ kind: 'feed', z }, ...dwell(), { kind: 'feed', z: r }]
    default:
      return 'This cycle needs a hand at the machine, or a tap: it is of the standard but is not carried out here. Write its moves.'
  }
}

function pecks(r: number, z: number, q: number): readonly CycleStep[] | string {
  const count = Math.ceil((r - z) / q - 1e-9)
  if (count > MOST_PECKS) return `Q is so small that a hole takes ${count} pecks. Make it larger.`
  return Array.from({ length: Math.max(1, count) }, (_, k): readonly CycleStep[] => {
    const bottom = Math.max(z, r - (k + 1) * q)
    const back: readonly CycleStep[] =
      bottom === z
        ? []
        : [
            { kind: 'rapid', z: r },
            { kind: 'rapid', z: Math.min(r, bottom + ABOVE_PECK) },
          ]
    return [{ kind: 'feed', z: bottom }, ...back]
  }).flat()
}
