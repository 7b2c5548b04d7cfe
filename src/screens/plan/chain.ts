import { getAt, isFact, type Path } from '../../core/bench'
import type { Bench } from '../../core/document'

/** A link of a dimension chain: what stands there, and the fact that says how long it is. */
export interface Link {
  readonly name: string
  readonly path: Path
  /** mm from the beginning of the chain. */
  readonly from: number
  readonly to: number
}

/**
 * The links of a frame along an axis, one behind the other: bar, travel, what travels, bar. With the carriage pushed to
 * the far end its travel lies free before it; where the bed moves along Y it needs its travel on both sides.
 * @returns Null while one of the lengths is not entered.
 */
export function chainOf(bench: Bench, letter: 'X' | 'Y'): readonly Link[] | null {
  const { axes, kinematics } = bench.motion
  const id = Object.keys(axes).find((it) => axes[it]?.letter === letter) ?? ''
  const bar = { name: 'bar', path: 'motion.frame.barWidth' }
  const travel = { name: `travel of ${letter}`, path: `motion.axes.${id}.travel` }
  const mover =
    letter === 'X'
      ? { name: 'carriage', path: 'motion.frame.carriageWidth' }
      : { name: 'gantry', path: 'motion.frame.carriageDepth' }
  const again = letter === 'Y' && kinematics.chosen === 'bed' ? [travel] : []
  const links: Link[] = []
  let at = 0
  for (const { name, path } of [bar, travel, mover, ...again, bar]) {
    const fact = getAt(bench, path)
    if (!isFact(fact) || fact.value === null) return null
    links.push({ name, path, from: at, to: at + fact.value })
    at += fact.value
  }
  return links
}
