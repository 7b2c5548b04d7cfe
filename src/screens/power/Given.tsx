import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** What the signal is given, and what is still to come. */
export function SignalGiven() {
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
        <strong className="font-[650]">Driver, filter, cooling and the safety chain are not built yet.</strong> Until then: never
        unplug a motor under power, let the beam’s supply off while you change wires, and leave mains to licensed hands.
      </p>
    </div>
  )
}
