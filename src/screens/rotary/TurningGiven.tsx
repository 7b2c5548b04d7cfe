import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** What drives the object, and how fast its surface is to go. */
export function TurningGiven() {
  const drive = useBenchStore(({ bench }) => bench?.rotary.turn.drive.chosen ?? null)
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, its drive">
        <Sentence>
          Its motor makes <FactField path="rotary.turn.fullSteps" /> full steps a turn, driven at{' '}
          <FactField path="rotary.turn.microsteps" />; its shaft goes round once for <FactField path="rotary.turn.gearbox" />{' '}
          turns of the motor. It drives the rotary <ChoiceField path="rotary.turn.drive" />
          {(drive === 'gears' || drive === 'belt') && (
            <>
              , from <FactField path="rotary.turn.motorTeeth" /> teeth to <FactField path="rotary.turn.drivenTeeth" />
            </>
          )}
          .{' '}
          {drive === 'ring' && (
            <>
              The grooves measure Ø<FactField path="rotary.turn.motorGroove" /> and Ø<FactField path="rotary.turn.drivenGroove" />{' '}
              at the bottom, <FactField path="rotary.turn.grooveGap" /> apart; the cord is <FactField path="rotary.turn.cord" />{' '}
              thick and stretched by <FactField path="rotary.turn.cordStretch" />.
            </>
          )}
        </Sentence>
      </Panel>
      <Panel title="Given, what it must turn">
        <Sentence>
          Its motor holds <FactField path="rotary.turn.holdTorque" />, its rotor has <FactField path="rotary.turn.rotor" />; what
          turns has a friction of <FactField path="rotary.turn.friction" />. The object lies{' '}
          <FactField path="rotary.turn.offCentre" /> off its axis.
        </Sentence>
      </Panel>
      <Panel title="Given, how fast">
        <Sentence>
          The surface is to go <FactField path="rotary.turn.surfaceSpeed" />, accelerated by{' '}
          <FactField path="rotary.turn.surfaceAcceleration" />. The rotary is driven <ChoiceField path="rotary.turn.standsFor" />.
        </Sentence>
      </Panel>
    </div>
  )
}
