import fc from 'fast-check'
import { expect, it } from 'vitest'
import { measured } from '../../../tests/facts'
import { createEngine, figureOf, type AnyFigure, type Fact, type WithDoubt } from '.'

type Facts = Readonly<Record<string, Fact>>
/** Two instruments, each with an error that all its readings share. */
const instruments = {
  p: { scale: measured(0.01, 0.001), zero: measured(0, 0.05) },
  q: { scale: measured(0, 0.002), zero: measured(0.1, 0) },
}
const FACTS = 8
const FIGURES = 12

/** How a figure of a random graph works: what it reads, and whether it takes a branch, a limit or a plain sum. */
const shape = fc.record({
  facts: fc.array(fc.nat(FACTS - 1), { minLength: 1, maxLength: 3 }),
  below: fc.array(fc.nat(FIGURES - 1), { maxLength: 3 }),
  kind: fc.constantFrom('sum', 'branch', 'limit', 'step'),
})
const edit = fc.record({
  at: fc.nat(FACTS - 1),
  value: fc.double({ min: -3, max: 3, noNaN: true }),
  u: fc.constantFrom(0, 0.1, 0.5),
  gone: fc.boolean(),
  by: fc.constantFrom('', 'p', 'q'),
})

function figuresOf(shapes: readonly { facts: number[]; below: number[]; kind: string }[]): AnyFigure[] {
  const made: AnyFigure[] = []
  for (const [i, { facts, below, kind }] of shapes.entries()) {
    const used = below.filter((it) => it < i).map((it) => made[it]!)
    made.push(
      figureOf<Facts>()({
        id: `f${i}`,
        label: 'f',
        quantity: 'length',
        formula: '',
        symbols: {},
        source: 'test',
        doubt: 'nudge',
        work(view): number {
          const own = (): number => facts.reduce((sum, it) => sum + (view.bench[`a${it}`] ?? 1), 0)
          const others = (): number => used.reduce((sum, it) => sum + Number(view.figure(it)), 0)
          if (kind === 'branch') return (view.bench[`a${facts[0] ?? 0}`] ?? 1) > 0 ? own() : others()
          if (kind === 'limit') return Math.min(own(), 1 + others())
          return kind === 'step' ? Math.ceil(own()) + others() : own() + others()
        },
      }),
    )
  }
  return made
}

/** Doubts to nine places, contributions by path: the order in which facts are added up may differ in the last digit. */
function rounded({ doubt }: WithDoubt): unknown {
  if (doubt === null) return null
  const parts = doubt.contributions.map(({ path, c, how }) => `${path} ${c.toFixed(9)} ${how}`).sort()
  return [doubt.u.toFixed(9), doubt.low.toFixed(9), doubt.high.toFixed(9), ...parts]
}

it('after any edits, values and ± are those of an engine that remembers nothing (seed 20261124)', () => {
  fc.assert(
    fc.property(
      fc.array(shape, { minLength: FIGURES, maxLength: FIGURES }),
      fc.array(edit, { minLength: 1, maxLength: 12 }),
      (shapes, edits) => {
        const figures = figuresOf(shapes)
        const config = { figures, specAt: () => undefined }
        let bench = {
          instruments,
          ...Object.fromEntries(Array.from({ length: FACTS }, (_, i) => [`a${i}`, measured(i - 3, 0.2)])),
        } as unknown as Facts
        const kept = createEngine(bench, config)
        for (const { at, value, u, gone, by } of edits) {
          const name = `a${at}`
          bench = gone
            ? Object.fromEntries(Object.entries(bench).filter(([key]) => key !== name))
            : { ...bench, [name]: measured(value, u, by === '' ? {} : { instrument: by }) }
          kept.update(bench)
          const fresh = createEngine(bench, config)
          for (const { id } of figures) {
            const [a, b] = [kept.byId(id, []), fresh.byId(id, [])]
            expect(a.result).toEqual(b.result)
            expect(rounded(a)).toEqual(rounded(b))
            expect([...a.leaves].sort()).toEqual([...b.leaves].sort())
          }
        }
      },
    ),
    { seed: 20261124, numRuns: 150 },
  )
})
