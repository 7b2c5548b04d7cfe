import { requireInteger, requireInRange } from '../units'

/**
 * The step at which a station stands, counted from the first of all turns: each angle is rounded for itself, none is summed. @param station From 0; may go on over turns.
 * @param stations How many there are in a turn. @param turnSteps Steps for a turn, more than 0; it need not be whole. @returns A whole number of steps, off by half a step at most, however far.
 * @throws {RangeError} where a count is no whole number. Valid: up to 2⁵³ steps. Source: θ_k = k·N/n, rounded; handbook of the trade. @example stationStep(3, 7, 3200) // 1371
 */
export function stationStep(station: number, stations: number, turnSteps: number): number {
  requireInteger('stations', stations, 1, 100_000)
  requireInteger('station', station, 0, Number.MAX_SAFE_INTEGER)
  requireInRange('turnSteps', turnSteps, Number.MIN_VALUE, 1e12)
  // Whole turns and the rest apart, so that no digit is lost over many turns.
  const turns = Math.floor(station / stations)
  return Math.round(turns * turnSteps + ((station % stations) * turnSteps) / stations)
}

/**
 * How many slots fit on a plate from a radius on. @param width Of a slot, mm. @param radius Where it begins, mm. @param wall What is left between two there, mm.
 * @throws {RangeError} where one is out of range. Valid: radius more than 0. Source: 2 r sin(π/n) ≥ w cos(π/n) + wall; handbook of the trade. @example slotsThatFit(9, 40, 3) // 21
 */
export function slotsThatFit(width: number, radius: number, wall: number): number {
  return mostThatFit(
    width,
    radius,
    wall,
    (n) => 2 * radius * Math.sin(Math.PI / n) >= width * Math.cos(Math.PI / n) + wall - NEAR,
  )
}

/**
 * How many discs fit in a ring on a plate. @param diameter Of a disc, mm. @param radius Of the ring of their centres, mm. @param wall What is left between two, mm.
 * @throws {RangeError} where one is out of range. Valid: radius more than 0. Source: 2 R sin(π/n) ≥ d + wall; handbook of the trade. @example discsThatFit(20, 60, 3) // 16
 */
export function discsThatFit(diameter: number, radius: number, wall: number): number {
  return mostThatFit(diameter, radius, wall, (n) => 2 * radius * Math.sin(Math.PI / n) >= diameter + wall - NEAR)
}

/** What is as large as what it is held against, but for rounding, fits, mm. */
const NEAR = 1e-9
const MOST_STATIONS = 10_000

function mostThatFit(size: number, radius: number, wall: number, fits: (n: number) => boolean): number {
  requireInRange('size', size, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('radius', radius, Number.MIN_VALUE, 1e4, 'mm')
  requireInRange('wall', wall, 0, 1e4, 'mm')
  // One alone has no neighbour; from two on more are always closer.
  let most = 1
  while (most < MOST_STATIONS && fits(most + 1)) most++
  return most
}
