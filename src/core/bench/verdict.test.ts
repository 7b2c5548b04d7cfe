import { describe, expect, it } from 'vitest'
import { exactly, measured, missing, within } from '../../../tests/facts'
import {
  createEngine,
  figureOf,
  inGroups,
  judge,
  measureNext,
  sayUnknown,
  worstFirst,
  worstMark,
  type Fact,
  type FactSpec,
  type Instrument,
  type AnyVerdict,
} from '.'

interface Toy {
  readonly x: Fact
  readonly y: Fact
  readonly instruments: Readonly<Record<string, Instrument>>
}

const margin = figureOf<Toy>()({
  id: 'margin',
  label: 'm',
  quantity: 'length',
  formula: '',
  symbols: {},
  source: 'test',
  doubt: 'nudge',
  work: ({ bench }): number => bench.x + bench.y,
})
const rule: AnyVerdict = { id: 'v', stage: 's', margin, goodFrom: 1, stopBelow: 0, say: () => ({ head: '', why: '' }) }
const lengths: FactSpec = { label: 'x', quantity: 'length', min: -100, max: 100 }
const config = { figures: [margin], specAt: () => lengths }
const markOf = (x: Fact, over: Partial<AnyVerdict> = {}, y: Fact = exactly(0)) =>
  judge(createEngine({ x, y, instruments: {} }, config), { ...rule, ...over }, [])

describe('a margin against its limits (T9)', () => {
  it.each([
    ['whole interval beyond good', 1.5, 0.2, 'good'],
    ['straddles good and look', 1.1, 0.2, 'look'],
    ['between the limits', 0.5, 0.2, 'look'],
    ['straddles the stop limit', 0.1, 0.2, 'unknown'],
    ['reaches from stop to good', 0.5, 1, 'unknown'],
    ['whole interval below stop', -0.5, 0.2, 'stop'],
    ['just on the limit', 0, 0, 'look'],
  ])('%s', (_, value, u, mark) => expect(markOf(measured(value, u)).mark).toBe(mark))

  it('a hazard that straddles is a stop, and one that is not entered is not known', () => {
    expect(markOf(measured(0.1, 0.2), { hazard: true }).mark).toBe('stop')
    expect(markOf(missing(), { hazard: true }).mark).toBe('unknown')
  })

  it('what costs quality alone is a look, and its sentence still says that the limit is missed', () => {
    expect(markOf(measured(-5, 0.1), { short: 'look' })).toMatchObject({ mark: 'look', reads: 'stop' })
    expect(markOf(measured(0.1, 0.2), { short: 'look' })).toMatchObject({ mark: 'unknown', reads: 'unknown' })
  })

  it('alike ones stand together, and behind a bad one what follows from it; a good one leads nothing', () => {
    const [bad, good] = [measured(-5, 0.1), measured(5, 0.1)]
    const size = { id: 'size', follows: 'v' }
    const groups = (x: Fact) => inGroups([markOf(good, { id: 'other' }), markOf(bad, size), markOf(x), markOf(x)])
    const ids = (x: Fact) => groups(x).map((group) => group.map((it) => it.def.id).join(' '))
    expect(ids(bad)).toEqual(['v v size', 'other'])
    expect(ids(good)).toEqual(['size', 'other', 'v v'])
  })

  it('names the guesses it rests on', () => {
    expect(markOf(within(5, 0.1, 'assumed')).assumed).toEqual(['x'])
    expect(markOf(measured(5, 0.1)).assumed).toEqual([])
  })

  it('orders by what needs a person first', () => {
    const all = [markOf(measured(5, 0.1)), markOf(measured(-5, 0.1)), markOf(measured(0.1, 0.2)), markOf(measured(0.5, 0.1))]
    expect(worstFirst(all).map((it) => it.mark)).toEqual(['stop', 'look', 'unknown', 'good'])
    expect(worstMark(all.map((it) => it.mark))).toBe('stop')
    expect(worstMark([])).toBeNull()
  })
})

describe('what to measure next (T14)', () => {
  const tool = (name: string, max: number, u: number): Instrument => ({
    order: 1,
    name,
    quantity: 'length',
    min: 0,
    max,
    resolution: u,
    u,
    scale: exactly(0),
    zero: exactly(0),
  })
  const advise = (x: Fact, y: Fact, instruments: Toy['instruments']) => {
    const engine = createEngine({ x, y, instruments }, config)
    return measureNext(engine, judge(engine, rule, []), config.specAt)
  }
  const fine = { fine: tool('Fine', 50, 0.01), short: tool('Short', 1, 0.001) }

  it('names the one fact that decides, with the best instrument whose range takes it in', () => {
    const advice = advise(measured(8, 1), measured(-7.5, 0.01), fine)
    expect(advice).toMatchObject({ kind: 'one', measure: [{ path: 'x', instrument: { name: 'Fine' } }] })
    expect(advice.ranking[0]?.share).toBeGreaterThan(0.99)
  })

  it('names a pair where one alone leaves it open', () => {
    expect(
      advise(measured(8, 0.5), measured(0.5 - 8, 0.5), { ...fine, deep: { ...tool('Deep', 50, 0.01), min: -50 } }),
    ).toMatchObject({ kind: 'pair' })
  })

  it('says that none at hand will, where the best is not good enough or out of range', () => {
    expect(advise(measured(8, 1), measured(-7.5, 0.01), { coarse: tool('Coarse', 50, 0.9) }).kind).toBe('none')
    expect(advise(measured(80, 1), measured(-79.5, 0.01), fine).kind).toBe('none')
  })
})

it('says why a figure is unknown and what to do', () => {
  const say = (why: Parameters<typeof sayUnknown>[0]) => sayUnknown(why, (path) => `Fact ${path}`)
  expect(say({ kind: 'missing', facts: ['a', 'b', 'c'] })).toMatchObject({
    path: 'a',
    message: 'Not known yet: enter the fact a, the fact b and the fact c.',
  })
  expect(say({ kind: 'ring', keys: ['p', 'q', 'p'] }).message).toContain('p → q → p')
  expect(say({ kind: 'not-converged', message: 'no sign change' }).message).toContain('did not come to rest (no sign change)')
})
