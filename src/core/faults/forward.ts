import type { Culprit } from './causes'
import { READINGS, type Proof, type Reading } from './observed'

/** What each reading is expected to be. */
export type Expected = Readonly<Record<Reading, number>>

const NOTHING = Object.fromEntries(READINGS.map((it) => [it, 0])) as Record<Reading, number>

/** How bad a cause usually is, from hardly to badly; in its own measure. */
export const SEVERITIES: Readonly<Record<Culprit, readonly [least: number, most: number]>> = {
  none: [0, 0],
  /** mm */
  play: [0.15, 0.7],
  /** What the belt gives at a turn, mm. */
  belt: [0.15, 0.7],
  /** Left behind at each reversal, mm. */
  pulley: [0.04, 0.25],
  /** Cycles that are lost. */
  steps: [1, 5],
  /** Slant, mm over the diagonals. */
  square: [0.5, 3],
  /** s */
  delay: [0.001, 0.006],
  /** Light that is left. */
  power: [0.5, 0.8],
  /** Widths of the spot, that many times. */
  focus: [1.3, 2.6],
  /** Light that is left. */
  dirt: [0.5, 0.85],
  /** Light that is left while everything runs. */
  supply: [0.55, 0.82],
  /** Speed in a corner, as a share of the other. */
  corners: [0.15, 0.6],
  /** Left at a turn, mm. */
  holder: [0.4, 4],
  /** Widths of the spot at the worst corner. */
  warp: [1.3, 2.6],
  /** Rim, mm. */
  air: [0.5, 2],
}

/**
 * What is expected to be read of the proof pattern with one thing wrong, as bad as that.
 * @param culprit What is wrong. @param bad How bad, in its own measure. @param proof The pattern on this machine.
 * Valid: severities within `SEVERITIES`. Source: gaps and lags as they show in a burn (common practice); the width of a line grows with the spot, its dose falls with it.
 */
export function expectedOf(culprit: Culprit, bad: number, proof: Proof): Expected {
  const { slow, fast, passes, cycle, over, turns } = proof
  // A line is as wide as the spot, and by as much as its dose lies over the least that shows (Liu 1982, from memory).
  const wide = (share: number, blur: number): number => {
    const now = Math.max(1.05, (over * share) / blur)
    return Math.log(blur) + 0.5 * Math.log(Math.log(now) / Math.log(over))
  }
  const paler = (share: number): Partial<Expected> => ({ dark: -Math.log(share), width: wide(share, 1) })
  const of = (more: Partial<Expected>): Expected => ({ ...NOTHING, ...more })
  switch (culprit) {
    case 'none':
      return NOTHING
    case 'play':
      return of({ gap: Math.SQRT2 * bad, doubleSlow: bad, doubleFast: bad })
    case 'belt':
      // What hangs in it runs on behind a corner.
      return of({ gap: bad, doubleSlow: bad, doubleFast: bad, swing: bad })
    case 'pulley': {
      // Two reversals of each axis in a pass; from the second square to the last.
      const left = 2 * Math.SQRT2 * bad * (passes - 2)
      return of({ gap: Math.SQRT2 * bad, shiftSlow: left, shiftFast: left, doubleSlow: bad, doubleFast: bad })
    }
    case 'steps':
      return of({ shiftFast: bad * cycle })
    case 'square':
      return of({ slant: bad })
    case 'delay':
      return of({ doubleSlow: 2 * slow * bad, doubleFast: 2 * fast * bad, missing: fast * bad })
    case 'power':
      return of(paler(bad))
    case 'focus':
      return of({ width: wide(1, bad), dark: Math.log(bad) })
    case 'dirt':
      return of({ ...paler(bad), rim: 0.6 + 1.2 * (1 - bad) })
    case 'supply':
      return of({ uneven: -Math.log(bad), ...paler(1 - 0.35 * (1 - bad)) })
    case 'corners':
      // Depth grows with dose, by less than in proportion.
      return of({ cornerDark: -0.75 * Math.log(bad) })
    case 'holder':
      return of(turns ? { seam: bad } : {})
    case 'warp':
      return of({ wedge: wide(1, bad) })
    case 'air':
      return of({ rim: bad })
  }
}
