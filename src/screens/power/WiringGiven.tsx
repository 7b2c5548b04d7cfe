import { useState } from 'react'
import {
  ACTUATED,
  BLOCKS,
  isActuated,
  roleOf,
  WIRE_KINDS,
  type ActuatedId,
  type Block,
  type BlockId,
  type Sense,
  type Wire,
  type WireKind,
} from '../../core/electrical'
import type { Bench } from '../../core/document'
import {
  addBlock,
  addUsualWiring,
  addWire,
  editBlock,
  editWire,
  layOutWiring,
  removeBlock,
  removeWire,
  useBenchStore,
} from '../../state'
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

const MOVED_WORDS = Object.fromEntries(
  Object.entries(ACTUATED).map(([kind, words]) => [kind, `${words[0]?.toUpperCase()}${words.slice(1)}`]),
) as Readonly<Record<ActuatedId, string>>
const KIND_NAMES = Object.fromEntries(Object.entries(BLOCKS).map(([id, { name }]) => [id, name])) as Record<BlockId, string>
/** In which column of the drawing a role stands at first. */
const COLUMN = { mains: 0, source: 0, contact: 2, converter: 1, load: 3 } as const

function AddBlock() {
  const [kind, setKind] = useState<BlockId>('motorSupply')
  const count = useBenchStore(({ bench }) => Object.keys(bench?.electrical.blocks ?? {}).length)
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <SelectOf label="Kind of block" of={KIND_NAMES} value={kind} choose={setKind} />
      <button type="button" className="button button-first" onClick={() => addBlock(kind, COLUMN[roleOf(kind)])}>
        Add it
      </button>
      {count === 0 && (
        <button type="button" className="button" onClick={() => addUsualWiring()}>
          Begin with a usual wiring
        </button>
      )}
      {count > 1 && (
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
      <Label id={id} block={block} bench={bench} />
    </Panel>
  )
}

function Label({ id, block, bench }: { readonly id: string; readonly block: Block; readonly bench: Bench }) {
  const at = <K extends string>(key: K) => `electrical.blocks.${id}.${key}` as const
  switch (roleOf(block.kind)) {
    case 'contact':
      return <Contact id={id} block={block} bench={bench} />
    case 'mains':
      return (
        <>
          <Sentence>
            The mains have <FactField path={at('volts')} />, and it carries <FactField path={at('amps')} />.
          </Sentence>
          <p className="text-[13px] text-second">Mains work is left to licensed hands and local codes.</p>
        </>
      )
    case 'source':
      return (
        <>
          <Sentence>
            It gives{' '}
            {block.kind === 'motorSupply' ? (
              <FactField path="motion.motorVoltage" place="power" />
            ) : (
              <FactField path={at('volts')} />
            )}{' '}
            and at most <FactField path={at('amps')} />; <FactField path={at('efficiency')} /> of what it takes comes out, at a
            power factor of <FactField path={at('powerFactor')} />, and its inrush is <FactField path={at('inrush')} />.
          </Sentence>
          <Sentence>
            With a capacitor behind it, it may sag by <FactField path={at('sag')} /> while it is without feed for{' '}
            <FactField path={at('gap')} />.
          </Sentence>
        </>
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

const SENSE_WORDS: Readonly<Record<Sense, string>> = { opens: 'opens', closes: 'closes' }

/** A contact: what it does when it is moved, and which other it moves together with. */
function Contact({ id, block, bench }: { readonly id: string; readonly block: Block; readonly bench: Bench }) {
  if (!isActuated(block.kind)) {
    const words =
      block.kind === 'contactor'
        ? 'It conducts while a signal wire into it says on: its coil.'
        : 'It conducts while every signal wire into it says on; one that nothing drives says on unless it is pulled down.'
    return <p className="py-1 text-second">{words}</p>
  }
  const others = inOrder(bench.electrical.blocks).filter(([it, { kind }]) => it !== id && isActuated(kind))
  const together = { '': 'by itself', ...Object.fromEntries(others.map(([it, { name }]) => [it, `together with ${name}`])) }
  return (
    <p className="flex flex-wrap items-center gap-2 py-1 text-[15px]">
      {MOVED_WORDS[block.kind]}, it
      <SelectOf
        label={`What ${block.name} does`}
        of={SENSE_WORDS}
        value={block.sense}
        choose={(sense) => editBlock(id, { sense }, `“${block.name}” ${sense}`)}
      />
      and moves
      <SelectOf
        label={`What ${block.name} moves with`}
        of={together}
        value={Object.hasOwn(together, block.movesWith) ? (block.movesWith as '') : ''}
        choose={(movesWith) => editBlock(id, { movesWith }, `“${block.name}” moves with another`)}
      />
    </p>
  )
}

/** All wires, and a way to join two blocks. */
function Wires({ bench }: { readonly bench: Bench }) {
  const { blocks, wires } = bench.electrical
  const names = Object.fromEntries(inOrder(blocks).map(([id, { name }]) => [id, name]))
  const ids = Object.keys(names)
  const [from, setFrom] = useState<string | null>(null)
  const [to, setTo] = useState<string | null>(null)
  const [carries, setCarries] = useState<WireKind | null>(null)
  if (ids.length < 2) return null
  const [a, b] = [
    from !== null && ids.includes(from) ? from : (ids[0] ?? ''),
    to !== null && ids.includes(to) ? to : (ids[1] ?? ''),
  ]
  const kind = carries ?? usualKind(blocks[a]?.kind, blocks[b]?.kind)
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
        as
        <SelectOf label="Wire carries" of={KINDS} value={kind} choose={setCarries} />
        <button
          type="button"
          className="button"
          disabled={a === b}
          onClick={() => {
            addWire(a, b, kind)
            setCarries(null)
          }}
        >
          Join them
        </button>
      </div>
    </Panel>
  )
}

/** What a wire between two kinds mostly carries. */
function usualKind(from: BlockId | undefined, to: BlockId | undefined): WireKind {
  if (from !== undefined && roleOf(from) === 'mains') return 'mains'
  return from === 'controller' || to === 'contactor' ? 'signal' : 'rail'
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
      <span className="min-w-44 flex-1">{name}</span>
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
        className="w-28 print:w-24"
        keep={(colour) => editWire(id, { colour: colour.trim() })}
      />
      <PlainField
        label={`Connector of ${name}`}
        hideLabel
        words
        value={wire.connector}
        placeholder="connector"
        className="w-32 print:w-24"
        keep={(connector) => editWire(id, { connector: connector.trim() })}
      />
      <TakeAway what={`Take the wire ${name} away`} act={() => removeWire(id)} />
    </li>
  )
}
