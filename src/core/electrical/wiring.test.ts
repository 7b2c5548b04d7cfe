import { describe, expect, it } from 'vitest'
import { setAt } from '../bench'
import { emptyBench, engineFor, judgeAll, wordingOf } from '../document'
import { heron } from '../../data/heron'
import { laidOut, reachOf, wiringFindings, type BlockId, type WiredBlock, type WiredPair } from '.'

const block = (id: string, kind: BlockId): WiredBlock => ({ id, kind, name: id })
const pair = (from: string, to: string): WiredPair => ({ id: `${from}-${to}`, from, to, kind: 'rail' })
const codes = (blocks: readonly WiredBlock[], wires: readonly WiredPair[]): readonly string[] =>
  wiringFindings(blocks, wires).map((it) => `${it.code} ${it.block ?? it.wire ?? ''}`)

const SOUND = [block('psu', 'supply'), block('buck', 'converter'), block('head', 'head'), block('fan', 'fan')]

describe('how blocks are joined', () => {
  it('is sound where every load hangs on one source, through contacts and converters', () => {
    expect(codes(SOUND, [pair('psu', 'buck'), pair('buck', 'head'), pair('psu', 'fan')])).toEqual([])
    const chain = [...SOUND, block('stop', 'stop')]
    expect(codes(chain, [pair('psu', 'stop'), pair('stop', 'fan'), pair('stop', 'buck'), pair('buck', 'head')])).toEqual([])
  })

  it('names a load without a source, and one with two', () => {
    expect(codes(SOUND, [pair('psu', 'buck'), pair('buck', 'head')])).toEqual(['no-source fan'])
    expect(codes(SOUND, [pair('psu', 'buck'), pair('buck', 'head'), pair('psu', 'fan'), pair('buck', 'fan')])).toEqual([
      'two-sources fan',
    ])
  })

  it('names converters that feed one another, and themselves', () => {
    const ring = [block('a', 'converter'), block('b', 'converter')]
    expect(codes(ring, [pair('a', 'b'), pair('b', 'a')])).toEqual(['converter-loop a', 'converter-loop b'])
    expect(codes([block('a', 'converter')], [pair('a', 'a')])).toContain('to-itself a-a')
  })

  it('names wires into a source, and wires whose end was taken away', () => {
    expect(codes([block('p', 'supply'), block('q', 'supply')], [pair('p', 'q')])).toEqual(['into-source p-q'])
    expect(codes([block('p', 'supply')], [pair('p', 'gone')])).toEqual(['lost-end p-gone'])
  })

  it('reaches what a source feeds up to the next converter, and is laid out from left to right', () => {
    const wires = [pair('psu', 'buck'), pair('buck', 'head'), pair('psu', 'fan')]
    expect(reachOf('psu', SOUND, wires).blocks).toEqual(['psu', 'buck', 'fan'])
    expect(reachOf('buck', SOUND, wires).blocks).toEqual(['buck', 'head'])
    expect([...laidOut(SOUND, wires)].map(([id, { column }]) => [id, column])).toEqual([
      ['psu', 0],
      ['buck', 1],
      ['head', 2],
      ['fan', 1],
    ])
    // A ring has no left and no right, and is drawn all the same.
    expect(laidOut([block('a', 'converter'), block('b', 'converter')], [pair('a', 'b'), pair('b', 'a')]).size).toBe(2)
  })
})

describe('the demo’s wiring', () => {
  const { bench } = heron()
  const mark = (id: string, of: string, on = bench) =>
    judgeAll(engineFor(on), 'power').find((it) => it.def.id === id && it.args[0] === of)?.mark

  it('has one look, the thin lead to the head; a thicker one mends it, a wrong rail is a stop', () => {
    expect(mark('electrical.dropSmall', 'head')).toBe('look')
    const thick = setAt(bench, 'electrical.wires.w9.gauge.chosen', 'awg18')
    expect(mark('electrical.dropSmall', 'head', thick)).toBe('good')
    expect(mark('electrical.railFits', 'head', setAt(bench, 'electrical.wires.w9.from', 'psu'))).toBe('stop')
    expect(mark('electrical.wireCarries', 'w9', setAt(bench, 'electrical.wires.w9.gauge.chosen', 'awg26'))).toBe('stop')
  })

  it('adds up: what the supply gives is what the loads take, with what converter and wires lose', () => {
    const engine = engineFor(bench)
    const number = (id: string, ...args: string[]): number => {
      const { result } = engine.byId(id, args)
      return result.known ? (result.value as number) : Number.NaN
    }
    // The fan takes 0.2 A of the source whatever its wire loses.
    const taken = 43.2 + 6 + 0.2 * 24 + number('electrical.converterInput', 'buck')
    const lost = ['w1', 'w2', 'w3'].reduce(
      (sum, it) => sum + number('electrical.wireAmps', it) * number('electrical.wireDrop', it),
      0,
    )
    expect(number('electrical.sourceAmps', 'psu') * 24).toBeCloseTo(taken + lost, 6)
  })

  it('knows no number where the joints are wrong, and says what to mend in the names of the blocks', () => {
    const said = (on: typeof bench, of: string): string | undefined => {
      const engine = engineFor(on)
      const verdict = judgeAll(engine, 'power').find((it) => it.args[0] === of && it.def.id !== 'electrical.dropSmall')
      return verdict === undefined ? undefined : `${verdict.mark}: ${wordingOf(engine, verdict, 'metric').why}`
    }
    const joined = (from: string, to: string): typeof bench =>
      setAt(bench, 'electrical.wires.extra', { ...bench.electrical.wires['w9'], from, to })
    expect(said(joined('psu', 'head'), 'head')).toMatch(/^unknown: .*leave one source to Diode head/)
    // Cut off from the supply, the two feed nothing but each other.
    const second = setAt(setAt(joined('buck', 'c2'), 'electrical.wires.w2', undefined), 'electrical.blocks.c2', {
      ...bench.electrical.blocks['buck'],
      name: 'Second',
    })
    const ring = setAt(second, 'electrical.wires.back', { ...bench.electrical.wires['w9'], from: 'c2', to: 'buck' })
    expect(said(ring, 'buck')).toMatch(/^unknown: .*(Converter to 12 V|Second).*ring of converters/)
    expect(said(joined('gone', 'head'), 'extra')).toMatch(/^unknown: .*join both ends of this wire/)
  })

  it('says in words where a rail cannot carry its load, and knows nothing of a bench that has no wiring', () => {
    const far = setAt(bench, 'electrical.wires.w9.length.value', 40_000)
    expect(mark('electrical.railFits', 'head', far)).not.toBe('good')
    expect(
      judgeAll(engineFor(emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z')), 'power').some((it) => it.def.id.includes('rail')),
    ).toBe(false)
  })
})
