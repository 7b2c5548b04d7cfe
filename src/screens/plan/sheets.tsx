import type { ComponentType } from 'react'
import { useBenchStore } from '../../state'
import { AtTheBench } from './AtTheBench'
import { CutPlate } from './CutPlate'
import { FastenerPlate } from './FastenerPlate'
import { Fasteners } from './Fasteners'
import { Boards, Fits, Mounts } from './Fits'
import { FreeTime } from './FreeTime'
import { Goals } from './Goals'
import { KitPlate } from './KitPlate'
import { LaidOut } from './LaidOut'
import { OwnPieces } from './OwnPieces'
import { PartsList } from './PartsList'
import { ProposedJoints } from './ProposedJoints'
import { Plugs } from './Plugs'
import { PutBack } from './PutBack'
import { SchedulePlate } from './SchedulePlate'
import { SetUp } from './SetUp'
import { BenchSide, FastenersSide, PartsSide, ScheduleSide } from './Side'
import { StageLink } from '../../ui'
import { Stock } from './Stock'
import { TaskList } from './TaskList'

export const sheets = {
  schedule: { plate: SchedulePlate, given: given(SetUpFirst, TaskList, FreeTime), side: ScheduleSide },
  parts: { plate: CutPlate, given: given(Stock, OwnPieces, PartsList), side: PartsSide },
  fasteners: { plate: FastenerPlate, given: given(Fasteners, Fits, Boards, Mounts), side: FastenersSide },
  kit: { plate: KitPlate, given: given(LaidOut, ProposedJoints), side: FastenersSide },
  build: { plate: SetUp, given: given(Goals), side: ScheduleSide },
  bench: { plate: AtTheBench, given: given(PutBack, Plugs), side: BenchSide },
}

function given(...panels: readonly ComponentType[]): ComponentType {
  return function PlanGiven() {
    return (
      <div className="mt-3 grid gap-4">
        {panels.map((Part, i) => (
          <Part key={i} />
        ))}
      </div>
    )
  }
}

/** The way to the set-up, as long as there is nothing to do yet. */
function SetUpFirst() {
  const isEmpty = useBenchStore(({ bench }) => bench !== null && Object.keys(bench.plan.tasks).length === 0)
  return isEmpty ? (
    <p>
      Nothing is planned yet:{' '}
      <StageLink stage="plan" part="build">
        say what is to be built
      </StageLink>
      , and its usual tasks stand here.
    </p>
  ) : null
}
