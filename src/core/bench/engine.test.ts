import { describe, expect, it } from 'vitest'
import { exactly, measured, missing, within } from '../../../tests/facts'
import { createEngine, figureOf, findRoot, type AnyFigure, type Fact } from '.'

interface Toy {
  readonly a: Fact
  readonly b: Fact
  readonly things: Readonly<Record<string, { readonly size: Fact }>>
}

const toy = (over: Partial<Toy> = {}): Toy => ({
  a: measured(3, 0.1),
  b: measured(4, 0.2),
  things: { one: { size: exactly(1) } },
  ...over,
})
const about = { label: 't', quantity: 'length', formula: '', symbols: {}, source: 'test', doubt: 'nudge' } as const
const figure = figureOf<Toy>()
const double = figure({ ...about, id: 'double', work: ({ bench }): number => 2 * bench.a })
const sum = figure({ ...about, id: 'sum', work: (view): number => view.figure(double) + view.bench.b })
const onlyB = figure({ ...about, id: 'onlyB', work: ({ bench }): number => bench.b })
const capped = figure({ ...about, id: 'capped', work: ({ bench }): number => Math.min(bench.a, 3.05) })
const aboveCapped = figure({ ...about, id: 'aboveCapped', work: (view): number => 10 * view.figure(capped) })
const total = figure({
  ...about,
  id: 'total',
  work: ({ bench }): number => Object.values(bench.things).reduce((s, { size }) => s + size, 0),
})
const all: AnyFigure[] = [double, sum, onlyB, capped, aboveCapped, total]
const engineOver = (bench: Toy, figures = all) => createEngine(bench, { figures, specAt: () => undefined })

describe('readings whose doubt is worked from how they scatter', () => {
  const pool = figure({
    ...about,
    id: 'pool',
    doubt: { own: 'test' },
    work: ({ bench }) => ({ value: bench.b / 10, u: 0, dof: 4 }),
  })
  const mean = figure({
    ...about,
    id: 'mean',
    work: ({ bench }): number => Object.values(bench.things).reduce((s, { size }) => s + size, 0) / 4,
  })
  const reading = (value: number) => ({
    size: measured(value, 0.5, { doubt: { kind: 'pooled', u: 0.5, figure: 'pool', args: [] } }),
  })
  const things = { p: reading(1), q: reading(2), r: reading(3), s: reading(4) }
  const engine = () => engineOver(toy({ things }), [pool, mean])

  it('share one u and count its degrees of freedom once (JCGM 100:2008, G.4.1)', () => {
    const { doubt } = engine().withDoubt(mean)
    expect(doubt?.u).toBeCloseTo(0.4 / Math.sqrt(4), 12) // four readings of 0.4 each, their mean
    expect(doubt?.dof).toBeCloseTo(4, 9)
    expect(doubt?.k).toBeCloseTo(2.87, 2) // Student's t for 95.45 % and 4 degrees of freedom (GUM, table G.2)
  })

  it('follow the scatter when it moves, and stand on the instrument while it is not known', () => {
    const it = engine()
    it.withDoubt(mean)
    it.update(toy({ things, b: measured(8, 0.2) }))
    expect(it.withDoubt(mean).doubt?.u).toBeCloseTo(0.8 / 2, 12)
    it.update(toy({ things, b: missing() }))
    expect(it.withDoubt(mean).doubt).toMatchObject({ u: expect.closeTo(0.5 / 2, 12), dof: Infinity, k: 2 })
  })
})

describe('the bench as it was entered', () => {
  const same = figure({ ...about, id: 'same', work: ({ asEntered, bench }): number => (asEntered.a === 3 ? 1 : bench.a) })

  it('is not nudged and blurs nothing, but makes a figure work again', () => {
    const engine = engineOver(toy(), [same])
    expect(engine.withDoubt(same)).toMatchObject({ result: { value: 1 }, doubt: { u: 0 } })
    engine.update(toy({ a: measured(4, 0.1) }))
    expect(engine.withDoubt(same)).toMatchObject({ result: { value: 4 }, doubt: { u: expect.closeTo(0.1, 12) } })
  })
})

describe('memo', () => {
  it('notices that a single value changed which was read as a row, and that one within a part did', () => {
    interface Listed {
      readonly list: Readonly<Record<string, { readonly word: string }>>
    }
    const rows = {
      label: 'Row',
      quantity: 'count',
      formula: 'n',
      symbols: {},
      source: 'By definition.',
      doubt: { none: 'A word.' },
    } as const
    const leaf = figureOf<Listed>()({ ...rows, id: 'leaf', work: (view): string => view.rows((it) => it.list['p']?.word ?? '') })
    const part = figureOf<Listed>()({
      ...rows,
      id: 'part',
      work: (view): string =>
        Object.values(view.rows((it) => it.list))
          .map((it) => it.word)
          .join(),
    })
    const engine = createEngine<Listed>(
      { list: { p: { word: 'a' } } },
      { figures: [leaf, part], specAt: () => undefined, renamed: {} },
    )
    const both = () => [engine.value(leaf).result, engine.value(part).result].map((it) => it.known && it.value)
    expect(both()).toEqual(['a', 'a'])
    engine.update({ list: { p: { word: 'b' } } })
    expect(both()).toEqual(['b', 'b'])
    engine.update({ list: { p: { word: 'b' }, q: { word: 'c' } } })
    expect(both()).toEqual(['b', 'b,c'])
  })

  it('works a figure again only where a read changed', () => {
    const engine = engineOver(toy())
    const ask = () => [sum, onlyB, total].forEach((def) => engine.withDoubt(def))
    ask()
    expect(engine.counts.worked).toBe(4) // sum, double, onlyB, total
    engine.update(toy({ b: measured(5, 0.2), a: engine.bench.a, things: engine.bench.things }))
    ask()
    expect(engine.counts.worked).toBe(6) // sum and onlyB; double and total hold
    expect(engine.value(sum).result).toEqual({ known: true, value: 11 })
  })

  it('stops where a figure in between comes out the same', () => {
    const engine = engineOver(toy({ a: measured(7, 0.1) }))
    engine.value(aboveCapped)
    engine.update(toy({ a: measured(8, 0.1) }))
    expect(engine.value(aboveCapped).result).toEqual({ known: true, value: 30.5 })
    expect(engine.counts.worked).toBe(3) // capped twice, aboveCapped once
  })

  it('leaves values alone, and works ± again, when only a doubt changes', () => {
    const engine = engineOver(toy())
    expect(engine.withDoubt(double).doubt?.u).toBeCloseTo(0.2, 12)
    engine.update(toy({ a: measured(3, 0.3) }))
    expect(engine.withDoubt(double).doubt?.u).toBeCloseTo(0.6, 12)
    expect(engine.counts.worked).toBe(1)
  })

  it('renews the ± of a figure whose value held while something under a nudge moved', () => {
    const switching = figure({ ...about, id: 'switching', work: ({ bench }): number => (bench.a > 3 ? bench.b : 0) })
    const engine = engineOver(toy(), [switching])
    expect(engine.withDoubt(switching).doubt?.u).toBe(2) // moved by 2u over 3, b = 4 is read
    engine.update(toy({ b: measured(9, 0.2) }))
    expect(engine.withDoubt(switching).doubt?.u).toBe(4.5)
    expect(engine.counts.worked).toBe(1)
  })

  it('reads a number again that another instrument read the same', () => {
    const instrument = (scale: number) => ({ scale: exactly(scale), zero: exactly(0) })
    const by = (id: string) => ({
      ...toy({ a: measured(3, 0.1, { instrument: id }) }),
      instruments: { p: instrument(0), q: instrument(0.1) },
    })
    const engine = engineOver(by('p'))
    engine.value(double)
    engine.update(by('q'))
    expect(engine.value(double).result).toEqual({ known: true, value: 2 * 3 * 1.1 })
  })

  it('counts a thing that was added, through the keys it listed', () => {
    const engine = engineOver(toy())
    expect(engine.value(total).result).toEqual({ known: true, value: 1 })
    engine.update(toy({ things: { one: { size: exactly(1) }, two: { size: exactly(5) } } }))
    expect(engine.value(total).result).toEqual({ known: true, value: 6 })
  })

  it('gives the same object again after an undo to the same document', () => {
    const first = toy()
    const engine = engineOver(first)
    const before = engine.withDoubt(sum)
    engine.update({ ...first, b: measured(5, 0.2) })
    engine.update(first)
    expect(engine.withDoubt(sum)).toBe(before)
  })

  it('reads a frozen document and refuses to write to it', () => {
    const frozen = Object.freeze({ ...toy(), a: Object.freeze(measured(3, 0.1)) })
    const writing = figure({ ...about, id: 'w', work: ({ bench }): number => ((bench as { a: number }).a = 1) })
    expect(engineOver(frozen).value(total).result.known).toBe(true)
    expect(engineOver(frozen, [writing]).value(writing).result).toMatchObject({ known: false, why: { kind: 'failed' } })
  })
})

describe('time and doubts of its own', () => {
  it('works again what reads the time, and nothing else', () => {
    const due = figure({ ...about, id: 'due', doubt: { none: 'a date' }, work: (view): number => view.now + view.bench.a })
    const engine = engineOver(toy(), [due, onlyB])
    engine.setNow(1000)
    expect([engine.withDoubt(due).result, engine.withDoubt(due).doubt]).toEqual([{ known: true, value: 1003 }, null])
    engine.value(onlyB)
    engine.setNow(2000)
    engine.value(onlyB)
    expect(engine.value(due).result).toEqual({ known: true, value: 2003 })
    expect(engine.counts.worked).toBe(3)
  })

  it('takes a figure’s own doubt with its degrees of freedom, and passes facts through it', () => {
    const fit = figure({
      ...about,
      id: 'fit',
      doubt: { own: 'scatter of the readings' },
      work: ({ bench }) => ({ value: bench.a, u: 0.5, dof: 10 }),
    })
    const above = figure({ ...about, id: 'above', work: (view): number => 2 * view.figure(fit).value })
    const engine = engineOver(toy(), [fit, above])
    expect(engine.withDoubt(fit).doubt).toMatchObject({ u: 0.5, dof: 10, expanded: expect.closeTo(0.5 * 2.28, 2) as number })
    expect(engine.withDoubt(above).doubt?.u).toBeCloseTo(0.2, 12)
  })
})

describe('what is not known', () => {
  it('names every missing fact, through the chain', () => {
    const { result } = engineOver(toy({ a: missing(), b: missing() })).value(sum)
    expect(result).toEqual({ known: false, why: { kind: 'missing', facts: ['a'] } })
    const both = figure({ ...about, id: 'both', work: ({ bench }): number => bench.a * bench.b })
    expect(engineOver(toy({ a: missing(), b: missing() }), [both]).value(both).result).toMatchObject({
      why: { facts: ['a', 'b'] },
    })
  })

  it('finds a ring and names its members, and forgets it when the bench breaks it', () => {
    const first = figure({ ...about, id: 'first', work: (view): number => (view.bench.a > 0 ? view.figure(second) : 1) })
    const second: typeof first = figure({ ...about, id: 'second', work: (view): number => view.figure(first) + 1 })
    const engine = engineOver(toy(), [first, second])
    expect(engine.value(first).result).toEqual({ known: false, why: { kind: 'ring', keys: ['first', 'second', 'first'] } })
    engine.update(toy({ a: measured(-1, 0.1) }))
    expect(engine.value(second).result).toEqual({ known: true, value: 2 })
  })

  it('tells a range error, a solver without rest and a fault apart', () => {
    const bad = figure({
      ...about,
      id: 'bad',
      work: (): number => {
        throw new RangeError('x must be 1…2, got 3')
      },
    })
    const lost = figure({ ...about, id: 'lost', work: (): number => findRoot((x) => x * x + 1, 0, 1) })
    const broken = figure({ ...about, id: 'broken', work: (): number => (undefined as unknown as { n: number }).n })
    const engine = engineOver(toy(), [bad, lost, broken])
    const kinds = [bad, lost, broken].map((def) => engine.value(def).result).map((it) => (it.known ? 'known' : it.why.kind))
    expect(kinds).toEqual(['outside', 'not-converged', 'failed'])
  })
})

describe('facts of a template', () => {
  it('reads a half-width as a rectangle and a reading as its u', () => {
    const engine = engineOver(toy({ a: within(3, 0.3), b: measured(4, 0) }))
    expect(engine.withDoubt(sum).doubt?.u).toBeCloseTo((2 * 0.3) / Math.sqrt(3), 12)
  })
})
