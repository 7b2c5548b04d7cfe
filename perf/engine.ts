import { createEngine, figureOf, type AnyFigure, type Engine, type Fact } from '../src/core/bench'

type Facts = Readonly<Record<string, Fact>>

const GROUPS = 5
const LEVELS = [20, 30, 50] as const
const FACTS_EACH = 20

/** 5 groups of 100 figures on three levels; each group's first fact is read, through them, by all of its figures. */
function syntheticFigures(): AnyFigure[] {
  const figure = figureOf<Facts>()
  const about = { label: 'f', quantity: 'length', formula: '', symbols: {}, source: 'benchmark', doubt: 'nudge' } as const
  return Array.from({ length: GROUPS }, (_, g) => {
    const first = Array.from({ length: LEVELS[0] }, (_, i) => {
      const names = Array.from({ length: FACTS_EACH }, (_, k) => `f${g}_${i}_${k}`)
      return figure({
        ...about,
        id: `${g}.1.${i}`,
        work({ bench }): number {
          return names.reduce((sum, name, k) => sum + (bench[name] ?? 0) * (k + 1), Math.sqrt(bench[`g${g}`] ?? 0))
        },
      })
    })
    const above = (level: number, count: number, below: typeof first) =>
      Array.from({ length: count }, (_, i) =>
        figure({
          ...about,
          id: `${g}.${level}.${i}`,
          work: (view): number => view.figure(below[i % below.length]!) * 1.1 + view.figure(below[(i * 7 + 3) % below.length]!),
        }),
      )
    const second = above(2, LEVELS[1], first)
    return [...first, ...second, ...above(3, LEVELS[2], second)]
  }).flat()
}

function syntheticBench(): Facts {
  const fact = (value: number): Fact => ({
    value,
    typed: String(value),
    typedUnit: 'mm',
    origin: 'measured',
    doubt: { kind: 'standard', u: 0.01 },
  })
  const facts: [string, Fact][] = []
  for (let g = 0; g < GROUPS; g++) {
    facts.push([`g${g}`, fact(2 + g)])
    for (let i = 0; i < LEVELS[0]; i++) for (let k = 0; k < FACTS_EACH; k++) facts.push([`f${g}_${i}_${k}`, fact(1 + k)])
  }
  return Object.fromEntries(facts)
}

export interface EngineTimes {
  readonly facts: number
  readonly figures: number
  readonly touched: number
  readonly fullMs: number
  readonly afterChangeMs: number
}

/** Times a full evaluation, values and ±, against one after a changed fact that a fifth of the figures read. */
export function timeEngine(runs: number): EngineTimes {
  const figures = syntheticFigures()
  const bench = syntheticBench()
  const askAll = (engine: Engine<Facts>): void => figures.forEach((it) => engine.byId(it.id, []))
  const full: number[] = []
  const after: number[] = []
  let touched = 0
  for (let run = 0; run < runs; run++) {
    const engine = createEngine(bench, { figures, specAt: () => undefined })
    full.push(timed(() => askAll(engine)))
    const worked = engine.counts.worked
    const changed = { ...bench, g2: { ...bench['g2']!, value: 9 + run, typed: '9' } }
    after.push(
      timed(() => {
        engine.update(changed)
        askAll(engine)
      }),
    )
    touched = engine.counts.worked - worked
  }
  return {
    facts: Object.keys(bench).length,
    figures: figures.length,
    touched,
    fullMs: median(full),
    afterChangeMs: median(after),
  }
}

function timed(act: () => void): number {
  const start = performance.now()
  act()
  return performance.now() - start
}

export function median(values: readonly number[]): number {
  return [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? Number.NaN
}
