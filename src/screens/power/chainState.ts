import { actuators, chainPicture, circuitOf, type Circuit, type Fault } from '../../core/electrical'
import type { Bench } from '../../core/document'
import type { ChainState } from '../../state'
import type { ShownChain } from './WiringPlate'

function drawn({ electrical }: Bench): Circuit {
  return circuitOf(electrical, () => electrical.driver.pullDown.chosen === 'fitted')
}

/** Contacts that a person moves, and what to call them: of those that move together, the first. */
export function movable(bench: Bench): readonly { readonly id: string; readonly name: string }[] {
  return actuators(drawn(bench)).map((id) => ({ id, name: bench.electrical.blocks[id]?.name ?? '' }))
}

/** The picked state, for the drawing; contacts that are gone count as not moved. */
export function shownChain(bench: Bench, { moved, told, fault }: ChainState): ShownChain {
  const circuit = drawn(bench)
  const byId = new Map(circuit.blocks.map((it) => [it.id, it]))
  const picture = chainPicture(circuit, { moved: moved.filter((it) => byId.has(it)), commanded: told }, fault)
  return {
    block: (id) => ({
      isLive: picture.powered.has(id) || circuit.wires.some((it) => it.from === id && picture.live.has(it.id)),
      isClosed: picture.closed.has(id),
      isOn: picture.on.has(id),
      isFault: fault !== null && fault.kind !== 'broken' && fault.block === id,
    }),
    wire: (id) => ({ isLive: picture.live.has(id), isFault: fault?.kind === 'broken' && fault.wire === id }),
  }
}

/** “Emergency stop welded”, “the wire from Lid to Diode head off”. */
export function sayFault({ electrical: { blocks, wires } }: Bench, fault: Fault): string {
  const name = (id: string): string => blocks[id]?.name ?? 'nothing'
  switch (fault.kind) {
    case 'welded':
      return `${name(fault.block)} ${blocks[fault.block]?.kind === 'switch' ? 'shorted' : 'welded'}`
    case 'stuck':
      return `${name(fault.block)}’s output stuck on`
    case 'broken': {
      const wire = wires[fault.wire]
      return `wire ${name(wire?.from ?? '')} to ${name(wire?.to ?? '')} off`
    }
  }
}
