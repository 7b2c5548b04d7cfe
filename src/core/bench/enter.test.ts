import { describe, expect, it } from 'vitest'
import { draggedFact, enterFact, showFact, templateFact, type Entry, type FactSpec } from '.'

const travel: FactSpec = {
  label: 'Travel',
  quantity: 'length',
  min: 1,
  max: 5000,
  assume: { value: 300, halfWidth: 15, unit: 'mm' },
}
const teeth: FactSpec = {
  label: 'Teeth',
  quantity: 'count',
  min: 6,
  max: 200,
  whole: true,
  assume: { value: 20, halfWidth: 0, others: [16] },
}
const enter = (typed: string, more: Partial<Entry> = {}, spec = travel, units: 'metric' | 'inch' = 'metric') =>
  enterFact({ typed, origin: 'stated', ...more }, spec, units)
const doubt = (read: ReturnType<typeof enter>) => (read.ok ? read.value.doubt : read.findings[0]?.code)

describe('every fact has its doubt (T3)', () => {
  it('from what was typed, the instrument, or the template’s share', () => {
    expect(doubt(enter('400', { doubtTyped: '2' }))).toEqual({ kind: 'halfWidth', a: 2 })
    expect(doubt(enter('400 ± 1 cm'))).toEqual({ kind: 'halfWidth', a: 10 })
    expect(doubt(enter('400 ± 1', { origin: 'measured' }))).toEqual({ kind: 'standard', u: 0.5 }) // ± is two standard uncertainties
    expect(doubt(enter('400', { origin: 'measured', instrument: { id: 'c', u: 0.02, min: 0, max: 600 } }))).toEqual({
      kind: 'standard',
      u: 0.02,
    })
    expect(doubt(enter('400'))).toEqual({ kind: 'halfWidth', a: 20 }) // 5 %, as the template
  })

  it('counts are exact, or alternatives', () => {
    expect(doubt(enter('20', {}, teeth))).toEqual({ kind: 'exact' })
    expect(doubt(enter('20', { doubtTyped: '1' }, teeth))).toEqual({ kind: 'alternatives', others: [19, 21] })
    expect(doubt(enter('18', { origin: 'assumed' }, teeth))).toEqual({ kind: 'alternatives', others: [20, 16] })
    expect(templateFact(teeth).doubt).toEqual({ kind: 'alternatives', others: [16] })
  })

  it('a bench of guesses has a range everywhere', () => {
    expect(templateFact(travel)).toMatchObject({ origin: 'assumed', doubt: { kind: 'halfWidth', a: 15 } })
  })
})

describe('what is refused says why', () => {
  it.each([
    ['6000', {}, /accepted from 1\smm to 5000\smm/],
    ['400', { doubtTyped: '-2' }, /cannot be negative/],
    ['400', { doubtTyped: 'some' }, /^Give or take/],
    ['400', { origin: 'measured' as const, instrument: { id: 'c', u: 0.02, min: 0, max: 150 } }, /reads 0\smm to 150\smm/],
  ])('%s', (typed, more, message) => {
    const read = enter(typed, more)
    expect(read.ok ? '' : read.findings[0]?.message).toMatch(message)
  })

  it('a broken number of teeth', () => expect(doubt(enter('20.5', {}, teeth))).toBe('not-whole'))
})

it('keeps what was typed to the letter, in its unit, and reads a bare number in the system’s unit', () => {
  expect(enter('12,5 in')).toMatchObject({ ok: true, value: { value: 317.5, typed: '12,5 in', typedUnit: 'in' } })
  expect(enter('10', {}, travel, 'inch')).toMatchObject({ ok: true, value: { value: 254, typed: '10', typedUnit: 'in' } })
})

it('a dragged dimension is rounded to what a hand can set, and assumed', () => {
  expect(draggedFact(353.7, 1, travel, 'metric')).toMatchObject({
    ok: true,
    value: { value: 354, typed: '354', origin: 'assumed' },
  })
  expect(draggedFact(355, 0.05, travel, 'inch')).toMatchObject({ ok: true, value: { typed: '14', typedUnit: 'in' } })
})

it('shows a unit once, however it ends', () => {
  const base = { value: 1, typedUnit: 'mJ/cm2', origin: 'stated', doubt: { kind: 'exact' } } as const
  expect(showFact({ ...base, typed: '80 mJ/cm2' })).toMatchObject({ text: '80 mJ/cm2', unit: '' })
  expect(showFact({ ...base, typed: '1e5' })).toMatchObject({ text: '1e5', unit: 'mJ/cm²' })
})
