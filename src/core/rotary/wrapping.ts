import { chordsOfArc, type Step } from '../gcode'
import { requireInRange } from '../units'
import { unrollCone } from './cone'

/** The stretch of an object that a flat order is laid on. Lengths in mm. */
export interface WrappedZone {
  /** Which machine axis lies along the object. */
  readonly along: 'x' | 'y'
  /** Where the flat begins along it, and its middle across, on the machine. */
  readonly start: number
  readonly middle: number
  /** Diameters where the stretch begins and ends, and its length along the slope. */
  readonly first: number
  readonly last: number
  readonly length: number
}

/** Diameters that differ by less than this are one: the flat is a rectangle, mm. */
const ALIKE = 0.02

/**
 * Where a place of the flat comes to lie: along the slope from where the stretch begins, mm, and about the axis, rad.
 * @param zone The stretch. @param u Along, from where it begins, mm. @param v Across, from its middle, mm. @throws {RangeError} where a diameter or the length is not more than 0.
 * Valid: a cylinder, or a cone by its development about the middle line. Source: lengths along the slope and about the axis stay as they are on the development.
 */
export function wrappedPlace(
  { first, last, length }: WrappedZone,
  u: number,
  v: number,
): { readonly along: number; readonly turn: number } {
  requireInRange('first', first, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('last', last, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('length', length, Number.MIN_VALUE, 1e5, 'mm')
  if (Math.abs(first - last) < ALIKE) return { along: u, turn: (4 * v) / (first + last) }
  // The development's length is along the axis; the stretch was given along the slope.
  const axial = Math.sqrt(Math.max(1e-12, length * length - ((first - last) / 2) ** 2))
  const flat = unrollCone(Math.max(first, last), Math.min(first, last), axial)
  const grows = last > first
  const from = grows ? flat.inner : flat.outer
  const across = grows ? from + u : from - u
  const radius = Math.hypot(across, v)
  return { along: grows ? radius - from : from - radius, turn: (Math.atan2(v, across) * 2 * Math.PI) / flat.angle }
}

/**
 * Steps of a flat order as the machine must go so that they lie on the object as on its development: what goes round is counted as surface in the
 * middle of the stretch. @param steps Of the plane XY. @param zone Where they lie. @param within How near every way keeps to the true one, mm; more than 0.
 * @throws {RangeError} where a size is not more than 0. Valid: a levelled top line. Source: every line is halved until its middle lies within; the feed keeps the speed along the surface.
 */
export function wrapSteps(steps: Iterable<Step>, zone: WrappedZone, within: number): readonly Step[] {
  requireInRange('within', within, Number.MIN_VALUE, 10, 'mm')
  const middle = (zone.first + zone.last) / 4
  const alongX = zone.along === 'x'
  const onMachine = (x: number, y: number): readonly [x: number, y: number] => {
    const [u, v] = alongX ? [x - zone.start, y - zone.middle] : [y - zone.start, x - zone.middle]
    const { along, turn } = wrappedPlace(zone, u, v)
    const [a, b] = [zone.start + along, zone.middle + turn * middle]
    return alongX ? [a, b] : [b, a]
  }
  const out: Step[] = []
  let at: readonly [x: number, y: number] = [0, 0]
  const line = (step: { readonly feed: number; readonly power: number; readonly z?: number }, x: number, y: number): void => {
    for (const [toX, toY] of halved(at, [x, y], onMachine, within)) {
      const [from, to] = [onMachine(...at), onMachine(toX, toY)]
      const flat = Math.hypot(toX - at[0], toY - at[1])
      const share = flat === 0 ? 1 : Math.hypot(to[0] - from[0], to[1] - from[1]) / flat
      const z = step.z === undefined ? {} : { z: step.z }
      out.push({ kind: 'line', x: to[0], y: to[1], ...z, feed: step.feed * share, power: step.power })
      at = [toX, toY]
    }
  }
  const all = [...steps]
  for (const [k, step] of all.entries()) {
    if (step.kind === 'rapid') {
      // A way home ends where the machine has its zero, whatever the object.
      const [x, y] = leadsToWork(all, k) ? onMachine(step.x, step.y) : [step.x, step.y]
      out.push({ ...step, x, y })
      at = [step.x, step.y]
    } else if (step.kind === 'line') line(step, step.x, step.y)
    else if (step.kind === 'arc') for (const [x, y] of chordsOfArc(at, step, within / 2)) line(step, x, y)
    else out.push(step)
  }
  return out
}

/** Whether something is burnt, or a line gone, from where a dark way ends. */
function leadsToWork(steps: readonly Step[], k: number): boolean {
  const next = steps.slice(k + 1, k + 8).find((it) => it.kind !== 'wait' && it.kind !== 'remark' && it.kind !== 'pause')
  return next !== undefined && next.kind !== 'rapid' && next.kind !== 'turn'
}

/** A straight way in pieces whose middles lie near enough to where they should. */
function halved(
  from: readonly [number, number],
  to: readonly [number, number],
  onMachine: (x: number, y: number) => readonly [number, number],
  within: number,
  depth = 0,
): readonly (readonly [number, number])[] {
  const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const
  const [a, b, m] = [onMachine(...from), onMachine(...to), onMachine(...middle)]
  const off = Math.hypot(m[0] - (a[0] + b[0]) / 2, m[1] - (a[1] + b[1]) / 2)
  if (off <= within || depth >= 12) return [to]
  return [...halved(from, middle, onMachine, within, depth + 1), ...halved(middle, to, onMachine, within, depth + 1)]
}
