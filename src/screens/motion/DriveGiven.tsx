import type { Bench } from '../../core/document'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Phrase, Sentence } from '../../ui'
import { axisAt } from './axisAt'
import { useChosenAxis } from './chosenAxis'
import { AxisPanel, SharedDriver } from './Given'

/** The motor of the chosen axis, what it has to move, and its supply. */
export function DriveGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="grid gap-4">
      <AxisPanel bench={bench} title="Given">
        <Motor bench={bench} />
      </AxisPanel>
      <Panel title="Given, the supply">
        <Sentence>
          The motor drivers are fed with <FactField path="motion.motorVoltage" />. You want to scan at{' '}
          <FactField path="motion.wantedSpeed" />; the controller can give at most <FactField path="motion.maxStepRate" /> and has{' '}
          <FactField path="motion.boardDrivers" /> drivers.
        </Sentence>
        <p className="mt-1 max-w-[46rem] text-[13px] text-second">
          Motors and drivers get hot enough to burn. Never unplug a motor under power: the driver dies, and the arc can bite.
        </p>
      </Panel>
    </div>
  )
}

function Motor({ bench }: { readonly bench: Bench }) {
  const { axisId, letter, axis } = useChosenAxis(bench)
  const at = axisAt(axisId)
  return (
    <Phrase>
      The motor holds <FactField path={at('holdingTorque')} /> at <FactField path={at('ratedCurrent')} />; the current that its
      driver is set to is <ChoiceField path={at('currentIs')} />. A phase has <FactField path={at('windingResistance')} /> and{' '}
      <FactField path={at('windingInductance')} />; its rotor has <FactField path={at('rotorInertia')} />.{' '}
      {axis !== undefined && <SharedDriver id={axisId} axis={axis} />}Along {letter} it moves{' '}
      <FactField path={at('movingMass')} /> against <FactField path={at('friction')} /> of friction, speeding up at{' '}
      <FactField path={at('acceleration')} />.
      {axis?.drive.chosen === 'reducedBelt' && (
        <>
          {' '}
          The closed belt of its reduction is <FactField path={at('closedBelt')} /> long.
        </>
      )}
    </Phrase>
  )
}
