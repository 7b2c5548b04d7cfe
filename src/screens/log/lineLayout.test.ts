import { expect, it } from 'vitest'
import { hoursSteps, timeTicks } from './lineLayout'

const DAY = 86_400_000

it.each([
  [3, 600],
  [40, 600],
  [400, 700],
  [4000, 320],
])('marks %d days on %d px with whole days, apart enough to be read, within the line', (days, width) => {
  const from = Date.parse('2026-03-01T10:00:00.000Z')
  const ticks = timeTicks(from, from + days * DAY, width)
  expect(ticks.length).toBeGreaterThan(0)
  for (const { ms, words } of ticks) {
    expect(ms % DAY).toBe(0)
    expect(words).toMatch(/^\d{4}-\d\d-\d\d$/)
  }
  const apart = ticks.slice(1).map(({ ms }, k) => ((ms - (ticks[k]?.ms ?? 0)) / (days * DAY)) * width)
  expect(Math.min(Infinity, ...apart)).toBeGreaterThanOrEqual(60)
})

it('leaves out hours that go back, and what has no time or no hours', () => {
  const row = (at: string, run: number | null) => ({ id: at, at, run, lane: 'note' as const, title: '', text: '', stage: '' })
  const steps = hoursSteps([
    row('2026-03-03T00:00:00.000Z', 7200),
    row('2026-03-01T00:00:00.000Z', 3600),
    row('2026-03-04T00:00:00.000Z', 1800),
    row('2026-03-05T00:00:00.000Z', null),
    row('nonsense', 9000),
    row('2026-03-06T00:00:00.000Z', 10_800),
  ])
  expect(steps.map((it) => it.hours)).toEqual([1, 2, 3])
})
