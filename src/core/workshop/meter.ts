import { between, normal, seeded } from './random'

/** A circuit as it is wired on the stand-in's bench, before anything is hidden in it. */
export interface MeterCircuit {
  readonly blocks: readonly MeterBlock[]
  /** From the side of the source; Ω of copper there and back. */
  readonly wires: readonly { readonly id: string; readonly from: string; readonly to: string; readonly ohms: number }[]
}

export interface MeterBlock {
  readonly id: string
  readonly does: 'gives' | 'converts' | 'takes' | 'passes'
  /** V that it gives or makes. */
  readonly volts: number
  /** W that it takes, or A. */
  readonly watts: number
  readonly amps: number
  /** Of a converter, 0…1. */
  readonly efficiency: number
}

/** Ω that every joint adds, and what one bad plug adds to that. */
const JOINT = { least: 0.004, most: 0.014, bad: 0.11 }
/** Share by which the power meter's own scale may be off, standard uncertainty. */
const LIGHT_SCALE = 0.03
/** Share by which a supply may be off. */
const SUPPLY_OFF = 0.008
const SWEEPS = 80

/** A word as a whole number, so that each wire hides the same joint whenever it is asked. */
function numberOf(word: string, number: number): number {
  let sum = number | 0
  for (const letter of word) sum = (Math.imul(sum, 31) + (letter.codePointAt(0) ?? 0)) | 0
  return sum
}

/**
 * Volts at every block of the stand-in's bench, all switched on: sources a little off, every joint with some resistance and
 * one plug with far more. Currents are summed from the ends back to the source and voltages from the source on, in turns.
 * @param number Which stand-in it is; the same number hides the same.
 * @returns V by block; what nothing feeds is 0. Valid: circuits that branch but do not close. Source: Ohm's law and sums of
 * currents, swept until they rest; written apart from the solver of the rails.
 */
export function hiddenVolts({ blocks, wires }: MeterCircuit, number: number): ReadonlyMap<string, number> {
  const volts = new Map(blocks.map((it) => [it.id, 0]))
  const ohms = hiddenOhms(wires, number)
  const byId = new Map(blocks.map((it) => [it.id, it]))
  const own = ({ id, volts: nominal }: MeterBlock): number =>
    nominal * (1 + between(seeded(numberOf(id, number)), -SUPPLY_OFF, SUPPLY_OFF))
  const amps = (id: string, seen: readonly string[]): number => {
    const it = byId.get(id)
    const at = volts.get(id) ?? 0
    if (it === undefined || seen.includes(id) || !(at > 0)) return 0
    const beyond = wires.filter((wire) => wire.from === id).reduce((sum, wire) => sum + amps(wire.to, [...seen, id]), 0)
    if (it.does === 'converts') return (own(it) * beyond) / it.efficiency / at
    return beyond + it.amps + (at > 0 ? it.watts / at : 0)
  }
  for (const it of blocks) volts.set(it.id, it.volts)
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    const before = new Map(volts)
    for (const it of blocks) {
      if (it.does === 'gives') volts.set(it.id, own(it))
      for (const wire of wires.filter((one) => one.from === it.id)) {
        const fed = it.does === 'converts' ? own(it) : (before.get(it.id) ?? 0)
        volts.set(wire.to, Math.max(0, fed - (ohms.get(wire.id) ?? 0) * amps(wire.to, [it.id])))
      }
    }
  }
  return new Map(blocks.map((it) => [it.id, it.does === 'converts' ? own(it) : (volts.get(it.id) ?? 0)]))
}

/** What each pair of wires really has: its copper, its joints, and one of them a bad plug. */
function hiddenOhms(wires: MeterCircuit['wires'], number: number): ReadonlyMap<string, number> {
  const drawn = wires.map((it) => ({ id: it.id, copper: it.ohms, luck: seeded(numberOf(it.id, number))() }))
  const bad = [...drawn].sort((p, q) => p.luck - q.luck)[0]?.id
  return new Map(
    drawn.map(({ id, copper, luck }) => {
      const joint = JOINT.least + luck * (JOINT.most - JOINT.least)
      return [id, copper + joint + (id === bad ? JOINT.bad : 0)]
    }),
  )
}

/** The stand-in's multimeter: two decimals, half a per cent. Standard uncertainty of a reading in V. */
export const METER = { resolution: 0.01, share: 0.0025 }

/**
 * One reading of the stand-in's multimeter. @param volts What is there. @param random Source of its noise.
 * @returns V, and its standard uncertainty. Valid: any voltage. Source: normal noise and a display of two decimals.
 */
export function meterReading(volts: number, random: () => number): { readonly volts: number; readonly u: number } {
  const read = volts * (1 + 0.001 * normal(random))
  return {
    volts: Math.round(read / METER.resolution) * METER.resolution,
    u: Math.hypot(METER.share * volts, METER.resolution / Math.sqrt(12)),
  }
}

/** Share by which the light of the stand-in's head is off what its sheet says, least and most. */
const LIGHT_OFF = { least: -0.09, most: 0.03 }

/** Share of power from which the stand-in's head has light, and by how much its light falls behind at full power. */
const CURVE = { from: [0.03, 0.12], behind: [0, 0.08] } as const

/** The light of the stand-in's head at a share of full power, of that at full. */
function curveOf(share: number, number: number): number {
  const random = seeded(numberOf('curve', number))
  const from = between(random, ...CURVE.from)
  const behind = between(random, ...CURVE.behind)
  return (Math.max(0, (share - from) / (1 - from)) * (1 - behind * share ** 3)) / (1 - behind)
}

/**
 * The light that the stand-in's head gives at a share of full power, of that at full.
 * @param share 0…1. @param number Which stand-in it is. @returns 0…1. Valid: any stand-in. Source: a curve hidden by the number.
 * @example lightShare(1, 1) // 1
 */
export function lightShare(share: number, number: number): number {
  return curveOf(share, number)
}

/**
 * One reading of the stand-in's power meter. @param watts What the sheet would give. @param number Which stand-in it is.
 * @param share Of full power, 0…1, for one reading of a curve; null: at full power, for itself. @returns W, and its standard uncertainty. Valid: any light. Source: a share and a curve
 * hidden by the number, 1 % of noise; the meter's own scale, common to all its readings, is in the uncertainty of one that stands for itself.
 */
export function lightReading(
  watts: number,
  number: number,
  random: () => number,
  share: number | null = null,
): { readonly watts: number; readonly u: number } {
  const off = between(seeded(numberOf('light', number)), LIGHT_OFF.least, LIGHT_OFF.most)
  const read = watts * (1 + off) * curveOf(share ?? 1, number) * (1 + 0.01 * normal(random)) + 0.00005 * Math.abs(normal(random))
  return { watts: Math.round(read * 1e4) / 1e4, u: Math.hypot(0.01 * read, 0.0001, share === null ? LIGHT_SCALE * read : 0) }
}

/**
 * The share of full power at which the stand-in's head really gives a share of its most light.
 * @param fraction 0…1. @param number Which stand-in it is. @returns 0…1.
 * Valid: a curve that rises. Source: bisection on the hidden curve.
 * @example hiddenShareFor(1, 1) // 1
 */
export function hiddenShareFor(fraction: number, number: number): number {
  let [low, high] = [0, 1]
  for (let i = 0; i < 60 && high - low > 0; i++) {
    const middle = (low + high) / 2
    if (curveOf(middle, number) < fraction) low = middle
    else high = middle
  }
  return high
}
