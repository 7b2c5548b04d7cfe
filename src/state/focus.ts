import { setAt, shownNumber, type Fact } from '../core/bench'
import { focusOfRamp, rampWaist, waist } from '../core/calibrate'
import type { Bench } from '../core/document'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { isDone, NO_BENCH, told, type Told } from './told'

/** Lets the beam follow a focus ramp, with its record, or none (empty id). @returns What stands in the way. */
export async function followRamp(id: string): Promise<Told> {
  const { bench: before } = useBenchStore.getState()
  if (before === null) return NO_BENCH
  if (id === '') return editBench('no ramp followed', (it) => setAt(it, 'calibrate.focusBy', ''))
  if (before.calibrate.trials.focus[id] === undefined) return told('This ramp is gone.')
  if (shownNumber(engineOf(before).value(focusOfRamp, id).result) === null) {
    return told('Focus does not follow from this ramp yet: read how the board lies, and five lines or more of one set.')
  }
  const edited = editBench('a ramp followed', (it) => withSpot(setAt(it, 'calibrate.focusBy', id), id))
  const { bench } = useBenchStore.getState()
  if (!isDone(edited) || bench === null) return edited
  const figure = engineOf(bench).withDoubt(focusOfRamp, id)
  return keepRecord(
    {
      stage: 'beam',
      title: `Focus by ramp ${bench.calibrate.trials.focus[id]?.order ?? ''}`,
      note: 'The gap at focus, and where two sets or more were read the beam through it.',
      redo: 'Burn a focus ramp again and follow it.',
      beneath: [],
    },
    [{ id: figure.def.id, args: [id], same: figure.doubt?.expanded ?? 0 }, ...spotsOf(bench, id)],
    [],
  )
}

/** Both sides of the spot as far as the ramp gives them: a spot that was entered by it is stale when they move. */
function spotsOf(bench: Bench, ramp: string) {
  const engine = engineOf(bench)
  return (['x', 'y'] as const).flatMap((side) => {
    const { def, result, doubt } = engine.withDoubt(rampWaist, ramp, side)
    return shownNumber(result) === null ? [] : [{ id: def.id, args: [ramp, side], same: doubt?.expanded ?? 0 }]
  })
}

/** Where nobody has measured the spot, what the ramp says of it, if it says so much, is entered: scans and pulses go by it. */
function withSpot(bench: Bench, ramp: string): Bench {
  const engine = engineOf(bench)
  const at = new Date().toISOString()
  return (['x', 'y'] as const).reduce((it, side) => {
    const key = side === 'x' ? 'spotX' : 'spotY'
    if (it.optics[key].value !== null && it.optics[key].origin !== 'assumed') return it
    const { result, doubt } = engine.withDoubt(rampWaist, ramp, side)
    const radius = shownNumber(result)
    // Of a side of which too little was read, the beam goes by what was entered: that is no news.
    if (radius === null || radius !== shownNumber(engine.value(waist, side).result)) return it
    const typed = (2 * radius).toFixed(3)
    const spot: Fact = {
      value: Number(typed),
      typed,
      typedUnit: 'mm',
      origin: 'measured',
      doubt: { kind: 'standard', u: doubt?.expanded ?? 0 },
      at,
    }
    return setAt(it, `optics.${key}`, spot)
  }, bench)
}
