import { againstBought, jobCost, jobHands, jobPrice, jobWear, perHour, runningCost, spentInAll } from '../../core/log'
import { FigureRow, Panel, Side } from '../../ui'

/** What was spent, and what a job costs. */
export function MoneySide() {
  return (
    <Side stage="log" part="money">
      <Panel title="Worked, the machine">
        <FigureRow def={runningCost} args={[]} />
        <FigureRow def={spentInAll} args={[]} />
        <FigureRow def={againstBought} args={[]} />
        <FigureRow def={perHour} args={[]} />
      </Panel>
      <Panel title="Worked, a job">
        <FigureRow def={jobWear} args={[]} />
        <FigureRow def={jobHands} args={[]} />
        <FigureRow def={jobCost} args={[]} />
        <FigureRow def={jobPrice} args={[]} />
      </Panel>
    </Side>
  )
}
