import { accepted, refused, requireInRange, type Outcome } from '../units'

/** A place on a fan's curve: flow m³/s, static pressure Pa. */
export interface FanPoint {
  readonly flow: number
  readonly pressure: number
}

/** A fan's curve: flows that grow and pressures that fall. `fanCurve` makes one. */
export type FanCurve = readonly FanPoint[]

/**
 * A fan's curve from its points, in any order. @returns It, or why there is none: fewer than two points, a pressure below 0, two pressures at one flow, a curve
 * that rises, where a fan has no single place to work at. Valid: flows m³/s, pressures Pa. Source: by definition; between points along straight lines.
 */
export function fanCurve(points: readonly FanPoint[]): Outcome<FanCurve> {
  const sorted = [...points].sort((p, q) => p.flow - q.flow)
  if (sorted.length < 2)
    return refused(
      'one-point',
      'A fan is known by two points at least: the flow without any resistance, and the pressure with the opening shut. A label with one flow says how it blows into free air only.',
    )
  for (const [k, { flow, pressure }] of sorted.entries()) {
    if (!(flow >= 0 && pressure >= 0))
      return refused(
        'negative',
        'Flow and static pressure of a fan are 0 or more: what is beyond its free flow belongs to no fan.',
      )
    const before = sorted[k - 1]
    if (before === undefined) continue
    if (flow === before.flow) return refused('twice', 'Two pressures stand at the same flow: take one of them out.')
    if (pressure >= before.pressure)
      return refused(
        'rising',
        `The pressure does not fall from ${hourly(before.flow)} to ${hourly(flow)} m³/h. Where a curve rises a fan has no single place to work at: leave out the part below its hump.`,
      )
  }
  return accepted(sorted)
}

const hourly = (flow: number): string => String(Math.round(flow * 3600))

/** The place of a curve's line that a value falls in: the last line goes on beyond the end, the first before the beginning. */
function lineAt(curve: FanCurve, isBefore: (point: FanPoint) => boolean): readonly [FanPoint, FanPoint] {
  const found = curve.findIndex((it, k) => k > 0 && isBefore(it))
  const k = found < 0 ? curve.length - 1 : found
  return [curve[k - 1] as FanPoint, curve[k] as FanPoint]
}

/**
 * Static pressure that a fan gives, Pa. @param flow m³/s; beyond the free flow it is less than 0, against a fan that is blown through.
 * @throws never for a curve of `fanCurve`. Valid: between its points; beyond them along its last lines. Source: straight lines between points.
 * @example fanPressure([{ flow: 0, pressure: 300 }, { flow: 0.1, pressure: 0 }], 0.05) // 150
 */
export function fanPressure(curve: FanCurve, flow: number): number {
  const [p, q] = lineAt(curve, (it) => it.flow >= flow)
  return p.pressure + ((q.pressure - p.pressure) * (flow - p.flow)) / (q.flow - p.flow)
}

/** How fast that pressure falls with the flow, Pa·s/m³; less than 0. Valid: between its points; beyond them its last lines. Source: straight lines between points. @example fanSlope([{ flow: 0, pressure: 300 }, { flow: 0.1, pressure: 0 }], 0.05) // -3000 */
export function fanSlope(curve: FanCurve, flow: number): number {
  const [p, q] = lineAt(curve, (it) => it.flow >= flow)
  return (q.pressure - p.pressure) / (q.flow - p.flow)
}

/** Flow that a fan moves against a static pressure, m³/s. @param pressure Pa. Valid: between its points; beyond them along its last lines. Source: the inverse of `fanPressure`. @example fanFlow([{ flow: 0, pressure: 300 }, { flow: 0.1, pressure: 0 }], 150) // 0.05 */
export function fanFlow(curve: FanCurve, pressure: number): number {
  const [p, q] = lineAt(curve, (it) => it.pressure <= pressure)
  return p.flow + ((q.flow - p.flow) * (pressure - p.pressure)) / (q.pressure - p.pressure)
}

/**
 * The same fan at another speed and in other air. @param speed Ratio to the speed of its curve. @param density Ratio to the air of its curve.
 * @throws {RangeError} for a ratio that is not above 0. Valid: half to twice the speed. Source: fan laws, Q ∝ n, p ∝ n²ρ (from memory).
 */
export function fanAtSpeed(curve: FanCurve, speed: number, density = 1): FanCurve {
  requireInRange('speed', speed, 1e-6, 100)
  requireInRange('density', density, 1e-6, 10)
  return curve.map((it) => ({ flow: it.flow * speed, pressure: it.pressure * speed * speed * density }))
}

/** Fans one after the other: the same air goes through all, pressures add. @throws never for curves of `fanCurve`. Valid: to the least of the free flows. Source: continuity. */
export function fansInSeries(first: FanCurve, second: FanCurve): FanCurve {
  const least = Math.min(endOf(first), endOf(second))
  const flows = unique([...first, ...second].map((it) => it.flow).filter((it) => it <= least))
  return flows.map((flow) => ({ flow, pressure: fanPressure(first, flow) + fanPressure(second, flow) }))
}

/** Fans side by side: the same pressure stands over all, flows add. @throws never for curves of `fanCurve`. Valid: to the least of the shut-off pressures, above which one blows back through the other. Source: continuity. */
export function fansBeside(first: FanCurve, second: FanCurve): FanCurve {
  const most = Math.min(first[0]?.pressure ?? 0, second[0]?.pressure ?? 0)
  const pressures = unique([...first, ...second].map((it) => it.pressure).filter((it) => it <= most))
  return pressures
    .map((pressure) => ({ pressure, flow: fanFlow(first, pressure) + fanFlow(second, pressure) }))
    .sort((p, q) => p.flow - q.flow)
}

const endOf = (curve: FanCurve): number => curve[curve.length - 1]?.flow ?? 0

function unique(values: readonly number[]): readonly number[] {
  return [...new Set(values)].sort((p, q) => p - q)
}
