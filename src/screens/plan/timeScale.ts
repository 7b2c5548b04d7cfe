import { localAfter } from '../../core/schedule'
import { sayDay } from './taskWords'

const HOUR = 60
const DAY = 24 * HOUR
/** A plan that is over within this is drawn by the hour, min. */
const SHORT = 10 * HOUR
/** Room for a time, and for a day, px. */
const ROOM = { time: 44, day: 64 }
const STEPS = [15, 30, HOUR, 2 * HOUR]

export interface TimeScale {
  /** What is drawn, minutes from midnight of the first day. */
  readonly from: number
  readonly to: number
  readonly marks: readonly { readonly at: number; readonly words: string }[]
  /** The day, where all that is drawn lies within a few hours of it. */
  readonly day: string | null
}

/**
 * What the schedule draws and where it is marked: hours of a change-over, days of a build.
 * @param first Day from whose midnight minutes are counted. @param now Present minute. @param last When all is over.
 * @param widthPx Of the drawing without its names.
 */
export function timeScale(first: string, now: number, last: number, widthPx: number): TimeScale {
  return last - now <= SHORT ? hours(first, now, last, widthPx) : days(first, last, widthPx)
}

function hours(first: string, now: number, last: number, widthPx: number): TimeScale {
  const from = Math.floor(now / HOUR) * HOUR
  const to = Math.max(from + 2 * HOUR, Math.ceil(last / HOUR) * HOUR)
  const step = STEPS.find((it) => (widthPx * it) / (to - from) >= ROOM.time) ?? 4 * HOUR
  const marks = every(from, to, step).map((at) => ({ at, words: localAfter(first, at).slice(11) }))
  return { from, to, marks, day: sayDay(localAfter(first, from).slice(0, 10)) }
}

function days(first: string, last: number, widthPx: number): TimeScale {
  const to = (Math.ceil(last / DAY) + 1) * DAY
  const named = Math.ceil(ROOM.day / ((widthPx * DAY) / to))
  const marks = every(0, to, DAY).map((at, day) => ({
    at,
    words: day % named === 0 ? sayDay(localAfter(first, at).slice(0, 10)) : '',
  }))
  return { from: 0, to, marks, day: null }
}

function every(from: number, to: number, step: number): readonly number[] {
  return Array.from({ length: Math.ceil((to - from) / step) }, (_, i) => from + i * step)
}
