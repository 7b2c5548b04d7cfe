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
  /** What is shown as ±: k·u. */
  readonly expanded: number
  /** About 95 %, alternatives included. */
  readonly low: number
  readonly high: number
  /** Largest first. */
  readonly contributions: readonly Contribution[]
}

/** One fact's moved results. */
export interface Moved {
  readonly path: Path
  readonly u: number
  readonly dof: number
  readonly pool?: string | undefined
  readonly plus: Result | null
  readonly minus: Result | null
  readonly others: readonly Result[]
}

/** Two sides count as alike while they differ by less than this share of the larger. */
const ALIKE = 0.1

/**
 * Combined uncertainty of a figure from its results with each fact moved by ± its standard uncertainty.
 * @param value The figure's value: a number, or what a figure with its own doubt gives.
 * @returns Null where the value is neither.
 * Valid: responses near linear over ±u; an unlike pair of sides takes the larger and says so (T6). Facts are
 * independent of one another: what readings share is a fact of its own (T7).
 * Source: JCGM 100:2008, 5.1.2 equation (10) and 5.1.3 note 2; G.4.1 for the degrees of freedom.
 */
export function combine(value: unknown, moved: readonly Moved[]): Doubted | null {
  if (isOwn(value)) return interval(value.value, value.u, value.dof ?? Infinity, [], [])
  if (typeof value !== 'number') return null
  const nudged = moved.flatMap((part) => contributionOf(value, part) ?? [])
  const alternatives = moved.flatMap((part) => alternativesOf(value, part))
  const u = Math.sqrt(nudged.reduce((sum, { c }) => sum + c * c, 0))
  const others = moved.flatMap((part) => part.others.flatMap(numberOf))
  return interval(value, u, effectiveDof(pooledParts(nudged)), others, [...nudged, ...alternatives])
}

function interval(value: number, u: number, dof: number, others: readonly number[], parts: readonly Contribution[]): Doubted {
  const k = coverageFactor(dof)
  const expanded = k * u
  return {
    u,
    dof,
    k,
    expanded,
    low: Math.min(value, ...others) - expanded,
    high: Math.max(value, ...others) + expanded,
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

function contributionOf(value: number, { path, dof, pool, plus, minus }: Moved): Contribution | null {
  const [up] = numberOf(plus)
  const [down] = numberOf(minus)
  if (up === undefined && down === undefined) return null
  if (up === undefined || down === undefined) {
    const one = up ?? down ?? value
    return { path, dof, pool, c: Math.abs(one - value), how: 'one side' }
  }
  const [above, beneath] = [up - value, value - down]
  const larger = Math.max(Math.abs(above), Math.abs(beneath))
  const alike = Math.abs(above - beneath) <= ALIKE * larger
  return { path, dof, pool, c: alike ? Math.abs(above + beneath) / 2 : larger, how: alike ? 'both sides' : 'larger side' }
}

function alternativesOf(value: number, { path, others }: Moved): Contribution[] {
  const spread = others.flatMap(numberOf).map((other) => Math.abs(other - value))
  return spread.length === 0 ? [] : [{ path, dof: Infinity, c: Math.max(...spread), how: 'alternatives' }]
}

function numberOf(result: Result | null): number[] {
  return result?.known === true && typeof result.value === 'number' ? [result.value] : []
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
