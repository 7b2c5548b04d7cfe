import { describe, expect, it } from 'vitest'
import { timeScale } from './timeScale'

const HOUR = 60
const DAY = 24 * HOUR
const words = (scale: ReturnType<typeof timeScale>) => scale.marks.map((it) => it.words)

describe('the scale of the schedule', () => {
  it('goes by the quarter or half hour for a change-over of an evening, and names its day', () => {
    const scale = timeScale('2026-11-25', 18.5 * HOUR, 19.7 * HOUR, 500)
    expect(scale).toMatchObject({ from: 18 * HOUR, to: 20 * HOUR, day: 'Wed 25 Nov' })
    expect(words(scale)).toEqual(['18:00', '18:15', '18:30', '18:45', '19:00', '19:15', '19:30', '19:45'])
    expect(words(timeScale('2026-11-25', 18.5 * HOUR, 19.7 * HOUR, 250))).toEqual(['18:00', '18:30', '19:00', '19:30'])
  })

  it('goes over midnight where the evening does', () => {
    expect(words(timeScale('2026-11-25', 22.2 * HOUR, 25 * HOUR, 150))).toEqual(['22:00', '23:00', '00:00'])
  })

  it('goes by days for a build, naming as many as have room, with a day behind the last', () => {
    const scale = timeScale('2026-11-24', 18 * HOUR, 8.2 * DAY, 520)
    expect(scale).toMatchObject({ from: 0, to: 10 * DAY, day: null })
    expect(words(scale)).toEqual(['Tue 24 Nov', '', 'Thu 26 Nov', '', 'Sat 28 Nov', '', 'Mon 30 Nov', '', 'Wed 2 Dec', ''])
  })
})
