import type { OwnDoubt, Result } from './figure'
import type { Path } from './path'
import { coverageFactor, effectiveDof } from './student'

/** How much one fact blurs a figure. */
export interface Contribution {
  readonly path: Path
  /** |c·u|, core's unit of the figure. */
  readonly c: number
  readonly dof: number
  /** What its u was worked from together with others' u, so that their degrees of freedom are counted once. */
  readonly pool?: string | undefined
  /** Both sides alike; the larger of two unlike sides; the one side that has a value; or what else a count could be. */
  readonly how: 'both sides' | 'larger side' | 'one side' | 'alternatives'
}

/** A figure's combined uncertainty. */
export interface Doubted {
  /** Combined standard uncertainty, core's unit. */
  readonly u: number
  /** Effective degrees of freedom; Infinity where many. */
  readonly dof: number
  /** Coverage factor: 2, or Student's t under 30 degrees of freedom. */
  readonly k: number
  /** What is shown as ±: k·u, or more where the figure bends. */
  readonly expanded: number
  /** About 95 %, alternatives included. */
  readonly low: number
  readonly high: number
  /** Largest first. */
  readonly contributions: readonly Contribution[]
}

/** One fact's moved results: where the move took the figure, and how far the fact was moved. */
export interface Moved {
  readonly path: Path
  /** Standard uncertainty of the fact. */
  readonly u: number
  readonly dof: number
  readonly pool?: string | undefined
  /** Anywhere within its half-width alike, so that its square varies less than a normal one's. */
  readonly rectangular: boolean
  /** Null where no move that way was possible. */
  readonly plus: Step | null
  readonly minus: Step | null
}

interface Step {
  readonly result: Result
  readonly by: number
}

/** Two sides, seen from twice the standard uncertainty, count as alike while they differ by less than this share. */
const ALIKE = 0.2

/**
 * Combined uncertainty of a figure from its results with each fact moved to about the ends of its 95 %.
 * @param value The figure's value: a number, or what a figure with its own doubt gives.
 * @param alternatives What each doubtful count or choice does alone; listed, and widening the interval.
 * @returns Null where the value is neither.
 * @throws never for contributions of one degree of freedom or more, which `spreadOf` gives.
 * Valid: responses near linear or quadratic over the reach; an unlike pair of sides takes the larger and says so (T6).
 * Where they bend, the interval also covers the mean's shift and the squares' own spread, so that a figure at its
 * extreme is not promised too much. Facts are independent of one another: what readings share is a fact (T7).
 * Source: JCGM 100:2008, 5.1.2 equation (10) with its note on second-order terms, and 5.1.3 note 2; G.4.1 for the
 * degrees of freedom. A square of a normal variate has variance 2u⁴, of a rectangular one 0.8u⁴ (kurtosis 3 and 1.8).
 */
export function combine(
  value: unknown,
  moved: readonly Moved[],
  alternatives: readonly { readonly path: Path; readonly results: readonly Result[] }[],
): Doubted | null {
  if (isOwn(value)) return interval(value.value, { u: value.u, dof: value.dof ?? Infinity, bend: STRAIGHT }, [], [])
  if (typeof value !== 'number') return null
  const nudged = moved.flatMap((part) => contributionOf(value, part) ?? [])
  const single = alternatives.flatMap((part) => alternativesOf(value, part))
  const u = Math.sqrt(nudged.reduce((sum, { c }) => sum + c * c, 0))
  const others = alternatives.flatMap((part) => part.results.flatMap(numberOf))
  const spread = { u, dof: effectiveDof(pooledParts(nudged)), bend: bendOf(value, moved) }
  return interval(value, spread, others, [...nudged, ...single])
}

/** Second order: how far the mean lies from the value, and the standard deviation about it. */
interface Bend {
  readonly shift: number
  readonly u: number
}

const STRAIGHT: Bend = { shift: 0, u: 0 }

function bendOf(value: number, moved: readonly Moved[]): Bend {
  let [shift, variance] = [0, 0]
  for (const part of moved) {
    const [up, down] = [sideOf(value, part.u, part.plus), sideOf(value, part.u, part.minus)]
    if (up === null || down === null) {
      variance += (up?.slope ?? down?.slope ?? 0) ** 2
      continue
    }
    // Change at ±by is g·t + h·t²/2 with t = by/u, g and h a standard uncertainty's first and second effect.
    const h = (2 * (up.slope + down.slope)) / (up.t + down.t)
    const g = (up.slope * down.t - down.slope * up.t) / (up.t + down.t)
    shift += h / 2
    variance += g * g + (h * h * (part.rectangular ? 0.8 : 2)) / 4
  }
  return { shift, u: Math.sqrt(variance) }
}

/** Change for a standard uncertainty on one side, and how many of them the fact was moved. */
function sideOf(value: number, u: number, step: Step | null): { readonly slope: number; readonly t: number } | null {
  const [at] = numberOf(step?.result ?? null)
  if (step === null || at === undefined) return null
  const t = step.by / u
  return { slope: (at - value) / t, t }
}

function interval(
  value: number,
  { u, dof, bend }: { readonly u: number; readonly dof: number; readonly bend: Bend },
  others: readonly number[],
  parts: readonly Contribution[],
): Doubted {
  const k = coverageFactor(dof)
  const below = Math.max(k * u, k * bend.u - bend.shift)
  const above = Math.max(k * u, k * bend.u + bend.shift)
  return {
    u,
    dof,
    k,
    expanded: Math.max(below, above),
    low: Math.min(value, ...others) - below,
    high: Math.max(value, ...others) + above,
    contributions: [...parts].sort((p, q) => q.c - p.c),
  }
}

/** Contributions whose u is one estimate are one part: its degrees of freedom count once (JCGM 100:2008, G.4.1). */
function pooledParts(parts: readonly Contribution[]): readonly { readonly c: number; readonly dof: number }[] {
  const pools = new Map<string, { c: number; dof: number }>()
  for (const { pool, c, dof } of parts) {
    if (pool !== undefined) pools.set(pool, { c: Math.hypot(pools.get(pool)?.c ?? 0, c), dof })
  }
  return [...parts.filter((it) => it.pool === undefined), ...pools.values()]
}

function contributionOf(value: number, { path, dof, pool, u, plus, minus }: Moved): Contribution | null {
  const [up, down] = [sideOf(value, u, plus), sideOf(value, u, minus)]
  if (up === null || down === null) {
    const one = up ?? down
    return one === null ? null : { path, dof, pool, c: Math.abs(one.slope), how: 'one side' }
  }
  const larger = Math.max(Math.abs(up.slope), Math.abs(down.slope))
  const alike = Math.abs(up.slope + down.slope) <= ALIKE * larger
  return {
    path,
    dof,
    pool,
    c: alike ? Math.abs(up.slope - down.slope) / 2 : larger,
    how: alike ? 'both sides' : 'larger side',
  }
}

function alternativesOf(
  value: number,
  { path, results }: { readonly path: Path; readonly results: readonly Result[] },
): Contribution[] {
  const spread = results.flatMap(numberOf).map((other) => Math.abs(other - value))
  return spread.length === 0 ? [] : [{ path, dof: Infinity, c: Math.max(...spread), how: 'alternatives' }]
}

/** The number of a result: itself, or the value within its own doubt. */
function numberOf(result: Result | null): number[] {
  const number = result === null ? null : shownNumber(result)
  return number === null ? [] : [number]
}

/** Whether a value comes with its own doubt. */
export function isOwn(value: unknown): value is OwnDoubt {
  return typeof value === 'object' && value !== null && 'u' in value && 'value' in value
}

/** The number a figure shows: itself, or the value within its own doubt; null where it is neither. */
export function shownNumber(result: Result): number | null {
  if (!result.known) return null
  if (isOwn(result.value)) return result.value.value
  return typeof result.value === 'number' ? result.value : null
}
