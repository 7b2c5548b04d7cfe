import { combine, shownNumber, type Doubted, type Moved } from './doubt'
import type { Result } from './figure'
import type { Path } from './path'
import type { Shift } from './recorder'

/** A figure run with facts moved: what it gave, and the facts and choices it rested on then. */
export interface Shifted {
  readonly result: Result
  readonly leaves: ReadonlySet<Path>
}

/** How far a fact may be off. */
export interface Spread {
  readonly value: number
  /** Standard uncertainty, core's unit; more than 0. */
  readonly u: number
  readonly dof: number
  readonly pool?: string | undefined
  /** How far it is moved to see what it does: 2u, or all of the half-width. */
  readonly reach: number
  /** Anywhere within ±reach alike, and never beyond. */
  readonly rectangular: boolean
  readonly range?: { readonly min: number; readonly max: number } | undefined
}

/** What the ± of one figure is worked from. */
export interface Probe {
  readonly at: (shift: Shift) => Shifted
  readonly spread: (path: Path) => Spread | null
  /** What else a count or a choice could be; empty where it is certain. */
  readonly others: (path: Path) => readonly (number | string)[]
}

/** So many combinations of what counts and choices could be are worked one by one; beyond it there is a bound. */
export const MOST_COMBINATIONS = 1024

/**
 * The ± of a figure and its interval over every combination of what its counts and choices could be: each fact is moved
 * by its reach at the values that stand, and again at the combinations that give the least and the most.
 * @returns Null where the figure has no number.
 * @throws never, as `combine`.
 * Valid: facts independent of one another; a combination under which the figure is unknown is left out. Over
 * `MOST_COMBINATIONS` the rest is bounded by the effects of single alternatives, added or multiplied, whichever is more.
 * Source: JCGM 100:2008, 5.1.3 note 2; T3, T6.
 */
export function doubtedOver(probe: Probe): Doubted | null {
  const stands = probe.at(NOTHING)
  const value = shownNumber(stands.result)
  if (value === null) return null
  const base = combine(stands.result.known ? stands.result.value : null, movedAt(probe, NOTHING, stands), singles(probe, stands))
  if (base === null) return null
  const { reached, cut } = combinations(probe)
  if (reached.length <= 1 && !cut) return base
  const numbers = reached.flatMap(({ shift, run }) => {
    const at = shownNumber(run.result)
    return at === null ? [] : [{ shift, run, at }]
  })
  const least = numbers.reduce((p, q) => (q.at < p.at ? q : p), { shift: NOTHING, run: stands, at: value })
  const most = numbers.reduce((p, q) => (q.at > p.at ? q : p), { shift: NOTHING, run: stands, at: value })
  const ends = [least, most].flatMap(({ shift, run }) => {
    const end = run.result.known ? combine(run.result.value, movedAt(probe, shift, run), []) : null
    return end === null ? [] : [end]
  })
  const wider = cut ? boundBeyond(value, base) : { low: least.at, high: most.at }
  const blur = Math.max(base.expanded, ...ends.map((it) => it.expanded))
  return {
    ...base,
    low: Math.min(base.low, ...ends.map((it) => it.low), Math.min(wider.low, least.at) - blur),
    high: Math.max(base.high, ...ends.map((it) => it.high), Math.max(wider.high, most.at) + blur),
  }
}

const NOTHING: Shift = new Map()

/** Every combination that the figure can tell apart, as far as the limit: what is not read under one is not varied. */
function combinations(probe: Probe): { readonly reached: readonly { shift: Shift; run: Shifted }[]; readonly cut: boolean } {
  const reached: { shift: Shift; run: Shifted }[] = []
  let cut = false
  const visit = (shift: Shift, settled: ReadonlySet<Path>): void => {
    if (reached.length >= MOST_COMBINATIONS) {
      cut = true
      return
    }
    const run = probe.at(shift)
    const next = [...run.leaves].find((path) => !settled.has(path) && probe.others(path).length > 0)
    if (next === undefined) {
      reached.push({ shift, run })
      return
    }
    const known = new Set([...settled, next])
    visit(shift, known)
    for (const other of probe.others(next)) visit(new Map([...shift, [next, other]]), known)
  }
  visit(NOTHING, new Set())
  return { reached, cut }
}

/** What each doubtful count or choice does alone. */
function singles(probe: Probe, { leaves }: Shifted): readonly { readonly path: Path; readonly results: readonly Result[] }[] {
  return [...leaves].flatMap((path) => {
    const others = probe.others(path)
    return others.length === 0 ? [] : [{ path, results: others.map((it) => probe.at(new Map([[path, it]])).result) }]
  })
}

function movedAt(probe: Probe, shift: Shift, { leaves }: Shifted): Moved[] {
  return [...leaves].flatMap((path) => {
    const spread = shift.has(path) ? null : probe.spread(path)
    if (spread === null) return []
    const { value, u, dof, pool, reach, rectangular, range } = spread
    const way = (sign: 1 | -1): { readonly result: Result; readonly by: number } | null => {
      for (const by of [reach, u]) {
        const to = value + sign * by
        if (range !== undefined && (to < range.min || to > range.max)) continue
        const { result } = probe.at(new Map([...shift, [path, to]]))
        if (result.known) return { result, by }
      }
      return null
    }
    return [{ path, u, dof, pool, rectangular, plus: way(1), minus: way(-1) }]
  })
}

/** Where not every combination was worked: single effects added up, or multiplied where all have the value's sign. */
function boundBeyond(value: number, { contributions }: Doubted): { readonly low: number; readonly high: number } {
  const effects = contributions.filter((it) => it.how === 'alternatives').map((it) => it.c)
  const sum = effects.reduce((total, c) => total + c, 0)
  const size = Math.abs(value)
  const up = effects.reduce((times, c) => times * (1 + c / size), 1) * size
  const down = effects.reduce((times, c) => times * Math.max(0, 1 - c / size), 1) * size
  const factors = Number.isFinite(up) ? (value > 0 ? [down, up] : [-up, -down]) : [value, value]
  return { low: Math.min(value - sum, ...factors), high: Math.max(value + sum, ...factors) }
}
