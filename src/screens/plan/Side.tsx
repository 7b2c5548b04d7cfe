import type { ReactNode } from 'react'
import {
  boardPilot,
  boardSpacing,
  breakEven,
  criticalPath,
  edgeMargin,
  mountGap,
  openWork,
  ownHours,
  pressedHole,
  runningHole,
  saved,
  spent,
  toSpend,
} from '../../core/schedule'
import { FigureRow, Panel, Side } from '../../ui'
import { Lengths } from './Lengths'
import { Totals } from './Totals'

export function ScheduleSide() {
  return <PlanSide path />
}

export function BenchSide() {
  return <PlanSide />
}

export function PartsSide() {
  return (
    <PlanSide>
      <Lengths />
    </PlanSide>
  )
}

export function FastenersSide() {
  return (
    <PlanSide>
      <Totals />
      <Panel title="Worked, fits" className="wide:order-1">
        <FigureRow def={runningHole} args={[]} />
        <FigureRow def={pressedHole} args={[]} />
        <FigureRow def={mountGap} args={[]} />
      </Panel>
      <Panel title="Worked, a board" className="wide:order-1">
        <FigureRow def={boardSpacing} args={[]} />
        <FigureRow def={boardPilot} args={[]} />
        <FigureRow def={edgeMargin} args={[]} />
      </Panel>
    </PlanSide>
  )
}

/** What is worked and judged beside every part of Plan. @param path Whether the longest chain of tasks is shown. */
function PlanSide({ path = false, children }: { readonly path?: boolean; readonly children?: ReactNode }) {
  return (
    <Side stage="plan">
      <Panel title="Worked">
        <FigureRow def={openWork} args={[]} />
        {path && <FigureRow def={criticalPath} args={[]} note="work and drying, were everything here and all day free" />}
        <FigureRow def={spent} args={[]} />
        <FigureRow def={toSpend} args={[]} />
        <FigureRow def={saved} args={[]} note="own hours are not counted as money" />
        <FigureRow def={ownHours} args={[]} />
        <FigureRow def={breakEven} args={[]} note="at this worth of an hour, building and buying cost alike" />
      </Panel>
      {children}
    </Side>
  )
}
