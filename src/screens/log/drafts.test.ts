import { expect, it } from 'vitest'
import { amountOf } from './drafts'

it.each([
  ['', null],
  ['  ', null],
  ['12.5', 12.5],
  [' 1,80 ', 1.8],
  ['0', 0],
])('“%s” is %s', (typed, amount) => {
  expect(amountOf(typed)).toBe(amount)
})

it.each(['soon', '-1', '1,2,3', '12 €'])('“%s” is no amount', (typed) => {
  expect(amountOf(typed)).toBeNaN()
})
