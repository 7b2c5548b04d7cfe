import { setAt, shownNumber } from '../core/bench'
import { focusOfRamp } from '../core/calibrate'
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
  const edited = editBench('a ramp followed', (it) => setAt(it, 'calibrate.focusBy', id))
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
    [{ id: figure.def.id, args: [id], same: figure.doubt?.expanded ?? 0 }],
    [],
  )
}
