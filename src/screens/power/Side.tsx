import { powerStepsOfTimer, stepsForEachWord } from '../../core/electrical'
import { frequencyWithoutBands, periodsForEachDot, speedWithoutBands } from '../../core/optics'
import { FigureRow, Panel, Side } from '../../ui'

export function SignalSide() {
  return (
    <Side stage="power">
      <Panel title="Worked, the signal">
        <FigureRow def={periodsForEachDot} args={[]} />
        <FigureRow def={frequencyWithoutBands} args={[]} />
        <FigureRow def={speedWithoutBands} args={[]} />
        <FigureRow def={powerStepsOfTimer} args={[]} />
        <FigureRow def={stepsForEachWord} args={[]} />
      </Panel>
    </Side>
  )
}
