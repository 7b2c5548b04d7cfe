import { hiddenVolts, type MeterCircuit } from './meter'
import { seeded } from './random'
import { shuffled } from './table'

/** What may be wrong with the wiring of a head: the first two kill it. */
export const WIRED_WRONG = ['direct', 'trim', 'thin', 'bypass', 'small'] as const
export type WiredWrong = (typeof WIRED_WRONG)[number]
const LETHAL: readonly WiredWrong[] = ['direct', 'trim']

/** Draws what is wrong with a wiring: one thing that kills the head, and one besides. @param number The same number, the same faults. */
export function drawWiring(number: number): readonly WiredWrong[] {
  const random = seeded(number ^ 0x77_69_72)
  const others = WIRED_WRONG.filter((it) => !LETHAL.includes(it))
  return [...shuffled(LETHAL, random).slice(0, 1), ...shuffled(others, random).slice(0, 1)]
}

/** A rail as it runs from one thing to another. */
export interface Rail {
  readonly from: string
  readonly to: string
}

/**
 * Whether a thing is fed by a way on which none of some others stands.
 * @param rails Who feeds whom. @param from The source. @param to The thing. @param past Ids of which one at least should stand on every way.
 */
export function feedsPast(rails: readonly Rail[], from: readonly string[], to: string, past: readonly string[]): boolean {
  const reached = new Set(from)
  const next = [...from]
  for (let id = next.pop(); id !== undefined; id = next.pop())
    for (const rail of rails)
      if (rail.from === id && !reached.has(rail.to) && !past.includes(rail.to)) {
        reached.add(rail.to)
        next.push(rail.to)
      }
  return reached.has(to)
}

/** Current density that copper in a bundle bears, A/mm². (common practice) */
const DENSITY = 10

/** Section of a wire by what is printed on it, mm². */
function copperOf(gauge: string): number {
  const size = Number(gauge.replace(/^\D+/, ''))
  return gauge.startsWith('awg') ? (Math.PI / 4) * (0.127 * 92 ** ((36 - size) / 39)) ** 2 : size / 100
}

/**
 * Wires and sources that bear less than passes through them, when everything takes what its label says.
 * @param circuit As it is wired. @param number Which stand-in it is. @param gauges Of each wire, `awg22` or `mm100` for 1 mm². @param rated A of each source and converter.
 * @returns Their ids. Valid: circuits that branch but do not close.
 * Source: currents summed from the ends; ASTM B258; 10 A/mm² (common practice).
 */
export function tooHot(
  circuit: MeterCircuit,
  number: number,
  gauges: Readonly<Record<string, string>>,
  rated: Readonly<Record<string, number>>,
): readonly string[] {
  const { blocks, wires } = circuit
  const volts = hiddenVolts(circuit, number)
  const ampsInto = (id: string, seen: readonly string[] = []): number => {
    const it = blocks.find((one) => one.id === id)
    if (it === undefined || seen.includes(id)) return 0
    const beyond = ampsBeyond(id, seen)
    const feeder = wires.find((wire) => wire.to === id)?.from ?? ''
    // A converter takes less current than it gives, by its voltages.
    if (it.does === 'converts') return ((volts.get(id) ?? 0) * beyond) / (it.efficiency * (volts.get(feeder) || Infinity))
    return beyond + it.amps + it.watts / (volts.get(id) || Infinity)
  }
  const ampsBeyond = (id: string, seen: readonly string[] = []): number =>
    wires.filter((wire) => wire.from === id).reduce((sum, wire) => sum + ampsInto(wire.to, [...seen, id]), 0)
  const thin = wires.filter((wire) => ampsInto(wire.to) > DENSITY * copperOf(gauges[wire.id] ?? 'awg22'))
  const weak = blocks.filter(
    ({ id, does }) => (does === 'gives' || does === 'converts') && ampsBeyond(id) > (rated[id] ?? Infinity),
  )
  return [...thin, ...weak].map((it) => it.id)
}
