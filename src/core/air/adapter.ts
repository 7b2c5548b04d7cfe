import { accepted, refused, type Outcome } from '../units'
import { ductVelocity, velocityPressure } from './duct'
import { narrowingLoss, wideningLoss } from './fittings'
import type { OnProfile } from './mesh'

/** An end of an adapter: it goes over what was measured outside, or into what was measured inside. */
export interface AdapterEnd {
  readonly goes: 'over' | 'into'
  /** As measured with calipers, mm. */
  readonly diameter: number
  /** How far it overlaps, mm. */
  readonly length: number
}

/** How it is printed, and how it fits. */
export interface Printing {
  /** Width of a line of the nozzle, mm, and how many make the wall. */
  readonly nozzle: number
  readonly lines: number
  /** Left between the parts all round, on the diameter, mm. */
  readonly play: number
}

/** An adapter between two ducts, its lower end on the bed. */
export interface Adapter {
  readonly profile: readonly OnProfile[]
  readonly height: number
  readonly wall: number
  /** Narrowest that the air goes through, mm. */
  readonly bore: number
}

/** Ring that pipes stop at stands in by so much, mm. */
const STOP = 1.5

/** Least wall that is stiff and tight, mm. (common practice) */
const LEAST_WALL = 1.2

/**
 * An adapter from a lower to an upper end, its cone as steep as is printed without support. @returns Its profile; or what contradicts: a wall thinner than 1.2 mm, an end without
 * overlap, a bore that is closed. Valid: round ends. Source: fits on measured diameters; walls a whole number of lines; 45° cones (common practice).
 */
export function adapterOf(low: AdapterEnd, high: AdapterEnd, { nozzle, lines, play }: Printing): Outcome<Adapter> {
  const wall = nozzle * lines
  if (!(wall >= LEAST_WALL))
    return refused(
      'thin-wall',
      `A wall of ${lines} lines of ${nozzle} mm is ${round(wall)} mm: 1.2 mm or more holds and is tight.`,
    )
  const short = [low, high].find((it) => !(it.length >= 5))
  if (short !== undefined)
    return refused('no-overlap', `An end that overlaps by ${round(short.length)} mm does not hold: give it 5 mm or more.`)
  const [p, q] = [boreOf(low, wall, play), boreOf(high, wall, play)]
  if (!(Math.min(p, q) > 2 * wall))
    return refused('closed', 'One end is so narrow that its wall closes it: measure its diameter again, or take fewer lines.')
  const rise = Math.abs(p - q) / 2
  const [a, b] = [p / 2, q / 2]
  // Pipes that are pushed in stop at the cone, or at a ring where there is none.
  const ring = Math.min(a, b) - (low.goes === 'over' && high.goes === 'over' && rise < STOP ? STOP : 0)
  const tall = Math.max(rise, wall, a + b - 2 * ring + 1)
  const [z1, z2] = [low.length, low.length + tall]
  const height = z2 + high.length
  const profile = [
    { r: a, z: 0 },
    { r: a + wall, z: 0 },
    { r: a + wall, z: z1 },
    { r: b + wall, z: z2 },
    { r: b + wall, z: height },
    { r: b, z: height },
    { r: b, z: z2 },
    ...(ring < Math.min(a, b) ? stopRing(ring, a, b, z1, z2) : []),
    { r: a, z: z1 },
  ]
  return accepted({ profile, height, wall, bore: 2 * ring })
}

/** Inner places of the ring from above, its flanks at 45°. */
function stopRing(ring: number, a: number, b: number, z1: number, z2: number): readonly OnProfile[] {
  return [
    { r: ring, z: z2 - (b - ring) },
    { r: ring, z: z1 + (a - ring) },
  ]
}

const round = (mm: number): number => Math.round(mm * 10) / 10

/** Inside diameter of an end, mm: what goes over is as wide as what it goes over, what goes into is narrower by its walls. */
function boreOf({ goes, diameter }: AdapterEnd, wall: number, play: number): number {
  return goes === 'over' ? diameter + play : diameter - play - 2 * wall
}

/**
 * Pressure that an adapter takes, Pa, as a sudden step: its cone does a little better. @param from Inside diameter that the air comes from, mm. @param to That it goes into. @param flow m³/s.
 * @throws {RangeError} for a diameter that is not above 0. Valid: round ducts. Source: Borda–Carnot and its like for narrowing, on the narrow side.
 * @example adapterDrop(125, 100, 0.05556) // 5.423
 */
export function adapterDrop(from: number, to: number, flow: number): number {
  if (from === to) return 0
  const narrow = Math.min(from, to)
  const k = from < to ? wideningLoss(from, to) : narrowingLoss(from, to)
  return k * velocityPressure(ductVelocity(flow, narrow))
}
