import { moveTime } from '../planner'
import { requireInRange } from '../units'
import { type Scan } from './lines'
import { limitsAlong, type ScanMachine } from './machine'
import { sectionsOf, type Section } from './sections'

/** Speed of a scan line and the way in which the head comes up to it. */
export interface RunUp {
  /** mm/s, no more than the machine goes along the scan. */
  readonly speed: number
  /** mm/s². */
  readonly acceleration: number
  /** v²/2a, mm. */
  readonly way: number
}

/** Run-up of a scan. @param speed As wanted, mm/s; more than 0. @throws {RangeError} where it is not. Valid: even acceleration. Source: v²/2a. */
export function runUpOf(speed: number, angleRad: number, { limits }: ScanMachine): RunUp {
  requireInRange('speed', speed, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s')
  const along = limitsAlong(limits, angleRad)
  const reached = Math.min(speed, along.speed)
  return { speed: reached, acceleration: along.acceleration, way: (reached * reached) / (2 * along.acceleration) }
}

/**
 * White that takes as long to cross at the scan's speed as to stop before and begin anew behind, mm.
 * @throws {RangeError} where the speed is not more than 0.
 * Valid: even acceleration. Source: a line more costs a run-up, a run-out, and its share of a way to it, 2v/a and about 2√(pitch/a), and saves gap/v.
 * @example whiteWorth({ speed: 100, acceleration: 1000, way: 5 }, 0.1) // 22
 */
export function whiteWorth({ speed, acceleration }: RunUp, pitch: number): number {
  return speed * ((2 * speed) / acceleration + 2 * Math.sqrt(pitch / acceleration))
}

/** A scan that is parted, and about how long it takes. */
export interface PartedScan {
  readonly scan: Scan
  readonly sections: readonly Section[]
  readonly runUp: RunUp
  /** s, without the way to its beginning. */
  readonly seconds: number
}

/**
 * Parts a scan at its white, and adds up its time. @param speed Of its lines, mm/s; more than 0. @throws {RangeError} where it is not.
 * Valid: the ways between lines from rest to rest. Source: lines·(w/v + 2v/a), and the ways between those that do not turn into one another
 * (handbook of the trade).
 */
export function partedScan(scan: Scan, speed: number, machine: ScanMachine): PartedScan {
  const runUp = runUpOf(speed, scan.angleRad, machine)
  const sections = sectionsOf(scan, whiteWorth(runUp, scan.pitch))
  return { scan, sections, runUp, seconds: secondsOf(scan, sections, runUp, machine) }
}

function secondsOf(scan: Scan, sections: readonly Section[], runUp: RunUp, machine: ScanMachine): number {
  const along = limitsAlong(machine.limits, scan.angleRad)
  const across = limitsAlong(machine.limits, scan.angleRad + Math.PI / 2)
  const travel = (du: number, dv: number): number =>
    Math.max(moveTime(Math.abs(du), along.speed, along.acceleration), moveTime(Math.abs(dv), across.speed, across.acceleration))
  let seconds = 0
  let last: { u: number; v: number } | null = null
  for (const section of sections) {
    section.forEach(({ line, first, end }, k) => {
      const { v, from, to } = scan.lines[line] as Scan['lines'][number]
      const [left, right] = [(from[first] as number) - runUp.way, (to[end - 1] as number) + runUp.way]
      const back = machine.bothWays && k % 2 === 1
      const [begin, finish] = back ? [right, left] : [left, right]
      // A line back begins where the last one ran out: the step across is made on the way.
      const isTurn = k > 0 && machine.bothWays && last !== null && Math.abs(begin - last.u) <= 2 * runUp.way + scan.pitch
      if (last !== null) seconds += isTurn ? Math.abs(begin - last.u) / runUp.speed : travel(begin - last.u, v - last.v)
      seconds += (right - left - 2 * runUp.way) / runUp.speed + (2 * runUp.speed) / runUp.acceleration
      last = { u: finish, v }
    })
  }
  return seconds
}
