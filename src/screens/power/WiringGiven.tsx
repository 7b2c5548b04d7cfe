import { useState } from 'react'
import { BLOCKS, roleOf, WIRE_KINDS, type Block, type BlockId, type Wire, type WireKind } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { addBlock, addWire, editBlock, editWire, layOutWiring, removeBlock, removeWire, useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, PlainField, SelectOf, Sentence, TakeAway } from '../../ui'
import { useChosenBlock } from './chosenBlock'
import { WiringOut } from './WiringOut'
import { findingsOf, inOrder } from './WiringPlate'

/** What the labels say of the chosen block, the wires, and a short library of blocks to add. */
export function WiringGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const found = findingsOf(bench)
  return (
    <div className="mt-3 grid gap-4">
      {found.length > 0 && (
        <ul className="m-0 list-none p-0" role="alert" aria-label="What is wrong with the joints">
          {found.map((it, i) => (
            <li key={i} className="border-l-2 border-stop py-1 pl-2">
              {it.message}
            </li>
          ))}
        </ul>
      )}
      <AddBlock />
      <Chosen bench={bench} />
      <Wires bench={bench} />
      <WiringOut />
      <p className="max-w-[46rem] text-[13px] text-second">
        Mains is left to licensed hands and local codes. Let the supply off, and wait for its capacitors, before a wire is
        changed; never unplug a motor under power.
      </p>
    </div>
  )
}

const KIND_NAMES = Object.fromEntries(Object.entries(BLOCKS).map(([id, { name }]) => [id, name])) as Record<BlockId, string>
/** In which column of the drawing a role stands at first. */
const COLUMN = { source: 0, contact: 1, converter: 1, load: 2 } as const

function AddBlock() {
  const [kind, setKind] = useState<BlockId>('motorSupply')
  const some = useBenchStore(({ bench }) => Object.keys(bench?.electrical.blocks ?? {}).length > 1)
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <SelectOf label="Kind of block" of={KIND_NAMES} value={kind} choose={setKind} />
      <button type="button" className="button button-first" onClick={() => addBlock(kind, COLUMN[roleOf(kind)])}>
        Add it
      </button>
      {some && (
        <button type="button" className="button" onClick={() => layOutWiring()}>
          Lay it out again
        </button>
      )}
    </div>
  )
}

/** The chosen block: its name and what its label says. */
function Chosen({ bench }: { readonly bench: Bench }) {
  const [id, choose] = useChosenBlock(bench)
  const block = bench.electrical.blocks[id]
  if (block === undefined) return null
  const names = Object.fromEntries(inOrder(bench.electrical.blocks).map(([it, { name }]) => [it, name]))
  return (
    <Panel
      title={`Given, ${block.name}`}
      aside={<SelectOf label="Block that is shown" of={names} value={id} choose={choose} className="no-print min-h-8 py-0.5" />}
    >
      <div className="no-print flex flex-wrap items-end gap-3 pt-1">
        <PlainField
          label="Name"
          words
          value={block.name}
          className="w-48"
          keep={(name) => editBlock(id, { name: name.trim() }, `“${block.name}” named`)}
        />
        <span className="pb-1.5 text-[13px] text-second">{BLOCKS[block.kind].label}</span>
        <TakeAway what={`Take ${block.name} away, with its wires`} act={() => removeBlock(id)} />
      </div>
      <Label id={id} block={block} />
    </Panel>
  )
}

function Label({ id, block }: { readonly id: string; readonly block: Block }) {
  const at = <K extends string>(key: K) => `electrical.blocks.${id}.${key}` as const
  switch (roleOf(block.kind)) {
    case 'contact':
      return <p className="py-1 text-second">A contact: what passes it goes on to what hangs behind it.</p>
    case 'source':
      return (
        <Sentence>
          It gives{' '}
          {block.kind === 'motorSupply' ? (
            <FactField path="motion.motorVoltage" place="power" />
          ) : (
            <FactField path={at('volts')} />
          )}{' '}
          and at most <FactField path={at('amps')} />.
        </Sentence>
      )
    case 'converter':
      return (
        <Sentence>
          It makes <FactField path={at('volts')} />, at most <FactField path={at('amps')} />, of what it is fed with, and{' '}
          <FactField path={at('efficiency')} /> of the power comes out.
        </Sentence>
      )
    case 'load':
      return (
        <Sentence>
          At <FactField path={at('volts')} /> it takes <FactField path={at('amps')} /> at the worst moment. It works from{' '}
          <FactField path={at('least')} /> and bears at most <FactField path={at('most')} />.
        </Sentence>
      )
  }
}

/** All wires, and a way to join two blocks. */
function Wires({ bench }: { readonly bench: Bench }) {
  const { blocks, wires } = bench.electrical
  const names = Object.fromEntries(inOrder(blocks).map(([id, { name }]) => [id, name]))
  const ids = Object.keys(names)
  const [from, setFrom] = useState<string | null>(null)
  const [to, setTo] = useState<string | null>(null)
  if (ids.length < 2) return null
  const [a, b] = [
    from !== null && ids.includes(from) ? from : (ids[0] ?? ''),
    to !== null && ids.includes(to) ? to : (ids[1] ?? ''),
  ]
  return (
    <Panel title="Given, the wires">
      <ul className="m-0 list-none p-0">
        {inOrder(wires).map(([id, wire]) => (
          <WireRow key={id} id={id} wire={wire} names={names} />
        ))}
      </ul>
      <div className="no-print mt-2 flex flex-wrap items-center gap-2 text-[13px]">
        Join
        <SelectOf label="Wire from" of={names} value={a} choose={setFrom} />
        to
        <SelectOf label="Wire to" of={names} value={b} choose={setTo} />
        <button type="button" className="button" disabled={a === b} onClick={() => addWire(a, b, 'rail')}>
          Join them
        </button>
      </div>
    </Panel>
  )
}

const KINDS: Readonly<Record<WireKind, string>> = { rail: 'rail', signal: 'signal', earth: 'earth', mains: 'mains' }

function WireRow({
  id,
  wire,
  names,
}: {
  readonly id: string
  readonly wire: Wire
  readonly names: Readonly<Record<string, string>>
}) {
  const at = <K extends string>(key: K) => `electrical.wires.${id}.${key}` as const
  const name = `${names[wire.from] ?? 'nothing'} to ${names[wire.to] ?? 'nothing'}`
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13.5px]" data-wire-row={name}>
      <span className="min-w-52 flex-1">{name}</span>
      <SelectOf
        label={`What ${name} carries`}
        of={KINDS}
        value={WIRE_KINDS.find((it) => it === wire.kind) ?? 'rail'}
        choose={(kind) => editWire(id, { kind })}
        className="min-h-8 py-0.5"
      />
      <FactField path={at('length')} small /> <ChoiceField path={at('gauge')} />
      <span className="text-second">fuse</span> <FactField path={at('fuse')} small />
      <PlainField
        label={`Colour of ${name}`}
        hideLabel
        words
        value={wire.colour}
        placeholder="colour"
        className="w-32"
        keep={(colour) => editWire(id, { colour: colour.trim() })}
      />
      <PlainField
        label={`Connector of ${name}`}
        hideLabel
        words
        value={wire.connector}
        placeholder="connector"
        className="w-36"
        keep={(connector) => editWire(id, { connector: connector.trim() })}
      />
      <TakeAway what={`Take the wire ${name} away`} act={() => removeWire(id)} />
    </li>
  )
}
