import { effectiveDof } from '../bench'
import { fitLine } from '../calibrate'
import { requireInRange } from '../units'
import { gapFlow } from './box'

/** What was read with the inlet set one way. */
export interface AirReading {
  /** Mean velocity where the air leaves, and at the inlet, 0 where that is shut, m/s. */
  readonly out: number
  readonly inlet: number
  /** Box below the room, Pa. */
  readonly below: number
  /** Suction just before the fan, Pa. */
  readonly suction: number
}

/** Where it was read, and how well. */
export interface AirMeters {
  /** Free areas, cm². */
  readonly outArea: number
  readonly inletArea: number
  /** What all readings of the anemometer are wrong by together, as a share: its standard uncertainty. */
  readonly scale: number
}

/** A value from readings with its standard uncertainty. */
export interface FromReadings {
  readonly value: number
  readonly u: number
  readonly dof: number
}

/**
 * What leaks into a box, as sharp edges of so much area, cm²: what leaves less what comes in by the inlet, over what a gap lets through at the same pressure.
 * @param readings Three or more, best with the inlet shut, half open and open. @throws {RangeError} for fewer than two readings, or none with the box below the room.
 * Valid: readings of one scatter, a box that leaks by gaps. Source: least squares through the origin; its scatter, and the anemometer’s scale in quadrature (JCGM 100:2008, 5.1.2, G.4.1).
 */
export function leakFromReadings(readings: readonly AirReading[], { outArea, inletArea, scale }: AirMeters): FromReadings {
  requireInRange('readings', readings.length, 2, Infinity)
  const rows = readings.map(({ out, inlet, below }) => ({
    x: gapFlow(1, Math.max(0, below)),
    y: (out * outArea - inlet * inletArea) / 1e4,
  }))
  const sxx = rows.reduce((sum, { x }) => sum + x * x, 0)
  requireInRange('pressure of the box', sxx, Number.MIN_VALUE, Infinity)
  const value = rows.reduce((sum, { x, y }) => sum + x * y, 0) / sxx
  const dof = rows.length - 1
  const scatter = Math.sqrt(rows.reduce((sum, { x, y }) => sum + (y - value * x) ** 2, 0) / dof)
  return together(value, scatter / Math.sqrt(sxx), dof, value * scale)
}

/**
 * Flow of what was read again and again with nothing changed, m³/s. @throws {RangeError} for fewer than two readings. Valid: readings that know nothing of each other.
 * Source: mean, its scatter over √n, the anemometer’s scale in quadrature (JCGM 100:2008, 4.2, 5.1.2).
 */
export function flowFromReadings(readings: readonly AirReading[], { outArea, scale }: AirMeters): FromReadings {
  requireInRange('readings', readings.length, 2, Infinity)
  const flows = readings.map((it) => (it.out * outArea) / 1e4)
  const value = flows.reduce((sum, it) => sum + it, 0) / flows.length
  const dof = flows.length - 1
  const scatter = Math.sqrt(flows.reduce((sum, it) => sum + (it - value) ** 2, 0) / dof)
  return together(value, scatter / Math.sqrt(flows.length), dof, value * scale)
}

/**
 * Static pressure that the fan really gives at a flow, Pa, by a straight line through what was read at several settings. @param flow m³/s. @throws {RangeError} for fewer than three readings, or all at one flow.
 * Valid: between the flows that were read, where its curve is nearly straight. Source: least squares, ± of the line at that place (JCGM 100:2008, H.3.4).
 */
export function fanFromReadings(readings: readonly AirReading[], { outArea, scale }: AirMeters, flow: number): FromReadings {
  requireInRange('readings', readings.length, 3, Infinity)
  // A pressure of the line has the anemometer's scale in its flow.
  const spans = readings.map(({ out, suction }) => ({ commanded: (out * outArea) / 1e4, measured: suction }))
  const line = fitLine(spans)
  const [uSlope, uStart] = [line.uSlope ?? 0, line.uIntercept ?? 0]
  const value = line.intercept + line.slope * flow
  const variance = uStart ** 2 + (flow * uSlope) ** 2 + 2 * line.correlation * uStart * uSlope * flow
  return together(value, Math.sqrt(Math.max(0, variance)), line.dof, line.slope * flow * scale)
}

/** Scatter and a share that all readings have in common. */
function together(value: number, own: number, dof: number, shared: number): FromReadings {
  const parts = [
    { c: own, dof },
    { c: shared, dof: Infinity },
  ]
  return { value, u: Math.hypot(own, shared), dof: effectiveDof(parts) }
}

/** Area of a round opening, m². @param diameter Inside, mm. Valid: 0 or more. Source: by definition. @example roundArea(98.6) // 0.007636 */
export function roundArea(diameter: number): number {
  return Math.PI * (diameter / 2000) ** 2
}

/** Flow through where the air leaves, m³/s. @param speed Mean there, m/s. @param diameter Inside, mm. Valid: round openings. Source: continuity. @example flowThrough(4.25, 98.6) // 0.03245 */
export function flowThrough(speed: number, diameter: number): number {
  return speed * roundArea(diameter)
}
