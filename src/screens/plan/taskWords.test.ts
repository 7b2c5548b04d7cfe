import { sayMinutes } from '../../core/schedule'
import { describe, expect, it } from 'vitest'
import { setAt } from '../../core/bench'
import type { Bench } from '../../core/document'
import { heron } from '../../data/heron'
import { planNow } from '../../state'
import { sayPlanned, taskStanding } from './taskWords'

const { bench: demo } = heron()
const said = (id: string, now: string, bench: Bench = demo) => {
  const task = bench.plan.tasks[id]
  if (task === undefined) throw new Error(`no task ${id}`)
  return taskStanding(id, task, planNow(bench, now)).words
}

describe('where a task stands', () => {
  it('is said for this very moment: done, to be done, or what it waits for', () => {
    expect(said('cut', '2026-11-25T18:00')).toBe('done')
    expect(said('panels', '2026-11-25T18:00')).toBe('can be done now')
    expect(said('paint', '2026-11-25T18:00')).toBe('waits for a task')
    expect(said('glaze', '2026-11-25T18:00')).toBe('waits for a task, waits for a parcel')
  })

  it('of noise is cut short by the quiet hours, from 20:00, and put off by them', () => {
    expect(said('panels', '2026-11-25T18:01')).toBe('can be begun; quiet in 1 h 59')
    expect(said('panels', '2026-11-25T20:00')).toBe('quiet hours')
    expect(said('panels', '2026-11-26T07:59')).toBe('quiet hours')
    expect(said('panels', '2026-11-26T08:00')).toBe('can be done now')
  })

  it('of paint that dries holds up the window until the minute it is dry', () => {
    const painted = ['panels', 'paint'].reduce((it, id) => setAt(it, `plan.tasks.${id}.done`, '2026-11-25T19:00:00'), demo)
    const here = setAt(painted, 'plan.parts.window.state', 'here')
    expect(said('glaze', '2026-11-26T18:59', here)).toBe('something dries')
    expect(said('glaze', '2026-11-26T19:00', here)).toBe('can be done now')
  })
})

it('when a task is planned is said with its float, and nothing of what is done or cannot be planned', () => {
  // A Wednesday evening free from 18:00; two hours of noise fit before the quiet of 20:00.
  expect(sayPlanned('panels', planNow(demo, '2026-11-25T10:00'))).toBe(
    'Planned from Wed 25 Nov, 18:00 to 20:00, held back by free time. It has no float: what delays it delays the end.',
  )
  const late = setAt(demo, 'plan.parts.switch.arrives', '2026-12-05')
  expect(sayPlanned('interlock', planNow(late, '2026-11-25T10:00'))).toMatch(
    /^Planned from Sat 5 Dec, 12:00 to 12:30, held back by a parcel/,
  )
  expect(sayPlanned('cut', planNow(demo, '2026-11-25T10:00'))).toBeNull()
  const unordered = setAt(demo, 'plan.parts.window.state', 'needed')
  expect(sayPlanned('glaze', planNow(unordered, '2026-11-25T10:00'))).toBeNull()
})

it.each([
  [0, '0 min'],
  [59, '59 min'],
  [60, '1 h'],
  [95, '1 h 35'],
  [1440, '24 h'],
])('%d minutes are %s', (minutes, words) => expect(sayMinutes(minutes)).toBe(words))
