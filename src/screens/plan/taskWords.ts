import { localAfter, sayMinutes, type Hindrance, type Placed, type PlanTask } from '../../core/schedule'
import type { PlannedNow } from '../../state'

const HINDERED: Readonly<Record<Hindrance, string>> = {
  task: 'waits for a task',
  wait: 'something dries',
  parcel: 'waits for a parcel',
  putOff: 'put off',
  noise: 'quiet hours',
}

/** Where a task stands at this moment, in words. */
export function taskStanding(id: string, task: PlanTask, { hindrances, quietInMin }: PlannedNow) {
  if (task.done !== '') return { done: true, doable: false, words: 'done' }
  const hindered = hindrances.get(id) ?? []
  if (hindered.length > 0) return { done: false, doable: false, words: hindered.map((it) => HINDERED[it]).join(', ') }
  const short = task.noisy && quietInMin < task.workMin
  return { done: false, doable: true, words: short ? `can be begun; quiet in ${sayMinutes(quietInMin)}` : 'can be done now' }
}

const HELD: Readonly<Record<Placed['heldBy'], string>> = {
  task: '',
  done: '',
  parcel: ', held back by a parcel',
  putOff: ', as it was put off',
  time: ', held back by free time',
}

/** When an open task is planned, and how much later it may end without holding up the end; null where it is not planned. */
export function sayPlanned(id: string, { calendar, first }: PlannedNow): string | null {
  if (!calendar.ok) return null
  const { placed, network } = calendar.value
  const [place, timed] = [placed.get(id), network.times.get(id)]
  if (place === undefined || place.heldBy === 'done' || timed === undefined) return null
  const float = timed.critical
    ? 'It has no float: what delays it delays the end.'
    : `Of work and drying it has ${sayMinutes(Math.round(timed.float))} of float.`
  return `Planned from ${sayFromTo(first, place)}${HELD[place.heldBy]}. ${float}`
}

/** When a task is worked on, for a printed list: Tue 1 Dec, 18:00 to 19:30; empty where it is not planned or done. */
export function sayPlace(id: string, { calendar, first }: PlannedNow): string {
  const place = calendar.ok ? calendar.value.placed.get(id) : undefined
  return place === undefined || place.heldBy === 'done' ? '' : sayFromTo(first, place)
}

function sayFromTo(first: string, place: Placed): string {
  const [start, end] = [localAfter(first, place.start), localAfter(first, place.end)]
  const [from, to] = [start, end].map((it) => `${sayDay(it.slice(0, 10))}, ${it.slice(11)}`)
  return `${from} to ${start.slice(0, 10) === end.slice(0, 10) ? end.slice(11) : to}`
}

/** A day as it is said: Tue 1 Dec. */
export function sayDay(day: string): string {
  return new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  })
}
