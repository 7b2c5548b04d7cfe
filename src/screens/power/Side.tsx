import type { ReactNode } from 'react'
import type { FigureDef } from '../../core/bench'
import {
  aSource,
  converterAmps,
  reservoirNeeded,
  stripAmps,
  stripInrush,
  stripRoom,
  supplyInput,
  blockVolts,
  blockWatts,
  converterInput,
  filterCorner,
  filterRipple,
  frequencyForFilter,
  frequencyForWords,
  inputAmps,
  leastShare,
  stepsLeft,
  dropRoom,
  powerStepsOfTimer,
  roleOf,
  sourceAmps,
  sourceHeat,
  stepsForEachWord,
  supplyRoom,
} from '../../core/electrical'
import { filterLag, frequencyWithoutBands, periodsForEachDot, speedWithoutBands } from '../../core/optics'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'
import { useChosenBlock } from './chosenBlock'
import type { Bench } from '../../core/document'

export function SignalSide() {
  const hasFilter = useBenchStore((it) => it.bench?.electrical.driver.filterFarads.value != null)
  return (
    <Side stage="power" part="signal">
      <Panel title="Worked, the signal">
        <FigureRow def={periodsForEachDot} args={[]} />
        <FigureRow def={frequencyWithoutBands} args={[]} />
        <FigureRow def={speedWithoutBands} args={[]} />
        <FigureRow def={powerStepsOfTimer} args={[]} />
        <FigureRow def={stepsForEachWord} args={[]} />
        <FigureRow def={frequencyForWords} args={[]} />
        <FigureRow def={leastShare} args={[]} />
        <FigureRow def={stepsLeft} args={[]} />
      </Panel>
      {hasFilter && (
        <Panel title="Worked, the filter">
          {[filterCorner, filterRipple, frequencyForFilter, filterLag].map((def) => (
            <FigureRow key={def.id} def={def} args={[]} />
          ))}
        </Panel>
      )}
    </Side>
  )
}

export function ChainSide() {
  return <Side stage="power" part="chain" />
}

export function WiringSide() {
  const bench = useBenchStore((it) => it.bench)
  return (
    <Side stage="power" part="wiring">
      {bench !== null && <WorkedBlock bench={bench} />}
      {bench !== null && <WorkedRails bench={bench} />}
    </Side>
  )
}

/** What is worked of the block that is brought out. */
function WorkedBlock({ bench }: { readonly bench: Bench }) {
  const [id] = useChosenBlock(bench)
  const block = bench.electrical.blocks[id]
  if (block === undefined || roleOf(block.kind) === 'contact') return null
  return <Panel title={`Worked, ${block.name}`}>{workedOf(bench, id)}</Panel>
}

function workedOf(bench: Bench, id: string): ReactNode {
  const block = bench.electrical.blocks[id]
  const isOnMains = Object.values(bench.electrical.wires).some((it) => it.kind === 'mains' && it.to === id)
  switch (block === undefined ? 'contact' : roleOf(block.kind)) {
    case 'load':
      return isOnMains ? (
        <p className="py-1.5 text-second">It stands on the mains.</p>
      ) : (
        <Figures of={[blockVolts, inputAmps, blockWatts, dropRoom]} id={id} />
      )
    case 'mains':
      return <Figures of={[stripAmps, stripRoom, stripInrush]} id={id} />
    case 'converter':
      return <Figures of={[sourceAmps, supplyRoom, sourceHeat, converterInput, converterAmps]} id={id} />
    case 'source':
      return (
        <Figures
          of={[
            sourceAmps,
            supplyRoom,
            sourceHeat,
            ...(isOnMains ? [supplyInput] : []),
            ...(block?.sag.value == null ? [] : [reservoirNeeded]),
          ]}
          id={id}
        />
      )
    case 'contact':
      return null
  }
}

function Figures({ of, id }: { readonly of: readonly FigureDef<Bench, [string]>[]; readonly id: string }) {
  return of.map((def) => <FigureRow key={def.id} def={def} args={[id]} />)
}

/** What every source gives at the worst moment. */
function WorkedRails({ bench }: { readonly bench: Bench }) {
  const sources = aSource.each(bench)
  if (sources.length < 2) return null
  return (
    <Panel title="Worked, the rails">
      {sources.map(([id]) => (
        <FigureRow key={id} def={sourceAmps} args={[id]} label={`${bench.electrical.blocks[id]?.name ?? ''} gives`} />
      ))}
    </Panel>
  )
}
