import { worstFirst } from '../../core/bench'
import { cutListOf } from '../../core/motion'
import { breakEven, criticalPath, openWork, ownHours, pressedHole, runningHole, saved, spent, toSpend } from '../../core/schedule'
import { useBenchStore, useSession, useVerdicts, type PlanPartName } from '../../state'
import { Consequences, FactField, FigureRow, Panel, Parts, Records, Sentence, Sheet, VerdictRow, ChoiceField } from '../../ui'
import { AtTheBench } from './AtTheBench'
import { CutPlate } from './CutPlate'
import { FastenerPlate } from './FastenerPlate'
import { Fasteners } from './Fasteners'
import { Fits } from './Fits'
import { FreeTime } from './FreeTime'
import { Goals } from './Goals'
import { Lengths } from './Lengths'
import { PartsList } from './PartsList'
import { PutBack } from './PutBack'
import { SchedulePlate } from './SchedulePlate'
import { SetUp } from './SetUp'
import { TaskList } from './TaskList'
import { Totals } from './Totals'

const PARTS: readonly { readonly id: PlanPartName; readonly name: string; readonly about: string }[] = [
  { id: 'schedule', name: 'Schedule', about: 'Work, drying and parcels in your own free time; what has no float is heavy.' },
  {
    id: 'parts',
    name: 'Parts and cuts',
    about: 'Bars, rails, plates and belts that the machine itself asks for, cut from stock; and everything else.',
  },
  { id: 'fasteners', name: 'Fasteners', about: 'What each joint takes, and which joints the screws in the bag belong to.' },
  { id: 'bench', name: 'At the bench', about: 'One step after the other, each with the check that closes it.' },
]

/** Plan: what do I build or buy, what does it cost, what can I do today? */
export function Plan() {
  const part = useSession((it) => it.planPart)
  const bench = useBenchStore((it) => it.bench)
  const { about } = PARTS.find((it) => it.id === part) ?? { about: '' }
  return (
    <Sheet
      question="What do I build or buy, what does it cost, what can I do today?"
      about={about}
      plate={
        <>
          <Parts of="Plan" parts={PARTS} open={part} choose={(planPart) => useSession.setState({ planPart })} />
          {part === 'schedule' && <SchedulePlate />}
          {part === 'parts' && <CutPlate />}
          {part === 'fasteners' && <FastenerPlate />}
          {part === 'bench' && <AtTheBench />}
        </>
      }
      given={
        <div className="mt-3 grid gap-4">
          {part === 'schedule' && (
            <>
              {bench !== null && Object.keys(bench.plan.tasks).length === 0 && <SetUp />}
              <TaskList />
              <FreeTime />
            </>
          )}
          {part === 'bench' && <PutBack />}
          {part === 'parts' && (
            <>
              <Stock />
              <PartsList />
              <Goals />
            </>
          )}
          {part === 'fasteners' && (
            <>
              <Fasteners />
              <Fits />
            </>
          )}
        </div>
      }
      side={<Side part={part} />}
    />
  )
}

function Stock() {
  const frame = useBenchStore((it) => it.bench?.motion.frame)
  const kinematics = useBenchStore((it) => it.bench?.motion.kinematics.chosen ?? null)
  const list = cutListOf(kinematics, frame?.guides.chosen ?? null)
  return (
    <Panel title="Given, the stock">
      {list.bars.length > 0 && (
        <Sentence>
          Bars are cut from stock of <FactField path="plan.stock.length" />; <FactField path="plan.stock.trim" /> comes off the
          first end, a cut takes <FactField path="plan.stock.kerf" />. Leave each <FactField path="plan.stock.leaveLong" /> long
          and creep up on it. Carriage and gantry run on <ChoiceField path="motion.frame.guides" />
          {list.guides.length > 0 && (
            <>
              , which stand <FactField path="motion.frame.guideOver" /> over at each end; they are cut from{' '}
              <FactField path="plan.guideStock.length" />, <FactField path="plan.guideStock.trim" /> off the first end,{' '}
              <FactField path="plan.guideStock.kerf" /> a cut
            </>
          )}
          . The gantry’s end plates are <FactField path="motion.frame.endHeight" /> high.
        </Sentence>
      )}
      <Sentence>
        Plates are <FactField path="motion.frame.plateThickness" /> thick.
      </Sentence>
      <p className="mt-1 max-w-[46rem] text-[13px] text-second">
        A saw, a cutting disc and a drill throw chips and sparks and catch sleeves: eye and ear protection, the work clamped, no
        gloves at turning parts. A hardened shaft shatters under a hacksaw and is cut with a disc, behind a guard.
      </p>
    </Panel>
  )
}

function Side({ part }: { readonly part: PlanPartName }) {
  const verdicts = useVerdicts('plan')
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <Consequences />
      <Panel title="Worked">
        <FigureRow def={openWork} args={[]} />
        {part === 'schedule' && (
          <FigureRow def={criticalPath} args={[]} note="work and drying, were everything here and all day free" />
        )}
        <FigureRow def={spent} args={[]} />
        <FigureRow def={toSpend} args={[]} />
        <FigureRow def={saved} args={[]} note="own hours are not counted as money" />
        <FigureRow def={ownHours} args={[]} />
        <FigureRow def={breakEven} args={[]} note="at this worth of an hour, building and buying cost alike" />
      </Panel>
      {verdicts.length > 0 && (
        <Panel title="Judged">
          <ul className="m-0 list-none p-0">
            {worstFirst(verdicts).map((verdict) => (
              <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
            ))}
          </ul>
        </Panel>
      )}
      {part === 'parts' && <Lengths />}
      {part === 'fasteners' && <Totals />}
      {part === 'fasteners' && (
        <Panel title="Worked, fits">
          <FigureRow def={runningHole} args={[]} />
          <FigureRow def={pressedHole} args={[]} />
        </Panel>
      )}
      <Records stages={['plan']} />
    </div>
  )
}
