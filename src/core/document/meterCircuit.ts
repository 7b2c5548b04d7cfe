import { shownNumber, type Engine } from '../bench'
import { BLOCKS, roleOf, sectionOf, sourceVolts, wireResistance, type Role } from '../electrical'
import type { MeterBlock, MeterCircuit } from '../workshop'
import type { Bench } from './bench'

const DOES: Readonly<Record<Role, MeterBlock['does']>> = {
  source: 'gives',
  converter: 'converts',
  load: 'takes',
  contact: 'passes',
  mains: 'passes',
}

/** The bench’s wiring as the stand-in is wired; null while a label on it is not entered. @throws never for a valid bench. */
export function meterCircuit(engine: Engine<Bench>): MeterCircuit | null {
  const { blocks, wires } = engine.bench.electrical
  const made = Object.entries(blocks).map(([id, it]): MeterBlock => {
    const does = DOES[roleOf(it.kind)]
    const own = shownNumber(engine.value(sourceVolts, id).result)
    const volts = (it.kind === 'motorSupply' ? own : it.volts.value) ?? Number.NaN
    const amps = it.amps.value ?? Number.NaN
    const takesWatts = BLOCKS[it.kind].takes === 'watts'
    return {
      id,
      does,
      volts: does === 'gives' || does === 'converts' ? volts : 0,
      watts: does === 'takes' && takesWatts ? volts * amps : 0,
      amps: does === 'takes' && !takesWatts ? amps : 0,
      efficiency: it.efficiency.value ?? 1,
    }
  })
  if (made.some((it) => Number.isNaN(it.volts + it.watts + it.amps))) return null
  const rails = Object.entries(wires).flatMap(([id, { kind, from, to, length, gauge }]) =>
    kind === 'rail' && length.value !== null && gauge.chosen !== null
      ? [{ id, from, to, ohms: 2 * wireResistance(length.value, sectionOf(gauge.chosen)) }]
      : [],
  )
  return { blocks: made, wires: rails }
}
