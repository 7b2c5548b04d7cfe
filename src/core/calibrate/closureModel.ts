import { requireInRange } from '../units'

/** What may be wrong with one axis, as far as an outline shows. */
export const AXIS_CAUSES = ['none', 'play', 'slip', 'misses', 'loose'] as const
export type AxisCause = (typeof AXIS_CAUSES)[number]

/** Where the end of a burnt outline stands beyond its start, mm. */
export interface Gap {
  readonly x: number
  readonly y: number
  /** Side of the square, mm. */
  readonly side: number
  /** Along which axis its first side went. */
  readonly first: 'x' | 'y'
}

export interface ClosureContext {
  /** Standard uncertainty of a reading, mm. */
  readonly u: number
  /** Way of each axis for one cycle of its winding, four full steps, mm: what a motor loses when it misses. */
  readonly cycle: { readonly x: number; readonly y: number }
}

/** One account of the gaps, and how likely it is; all of them together make 1. */
export interface Account {
  readonly x: AxisCause
  readonly y: AxisCause
  /** Whether the light comes late. */
  readonly late: boolean
  readonly probability: number
}

/** A cause by itself, over all accounts that have it. */
export interface Cause {
  readonly cause: AxisCause | 'late'
  /** Nothing for what is of no axis. */
  readonly axis: 'x' | 'y' | ''
  readonly probability: number
}

/** What to measure next, by what it changes. */
export const FURTHER = ['larger', 'slower', 'gentler', 'again'] as const
export type Further = (typeof FURTHER)[number]

export interface Diagnosis {
  /** The likeliest first. */
  readonly accounts: readonly Account[]
  readonly causes: readonly Cause[]
  /** What is named: nothing where no fault is the likeliest account. */
  readonly named: Cause | null
  /** The one further measurement that tells the two likeliest accounts apart best; null where the first is sure enough. */
  readonly next: Further | null
}

/** How often each is met before anything is read (common practice). */
const PRIOR: Readonly<Record<AxisCause, number>> = { none: 0.8, play: 0.08, slip: 0.04, misses: 0.04, loose: 0.04 }
const PRIOR_LATE = 0.12
/** An account that is likelier than this needs no further measurement. */
const SURE = 0.95

/** Play that every machine has, and too much of it, mm (common practice). */
const USUAL_PLAY = [0, 0.06] as const
const TOO_MUCH = [0.06, 1.5] as const
const FEW_PLAYS = [0, 0.03, 0.06]
/** Share of its way by which a pulley slips. */
const SLIPS = [3e-4, 0.03] as const
const SAGS = logGrid(0.08, 1.5, 24)
const SPREADS = [0.2, 0.4, 0.6]
const CHANCES = [0.1, 0.25, 0.5, 0.8]
/** What light that comes in time still leaves out, mm, and what late light does. */
const IN_TIME = [0, 0.025, 0.05]
const LATE = [0.08, 6] as const
const MOST_CYCLES = 4

/** What one setting of a cause's unknowns expects of a reading: parts of a mixture of normal distributions. */
interface Expected {
  readonly parts: readonly { readonly share: number; readonly mean: number; readonly extra: number }[]
}
type Expect = (of: { readonly path: number; readonly gentle: boolean }) => Expected

/** A setting of a cause's unknowns, and how well it accounts for an axis's readings, weighed by how likely it was. */
interface Setting {
  readonly expect: Expect
  readonly evidence: number
}

const plainly = (mean: number, extra = 0): Expected => ({ parts: [{ share: 1, mean, extra }] })

/** Settings of the causes that have no closed form: they stay the same however late the light is. */
interface Grids {
  readonly loose: readonly Expect[]
  readonly misses: readonly Expect[]
}

function gridsOf(cycle: number): Grids {
  return {
    loose: SAGS.flatMap((m) => SPREADS.map((c) => remembered(() => plainly(m, c * m)))),
    misses: FEW_PLAYS.flatMap((play) => CHANCES.map((q) => remembered(({ gentle }) => missing(play, gentle ? q / 4 : q, cycle)))),
  }
}

/** What does not hang on the way is made once for rough moves and once for gentle ones. */
function remembered(make: Expect): Expect {
  const [rough, gentle] = [make({ path: 0, gentle: false }), make({ path: 0, gentle: true })]
  return (of) => (of.gentle ? gentle : rough)
}

/** A cause over its unknowns: what follows a straight line is summed in closed form, the rest over a grid. */
function settingsOf(cause: AxisCause, readings: readonly Along[], u: number, grids: Grids): readonly Setting[] {
  const over = (expects: readonly Expect[]): readonly Setting[] =>
    expects.map((expect) => ({
      expect,
      evidence:
        readings.reduce((product, { gap, path }) => product * density(expect({ path, gentle: false }), gap, u), 1) /
        expects.length,
    }))
  switch (cause) {
    case 'none':
      return [constant(readings, u, USUAL_PLAY, () => 1 / (USUAL_PLAY[1] - USUAL_PLAY[0]))]
    case 'play':
      return [constant(readings, u, TOO_MUCH, logPrior(TOO_MUCH))]
    case 'slip':
      return FEW_PLAYS.flatMap((play) =>
        [1, -1].map((side) => {
          const turned = readings.map(({ gap, path }) => ({ y: side * (gap - play), x: path }))
          const { at, evidence } = straight(turned, u, SLIPS, logPrior(SLIPS))
          return { expect: ({ path }) => plainly(play + side * at * path), evidence: evidence / (2 * FEW_PLAYS.length) }
        }),
      )
    case 'loose':
    case 'misses':
      return over(grids[cause])
  }
}

function constant(
  readings: readonly Along[],
  u: number,
  range: readonly [number, number],
  prior: (at: number) => number,
): Setting {
  const { at, evidence } = straight(
    readings.map((it) => ({ y: it.gap, x: 1 })),
    u,
    range,
    prior,
  )
  return { expect: () => plainly(at), evidence }
}

/** As likely at every ratio. */
function logPrior([low, high]: readonly [number, number]): (at: number) => number {
  return (at) => 1 / (at * Math.log(high / low))
}

/**
 * Readings y = b·x with normal noise, b within a range: the best b, and the readings' likelihood summed over all b. The prior
 * counts as even over the width of the best b.
 */
function straight(
  readings: readonly { readonly x: number; readonly y: number }[],
  u: number,
  [low, high]: readonly [number, number],
  prior: (at: number) => number,
): { readonly at: number; readonly evidence: number } {
  const sum = (of: (it: { readonly x: number; readonly y: number }) => number): number =>
    readings.reduce((total, it) => total + of(it), 0)
  const xx = sum((it) => it.x * it.x)
  // Nothing read says nothing.
  if (!(xx > 0)) return { at: low, evidence: 1 }
  const best = sum((it) => it.x * it.y) / xx
  const width = u / Math.sqrt(xx)
  const at = Math.min(high, Math.max(low, best))
  const left = sum((it) => (it.y - best * it.x) ** 2)
  const within = normalBelow((high - best) / width) - normalBelow((low - best) / width)
  const evidence =
    (Math.exp((-0.5 * left) / (u * u)) / u ** readings.length) * Math.sqrt(2 * Math.PI) * width * within * prior(at)
  return { at, evidence }
}

/** Share of a normal distribution below a value, to 1e-7. Source: Abramowitz and Stegun 7.1.26 (from memory). */
function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const tail = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x)
  return z > 0 ? 1 - tail / 2 : tail / 2
}

/** Lengths by which late light may shorten the first side, finely where the readings say so, each with its share of the prior. */
function latenesses(
  gaps: readonly Gap[],
  u: number,
): readonly { readonly late: number; readonly share: number; readonly isLate: boolean }[] {
  const median = (values: readonly number[]): number => [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? 0
  const centres = (['x', 'y'] as const).map((axis) => {
    const of = (isFirst: boolean) => median(gaps.filter((it) => (it.first === axis) === isFirst).map((it) => it[axis]))
    return of(false) - of(true)
  })
  const [a = 0, b = 0] = centres
  const [low, high] = LATE
  const fine = [a, b, (a + b) / 2].flatMap((centre) => grid(centre - 4 * u, centre + 4 * u, 17))
  const all = [...new Set([...logGrid(low, high, 16), ...fine])].filter((it) => it >= low && it <= high).sort((p, q) => p - q)
  const inTime = IN_TIME.map((late) => ({ late, share: 1 / IN_TIME.length, isLate: false }))
  return [
    ...inTime,
    ...all.map((late, i) => {
      const [before, after] = [all[i - 1] ?? late, all[i + 1] ?? late]
      return { late, share: Math.log(after / before) / 2 / Math.log(high / low), isLate: true }
    }),
  ]
}

/** Whole cycles to either side, each further one rarer. */
function missing(play: number, chance: number, cycle: number): Expected {
  const parts = [{ share: 1 - chance, mean: play, extra: 0 }]
  let share = chance * 0.6
  for (let n = 1; n <= MOST_CYCLES; n++) {
    for (const side of [1, -1]) parts.push({ share: share / 2, mean: play + side * n * cycle, extra: 0 })
    share *= 0.4
  }
  return { parts }
}

function density({ parts }: Expected, value: number, u: number): number {
  return parts.reduce((sum, { share, mean, extra }) => {
    const sd = Math.hypot(u, extra)
    return sum + (share * Math.exp(-0.5 * ((value - mean) / sd) ** 2)) / sd
  }, 0)
}

/** One axis of the readings: its gaps, its way in each outline, and whether its side came first. */
interface Along {
  readonly gap: number
  readonly path: number
  readonly isFirst: boolean
}

function along(gaps: readonly Gap[], axis: 'x' | 'y'): readonly Along[] {
  return gaps.map((it) => ({ gap: it[axis], path: 2 * it.side, isFirst: it.first === axis }))
}

/**
 * What the gaps of burnt outlines say is wrong. Play leaves the end beyond the start by the same amount, whatever the size
 * and the way round; a slipping pulley by an amount that grows with the way; missed steps now and then by whole cycles of
 * the winding; a sagging belt each time by another amount; late light shortens the first side, so that its gap changes axis
 * with the way round.
 * @param gaps Four or more, of two sizes and both ways round. @returns Every account with its probability.
 * @throws {RangeError} where a reading is no number, or u or a cycle is not more than 0.
 * Valid: one cause an axis, light late or not; squares begun from below on both axes. Source: Bayes' rule with priors of
 * common practice, unknowns summed over a grid; Bhattacharyya's distance (1943, from memory) between predictions for what
 * to measure next.
 */
export function diagnoseClosure(gaps: readonly Gap[], { u, cycle }: ClosureContext): Diagnosis {
  requireInRange('u', u, Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
  for (const it of gaps) {
    requireInRange('gap x', it.x, -1e6, 1e6, 'mm')
    requireInRange('gap y', it.y, -1e6, 1e6, 'mm')
  }
  const latest = latenesses(gaps, u)
  const of = (axis: 'x' | 'y') => {
    requireInRange(`cycle ${axis}`, cycle[axis], Number.MIN_VALUE, Number.MAX_VALUE, 'mm')
    const readings = along(gaps, axis)
    const grids = gridsOf(cycle[axis])
    return AXIS_CAUSES.map((cause): AxisAccount => {
      const by = latest.map(({ late }) =>
        settingsOf(
          cause,
          readings.map((it) => ({ ...it, gap: it.gap + (it.isFirst ? late : 0) })),
          u,
          grids,
        ),
      )
      return { cause, by, evidence: by.map((it) => it.reduce((sum, one) => sum + one.evidence, 0)) }
    })
  }
  const [xs, ys] = [of('x'), of('y')]
  const weighed = xs.flatMap((x) =>
    ys.flatMap((y) =>
      [false, true].map((late): Weighed => {
        const joint = latest.map((it, i) => (it.isLate === late ? it.share * (x.evidence[i] ?? 0) * (y.evidence[i] ?? 0) : 0))
        const prior = PRIOR[x.cause] * PRIOR[y.cause] * (late ? PRIOR_LATE : 1 - PRIOR_LATE)
        return { x, y, late, weight: prior * joint.reduce((sum, it) => sum + it, 0), joint }
      }),
    ),
  )
  const total = weighed.reduce((sum, it) => sum + it.weight, 0)
  const ranked = [...weighed].sort((p, q) => q.weight - p.weight)
  const accounts = ranked.map((it): Account => ({
    x: it.x.cause,
    y: it.y.cause,
    late: it.late,
    probability: total > 0 ? it.weight / total : 1 / weighed.length,
  }))
  const causes = causesOf(accounts)
  const best = accounts[0]
  const isFaultless = best === undefined || (best.x === 'none' && best.y === 'none' && !best.late)
  const [p, q] = ranked
  const isSure = best === undefined || best.probability >= SURE || p === undefined || q === undefined
  return {
    accounts,
    causes,
    named: isFaultless ? null : (causes[0] ?? null),
    next: isSure ? null : bestFurther(p, q, { side: Math.max(...gaps.map((it) => it.side)), latest, u }),
  }
}

function causesOf(accounts: readonly Account[]): readonly Cause[] {
  const sum = (has: (it: Account) => boolean): number =>
    accounts.reduce((total, it) => (has(it) ? total + it.probability : total), 0)
  const ofAxes = (['x', 'y'] as const).flatMap((axis) =>
    AXIS_CAUSES.filter((it) => it !== 'none').map((cause): Cause => ({
      cause,
      axis,
      probability: sum((it) => it[axis] === cause),
    })),
  )
  return [...ofAxes, { cause: 'late', axis: '', probability: sum((it) => it.late) } as const].sort(
    (p, q) => q.probability - p.probability,
  )
}

interface AxisAccount {
  readonly cause: AxisCause
  /** Its settings for each lateness, and what they come to together. */
  readonly by: readonly (readonly Setting[])[]
  readonly evidence: readonly number[]
}

interface Weighed {
  readonly x: AxisAccount
  readonly y: AxisAccount
  readonly late: boolean
  readonly weight: number
  /** Evidence for each lateness. */
  readonly joint: readonly number[]
}

interface Seen {
  /** Largest outline so far, mm. */
  readonly side: number
  readonly latest: readonly { readonly late: number }[]
  readonly u: number
}

/** The further measurement for which two accounts expect the most different readings. */
function bestFurther(p: Weighed, q: Weighed, seen: Seen): Further {
  const apart = FURTHER.map((what) => {
    const sum = (['x', 'y'] as const).reduce(
      (total, axis) =>
        total +
        (['x', 'y'] as const).reduce((some, first) => {
          const gap = { path: 2 * seen.side * (what === 'larger' ? 2 : 1), isFirst: first === axis, what }
          return some + distance(expectedGap(p, axis, gap, seen), expectedGap(q, axis, gap, seen))
        }, 0),
      0,
    )
    return { what, sum }
  })
  return apart.reduce((most, it) => (it.sum > most.sum + 1e-9 ? it : most)).what
}

interface Foreseen {
  readonly mean: number
  readonly variance: number
}

/** What an account expects of a further gap, over all settings as the readings weigh them. */
function expectedGap(
  it: Weighed,
  axis: 'x' | 'y',
  { path, isFirst, what }: { readonly path: number; readonly isFirst: boolean; readonly what: Further },
  { latest, u }: Seen,
): Foreseen {
  let [weight, first, second] = [0, 0, 0]
  it.joint.forEach((joint, i) => {
    if (!(joint > 0)) return
    const late = isFirst ? (latest[i]?.late ?? 0) * (what === 'slower' ? 0.5 : 1) : 0
    for (const { expect, evidence } of it[axis].by[i] ?? []) {
      const share = (joint * evidence) / (it[axis].evidence[i] ?? 1)
      for (const part of expect({ path, gentle: what === 'gentler' }).parts) {
        const centre = part.mean - late
        weight += share * part.share
        first += share * part.share * centre
        second += share * part.share * (centre * centre + part.extra ** 2 + u * u)
      }
    }
  })
  if (!(weight > 0)) return { mean: 0, variance: u * u }
  return { mean: first / weight, variance: Math.max(u * u, second / weight - (first / weight) ** 2) }
}

/** Bhattacharyya's distance of two normal distributions. */
function distance(p: Foreseen, q: Foreseen): number {
  const both = p.variance + q.variance
  return (p.mean - q.mean) ** 2 / (4 * both) + 0.5 * Math.log(both / (2 * Math.sqrt(p.variance * q.variance)))
}

function grid(from: number, to: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))
}

function logGrid(from: number, to: number, count: number): readonly number[] {
  return grid(Math.log(from), Math.log(to), count).map(Math.exp)
}
