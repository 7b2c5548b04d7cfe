import type { Happening } from '../../core/log'

const DAY = 86_400_000
/** Steps that days are told in, days. */
const DAYS = [1, 2, 7, 14, 30, 61, 122, 365, 730, 1826] as const
/** Room that a date needs, px. */
const ROOM = 84

/** Days along the line, as many as there is room for. @param from, to Its ends, ms. @param width px. */
export function timeTicks(from: number, to: number, width: number): readonly { readonly ms: number; readonly words: string }[] {
  const most = Math.max(1, Math.floor(width / ROOM))
  const span = to - from
  const step = (DAYS.find((days) => span / (days * DAY) <= most) ?? Math.ceil(span / DAY / most)) * DAY
  const first = Math.ceil(from / DAY) * DAY
  const ticks: { ms: number; words: string }[] = []
  for (let ms = first; ms <= to; ms += step) ticks.push({ ms, words: new Date(ms).toISOString().slice(0, 10) })
  return ticks.length > 0 ? ticks : [{ ms: from, words: new Date(from).toISOString().slice(0, 10) }]
}

/** Hours run as they were read, in the order of time; what goes back (another meter, a clock set back) is left out. */
export function hoursSteps(rows: readonly Happening[]): readonly { readonly ms: number; readonly hours: number }[] {
  const read = rows
    .flatMap(({ at, run }) => (run === null || Number.isNaN(Date.parse(at)) ? [] : [{ ms: Date.parse(at), hours: run / 3600 }]))
    .sort((p, q) => p.ms - q.ms)
  let highest = -Infinity
  return read.filter(({ hours }) => {
    if (hours < highest) return false
    highest = hours
    return true
  })
}
