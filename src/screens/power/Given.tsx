import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** What the signal is given: its timer, and what becomes of its pulses on the way. */
export function SignalGiven() {
  const takesLevel = useBenchStore((it) => it.bench?.electrical.driver.input.chosen === 'level')
  return (
    <div className="mt-3 grid gap-4">
      <Panel title="Given, the signal">
        <Sentence>
          The timer of the power output counts a clock of <FactField path="electrical.timerClock" />; the signal runs at{' '}
          <FactField path="electrical.pwmFrequency" />. Full power is the word <FactField path="electrical.fullPower" />, and the
          power <ChoiceField path="electrical.followsSpeed" />. You want to scan at <FactField path="motion.wantedSpeed" />; the
          spot is <FactField path="optics.spotX" /> across X.
        </Sentence>
      </Panel>
      <Panel title="Given, the way to the light">
        <Sentence>
          The input of the driver takes <ChoiceField path="electrical.driver.input" />. A filter before it has{' '}
          <FactField path="electrical.driver.filterOhms" /> and <FactField path="electrical.driver.filterFarads" />; its light
          rises within <FactField path="electrical.driver.rise" />.
        </Sentence>
        {!takesLevel && (
          <p className="pt-1 text-[13px] text-second">Where there is no filter, leave it open: pulses go through as they are.</p>
        )}
      </Panel>
    </div>
  )
}
