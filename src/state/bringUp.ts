import { shownNumber, type Fact } from '../core/bench'
import { meterCircuit, type Bench } from '../core/document'
import { lightFull } from '../core/electrical'
import type { UnitId } from '../core/units'
import { setFact } from './benchStore'
import { engineOf } from './evaluate'
import { lightStandIn, meterStandIn } from './machine'
import { told, type Told } from './told'

const NO_STAND_IN = 'No stand-in is connected: connect it in Controller, or read with your own meter.'

/** Reads the volts at a block with the stand-in's multimeter, and enters them. */
export async function readVoltsByStandIn(bench: Bench, blockId: string): Promise<Told> {
  const circuit = meterCircuit(engineOf(bench))
  if (circuit === null) return told('Enter what the labels on the drawing say first: the stand-in is wired by them.')
  const read = await meterStandIn(circuit, blockId)
  if (read === null) return told(NO_STAND_IN)
  const name = bench.electrical.blocks[blockId]?.name ?? ''
  return setFact(`electrical.blocks.${blockId}.reading`, measured(read.value, read.u, 'V'), `volts at ${name}`)
}

/** Reads the light at full power with the stand-in's power meter, and enters it. */
export async function readLightByStandIn(bench: Bench): Promise<Told> {
  const watts = shownNumber(engineOf(bench).value(lightFull).result)
  if (watts === null) return told('Enter the diode’s current, threshold and slope first: the stand-in has them.')
  const read = await lightStandIn(watts)
  if (read === null) return told(NO_STAND_IN)
  return setFact('electrical.driver.lightRead', measured(read.value, read.u, 'W'), 'light at full power')
}

/** Reads the light at one power of the curve with the stand-in's power meter, and enters it. */
export async function readCurveByStandIn(bench: Bench, pointId: string): Promise<Told> {
  const point = bench.calibrate.curve[pointId]
  const watts = shownNumber(engineOf(bench).value(lightFull).result) ?? bench.optics.power.value
  if (point === undefined || watts === null) return told('Enter the optical power of the head first: the stand-in has it.')
  const read = await lightStandIn(watts, point.percent / 100)
  if (read === null) return told(NO_STAND_IN)
  return setFact(`calibrate.curve.${pointId}.light`, measured(read.value, read.u, 'W', 4), `light at ${point.percent} %`)
}

function measured(value: number, u: number, typedUnit: UnitId, decimals = 2): Fact {
  const rounded = Number(value.toFixed(decimals))
  return {
    value: rounded,
    typed: rounded.toFixed(decimals),
    typedUnit,
    origin: 'measured',
    doubt: { kind: 'standard', u },
    at: new Date().toISOString(),
  }
}
