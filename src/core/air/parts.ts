import { requireInRange } from '../units'
import { gapDrop } from './box'
import { ductVelocity, frictionPerMetre, velocityPressure } from './duct'
import { fanPressure, type FanCurve } from './fan'

/** What air goes through on its way: it takes pressure, or gives it. */
export type AirPart =
  /** Round duct: inside diameter, length and roughness in mm; `slack` how many times as much as stretched. */
  | {
      readonly kind: 'duct'
      readonly diameter: number
      readonly length: number
      readonly roughness: number
      readonly slack: number
    }
  /** A fitting by its loss in velocity pressures of a diameter, mm. */
  | { readonly kind: 'fitting'; readonly diameter: number; readonly k: number }
  /** Openings and leaks, cm² of sharp edges. */
  | { readonly kind: 'gap'; readonly area: number }
  /** What its maker states: a pressure, Pa, at a flow, m³/s; `power` 1 for a filter, 2 for a flap or a gate. */
  | { readonly kind: 'stated'; readonly flow: number; readonly pressure: number; readonly power: 1 | 2 }
  | { readonly kind: 'fan'; readonly curve: FanCurve }

/**
 * Pressure that a part adds at a flow, Pa; what takes pressure adds less than 0, and works both ways alike. @param flow m³/s, along the branch.
 * @throws {RangeError} for a size that is not above 0. Valid: air at 20 °C. Source: Darcy–Weisbach, fittings by velocity pressures, orifices, the fan's curve.
 * @example partGain({ kind: 'fitting', diameter: 100, k: 1 }, 0.05556) // -30.126
 */
export function partGain(part: AirPart, flow: number): number {
  switch (part.kind) {
    case 'duct': {
      requireInRange('length', part.length, 0, 1e6, 'mm')
      return -Math.sign(flow) * frictionPerMetre(flow, part.diameter, part.roughness) * (part.length / 1000) * part.slack
    }
    case 'fitting':
      return -Math.sign(flow) * part.k * velocityPressure(ductVelocity(flow, part.diameter))
    case 'gap':
      return -gapDrop(part.area, flow)
    case 'stated': {
      requireInRange('stated flow', part.flow, Number.MIN_VALUE, 1e3, 'm³/s')
      return -Math.sign(flow) * part.pressure * Math.abs(flow / part.flow) ** part.power
    }
    case 'fan':
      return fanPressure(part.curve, flow)
  }
}
