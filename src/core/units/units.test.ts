import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  doubtToCore,
  fromCore,
  parseQuantity,
  printQuantity,
  sayQuantity,
  sayReading,
  toCore,
  UNIT_IDS,
  unitOf,
  type Quantity,
  type UnitId,
} from '.'

const value = (text: string, quantity: Quantity = 'length', unit: UnitId = 'mm'): number | string => {
  const read = parseQuantity(text, quantity, unit)
  return read.ok ? read.value.value : (read.findings[0]?.code ?? '')
}

describe('what people type', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['12,5 in', 317.5],
    ['  -3 mm', -3],
    ['−3', -3],
    ['1/16 in', 1.5875],
    ['1 1/2 in', 38.1],
    ['1 1/2"', 38.1],
    ['.5', 0.5],
    ['1e-3 m', 1],
    ['1 234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1_234_567],
    ['80 µm', 0.08],
    ['80um', 0.08],
    ['412 ± 2 cm', 4120],
    ['5.', 5],
    ['5. mm', 5],
    ['1e3mm', 1000],
    ['1E3 mm', 1000],
    ['+.5in', 12.7],
    ['2½ in', 63.5],
    ['1-1/2 in', 38.1],
    ['5\' 6 1/2"', 1689.1],
    ['5 ft 6.5 in', 1689.1],
    ['-1\' 6"', -457.2],
    ["6'", 1828.8],
    ['4 thou', 0.1016],
    ['4 mil', 0.1016],
  ])('%s is %d mm', (text, mm) => expect(value(text)).toBeCloseTo(mm, 9))

  it.each([
    ['', 'empty'],
    ['abc', 'not-a-number'],
    ['1/0', 'not-a-number'],
    ['1,2,3', 'not-a-number'],
    ['1.2.3', 'not-a-number'],
    ['12 34', 'not-a-number'],
    ['5 furlong', 'unknown-unit'],
    ['5 mm/s', 'wrong-quantity'],
    ['5 ± 1 ± 2', 'two-doubts'],
    ['5.,', 'not-a-number'],
    ["5' 3 mm", 'not-a-number'],
    ['5 mm mm', 'unknown-unit'],
  ])('%j is refused as %s', (text, code) => expect(value(text)).toBe(code))

  it('reads microsteps either way', () => {
    expect(value('1/16', 'divisor', 'divisor')).toBe(16)
    expect(value('16', 'divisor', 'divisor')).toBe(16)
  })

  it('says how it read a comma that could have meant thousands', () => {
    const read = parseQuantity('1,234', 'length', 'mm')
    expect(read).toMatchObject({ ok: true, value: { value: 1.234 }, findings: [{ code: 'comma-read-as-decimal' }] })
  })

  it('takes the unit behind ± for both, and scales a doubt without the offset', () => {
    const read = parseQuantity('68 ± 9 °F', 'temperature', 'degC')
    expect(read.ok && read.value.value).toBeCloseTo(20, 9)
    expect(read.ok && read.value.plusMinus).toBeCloseTo(5, 9)
    expect(doubtToCore(9, 'degF')).toBeCloseTo(5, 12)
  })

  it('never throws, and what it prints it reads back to the digits printed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => void parseQuantity(text, 'length', 'mm')),
      { seed: 7, numRuns: 2000 },
    )
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.constantFrom<UnitId>('mm', 'in', 'um'), (mm, unit) => {
        const { value: shown } = printQuantity(mm, 0.002, unit)
        expect(Math.abs(Number(value(shown, 'length', unit)) - mm)).toBeLessThanOrEqual(0.0002)
      }),
      { seed: 8 },
    )
  })
})

describe('what is printed', () => {
  it.each([
    [80.4137, 0.0231, 'steps/mm', '80.414 ± 0.023 steps/mm'],
    [373.4, 61, 'mm/s', '373 ± 61 mm/s'],
    [16_992, 1234, 'mm', '17 000 ± 1200 mm'],
    [0.0999, 0.00996, 'mm', '0.100 ± 0.010 mm'],
    [80, null, 'steps/mm', '80 steps/mm'],
    [-12.3456, null, 'mm', '−12.35 mm'],
    [0.00125, 0.00088, 'deg', '0.072 ± 0.050°'],
    [5_436_288, null, 'd', '63 d'],
    [182_045, null, 'd', '2.1 d'],
    [1e-6, null, 'mm', '0.000001 mm'],
    [-4e-14, null, 'mm', '0 mm'],
  ] as const)('%d ± %d in %s', (core, expanded, unit, text) => {
    expect(sayQuantity(core, expanded, unit).replace(/\u00a0/g, ' ')).toBe(text)
  })

  it.each([
    [87.5, 0.01, 'mm', '87.50 mm'],
    [57, 1, 'mm', '57 mm'],
    // A hundredth of a millimetre is 0.0004 in: four decimals show it (NIST SP 811: 1 in is 25.4 mm).
    [25.4, 0.01, 'in', '1.0000 in'],
    [57, 1, 'in', '2.24 in'],
  ] as const)('%d read to %d in %s', (core, toWhat, unit, text) => {
    expect(sayReading(core, toWhat, unit).replace(/\u00a0/g, ' ')).toBe(text)
  })

  it('converts each unit there and back', () => {
    for (const id of UNIT_IDS) expect(fromCore(toCore(3.7, id), id), unitOf(id).symbol).toBeCloseTo(3.7, 9)
  })
})
