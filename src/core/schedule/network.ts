import { accepted, refused, type Outcome } from '../units'

/** A task of the network. Times in minutes. */
export interface Task {
  readonly id: string
  readonly name: string
  /** Work; 0 or more. */
  readonly workMin: number
  /** Wait behind it, by the clock, before what needs it may begin; 0 or more. */
  readonly waitMin: number
  /** Ids of tasks that come before. */
  readonly needs: readonly string[]
}

/** Earliest and latest times of a task, minutes from the start. */
export interface Timed {
  readonly earliestStart: number
  readonly earliestFinish: number
  readonly latestStart: number
  readonly latestFinish: number
  readonly float: number
  readonly critical: boolean
}

export interface Network {
  readonly times: ReadonlyMap<string, Timed>
  /** Tasks in an order in which each comes behind what it needs. */
  readonly order: readonly string[]
  /** Until the last wait is over, minutes. */
  readonly totalMin: number
  /** One critical path from beginning to end. */
  readonly path: readonly string[]
}

/**
 * Earliest and latest times of every task.
 * @returns The network; refused, with the tasks by name, where some wait for one another in a ring, and where a task
 * needs one that there is not.
 * Source: critical path method; the wait of a task counts as part of it for what follows.
 */
export function timeNetwork(tasks: readonly Task[]): Outcome<Network> {
  const byId = new Map(tasks.map((it) => [it.id, it]))
  for (const task of tasks) {
    const lost = task.needs.find((id) => !byId.has(id))
    if (lost !== undefined) {
      return refused('no-such-task', `“${task.name}” waits for a task that is gone. Take that out of what it waits for.`, {
        path: task.id,
      })
    }
  }
  const order = ordered(tasks)
  if (order === null) {
    const ring = ringOf(tasks).map((id) => byId.get(id)?.name ?? id)
    return refused('ring', `These tasks wait for each other: ${ring.join(' → ')}. Take one of the waits away.`)
  }
  const finish = new Map<string, number>()
  const start = new Map<string, number>()
  for (const id of order) {
    const task = byId.get(id) as Task
    const es = Math.max(0, ...task.needs.map((need) => finish.get(need) ?? 0))
    start.set(id, es)
    finish.set(id, es + task.workMin + task.waitMin)
  }
  const totalMin = Math.max(0, ...finish.values())
  const latest = new Map<string, number>()
  for (const id of [...order].reverse()) {
    const followers = tasks.filter((it) => it.needs.includes(id))
    const lf = Math.min(totalMin, ...followers.map((it) => (latest.get(it.id) ?? totalMin) - it.workMin - it.waitMin))
    latest.set(id, lf)
  }
  const times = new Map(
    order.map((id): [string, Timed] => {
      const { workMin, waitMin } = byId.get(id) as Task
      const [es, lf] = [start.get(id) ?? 0, latest.get(id) ?? totalMin]
      const length = workMin + waitMin
      const float = lf - length - es
      return [
        id,
        {
          earliestStart: es,
          earliestFinish: es + length,
          latestStart: lf - length,
          latestFinish: lf,
          float,
          critical: float < 1e-9,
        },
      ]
    }),
  )
  return accepted({ times, order, totalMin, path: pathOf(order, byId, times, totalMin) })
}

/** A topological order that keeps to the given one where it is free to; null where there is a ring. */
function ordered(tasks: readonly Task[]): string[] | null {
  const done = new Set<string>()
  const out: string[] = []
  while (out.length < tasks.length) {
    const next = tasks.find((it) => !done.has(it.id) && it.needs.every((need) => done.has(need)))
    if (next === undefined) return null
    done.add(next.id)
    out.push(next.id)
  }
  return out
}

/** One ring among the tasks that have no order, first task repeated at its end. */
function ringOf(tasks: readonly Task[]): string[] {
  const byId = new Map(tasks.map((it) => [it.id, it]))
  const seen: string[] = []
  const walk = (id: string): string[] | null => {
    const at = seen.indexOf(id)
    if (at >= 0) return [...seen.slice(at), id].reverse()
    seen.push(id)
    for (const need of byId.get(id)?.needs ?? []) {
      const found = walk(need)
      if (found !== null) return found
    }
    seen.pop()
    return null
  }
  for (const { id } of tasks) {
    const found = walk(id)
    if (found !== null) return found
  }
  return []
}

function pathOf(
  order: readonly string[],
  byId: ReadonlyMap<string, Task>,
  times: ReadonlyMap<string, Timed>,
  totalMin: number,
): string[] {
  const path: string[] = []
  let at = order.find((id) => times.get(id)?.critical === true && times.get(id)?.earliestFinish === totalMin)
  while (at !== undefined) {
    path.unshift(at)
    const { earliestStart = 0 } = times.get(at) ?? {}
    at = byId.get(at)?.needs.find((id) => times.get(id)?.critical === true && times.get(id)?.earliestFinish === earliestStart)
  }
  return path
}
