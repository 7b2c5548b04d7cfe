import { describe, expect, it } from 'vitest'
import { argsOfVerdict, judge, setAt, shownNumber } from '../../src/core/bench'
import { bookBurnable } from '../../src/core/safety'
import { carriedSpeed, cutLimit, cutSpeed, energyToCut, learnCut, nextTry, nextTryEnergy, type CutTry } from '../../src/core/burn'
import { engineFor, wordingOf, type Bench } from '../../src/core/document'
import { seeded } from '../../src/core/workshop'
import { heron } from '../../src/data/heron'
import { sampleCard } from '../cardPicture'

const through = (energy: number): CutTry => ({ energy, isThrough: true })
const not = (energy: number): CutTry => ({ energy, isThrough: false })

describe('what tries say of the limit of cutting', () => {
  it('one failure and one success: the limit is √(E₁E₂), and lies between them (common practice)', () => {
    const learnt = learnCut([not(0.5), through(0.8)])!
    expect(Math.exp(learnt.mean)).toBeCloseTo(Math.sqrt(0.5 * 0.8), 3)
    expect(learnt.u).toBeLessThan(0.3)
    expect(learnt.chance(Math.sqrt(0.4))).toBeCloseTo(0.5, 2)
    expect(energyToCut(learnt, 0.95)).toBeGreaterThan(0.72)
  })

  it('says nothing while all tries went one way, and then tries slower or faster by a step', () => {
    expect(learnCut([not(0.5), not(0.6)])).toBeNull()
    expect(nextTryEnergy([not(0.5), not(0.6)])).toBeCloseTo(0.6 / 0.7, 9)
    expect(nextTryEnergy([through(0.5), through(0.6)])).toBeCloseTo(0.35, 9)
    expect(nextTryEnergy([])).toBeNull()
    expect(() => learnCut([through(0), not(1)])).toThrow(RangeError)
  })

  it('of many tries it is the middle of a logistic regression, by its own maximum', () => {
    // Tries about E₅₀ = 1 with a spread of 0.1; the maximum of their likelihood, searched on a fine grid.
    const random = seeded(5)
    const tries = Array.from({ length: 400 }, (_, i) => {
      const energy = Math.exp((i / 400 - 0.5) * 0.8)
      return { energy, isThrough: random() < 1 / (1 + Math.exp(-Math.log(energy) / 0.1)) }
    })
    const likelihood = (half: number, spread: number): number =>
      tries.reduce((sum, it) => {
        const chance = 1 / (1 + Math.exp(-(Math.log(it.energy) - half) / spread))
        return sum + Math.log(it.isThrough ? chance : 1 - chance)
      }, 0)
    let best = { half: 0, value: -Infinity }
    for (let half = -0.1; half < 0.1; half += 0.002) {
      for (let spread = 0.05; spread < 0.2; spread += 0.005) {
        const value = likelihood(half, spread)
        if (value > best.value) best = { half, value }
      }
    }
    expect(learnCut(tries)!.mean).toBeCloseTo(best.half, 2)
  })

  it('over 300 hidden sheets: 95 % intervals of the limit cover in 93 to 97 of 100 or more, its median error is under 10 %', () => {
    const errors: number[] = []
    let covered = 0
    let reached = 0
    for (let number = 1; number <= 300; number++) {
      const random = seeded(number * 13 + 2)
      const hidden = { half: Math.exp(-1.5 + 1.6 * random()), spread: 0.04 + 0.12 * random() }
      const cuts = (energy: number): boolean => random() < 1 / (1 + Math.exp(-Math.log(energy / hidden.half) / hidden.spread))
      const tries: CutTry[] = []
      for (let k = 0; k < 7; k++) {
        const energy = nextTryEnergy(tries) ?? 0.4
        tries.push({ energy, isThrough: cuts(energy) })
      }
      const learnt = learnCut(tries)
      if (learnt === null) continue
      const off = learnt.mean - Math.log(hidden.half)
      errors.push(Math.abs(off))
      if (Math.abs(off) <= 2 * learnt.u) covered++
      if (1 / (1 + Math.exp(-Math.log(energyToCut(learnt, 0.95) / hidden.half) / hidden.spread)) > 0.9) reached++
    }
    errors.sort((p, q) => p - q)
    expect(errors.length).toBeGreaterThan(285)
    expect(errors[Math.floor(errors.length / 2)]).toBeLessThan(0.1)
    expect(covered / errors.length).toBeGreaterThanOrEqual(0.93)
    expect(covered / errors.length).toBeLessThanOrEqual(0.99)
    expect(reached / errors.length).toBeGreaterThan(0.85)
  })
})

describe('a material of the book', () => {
  const made = (speed: number, through: 'yes' | 'no', more: object = {}) => ({
    order: speed,
    at: '2026-11-20T10:00:00.000Z',
    power: 1,
    speed,
    passes: 1,
    through,
    ...more,
  })
  const withTries = (tries: object): Bench =>
    setAt(heron().bench, 'burns.materials.m', {
      order: 1,
      name: 'Birch',
      kind: 'wood',
      thickness: heron().bench.optics.sheet,
      tries,
      settings: {},
    })

  it('cut at 4 mm/s and not at 6: the limit is 4.9 mm/s with its ±, the speed to use is slower', () => {
    const engine = engineFor(withTries({ a: made(6, 'no'), b: made(4, 'yes') }))
    const limit = engine.withDoubt(cutLimit, 'm')
    expect(limit.result.known && limit.result.value.value).toBeCloseTo(Math.sqrt(24), 2)
    expect(limit.doubt?.expanded).toBeGreaterThan(0.3)
    const use = engine.value(cutSpeed, 'm').result
    expect(use.known && use.value).toBeLessThan(4.4)
    expect(use.known && use.value).toBeGreaterThan(2.5)
  })

  it('two passes cut at twice the speed, half of the power at half', () => {
    const once = engineFor(withTries({ a: made(6, 'no'), b: made(4, 'yes') })).value(cutSpeed, 'm').result
    const twice = engineFor(withTries({ a: made(12, 'no', { passes: 2 }), b: made(2, 'yes', { power: 0.5 }) })).value(
      cutSpeed,
      'm',
    ).result
    expect(once.known && twice.known && twice.value / once.value).toBeCloseTo(1, 6)
  })

  it('is never burnt, not known, or on a condition: a stop, a question, and the condition in words', () => {
    const markOf = (kind: string) => {
      const engine = engineFor(setAt(withTries({}), 'burns.materials.m.kind', kind))
      const verdict = judge(engine, bookBurnable, ['m'])
      const { head, why } = wordingOf(engine, verdict, 'metric')
      return [verdict.mark, `${head}: ${why}`] as const
    }
    expect(markOf('vinyl')).toEqual(['stop', expect.stringContaining('hydrogen chloride')])
    expect(markOf('')).toEqual(['unknown', expect.stringContaining('not burnt')])
    expect(argsOfVerdict(bookBurnable, withTries({}))).toEqual([])
    expect(markOf('mdf')).toEqual(['good', expect.stringContaining('On a condition')])
  })

  it('learns from the cells of a cutting card as from tries', () => {
    const cell = (through: 'yes' | 'no') => ({ share: null, u: null, depth: null, through, by: 'hand' as const })
    const card = {
      ...sampleCard(),
      does: 'cut',
      across: 'passes',
      acrossFrom: 1,
      acrossTo: 1,
      columns: 1,
      up: 'speed',
      upFrom: 4,
      upTo: 6,
      rows: 2,
    }
    const cut = { ...card, cells: { '1-1': cell('yes'), '1-2': cell('no') } }
    const byCard = engineFor(setAt(withTries({}), 'burns.materials.m.cards', { c: cut })).value(cutLimit, 'm').result
    const byTries = engineFor(withTries({ a: made(4, 'yes'), b: made(6, 'no') })).value(cutLimit, 'm').result
    expect(byCard.known && byCard.value.value).toBeCloseTo(byTries.known ? byTries.value.value : Number.NaN, 9)
  })

  it('not tried it begins at what a sheet of its kind lets expect, else at the first speed; not through it says slower', () => {
    // Of the demo's plywood 5.4 mm/s cut 95 of 100 lines through 3.02 mm: twice as thick, half as fast (energy balance).
    const thick = setAt(setAt(withTries({}), 'burns.materials.m.kind', 'wood'), 'burns.materials.m.thickness.value', 6.04)
    const carried = engineFor(thick).withDoubt(carriedSpeed, 'm')
    expect(shownNumber(carried.result)).toBeCloseTo(2.7, 6)
    expect(carried.doubt?.expanded).toBeCloseTo(0.6 * 2.7, 6)
    expect(shownNumber(engineFor(thick).value(nextTry, 'm').result)).toBe(2.7)
    const alone = setAt(withTries({}), 'burns.materials.m.kind', 'leather')
    const first = engineFor(alone).value(nextTry, 'm').result
    expect(first.known && first.value).toBe(6)
    const engine = engineFor(withTries({ a: made(6, 'no') }))
    const next = engine.value(nextTry, 'm').result
    expect(next.known && next.value).toBeCloseTo(4.2, 6)
    const limit = engine.value(cutLimit, 'm').result
    expect(limit.known || (limit.why.kind === 'waiting' && limit.why.message)).toContain('slower')
  })
})
