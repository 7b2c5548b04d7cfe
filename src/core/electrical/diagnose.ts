import { requireInRange } from '../units'
import { GAUGES, type Gauge } from './gauges'
import { sectionOf, wireResistance } from './wire'

/** One pair of wires on the way from the source to a block, as it is worked. */
export interface WayWire {
  readonly wire: string
  readonly to: string
  readonly lengthMm: number
  readonly gauge: Gauge
  readonly amps: number
}

/** What a reading says of the way to a block. */
export interface Diagnosis {
  /** Share of the source's voltage that is lost, by the readings. */
  readonly lost: number
  /** The stretch that loses most: from one block that was read to the next, and the wires between. */
  readonly from: string
  readonly to: string
  readonly wires: readonly string[]
  /** V lost on it, by the readings and as its copper would. */
  readonly readLoss: number
  readonly copperLoss: number
  /** Ω beyond its copper: plugs, screws, contacts. */
  readonly extraOhms: number
  /** Whether a joint is worth a word: it adds more than a good plug does. */
  readonly isLoose: boolean
  /** Whether more is lost on the whole way than is good. */
  readonly isMuch: boolean
  /** What of the wire would bring the whole way below five per cent, its joints mended; null where nothing need, or can. */
  readonly cure: { readonly wire: string; readonly gauge: Gauge | null; readonly shorterMm: number | null } | null
}

/** Of the source's voltage, there and back. Source: IEC 60204-1 12.5 (from memory). */
const MOST_LOST = 0.05
/** A plug, a screw and a crimp have a few milliohms each; more than this is a bad one, Ω. (common practice) */
const LOOSE = 0.06

/**
 * Finds where a voltage is lost, from readings along the way: the stretch that loses most, what of it its copper explains,
 * and the thinnest wire or the least shortening that would do.
 * @param source Its block, and the volts read or worked there. @param way From the source on; amps above 0 somewhere.
 * @param reads V that was read, by block. @throws {RangeError} for a source that is not above 0 V.
 * Valid: one way without loops, the currents as worked. Source: Ohm's law between two readings.
 */
export function diagnose(
  source: { readonly block: string; readonly volts: number },
  way: readonly WayWire[],
  reads: ReadonlyMap<string, number>,
): Diagnosis {
  requireInRange('volts', source.volts, Number.MIN_VALUE, Number.MAX_VALUE, 'V')
  const stretches = stretchesOf(source, way, reads)
  const worst = stretches.reduce((p, q) => (q.readLoss > p.readLoss ? q : p))
  const lostVolts = stretches.reduce((sum, it) => sum + it.readLoss, 0)
  // What a bad joint takes is mended there; the wire has to save the rest.
  const atJoint = Math.max(0, worst.readLoss - worst.copperLoss)
  const excess = lostVolts - atJoint - MOST_LOST * source.volts
  const extraOhms = (worst.readLoss - worst.copperLoss) / Math.max(...worst.wires.map((it) => it.amps))
  return {
    lost: lostVolts / source.volts,
    from: worst.from,
    to: worst.to,
    wires: worst.wires.map((it) => it.wire),
    readLoss: worst.readLoss,
    copperLoss: worst.copperLoss,
    extraOhms,
    isLoose: extraOhms > LOOSE,
    isMuch: lostVolts > MOST_LOST * source.volts,
    cure: excess > 0 ? cureOf(worst.wires, excess) : null,
  }
}

interface Stretch {
  readonly from: string
  readonly to: string
  readonly wires: readonly WayWire[]
  readonly readLoss: number
  readonly copperLoss: number
}

/** The way cut at every block that was read. */
function stretchesOf(
  source: { readonly block: string; readonly volts: number },
  way: readonly WayWire[],
  reads: ReadonlyMap<string, number>,
): readonly Stretch[] {
  const found: Stretch[] = []
  let [from, volts, wires] = [source.block, source.volts, [] as WayWire[]]
  for (const wire of way) {
    wires = [...wires, wire]
    const read = reads.get(wire.to)
    if (read === undefined) continue
    const copperLoss = wires.reduce((sum, it) => sum + lossOf(it, it.gauge), 0)
    found.push({ from, to: wire.to, wires, readLoss: volts - read, copperLoss })
    ;[from, volts, wires] = [wire.to, read, []]
  }
  return found
}

function lossOf({ lengthMm, amps }: WayWire, gauge: Gauge): number {
  return 2 * wireResistance(lengthMm, sectionOf(gauge)) * amps
}

/** The wire of a stretch that loses most, and what of it would save so many volts. */
function cureOf(wires: readonly WayWire[], excess: number): Diagnosis['cure'] {
  const worst = wires.reduce((p, q) => (lossOf(q, q.gauge) > lossOf(p, p.gauge) ? q : p))
  const now = lossOf(worst, worst.gauge)
  if (now <= excess) return null
  const isWire = (it: string): it is Gauge => Object.hasOwn(GAUGES, it)
  const thicker = Object.keys(GAUGES)
    .filter(isWire)
    .filter((it) => it.slice(0, 2) === worst.gauge.slice(0, 2) && now - lossOf(worst, it) >= excess)
    .sort((p, q) => sectionOf(p) - sectionOf(q))
  return { wire: worst.wire, gauge: thicker[0] ?? null, shorterMm: (worst.lengthMm * excess) / now }
}
