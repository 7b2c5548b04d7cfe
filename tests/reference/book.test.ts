import { describe, expect, it } from 'vitest'
import { type AnyFigure, setAt, shownNumber, templateOf } from '../../src/core/bench'
import {
  boardNeeds,
  exposureDose,
  exposureSpeed,
  maskChance,
  maskSpeed,
  settingChance,
  settingShape,
  type CardShape,
} from '../../src/core/burn'
import { engineFor, type Bench } from '../../src/core/document'
import { depthExpected, depthLaw, depthSetting, toneSetting, toneTable, settingTone } from '../../src/core/testcard'
import { seeded } from '../../src/core/workshop'
import { heron } from '../../src/data/heron'
import { sampleCard } from '../cardPicture'

const AT = '2026-11-27T10:00:00.000Z'
const number = (bench: Bench, def: AnyFigure, ...args: string[]): number =>
  shownNumber(engineFor(bench).withDoubt(def, ...args).result) ?? Number.NaN
const put = (bench: Bench, values: Readonly<Record<string, number>>): Bench =>
  Object.entries(values).reduce((it, [path, value]) => {
    const fact = { value, typed: String(value), typedUnit: 'mm', origin: 'stated', doubt: { kind: 'exact' } }
    return setAt(it, path, fact)
  }, bench)

describe('exposure', () => {
  const bench = put(heron().bench, {
    'optics.power': 0.2,
    'burns.exposure.power': 0.1,
    'burns.exposure.speed': 50,
    'burns.exposure.pitch': 0.1,
    'burns.exposure.wedgeStep': 0.15,
    'burns.exposure.held': 8,
    'burns.exposure.heldWanted': 6,
  })
  it('20 mW at 50 mm/s with lines 0.1 mm apart are 400 mJ/cm² (1 J/mm² = 100 J/cm²)', () => {
    expect(number(bench, exposureDose) * 1e5).toBeCloseTo(400, 6)
  })
  it('eight steps of density 0.15 let 10^−1.2 through; two steps fewer want twice the speed, all but nothing (10^0.3)', () => {
    expect(number(bench, boardNeeds) * 1e5).toBeCloseTo(400 * 10 ** -1.2, 6)
    expect(number(bench, exposureSpeed)).toBeCloseTo(50 * 10 ** 0.3, 6)
  })
})

describe('a mask', () => {
  /** Tries of a tape that is cut at 40 mm/s and an enamel that is marked at so many, by hidden chances. */
  function withTries(mark: number, count: number, seed: number): Bench {
    const random = seeded(seed)
    const chance = (speed: number, half: number): number => 1 / (1 + Math.exp(-Math.log(half / speed) / 0.09))
    const tries = Array.from({ length: count }, (_, i) => {
      const speed = Math.exp(Math.log(mark) - 0.5 + ((Math.log(40 / mark) + 1) * (i + 0.5)) / count)
      const said = (half: number) => (random() < chance(speed, half) ? 'yes' : 'no')
      return [`t${i}`, { order: i, at: AT, power: 1, speed, cut: said(40), marked: said(mark) }] as const
    })
    const bench = put(heron().bench, { 'burns.maskPower': 1 })
    return setAt(bench, 'burns.materials.ply.maskTries', Object.fromEntries(tries))
  }
  it('in a wide window is cut in its middle, and surely; in none it is not', () => {
    const wide = withTries(12, 60, 3)
    const speed = number(wide, maskSpeed, 'ply')
    expect(speed).toBeGreaterThan(17)
    expect(speed).toBeLessThan(31)
    expect(number(wide, maskChance, 'ply')).toBeGreaterThan(0.97)
    const none = withTries(40, 60, 4)
    // Where both limits are one, p(1 − p) is a quarter at most.
    expect(number(none, maskChance, 'ply')).toBeLessThan(0.4)
  })
  it('of 40 hidden ones, the chance that is said is that of the hidden ones in the mean', () => {
    const sum = { said: 0, true: 0 }
    for (let seed = 1; seed <= 40; seed++) {
      const mark = 18 + 12 * seeded(seed)()
      const bench = withTries(mark, 14, seed)
      const [speed, said] = [number(bench, maskSpeed, 'ply'), number(bench, maskChance, 'ply')]
      if (!Number.isFinite(said)) continue
      const holds = (half: number): number => 1 / (1 + Math.exp(-Math.log(half / speed) / 0.09))
      sum.said += said
      sum.true += holds(40) * (1 - holds(mark))
    }
    expect(Math.abs(sum.said - sum.true) / sum.true).toBeLessThan(0.1)
  })
})

describe('depth', () => {
  /** A card whose passes each take 0.3 mm for J/mm² above 0.5, on the demo's machine of 5.5 W. */
  function withDepths(noise: (i: number) => number): Bench {
    const card: CardShape = { ...sampleCard({ columns: 4, rows: 2, acrossFrom: 0.4, upFrom: 10, upTo: 20 }) }
    const powers = [0.4, 0.54, 0.74, 1]
    const cells = [10, 20].flatMap((speed, row) =>
      powers.map((power, column) => {
        const depth = Math.max(0, 0.3 * ((5.5 * power) / (speed * 0.1) - 0.5)) + noise(row * 4 + column)
        return [`${column + 1}-${row + 1}`, { share: null, u: null, depth, by: 'hand' as const }] as const
      }),
    )
    const bench = setAt(heron().bench, 'burns.materials.ply.cards', { d: { ...card, cells: Object.fromEntries(cells) } })
    return put(bench, { 'burns.depthWanted': 2 })
  }
  it('of a pass is found from what it was drawn with; 2 mm want so few passes as will do, and come to 2 mm', () => {
    const bench = withDepths(() => 0)
    const law = engineFor(bench).value(depthLaw, 'ply').result
    expect(law.known && [law.value.slope, law.value.from]).toEqual([expect.closeTo(0.3, 9), expect.closeTo(0.5, 9)])
    // The most that was tried, 5.5 J/mm², takes 1.5 mm: two passes of 1 mm, (1/0.3 + 0.5) J/mm² each, 14.3 mm/s.
    const setting = engineFor(bench).value(depthSetting, 'ply').result
    expect(setting.known && setting.value.passes).toBe(2)
    expect(setting.known && setting.value.dose).toBeCloseTo(1 / 0.3 + 0.5, 9)
    expect(setting.known && setting.value.speed).toBe(14)
    expect(number(bench, depthExpected, 'ply')).toBeCloseTo(2, 9)
  })
  it('that does not grow with the dose says so', () => {
    // Twice what each cell should have too little.
    const bench = withDepths((i) => 3 - 0.6 * ((5.5 * [0.4, 0.54, 0.74, 1][i % 4]!) / (i < 4 ? 1 : 2)))
    const law = engineFor(bench).value(depthLaw, 'ply').result
    expect(!law.known && law.why.kind === 'waiting' && law.why.message).toContain('do not grow')
  })
})

describe('tones of the demo', () => {
  const { bench } = heron()
  it('the setting and the table of greys say what the law says at their powers', () => {
    const engine = engineFor(bench)
    const setting = engine.value(toneSetting, 'ply').result
    if (!setting.known) throw new Error('not known')
    const { power, speed, tone } = setting.value
    const row = templateOf(settingShape, { order: 1, at: AT, wanted: 'tone', aim: tone, power, speed, pitch: 0.1, passes: 1 })
    const kept = setAt(bench, 'burns.materials.ply.settings.k', row)
    expect(number(kept, settingTone, 'ply', 'k')).toBeCloseTo(tone, 0)
    const table = engine.value(toneTable, 'ply').result
    if (!table.known) throw new Error('not known')
    const powers = table.value.map((it) => it.power)
    expect([...powers].sort((p, q) => p - q)).toEqual(powers)
    expect(table.value.at(-1)?.dots).toBeCloseTo(1, 6)
    // The optical power is in the cards and in the setting alike: a better reading of it does not move the tone.
    const dirty = put(kept, { 'optics.power': 4.4 })
    expect(Math.abs(number(dirty, settingTone, 'ply', 'k') - tone)).toBeLessThan(1)
    expect(number(kept, settingChance, 'ply', 's')).toBeLessThan(0.95)
  })
})
