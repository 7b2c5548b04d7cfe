import { requireInRange } from '../units'

/** Air at 20 °C and 101 325 Pa: kg/m³ and Pa·s. (from memory) */
export const AIR = { density: 1.204, viscosity: 1.825e-5 } as const

/** Wall of a duct: how high what stands out of it is, mm. (common practice) */
export const ROUGHNESS = { smooth: 0.01, metal: 0.09, hose: 3 } as const

/**
 * Mean velocity in a round duct, m/s. @param flow m³/s. @param diameter Inside, mm. @throws {RangeError} for a diameter that is not above 0.
 * Valid: any flow. Source: continuity, v = 4Q/(πD²). @example ductVelocity(0.0556, 100) // 7.079
 */
export function ductVelocity(flow: number, diameter: number): number {
  requireInRange('diameter', diameter, 1e-3, 5000, 'mm')
  return (4 * flow) / (Math.PI * (diameter / 1000) ** 2)
}

/** Reynolds number in a round duct. @param velocity m/s. @param diameter Inside, mm. Valid: any. Source: Re = ρvD/μ. @example reynolds(7.074, 100) // 46669 */
export function reynolds(velocity: number, diameter: number): number {
  return (AIR.density * Math.abs(velocity) * diameter) / 1000 / AIR.viscosity
}

/** Where the flow ceases to be laminar, and where it is turbulent for certain; between the two nobody knows. (common practice) */
const LAMINAR = 2300
const TURBULENT = 4000

/**
 * Friction factor of Darcy and Weisbach. @param re Reynolds number. @param relative Roughness over diameter.
 * @throws {RangeError} for a roughness beyond the model.
 * Valid: relative roughness to 0.1; between Re 2300 and 4000 a straight line joins the two laws, which never falls.
 * Source: 64/Re when laminar; Colebrook (1939) when turbulent, its root by Newton. @example frictionFactor(46666, 0.0009) // 0.02398
 */
export function frictionFactor(re: number, relative: number): number {
  requireInRange('relative roughness', relative, 0, 0.1)
  if (re <= 0) return 0
  if (re <= LAMINAR) return 64 / re
  if (re >= TURBULENT) return colebrook(re, relative)
  const share = (re - LAMINAR) / (TURBULENT - LAMINAR)
  return (1 - share) * (64 / LAMINAR) + share * colebrook(TURBULENT, relative)
}

/** Root of x + 2 log₁₀(ε/3.7 + 2.51x/Re) = 0 for x = 1/√f; the left side is convex and rises, so that Newton never overshoots twice. */
function colebrook(re: number, relative: number): number {
  // Haaland's own form of it (1983), to 2 %.
  let x = -1.8 * Math.log10((relative / 3.7) ** 1.11 + 6.9 / re)
  for (let k = 0; k < 60; k++) {
    const inner = relative / 3.7 + (2.51 * x) / re
    const next = x - (x + 2 * Math.log10(inner)) / (1 + (2 * 2.51) / (Math.LN10 * re * inner))
    if (Math.abs(next - x) < 1e-14 * x) return 1 / (next * next)
    x = next
  }
  return 1 / (x * x)
}

/**
 * Pressure that a metre of duct takes, Pa/m. @param flow m³/s. @param diameter Inside, mm. @param roughness Of the wall, mm.
 * @throws {RangeError} for a diameter or a roughness beyond the model. Valid: roughness to a tenth of the diameter, air at 20 °C.
 * Source: Darcy–Weisbach, f ρv²/(2D). @example frictionPerMetre(0.05556, 100, 0.09) // 7.225
 */
export function frictionPerMetre(flow: number, diameter: number, roughness: number): number {
  const velocity = ductVelocity(flow, diameter)
  const factor = frictionFactor(reynolds(velocity, diameter), roughness / diameter)
  return (factor * velocityPressure(velocity)) / (diameter / 1000)
}

/** Pressure of moving air, Pa. @param velocity m/s. Valid: far below the speed of sound. Source: Bernoulli, ρv²/2. @example velocityPressure(7.07) // 30.09 */
export function velocityPressure(velocity: number): number {
  return (AIR.density * velocity * velocity) / 2
}

/**
 * How many times as much a hose takes that is not stretched. @param diameter mm. @param short How much shorter it lies than stretched, as a share.
 * @throws {RangeError} for a share beyond what was measured. Valid: Ø100 to Ø400, to 45 % short. Source: 1 + 0.58 c e^(−0.00496 D), c in % (ASHRAE, from memory).
 * @example slackFactor(100, 0.15) // 6.298
 */
export function slackFactor(diameter: number, short: number): number {
  requireInRange('short', short, 0, 0.45)
  return 1 + 0.58 * (100 * short) * Math.exp(-0.00496 * diameter)
}
