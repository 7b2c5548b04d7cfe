import { describe, expect, it } from 'vitest'
import { measured, missing, within } from '../../../tests/facts'
import { sayDoubt, showFact, type Fact } from '.'

const typed = (text: string, over: Partial<Fact> = {}): Fact => ({ ...measured(412, 1), typed: text, typedUnit: 'mm', ...over })

describe('a fact in a sentence', () => {
  it('is what was typed, with its unit unless that was typed too, and ± of a reading', () => {
    expect(showFact(typed('412'))).toEqual({ text: '412', unit: 'mm', plusMinus: '2.0' })
    expect(showFact(typed('16 1/4 in', { typedUnit: 'in' }))).toMatchObject({ text: '16 1/4 in', unit: '' })
    expect(showFact(typed('412 ± 2'))).toEqual({ text: '412 ± 2', unit: 'mm', plusMinus: null })
    expect(showFact({ ...within(5, 0.3), typed: '5' }).plusMinus).toBeNull()
    expect(showFact(missing())).toEqual({ text: '', unit: 'mm', plusMinus: null })
  })

  it('prints the ± in the unit that was typed', () => {
    expect(showFact(typed('16.2', { typedUnit: 'in', doubt: { kind: 'standard', u: 0.127 } })).plusMinus).toBe('0.010')
  })

  it('says its doubt in words', () => {
    expect(sayDoubt(typed('1'))).toBe('standard uncertainty 1.0 mm')
    expect(sayDoubt(within(5, 0.3))).toBe('within ± 0.30 mm')
    expect(sayDoubt(typed('20', { doubt: { kind: 'alternatives', others: [16, 18] } }))).toBe('or 16, 18')
    expect(sayDoubt(typed('20', { doubt: { kind: 'exact' } }))).toBe('exact')
  })
})
