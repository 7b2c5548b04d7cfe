import { setAt, shownNumber, templateOf } from '../core/bench'
import { BY_SPANS, calibratedStepsOf, spanShape, spanSteps } from '../core/calibrate'
import { parseQuantity } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { calibrationRedo } from './controller'
import { isDone, NO_BENCH, told, type Told } from './told'
import { keepRecord } from './library'
import { engineOf } from './evaluate'

/** Adds a span that an axis was told to go. @param typed With or without its unit. @returns What stands in the way. */
export function addSpan(axisId: string, typed: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const inForce = bench.controller.axes[axisId]?.steps.value ?? null
  if (inForce === null)
    return told('The steps in the machine are not known for this axis: read its settings, or type them in, on Settings.')
  const read = parseQuantity(typed, 'length', bench.units === 'metric' ? 'mm' : 'in')
  if (!read.ok) return read.findings
  if (!(read.value.value > 0)) return told('Type how far it was told to go, more than 0.')
  const order = 1 + Math.max(0, ...Object.values(bench.calibrate.spans).map((it) => it.order))
  const span = templateOf(spanShape, { order, axis: axisId, inForce, commanded: read.value.value })
  return editBench('a span', (it) => setAt(it, `calibrate.spans.${newId()}`, span))
}

export function removeSpan(id: string): Told {
  return editBench('a span taken away', (it) => setAt(it, `calibrate.spans.${id}`, undefined))
}

/** Lets an axis's steps follow its spans, with its record, or takes it off them. @returns What stands in the way. */
export async function applySpans(axisId: string, isApplied: boolean): Promise<Told> {
  const { bench: before } = useBenchStore.getState()
  if (before === null) return NO_BENCH
  if (isApplied && shownNumber(engineOf(before).value(spanSteps, axisId).result) === null) {
    return told('Nothing follows from these spans yet: measure two different ones, moved with the same steps.')
  }
  const edited = editBench(isApplied ? 'spans applied' : 'spans no longer applied', (it) =>
    setAt(it, `calibrate.applied.${axisId}`, isApplied ? BY_SPANS : undefined),
  )
  const { bench } = useBenchStore.getState()
  if (!isDone(edited) || !isApplied || bench === null) return edited
  const letter = bench.motion.axes[axisId]?.letter ?? ''
  const figure = engineOf(bench).withDoubt(calibratedStepsOf, axisId)
  return keepRecord(
    { stage: 'controller', title: `Spans applied to ${letter}`, note: '', redo: calibrationRedo(`${letter} steps`), beneath: [] },
    [{ id: figure.def.id, args: [axisId], same: figure.doubt?.expanded ?? 0 }],
    [],
  )
}
