import { worstFirst } from '../../core/bench'
import { crossedBeltLength } from '../../core/motion'
import {
  barLength,
  barsNeeded,
  beltToOrder,
  openWork,
  pressedHole,
  runningHole,
  saved,
  spent,
  toSpend,
} from '../../core/schedule'
import { scanIds, useBenchStore, useSession, useVerdicts, type PlanPartName } from '../../state'
import { Consequences, FactField, FigureRow, Panel, Parts, Records, Sentence, Sheet, VerdictRow, ChoiceField } from '../../ui'
import { AtTheBench } from './AtTheBench'
import { CutPlate } from './CutPlate'
import { Fasteners, FastenerPlate } from './Fasteners'
import { Fits } from './Fits'
import { PartsList } from './PartsList'
import { SchedulePlate } from './SchedulePlate'
import { SetUp } from './SetUp'
import { FreeTime, TaskList } from './TaskList'

const PARTS: readonly { readonly id: PlanPartName; readonly name: string; readonly about: string }[] = [
  { id: 'schedule', name: 'Schedule', about: 'Work, drying and parcels in your own free time; what has no float is heavy.' },
  {
    id: 'parts',
    name: 'Parts and cuts',
    about: 'The bars that the machine itself asks for, cut from stock; and everything else.',
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
          {part === 'parts' && (
            <>
              <Stock />
              <PartsList />
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

/** Lengths that the machine itself asks for: bars, and belts where it has them. */
function WorkedLengths() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const ids = scanIds(bench)
  const crossed = bench.motion.kinematics.chosen === 'crossed'
  const belted = (id: string): boolean => ['belt', 'reducedBelt'].includes(bench.motion.axes[id]?.drive.chosen ?? '')
  return (
    <Panel title="Worked, lengths">
      <FigureRow def={barsNeeded} args={[]} />
      <FigureRow def={barLength} args={['front']} label="Front and back bar, gantry beam" />
      <FigureRow def={barLength} args={['side']} label="Side bar" />
      {crossed && <FigureRow def={crossedBeltLength} args={['a']} label="Each crossed belt, clamp to clamp" />}
      {!crossed && belted(ids.x) && <FigureRow def={beltToOrder} args={[ids.x]} label="Belt along X" />}
      {!crossed && belted(ids.y) && (
        <FigureRow
          def={beltToOrder}
          args={[ids.y]}
          label={bench.motion.axes[ids.y]?.motors.value === 2 ? 'Each belt along Y, two of them' : 'Belt along Y'}
        />
      )}
    </Panel>
  )
}

function Stock() {
  return (
    <Panel title="Given, the bars">
      <Sentence>
        Bars are cut from stock of <FactField path="plan.stock.length" />; <FactField path="plan.stock.trim" /> comes off the
        first end, a cut takes <FactField path="plan.stock.kerf" />. Leave each <FactField path="plan.stock.leaveLong" /> long and
        creep up on it. It is built <ChoiceField path="plan.build" />; a ready-made one would cost{' '}
        <FactField path="plan.readyPrice" />.
      </Sentence>
      <p className="mt-1 max-w-[46rem] text-[13px] text-second">
        A saw and a drill throw chips and catch sleeves: eye and ear protection, the bar clamped, no gloves at turning parts.
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
        <FigureRow def={spent} args={[]} />
        <FigureRow def={toSpend} args={[]} />
        <FigureRow def={saved} args={[]} note="own hours are not counted as money" />
      </Panel>
      {part === 'parts' && <WorkedLengths />}
      {part === 'fasteners' && (
        <Panel title="Worked, fits">
          <FigureRow def={runningHole} args={[]} />
          <FigureRow def={pressedHole} args={[]} />
        </Panel>
      )}
      {verdicts.length > 0 && (
        <Panel title="Judged">
          <ul className="m-0 list-none p-0">
            {worstFirst(verdicts).map((verdict) => (
              <VerdictRow key={verdict.def.id} verdict={verdict} />
            ))}
          </ul>
        </Panel>
      )}
      <Records stages={['plan']} />
    </div>
  )
}
