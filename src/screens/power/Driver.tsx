import { lazy, Suspense } from 'react'
import {
  diodeAmps,
  diodeRoom,
  driverEfficiency,
  driverHeat,
  headroom,
  junction,
  lightFull,
  lightOfAmp,
  linearMost,
  optoCurrent,
  restLight,
  senseError,
  senseHeat,
} from '../../core/electrical'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, FigureRow, Panel, Sentence, Side } from '../../ui'
import { LevelLadder } from './LevelLadder'

const LightChart = lazy(async () => ({ default: (await import('./LightChart')).LightChart }))

/** Whether the signal drives the input, and what light comes of it. */
export function DriverPlate() {
  const driver = useBenchStore((it) => it.bench?.electrical.driver)
  const [gives, wants] = [driver?.gives.chosen, driver?.wants.chosen]
  return (
    <div className="mt-3 flex shrink-0 flex-wrap items-start gap-4" data-plate="Levels and light">
      {gives != null && wants != null && wants !== 'opto' && (
        <div className="w-[200px] shrink-0">
          <LevelLadder gives={gives} wants={wants} />
        </div>
      )}
      <div className="min-w-[260px] flex-1">
        <Suspense fallback={<p className="h-[300px] py-6 text-second">Loading the chart …</p>}>
          <LightChart />
        </Suspense>
      </div>
    </div>
  )
}

/** What drives the diode, in sentences. */
export function DriverGiven() {
  const driver = useBenchStore((it) => it.bench?.electrical.driver)
  if (driver === undefined) return null
  const kind = driver.kind.chosen
  return (
    <div className="mt-3 grid gap-4">
      <Panel title="Given, the input">
        <Sentence>
          The diode is driven by <ChoiceField path="electrical.driver.kind" />. The controller’s output is{' '}
          <ChoiceField path="electrical.driver.gives" />, the input of the driver wants{' '}
          <ChoiceField path="electrical.driver.wants" />.{' '}
          {driver.wants.chosen === 'opto' && (
            <>
              The resistor before the opto-coupler has <FactField path="electrical.driver.optoOhms" />, and it needs{' '}
              <FactField path="electrical.driver.optoAmps" />.
            </>
          )}
        </Sentence>
        <Sentence>
          A pull-down at the input <ChoiceField path="electrical.driver.pullDown" place="driver" />
          {driver.pullDown.chosen === 'fitted' && (
            <>
              , of <FactField path="electrical.driver.pullOhms" />
            </>
          )}
          . While the controller starts, its output <ChoiceField path="electrical.driver.starting" place="driver" />.
        </Sentence>
      </Panel>
      {kind === 'transistor' && <Transistor />}
      {kind === 'linear' && <Linear />}
      <Panel title="Given, the diode">
        <Sentence>
          {kind !== 'linear' && (
            <>
              At full power it takes <FactField path="electrical.driver.fullAmps" />.{' '}
            </>
          )}
          It bears <FactField path="electrical.driver.mostAmps" /> and drops <FactField path="electrical.driver.forward" />. It
          lases from <FactField path="electrical.driver.threshold" /> on and gives <FactField path="electrical.driver.slope" />{' '}
          beyond; at 0 % it still takes <FactField path="electrical.driver.restAmps" />. The head’s label says{' '}
          <FactField path="optics.power" place="driver" />.
        </Sentence>
        <p className="max-w-[46rem] pt-1 text-[13px] text-second">
          Read currents with the beam into a block that does not shine back, eyewear on, and never unplug the diode under power.
        </p>
      </Panel>
    </div>
  )
}

function Transistor() {
  return (
    <Panel title="Given, the transistor">
      <Sentence>
        When on it has <FactField path="electrical.driver.onOhms" />, stated at a gate of{' '}
        <FactField path="electrical.driver.onAt" />. From its junction to the air there are{' '}
        <FactField path="electrical.driver.perWatt" />, and it bears <FactField path="electrical.driver.hottest" />.
      </Sentence>
    </Panel>
  )
}

function Linear() {
  return (
    <Panel title="Given, the current source">
      <Sentence>
        Its supply gives <FactField path="electrical.driver.feed" /> and it loses <FactField path="electrical.driver.loses" />{' '}
        itself. The sense resistor has <FactField path="electrical.driver.sense" />, rated{' '}
        <FactField path="electrical.driver.senseWatts" />; at full power <FactField path="electrical.driver.senseVolts" /> stand
        across it, read by a pair of its own: <ChoiceField path="electrical.driver.fourWire" />.
      </Sentence>
      <Sentence>
        From the junction of its transistor to the air there are <FactField path="electrical.driver.perWatt" />, and it bears{' '}
        <FactField path="electrical.driver.hottest" />.
      </Sentence>
    </Panel>
  )
}

export function DriverSide() {
  const driver = useBenchStore((it) => it.bench?.electrical.driver)
  const kind = driver?.kind.chosen
  const of = [
    ...(driver?.wants.chosen === 'opto' ? [optoCurrent] : []),
    diodeAmps,
    diodeRoom,
    lightFull,
    lightOfAmp,
    driverEfficiency,
    restLight,
    ...(kind === 'linear' ? [headroom, linearMost, senseHeat, senseError] : []),
    ...(kind === 'linear' || kind === 'transistor' ? [driverHeat, junction] : []),
  ]
  return (
    <Side stage="power" part="driver">
      <Panel title="Worked, the driver and its light">
        {of.map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
      </Panel>
    </Side>
  )
}
