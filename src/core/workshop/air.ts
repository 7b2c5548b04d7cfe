import { between, normal, seeded, type Random } from './random'

/** What a stand-in's box, duct and fan really are. SI units; areas in m². */
export interface HiddenAir {
  /** Gaps of the box, as sharp edges. */
  readonly gaps: number
  /** Pressure of the fan with its mouth shut, Pa, and its flow into free air, m³/s; straight between them. */
  readonly shutOff: number
  readonly freeFlow: number
  /** What the duct takes before the fan and behind it, Pa/(m³/s)². */
  readonly before: number
  readonly behind: number
  /** What the anemometer is wrong by in all its readings, as a share; what it and the water column scatter by. */
  readonly scale: number
  readonly speedNoise: number
  readonly columnNoise: number
}

/** Draws the air of a stand-in. @param number The same number, the same air. */
export function drawAir(number: number): HiddenAir {
  const random = seeded(number ^ 0x61_69_72)
  return {
    gaps: between(random, 8, 60) * 1e-4,
    shutOff: between(random, 180, 420),
    freeFlow: between(random, 120, 260) / 3600,
    before: between(random, 20_000, 90_000),
    behind: between(random, 8000, 25_000),
    scale: between(random, -0.03, 0.03),
    speedNoise: 0.04,
    columnNoise: 1,
  }
}

/** Where and how the air is read: areas in m², how far the inlet stands open. */
export interface AirAsked {
  readonly outArea: number
  readonly inletArea: number
  readonly open: number
}

/** What anemometer and water column say, m/s and Pa. */
export interface AirSaid {
  readonly out: number
  readonly inlet: number
  readonly below: number
  readonly suction: number
}

const DENSITY = 1.204
const JET = 0.61

/**
 * Flow that settles, m³/s, with so much open, m². @param air What it goes through. @param open Gaps and inlet together. Valid: more than 0 open. Source: orifice, quadratic duct and straight fan, found by halving.
 * @example settledFlow({ gaps: 0.002, shutOff: 300, freeFlow: 0.05, before: 0, behind: 0, scale: 0, speedNoise: 0, columnNoise: 0 }, 1e9) // 0.05
 */
export function settledFlow({ shutOff, freeFlow, before, behind }: HiddenAir, open: number): number {
  let [low, high] = [0, freeFlow]
  for (let k = 0; k < 80; k++) {
    const flow = (low + high) / 2
    const takes = (DENSITY / 2) * (flow / (JET * open)) ** 2 + (before + behind) * flow * flow
    if (shutOff * (1 - flow / freeFlow) > takes) low = flow
    else high = flow
  }
  return (low + high) / 2
}

/**
 * What a person reads of the air. @param air What it really is. @param asked Where, and how far the inlet stands open. @param random Draws the noise of the instruments.
 * Valid: areas above 0. Source: the same laws, seen through instruments with a scale of their own.
 */
export function readingOfAir(air: HiddenAir, { outArea, inletArea, open }: AirAsked, random: Random): AirSaid {
  const inletOpen = inletArea * open
  const flow = settledFlow(air, air.gaps + inletOpen)
  const below = (DENSITY / 2) * (flow / (JET * (air.gaps + inletOpen))) ** 2
  const speed = (real: number): number => Math.max(0, real * (1 + air.scale) + air.speedNoise * normal(random))
  const column = (real: number): number => Math.max(0, real + air.columnNoise * normal(random))
  return {
    out: speed(flow / outArea),
    // Read over the whole inlet, so that half of it open shows half of the speed.
    inlet: open === 0 ? 0 : speed((flow * inletOpen) / (air.gaps + inletOpen) / inletArea),
    below: column(below),
    suction: column(below + air.before * flow * flow),
  }
}
