import type { Step } from '../gcode'

/** What the light of some steps is like. */
export interface StepsLight {
  /** The most of the power, as a share of full power. */
  readonly power: number
  /** The one speed that is burnt at, mm/s; null where there are several or none. */
  readonly speed: number | null
  /** The longest that it stands on one place, s. */
  readonly longestDot: number
}

/** What the light of some steps is like. Valid: any steps. Source: by definition. */
export function lightOf(steps: Iterable<Step>): StepsLight {
  let [power, longestDot] = [0, 0]
  const speeds = new Set<number>()
  for (const step of steps) {
    if (!('power' in step) || step.power === 0) continue
    power = Math.max(power, step.power)
    if (step.kind === 'dot') longestDot = Math.max(longestDot, step.seconds)
    else speeds.add(step.feed)
  }
  const [only] = speeds
  return { power, speed: speeds.size === 1 ? (only ?? null) : null, longestDot }
}
