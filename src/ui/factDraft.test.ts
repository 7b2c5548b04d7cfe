import { expect, it } from 'vitest'
import { benchFactSpec } from '../core/document'
import { heron } from '../data/heron'
import type { Draft } from '../state'
import { draftOf, proposed, sayKept } from './factDraft'

const { bench } = heron()
const spec = benchFactSpec('motion.axes.x.travel')!
const travel = bench.motion.axes['x']!.travel
const habits = { spec, bench, tool: 'calipers', today: '2026-11-26', untouched: true }
const guess: Draft = { typed: '430', origin: 'assumed', doubtTyped: '20', instrumentId: '', day: '' }

it('a length typed over a guess is a reading of today with what was last used, as far as that reads', () => {
  expect(proposed(guess, { typed: '120.4' }, habits)).toEqual({
    origin: 'measured',
    doubtTyped: '',
    day: '2026-11-26',
    instrumentId: 'calipers',
  })
  // 430 mm are beyond the calipers' jaws.
  expect(proposed(guess, { typed: '430.2' }, habits)).not.toHaveProperty('instrumentId')
})

it('a new reading does not take over the ± of the one before, nor its day; a ± typed since stays', () => {
  const before = draftOf({ ...travel, origin: 'measured', doubt: { kind: 'standard', u: 0.3 }, at: '2026-01-02T12:00:00.000Z' })
  expect(before.doubtTyped).toBe('0.30')
  expect(proposed(before, { typed: '431' }, habits)).toMatchObject({ doubtTyped: '', day: '2026-11-26' })
  expect(proposed({ ...before, doubtTyped: '0.1' }, { typed: '432' }, { ...habits, untouched: false })).toEqual({})
  expect(proposed(guess, { origin: 'measured' }, { ...habits, untouched: false })).not.toHaveProperty('doubtTyped')
})

it('says the ± that is kept, and where it comes from', () => {
  const said = (over: Partial<Draft>) => sayKept({ ...guess, doubtTyped: '', ...over }, spec, bench)
  // The demo's calipers are good to 0.02 mm (u), so that 95 % are twice that.
  expect(said({ origin: 'measured', typed: '120', instrumentId: 'calipers' })).toMatch(
    /^Kept with ± 0\.040.mm, about 95 % .*caliper/,
  )
  expect(said({ origin: 'measured', typed: '120' })).toMatch(/a guess, for nothing says how well it was read/)
  expect(said({ origin: 'stated', typed: '120' })).toMatch(/what labels are usually good to/)
  expect(said({ origin: 'stated', typed: '120 ± 2' })).toMatch(/^Kept with ± 2\.0.mm, as you say\.$/)
  expect(said({ typed: 'wide' })).toBe('')
})
