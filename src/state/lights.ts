import { enterFact, setAt } from '../core/bench'
import { benchFactSpec, type Bench } from '../core/document'
import type { LightRead } from '../core/optics'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { lightStandIn } from './machine'
import { isDone, NO_BENCH, told, type Told } from './told'

/** Writes down the light at full power as it is now. @param typed With or without its unit. @returns What stands in the way. */
export function addLight(typed: string): Told {
  const { bench } = useBenchStore.getState()
  return bench === null ? NO_BENCH : entered(bench, typed)
}

/** The same, read with the stand-in's power meter. */
export async function addLightByStandIn(): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const read = await lightStandIn(bench.optics.power.value ?? 0)
  if (read === null) return told('The stand-in is not connected.')
  // One meter reads all of them: its scale is none of their doubt.
  return entered(bench, `${read.value.toFixed(3)} ± ${(0.02 * read.value).toFixed(3)} W`)
}

function entered(bench: Bench, typed: string): Told {
  const id = newId()
  const spec = benchFactSpec(`optics.lights.${id}.light`)
  if (spec === undefined) return told('There is no such fact.')
  const at = new Date().toISOString()
  const read = enterFact({ typed, origin: 'measured', instrument: null, at }, spec, bench.units)
  if (!read.ok) return read.findings
  if (read.value.value === null) return told('Type what the meter shows, in W.')
  const order = 1 + Math.max(0, ...Object.values(bench.optics.lights).map((it) => it.order))
  const row: LightRead = { order, at, hours: bench.calibrate.hours.value, light: read.value }
  const said = editBench('the light at full power', (it) => setAt(it, `optics.lights.${id}`, row))
  return isDone(said) ? read.findings : said
}

export function removeLight(id: string): Told {
  return editBench('a reading of the light taken away', (it) => setAt(it, `optics.lights.${id}`, undefined))
}
