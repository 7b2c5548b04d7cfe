import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import { beforeAll, describe, expect, it } from 'vitest'
import {
  factSpecAt,
  getAt,
  isChoice,
  isFact,
  isOwn,
  setAt,
  shownNumber,
  type AnyFigure,
  type Fact,
  type Verdict,
} from '../../src/core/bench'
import { benchShape, emptyBench, engineFor, FIGURES, judgeAll, type Bench } from '../../src/core/document'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'

/**
 * What says 95 % is tried by draws. Nothing of the engine takes part: figures run over a plain tree of numbers in which
 * every fact they rest on is drawn from what its doubt says, counts and choices from what else they could be.
 */
const SEED = 20261126
const DRAWS = 20_000
/** What is said to be 95 % must hold at least this share of the draws. */
const LEAST = 0.93
/** Draws of a margin end before that once its share is this many standard errors from `LEAST`, looked at every so many. */
const DECIDED = 5
const LOOKED_AT = 100

interface Tree {
  [key: string]: unknown
}

function plainTree(node: object): Tree {
  const entries = Object.entries(node).map(([key, child]: [string, unknown]) => {
    if (isFact(child)) return [key, child.value ?? Number.NaN]
    if (isChoice(child)) return [key, child.chosen]
    return [key, typeof child === 'object' && child !== null ? plainTree(child) : child]
  })
  return Object.fromEntries(entries) as Tree
}

function put(tree: Tree, path: string, value: unknown): void {
  const keys = path.split('.')
  const last = keys.pop() ?? ''
  const at = keys.reduce((node, key) => node[key] as Tree, tree)
  at[last] = value
}

type Draw = () => number | string

function drawOf(bench: Bench, path: string, source: () => number): Draw {
  const node = getAt(bench, path)
  if (isChoice(node)) {
    const words = node.doubt.kind === 'alternatives' ? [node.chosen ?? '', ...node.doubt.others] : [node.chosen ?? '']
    return () => words[Math.floor(source() * words.length)] ?? ''
  }
  const { value, doubt } = node as Fact
  const at = value ?? Number.NaN
  const { min = -Infinity, max = Infinity } = factSpecAt(benchShape, path) ?? {}
  const within = (next: () => number) => () => {
    for (;;) {
      const drawn = next()
      if (drawn >= min && drawn <= max) return drawn
    }
  }
  switch (doubt.kind) {
    case 'exact':
      return () => at
    case 'alternatives': {
      const all = [at, ...doubt.others]
      return () => all[Math.floor(source() * all.length)] ?? at
    }
    case 'halfWidth':
      return within(randomUniform.source(source)(at - doubt.a, at + doubt.a))
    case 'standard':
      return within(randomNormal.source(source)(at, doubt.u))
    case 'pooled': {
      const pool = engineFor(bench).byId(doubt.figure, doubt.args).result
      const scatter = pool.known && isOwn(pool.value) ? pool.value.value : doubt.u
      return within(randomNormal.source(source)(at, scatter))
    }
  }
}

/** Every fact that a margin can come to read, under any of the alternatives. */
function leavesOf(bench: Bench, { margin }: Verdict): string[] {
  const found = new Set<string>()
  const visit = (at: Bench, settled: readonly string[]): void => {
    const leaves = [...engineFor(at).valueById(margin.def.id, margin.args).leaves]
    for (const leaf of leaves) found.add(leaf)
    const next = leaves.find((path) => !settled.includes(path) && isChoice(getAt(at, path)))
    const node = next === undefined ? undefined : getAt(at, next)
    if (next === undefined || !isChoice(node)) return
    visit(at, [...settled, next])
    if (node.doubt.kind !== 'alternatives') return
    for (const other of node.doubt.others) {
      const copy = structuredClone(at)
      put(copy, next, { ...node, chosen: other })
      visit(copy, [...settled, next])
    }
  }
  visit(bench, [])
  return [...found]
}

interface Held {
  held: number
  known: number
}

/** Verdicts that a fit of many readings, or a whole outline, stands behind: tried on some of the draws. */
const HEAVY: ReadonlySet<string> = new Set([
  'calibrate.inFocus',
  'calibrate.gaugeRight',
  'calibrate.touchFinds',
  'calibrate.bedInFocus',
  'rotary.goesUnder',
  'rotary.staysInFocus',
  'rotary.turnsFinely',
])
const DRAWS_OF_HEAVY = 1000
/** Behind all of the air a network is solved. */
const isHeavy = (id: string): boolean => HEAVY.has(id) || id.startsWith('air.')

/** How often each margin fell within its interval, all of them drawn together: what they share is worked once a draw. */
function coverage(bench: Bench, verdicts: readonly Verdict[]): ReadonlyMap<Verdict, Held> {
  const source = randomLcg(SEED)
  const tree = plainTree(bench)
  const leaves = [...new Set(verdicts.flatMap((it) => leavesOf(bench, it)))]
  const draws = leaves.map((path) => ({ path, draw: drawOf(bench, path, source), node: getAt(bench, path) }))
  const shared = draws.filter(({ path }) => path.startsWith('instruments.'))
  const worked = new Map<string, { readonly value: unknown } | { readonly error: unknown }>()
  const view = {
    bench: tree,
    asEntered: plainTree(bench),
    now: 0,
    rows: (pick: (of: never) => unknown): never => pick(bench as never) as never,
    figure(used: AnyFigure, ...own: readonly string[]): never {
      const key = [used.id, ...own].join('|')
      const known = worked.get(key) ?? attempt(() => used.work(view, ...own))
      worked.set(key, known)
      if ('error' in known) throw known.error
      return known.value as never
    },
  }
  const counts = new Map(verdicts.map((it): [Verdict, Held] => [it, { held: 0, known: 0 }]))
  const open = new Map(counts)
  for (let i = 0; i < DRAWS && open.size > 0; i++) {
    worked.clear()
    for (const { path, draw } of shared) put(tree, path, draw())
    for (const { path, draw, node } of draws) {
      if (path.startsWith('instruments.')) continue
      const drawn = draw()
      const by = isFact(node) ? node.instrument : undefined
      const scale = by === undefined ? 0 : Number(getAt(tree, `instruments.${by}.scale`))
      const zero = by === undefined ? 0 : Number(getAt(tree, `instruments.${by}.zero`))
      put(tree, path, by === undefined ? drawn : Number(drawn) * (1 + scale) + zero)
    }
    for (const [verdict, count] of open) {
      countOne(verdict, count, () => view.figure(verdict.margin.def, ...verdict.margin.args))
      const isEnough = i + 1 >= DRAWS_OF_HEAVY && isHeavy(verdict.def.id)
      if (isEnough || ((i + 1) % LOOKED_AT === 0 && isDecided(count))) open.delete(verdict)
    }
  }
  return counts
}

/** Whether more draws would not change on which side of `LEAST` the share lies; each side is counted two draws short. */
function isDecided({ held, known }: Held): boolean {
  const share = (held + 2) / (known + 4)
  return known === 0 || Math.abs(share - LEAST) > DECIDED * Math.sqrt((share * (1 - share)) / known)
}

function attempt(work: () => unknown): { readonly value: unknown } | { readonly error: unknown } {
  try {
    return { value: work() }
  } catch (error) {
    return { error }
  }
}

function countOne({ margin: { doubt } }: Verdict, count: Held, work: () => unknown): void {
  const drawn = attempt(work)
  const number = 'value' in drawn ? (shownNumber({ known: true, value: drawn.value }) ?? Number.NaN) : Number.NaN
  if (Number.isNaN(number) || doubt === null) return
  const slack = 1e-12 * Math.abs(number)
  count.known++
  if (number >= doubt.low - slack && number <= doubt.high + slack) count.held++
}

const benches: Readonly<Record<string, Bench>> = {
  template: emptyBench('b', 'Bare', '2026-01-01T00:00:00.000Z'),
  heron: heron().bench,
  plover: plover().bench,
  // Aside by 0 ± 5 mm: the belts' growth has its least there.
  crossed: setAt(heron().bench, 'motion.kinematics.chosen', 'crossed'),
}

const isSpread = ({ margin: { doubt, result } }: Verdict): boolean =>
  doubt !== null && result.known && !(doubt.low === doubt.high && doubt.u === 0)

describe.each(Object.entries(benches))(`up to ${DRAWS} draws of %s (seed ${SEED})`, (name, bench) => {
  // A set of all verdicts with a ±; on crossed belts those of the stage that they change.
  const judged = judgeAll(engineFor(bench), name === 'crossed' ? 'motion' : undefined).filter(isSpread)
  let counts: ReadonlyMap<Verdict, Held> = new Map()
  beforeAll(() => {
    counts = coverage(bench, judged)
  }, 300_000)
  it.each(judged.map((it) => [[it.def.id, ...it.args].join(' '), it] as const))('%s', (_, verdict) => {
    const { held, known } = counts.get(verdict) ?? { held: 0, known: 0 }
    if (process.env['SHOW_COVERAGE'] !== undefined)
      console.log(name, verdict.def.id, verdict.args.join(), verdict.mark, held / known)
    if (known > 0) expect(held / known).toBeGreaterThanOrEqual(LEAST)
  })
  if (judged.length === 0) it('has nothing with a ± to judge', () => expect(FIGURES.length).toBeGreaterThan(0))
})
