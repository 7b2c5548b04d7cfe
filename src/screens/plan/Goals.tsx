import { setAt } from '../../core/bench'
import { MATERIAL_IDS, type MaterialId } from '../../core/safety'
import { editBench, useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'
import { MaterialBoxes } from './MaterialBoxes'

/** What the machine is for, and what it may cost against a ready-made one. */
export function Goals() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ticked = MATERIAL_IDS.filter((id) => bench.plan.goals.materials[id] === true)
  const change = (ids: readonly MaterialId[]): void => {
    editBench('what is burnt', (it) => setAt(it, 'plan.goals.materials', Object.fromEntries(ids.map((id) => [id, true]))))
  }
  const panel = (
    <Panel title="Given, what it is for">
      <Sentence>
        The largest work is <FactField path="plan.goals.workWidth" /> wide and <FactField path="plan.goals.workDepth" /> deep, the
        thickest <FactField path="plan.goals.workHeight" /> high. Round things are turned:{' '}
        <ChoiceField path="plan.goals.rotary" />. It is carried to where it burns: <ChoiceField path="plan.goals.portable" />. It
        is built <ChoiceField path="plan.build" /> and may cost <FactField path="plan.goals.budget" />; a ready-made one would
        cost <FactField path="plan.readyPrice" />.
      </Sentence>
      <Sentence>
        Where it will stand, <FactField path="plan.room.free" /> of height is free; the machine is{' '}
        <FactField path="plan.room.machine" /> high, and <FactField path="plan.room.above" /> opens above it.
      </Sentence>
      <div className="no-print mt-2">
        <MaterialBoxes ticked={ticked} change={change} />
      </div>
    </Panel>
  )
  if (bench.plan.goals.workWidth.value !== null) return panel
  return (
    <details className="no-print">
      <summary className="cursor-pointer py-1 text-second">Or enter each answer by itself</summary>
      {panel}
    </details>
  )
}
