import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readClock } from './clock'

describe('a time of day as it is typed', () => {
  it('is read in the ways people write it', () => {
    const read = ['18:00', '18.30', '1830', '6 pm', '6:30 p.m.', '12 am', '12 pm', '7', '24:00', ' ', '930'].map(readClock)
    expect(read).toEqual(['18:00', '18:30', '18:30', '18:00', '18:30', '00:00', '12:00', '07:00', '00:00', '', '09:30'])
  })

  it('is refused where it is none', () => {
    expect(['25:00', '18:60', '13 pm', '0 am', 'soon', '24:30', '6 pm pm'].map(readClock)).toEqual(Array(7).fill(null))
  })

  it('of any kind never gives what the plan would not take', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 8 }), (text) => {
        expect(readClock(text) ?? '00:00').toMatch(/^$|^([01]\d|2[0-3]):[0-5]\d$/)
      }),
    )
  })
})
