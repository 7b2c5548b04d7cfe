import { worstFirst } from '../../core/bench'
import { powerStepsOfTimer, stepsForEachWord } from '../../core/electrical'
import { frequencyWithoutBands, periodsForEachDot, speedWithoutBands } from '../../core/optics'
import { useVerdicts } from '../../state'
import { ChoiceField, FactField, FigureRow, Panel, Records, Sentence, Sheet, VerdictRow } from '../../ui'
import { SignalPlate } from './SignalPlate'

/** Power, as far as it is built: the signal that carries the power. */
export function Power() {
  const verdicts = useVerdicts('power')
  return (
    <Sheet
      question="Will the signal carry the power?"
      about="The power signal along one dot at the wanted speed, to scale: each pulse is beam on."
      plate={<SignalPlate />}
      given={<Given />}
      side={
        <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
          <Panel title="Worked, the signal">
            <FigureRow def={periodsForEachDot} args={[]} />
            <FigureRow def={frequencyWithoutBands} args={[]} />
            <FigureRow def={speedWithoutBands} args={[]} />
            <FigureRow def={powerStepsOfTimer} args={[]} />
            <FigureRow def={stepsForEachWord} args={[]} />
          </Panel>
          <Panel title="Judged">
            <ul className="m-0 list-none p-0">
              {worstFirst(verdicts).map((verdict) => (
                <VerdictRow key={verdict.def.id} verdict={verdict} />
              ))}
            </ul>
          </Panel>
          <Records stages={['power']} />
        </div>
      }
    />
  )
}

function Given() {
  return (
    <div className="grid gap-4">
      <Panel title="Given, the signal">
        <Sentence>
          The timer of the power output counts a clock of <FactField path="electrical.timerClock" />; the signal runs at{' '}
          <FactField path="electrical.pwmFrequency" />. Full power is the word <FactField path="electrical.fullPower" />, and the
          power <ChoiceField path="electrical.followsSpeed" />. You want to scan at <FactField path="motion.wantedSpeed" />; the
          spot is <FactField path="optics.spotX" /> across X.
        </Sentence>
      </Panel>
      <p className="border-y border-dashed border-second py-3">
        <strong className="font-[650]">Supplies, wire, driver and heat are not built yet.</strong> Until then: never unplug a
        motor under power, let the beam’s supply off while you change wires, and leave mains to licensed hands.
      </p>
    </div>
  )
}
