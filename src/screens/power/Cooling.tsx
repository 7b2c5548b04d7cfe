import { lazy, Suspense } from 'react'
import {
  coldSide,
  coldestSide,
  coolerWatts,
  coolerWorth,
  dewPointOfAir,
  diodeHeat,
  diodeTemperature,
  hotSideHeat,
  lifeLeft,
  lifeShare,
  newAmps,
  newFlow,
  newNoise,
  newTemperature,
  shareMost,
  sinkTemperature,
  workTemperature,
} from '../../core/electrical'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, FigureRow, Panel, Sentence, Side } from '../../ui'

const HeatChart = lazy(async () => ({ default: (await import('./HeatChart')).HeatChart }))

export function CoolingPlate() {
  return (
    <div data-plate="The way of the heat">
      <Suspense fallback={<p className="h-[300px] py-6 text-second">Loading the chart …</p>}>
        <HeatChart />
      </Suspense>
    </div>
  )
}

export function CoolingGiven() {
  const hasCooler = useBenchStore((it) => it.bench?.electrical.cooling.kind.chosen === 'cooler')
  return (
    <div className="mt-3 grid gap-4">
      <Panel title="Given, the way of the heat">
        <Sentence>
          The diode is cooled by <ChoiceField path="electrical.cooling.kind" />. The air around the head has{' '}
          <FactField path="electrical.cooling.air" /> at <FactField path="electrical.cooling.humidity" /> of humidity; the case
          may reach <FactField path="electrical.cooling.hottest" />. From the case to{' '}
          {hasCooler ? 'the cold side' : 'the heat sink'} there are <FactField path="electrical.cooling.body" />, from the heat
          sink to the air <FactField path="electrical.cooling.sink" />. At work the beam is on for{' '}
          <FactField path="electrical.cooling.share" /> of the time.
        </Sentence>
      </Panel>
      {hasCooler && (
        <Panel title="Given, the cooler">
          <Sentence>
            Its sheet gives at most <FactField path="electrical.cooling.mostAmps" /> at{' '}
            <FactField path="electrical.cooling.mostVolts" />, and a difference of{' '}
            <FactField path="electrical.cooling.mostStep" /> while it moves no heat, its hot side at{' '}
            <FactField path="electrical.cooling.ratedAt" />. It is run at <FactField path="electrical.cooling.amps" />.
          </Sentence>
        </Panel>
      )}
      <Panel title="Given, the fan, and one instead">
        <Sentence>
          The fan measures <FactField path="electrical.cooling.fanSize" /> and turns at{' '}
          <FactField path="electrical.cooling.fanSpeed" />; it moves <FactField path="electrical.cooling.fanFlow" />, takes{' '}
          <FactField path="electrical.cooling.fanAmps" /> and makes <FactField path="electrical.cooling.fanNoise" />. Instead: one
          of <FactField path="electrical.cooling.newSize" /> at <FactField path="electrical.cooling.newSpeed" />.
        </Sentence>
      </Panel>
      <Panel title="Given, the life of the diode">
        <Sentence>
          Its life is stated as <FactField path="electrical.cooling.life" /> at <FactField path="electrical.cooling.lifeAt" />;
          the activation energy of its ageing is <FactField path="electrical.cooling.activation" />.
        </Sentence>
      </Panel>
    </div>
  )
}

export function CoolingSide() {
  const cooling = useBenchStore((it) => it.bench?.electrical.cooling)
  const hasCooler = cooling?.kind.chosen === 'cooler'
  const hasOther = cooling?.newSize.value != null || cooling?.newSpeed.value != null
  const heat = [diodeHeat, sinkTemperature, diodeTemperature, workTemperature, shareMost]
  const cooler = hasCooler ? [coldSide, coldestSide, dewPointOfAir, coolerWatts, coolerWorth, hotSideHeat] : [dewPointOfAir]
  return (
    <Side stage="power" part="cooling">
      <Panel title="Worked, the heat">
        {[...heat, ...cooler].map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
      </Panel>
      <Panel title="Worked, the life">
        <FigureRow def={lifeShare} args={[]} />
        <FigureRow def={lifeLeft} args={[]} />
      </Panel>
      {hasOther && (
        <Panel title="Worked, the fan instead">
          {[newFlow, newAmps, newNoise, ...(hasCooler ? [] : [newTemperature])].map((def) => (
            <FigureRow key={def.id} def={def} args={[]} />
          ))}
        </Panel>
      )}
    </Side>
  )
}
