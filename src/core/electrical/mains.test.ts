import { describe, expect, it } from 'vitest'
import { setAt, templateOf, type Fact } from '../bench'
import { emptyBench, engineFor, type Bench } from '../document'
import { blockShape, wireShape, wiringFindings, type BlockId, type WireKind } from '.'

const STATED: Fact = { value: 0, typed: '', typedUnit: 'V', origin: 'stated', doubt: { kind: 'exact' } }

describe('banks, strips and bonds, by hand', () => {
  const stated = (value: number) => ({ ...STATED, value, typed: String(value) })
  const block = (
    kind: BlockId,
    of: Partial<Record<'volts' | 'amps' | 'efficiency' | 'gap' | 'sag' | 'powerFactor' | 'inrush', number>>,
  ) => ({
    ...templateOf(blockShape, { order: 1, kind, name: kind, x: 0, y: 0 }),
    ...Object.fromEntries(Object.entries(of).map(([key, value]) => [key, stated(value)])),
  })
  const wire = (from: string, to: string, kind: WireKind = 'rail') => ({
    ...templateOf(wireShape, { order: 1, from, to, kind, colour: '', connector: '' }),
    length: stated(1),
    gauge: { chosen: 'mm250', origin: 'stated', doubt: { kind: 'exact' } },
  })
  const value = (bench: Bench, id: string, ...args: string[]): number => {
    const { result } = engineFor(bench).byId(id, args)
    return result.known ? (result.value as number) : Number.NaN
  }
  const empty = emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z')

  it('12 V and 0.4 A from a 5 V bank at 88 % ask 1.09 A of it', () => {
    const blocks = {
      bank: block('supply', { volts: 5, amps: 2 }),
      up: block('converter', { volts: 12, amps: 1, efficiency: 0.88 }),
      fan: block('fan', { volts: 12, amps: 0.4 }),
    }
    const bench = setAt(setAt(empty, 'electrical.blocks', blocks), 'electrical.wires', {
      a: wire('bank', 'up'),
      b: wire('up', 'fan'),
    })
    expect(value(bench, 'electrical.converterAmps', 'up')).toBeCloseTo(1.09, 2)
    expect(value(bench, 'electrical.sourceAmps', 'bank')).toBeCloseTo(1.09, 2)
  })

  it('a strip passes what its supplies take through their power factors, and all their inrush; 2 A held up for 10 ms take 40 mF', () => {
    const psu = { volts: 24, amps: 5, efficiency: 0.8, powerFactor: 0.6, inrush: 20, gap: 0.01, sag: 0.5 }
    const blocks = {
      strip: block('strip', { volts: 230, amps: 10 }),
      psu: block('supply', psu),
      motors: block('fan', { volts: 24, amps: 2 }),
      pump: block('pump', { volts: 230, amps: 0.05 }),
    }
    const wires = { a: wire('strip', 'psu', 'mains'), b: wire('psu', 'motors'), c: wire('strip', 'pump', 'mains') }
    const bench = setAt(setAt(empty, 'electrical.blocks', blocks), 'electrical.wires', wires)
    // 48 W at 80 % are 60 W, at 0.6 and 230 V 0.435 A; the pump on the mains adds 0.05 A.
    expect(value(bench, 'electrical.stripAmps', 'strip')).toBeCloseTo(60 / 0.6 / 230 + 0.05, 6)
    expect(value(bench, 'electrical.stripInrush', 'strip')).toBe(20)
    expect(value(bench, 'electrical.reservoirNeeded', 'psu')).toBeCloseTo(0.04, 9)
    // A pump on the mains hangs on no rail, and nobody asks for one.
    expect(value(bench, 'electrical.blockVolts', 'motors')).toBeCloseTo(24, 2)
    expect(
      wiringFindings(
        Object.entries(blocks).map(([id, { kind, name }]) => ({ id, kind, name })),
        Object.entries(wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind })),
      ),
    ).toEqual([])
  })

  it('a meter with two leads cannot prove a bond; 18 mV at 1 A can', () => {
    const bond = (method: 'two' | 'four') =>
      setAt(empty, 'electrical.bonds', {
        it: {
          order: 1,
          name: 'Bed',
          ohms: stated(0.018),
          method: { chosen: method, origin: 'stated', doubt: { kind: 'exact' } },
        },
      })
    expect(value(bond('two'), 'electrical.bondRoom', 'it')).toBeNaN()
    expect(value(bond('four'), 'electrical.bondRoom', 'it')).toBeCloseTo(0.082, 9)
  })
})
