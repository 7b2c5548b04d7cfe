import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** Heights over the bed, the head’s body, and how level the top line lies. */
export function HeightGiven() {
  const holding = useBenchStore(({ bench }) => bench?.rotary.holding.chosen ?? null)
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, heights over the bed">
        <Sentence>
          {(holding === 'chuck' || holding === 'centres') && (
            <>
              The axis lies <FactField path="rotary.stack.axisHeight" /> over the bed,{' '}
            </>
          )}
          {holding === 'rollers' && (
            <>
              The axes of the rollers lie <FactField path="rotary.stack.rollerHeight" /> over the bed,{' '}
            </>
          )}
          {holding === 'plate' && (
            <>
              The plate’s top lies <FactField path="rotary.stack.plateTop" /> over the bed, the object{' '}
              <FactField path="rotary.stack.slotDepth" /> deep in its slot,{' '}
            </>
          )}
          <ChoiceField path="rotary.stack.axisLies" />. At its highest the head’s lower edge is{' '}
          <FactField path="rotary.stack.headHigh" /> over the bed; it goes down by <FactField path="rotary.stack.headLow" />. Feet
          under the frame raise it by <FactField path="rotary.stack.feet" />, and the floor is let down by{' '}
          <FactField path="rotary.stack.trap" />.
        </Sentence>
      </Panel>
      <Panel title="Given, the head’s body">
        <Sentence>
          What hangs as low as the nozzle reaches <FactField path="rotary.stack.headAlong" /> from the beam along the object and{' '}
          <FactField path="rotary.stack.headAcross" /> across it. <FactField path="rotary.stack.free" /> are kept free all round.
        </Sentence>
      </Panel>
      <Panel title="Given, the level of its top line">
        <Sentence>
          Measured <FactField path="rotary.stack.levelApart" /> apart, the top line stands{' '}
          <FactField path="rotary.stack.heightDriven" /> high near the driven end and <FactField path="rotary.stack.heightFar" />{' '}
          at the far one.
        </Sentence>
      </Panel>
    </div>
  )
}
