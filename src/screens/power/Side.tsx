import {
  aSource,
  blockVolts,
  converterInput,
  dropRoom,
  powerStepsOfTimer,
  roleOf,
  sourceAmps,
  stepsForEachWord,
  supplyRoom,
} from '../../core/electrical'
import { frequencyWithoutBands, periodsForEachDot, speedWithoutBands } from '../../core/optics'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'
import { useChosenBlock } from './chosenBlock'
import type { Bench } from '../../core/document'

export function SignalSide() {
  return (
    <Side stage="power">
      <Panel title="Worked, the signal">
        <FigureRow def={periodsForEachDot} args={[]} />
        <FigureRow def={frequencyWithoutBands} args={[]} />
        <FigureRow def={speedWithoutBands} args={[]} />
        <FigureRow def={powerStepsOfTimer} args={[]} />
        <FigureRow def={stepsForEachWord} args={[]} />
      </Panel>
    </Side>
  )
}

export function WiringSide() {
  const bench = useBenchStore((it) => it.bench)
  return (
    <Side stage="power">
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
  const role = roleOf(block.kind)
  return (
    <Panel title={`Worked, ${block.name}`}>
      {role === 'load' ? (
        <>
          <FigureRow def={blockVolts} args={[id]} />
          <FigureRow def={dropRoom} args={[id]} />
        </>
      ) : (
        <>
          <FigureRow def={sourceAmps} args={[id]} />
          <FigureRow def={supplyRoom} args={[id]} />
          {role === 'converter' && <FigureRow def={converterInput} args={[id]} />}
        </>
      )}
    </Panel>
  )
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
