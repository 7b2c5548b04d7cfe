import { toneAfter, TONE_SPEED, type ToneLaw } from '../burn'
import { solveLinear } from '../calibrate'

/** A patch that was burnt and read. */
export interface TonePoint {
  /** J/mm². */
  readonly dose: number
  /** mm/s. */
  readonly speed: number
  /** CIE L*, and its standard uncertainty. */
  readonly tone: number
  readonly u: number
}

/** What was learnt of a material's tone. */
export interface ToneLearnt {
  readonly law: ToneLaw
  /** Scatter of a patch about the law, L*. */
  readonly scatter: number
  /** Doses, and speeds, that it was learnt on. */
  readonly doses: readonly [number, number]
  readonly speeds: readonly [number, number]
  readonly count: number
  /** What was found: strongest tone, logarithms of threshold and scale, power of the speed; and the inverse of its covariance. */
  readonly unknowns: readonly number[]
  readonly information: readonly (readonly number[])[]
}

/** Patches that are needed at least, and by how much they have to differ from the bare material at most, L*. */
export const LEAST_PATCHES = 4
const SHOWS = 6
/** Scatter that is taken to be there however well a law fits, L*. */
const LEAST_SCATTER = 0.6

/** What is thought before anything is read: middle and standard deviation of each unknown (common practice). */
const BEFORE = {
  strongest: 14,
  from: { middle: Math.log(0.2), spread: 1.2 },
  by: { middle: Math.log(0.9), spread: 1 },
  bySpeed: { middle: 0.1, spread: 0.15 },
} as const

/** Strongest tone, logarithms of the threshold and of the scale, power of the speed. */
type Unknowns = readonly number[]

/**
 * Learns how a material darkens from patches of any doses and speeds. @param bare L* of the bare material.
 * @returns Null where there are too few, or none of them shows. @throws {RangeError} for a dose below 0. Valid: one material, one focus; beyond the doses and speeds that were
 * tried it says nothing. Source: the law of `toneAfter` by damped least squares with what is thought beforehand as further readings
 * (Gelman et al., Bayesian Data Analysis, 3rd ed., 14.8, from memory); scatter from what is left over.
 */
export function learnTone(points: readonly TonePoint[], bare: number): ToneLearnt | null {
  if (points.length < LEAST_PATCHES) return null
  const furthest = points.reduce((most, it) => (Math.abs(it.tone - bare) > Math.abs(most - bare) ? it.tone : most), bare)
  if (Math.abs(furthest - bare) < SHOWS) return null
  const strongest = Math.min(99, Math.max(1, furthest + Math.sign(furthest - bare) * 4))
  let scatter = 1.5
  let fitted: Fit | null = null
  for (let turn = 0; turn < 3; turn++) {
    fitted = fit(points, bare, strongest, scatter, fitted?.unknowns)
    if (fitted === null) return null
    const { unknowns } = fitted
    const freedom = Math.max(1, points.length - 3)
    const left = points.reduce((sum, it) => sum + (it.tone - toneOf(unknowns, bare, it)) ** 2 - it.u ** 2, 0)
    scatter = Math.max(LEAST_SCATTER, Math.sqrt(Math.max(0, left / freedom)))
  }
  if (fitted === null) return null
  return learntFrom(fitted, points, bare, scatter)
}

function learntFrom({ unknowns, information }: Fit, points: readonly TonePoint[], bare: number, scatter: number): ToneLearnt {
  const ends = (pick: (it: TonePoint) => number): [number, number] => [
    Math.min(...points.map(pick)),
    Math.max(...points.map(pick)),
  ]
  return {
    law: lawOf(unknowns, bare),
    scatter,
    doses: ends((it) => it.dose),
    speeds: ends((it) => it.speed),
    count: points.length,
    unknowns,
    information,
  }
}

/** Standard uncertainty of the law where it has these slopes. */
function spreadIn(information: readonly (readonly number[])[], slope: readonly number[]): number {
  const solved = solveLinear(information, slope)
  return solved === null
    ? Infinity
    : Math.sqrt(
        Math.max(
          0,
          slope.reduce((sum, it, i) => sum + it * (solved[i] as number), 0),
        ),
      )
}

/**
 * Tone of a patch, L*, and standard uncertainties: of the law there, and of a patch burnt there. @param dose J/mm². @param speed mm/s.
 * @throws {RangeError} for a dose below 0.
 * Valid: within the doses and speeds it was learnt on. Source: the law's covariance carried over (JCGM 100:2008, 5.2), and the scatter.
 */
export function toneAt(learnt: ToneLearnt, dose: number, speed: number) {
  const { unknowns, information, law, scatter } = learnt
  const uLaw = spreadIn(information, slopesOf(unknowns, law.bare, { dose, speed }))
  return { tone: toneOf(unknowns, law.bare, { dose, speed }), uLaw, u: Math.hypot(uLaw, scatter) }
}

/**
 * The same law, known as well as if more patches had been burnt and read. @throws {RangeError} for a dose below 0. Valid: as learnt.
 * Source: each patch adds to the inverse of the covariance.
 */
export function withMore(learnt: ToneLearnt, more: readonly Burnt[]): ToneLearnt {
  const { unknowns, information, law, scatter } = learnt
  const weight = 1 / scatter ** 2
  const slopes = more.map((it) => slopesOf(unknowns, law.bare, it))
  return {
    ...learnt,
    information: information.map((row, i) =>
      row.map((it, j) => it + weight * slopes.reduce((sum, s) => sum + (s[i] as number) * (s[j] as number), 0)),
    ),
  }
}

interface Fit {
  readonly unknowns: Unknowns
  /** Second derivatives of half the sum of squares: the inverse of the covariance. */
  readonly information: readonly (readonly number[])[]
}

function lawOf([strongest = 0, from = 0, by = 0, bySpeed = 0]: Unknowns, bare: number): ToneLaw {
  return { bare, darkest: strongest, from: Math.exp(from), by: Math.exp(by), bySpeed }
}

/** What a patch was burnt with. */
export type Burnt = Pick<TonePoint, 'dose' | 'speed'>

function toneOf(unknowns: Unknowns, bare: number, { dose, speed }: Burnt): number {
  return toneAfter(lawOf(unknowns, bare), dose, speed)
}

/** How the tone of a patch moves with each unknown: the law, differentiated. */
function slopesOf(unknowns: Unknowns, bare: number, { dose, speed }: Burnt): number[] {
  const [strongest = 0, logFrom = 0, logBy = 0, bySpeed = 0] = unknowns
  const [from, by] = [Math.exp(logFrom), Math.exp(logBy)]
  const slower = TONE_SPEED / speed
  const felt = dose * slower ** bySpeed
  const over = (felt - from) / by
  if (!(over > 0)) return [0, 0, 0, 0]
  const left = Math.exp(-over)
  const steep = ((bare - strongest) * left) / by
  return [1 - left, steep * from, steep * by * over, -steep * felt * Math.log(slower)]
}

/** Damped least squares from what was found before, else from a few beginnings, the best of them. */
function fit(points: readonly TonePoint[], bare: number, strongest: number, scatter: number, known?: Unknowns): Fit | null {
  const before: readonly { readonly middle: number; readonly spread: number }[] = [
    { middle: strongest, spread: BEFORE.strongest },
    BEFORE.from,
    BEFORE.by,
    BEFORE.bySpeed,
  ]
  const most = Math.max(...points.map((it) => it.dose * (TONE_SPEED / it.speed) ** BEFORE.bySpeed.middle))
  const beginnings =
    known === undefined
      ? [0.1, 0.3, 1].map((share) => [strongest, Math.log(most * share * 0.2), Math.log(most * share), BEFORE.bySpeed.middle])
      : [known]
  const rows = (p: Unknowns): number[] => [
    ...points.map((it) => (toneOf(p, bare, it) - it.tone) / Math.hypot(it.u, scatter)),
    ...before.map(({ middle, spread }, i) => ((p[i] as number) - middle) / spread),
  ]
  const squares = (of: readonly number[]): number => of.reduce((sum, it) => sum + it * it, 0)
  const found = beginnings.map((begin) => settle(begin))
  const best = found.reduce((least, it) => (squares(rows(it)) < squares(rows(least)) ? it : least))
  return best.every(Number.isFinite) ? { unknowns: best, information: normal(best).matrix } : null

  function normal(p: Unknowns): { matrix: number[][]; right: number[] } {
    const matrix = p.map(() => p.map(() => 0))
    const right = p.map(() => 0)
    const add = (slopes: readonly number[], left: number): void =>
      slopes.forEach((a, i) => {
        right[i] = (right[i] as number) - a * left
        slopes.forEach((b, j) => ((matrix[i] as number[])[j] = ((matrix[i] as number[])[j] as number) + a * b))
      })
    const left = rows(p)
    points.forEach((it, k) => {
      const weight = 1 / Math.hypot(it.u, scatter)
      const slopes = slopesOf(p, bare, it).map((slope) => slope * weight)
      add(slopes, left[k] as number)
    })
    before.forEach(({ spread }, i) =>
      add(
        p.map((_, j) => (j === i ? 1 / spread : 0)),
        left[points.length + i] as number,
      ),
    )
    return { matrix, right }
  }

  function settle(begin: Unknowns): Unknowns {
    let p = begin
    let damping = 1e-2
    let now = squares(rows(p))
    for (let step = 0; step < 80 && damping < 1e8; step++) {
      const { matrix, right } = normal(p)
      const turn = solveLinear(
        matrix.map((row, i) => row.map((it, j) => (i === j ? it * (1 + damping) : it))),
        right,
      )
      if (turn === null) break
      const next = p.map(
        (it, i) =>
          it + Math.max(-1.5, Math.min(1.5, i === 0 ? (turn[i] as number) / 20 : (turn[i] as number))) * (i === 0 ? 20 : 1),
      )
      const there = squares(rows(next))
      if (there < now) {
        const gain = now - there
        ;[p, now] = [next, there]
        damping *= 0.25
        if (gain < 1e-7 * now) break
      } else damping *= 5
    }
    return p
  }
}
