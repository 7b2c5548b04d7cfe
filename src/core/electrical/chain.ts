import { isActuated } from './blockKinds'
import { roleOf, type Sense } from './blocks'
import type { WiredBlock, WiredPair } from './wiring'

/** A block as far as the safety chain goes. */
export interface ChainBlock extends WiredBlock {
  /** What a contact does when it is pressed, turned off or opened. */
  readonly sense: Sense
  /** The contact that it moves together with; empty: by itself. */
  readonly movesWith: string
}

/** What is drawn, and whether an input that hangs free reads low. */
export interface Circuit {
  readonly blocks: readonly ChainBlock[]
  readonly wires: readonly WiredPair[]
  readonly pulledDown: boolean
}

/** What is drawn of a wiring, as far as its chain goes. */
interface Drawn {
  readonly blocks: Readonly<Record<string, Omit<ChainBlock, 'id'> & { readonly order: number }>>
  readonly wires: Readonly<Record<string, Omit<WiredPair, 'id'> & { readonly order: number }>>
}

/**
 * The circuit of what is drawn, in its order.
 * @param isPulledDown Asked only where an input could hang free.
 */
export function circuitOf({ blocks, wires }: Drawn, isPulledDown: () => boolean): Circuit {
  const inOrder = <T extends { readonly order: number }>(rows: Readonly<Record<string, T>>): readonly (readonly [string, T])[] =>
    Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)
  const drawn = inOrder(blocks).map(([id, { kind, name, sense, movesWith }]) => ({ id, kind, name, sense, movesWith }))
  const joined = inOrder(wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind }))
  const hasInputs = joined.some((it) => it.kind === 'signal') || drawn.some((it) => it.kind === 'switch')
  return { blocks: drawn, wires: joined, pulledDown: hasInputs && isPulledDown() }
}

/** One thing broken: contacts that no longer open, a wire that is off, an output that is always on. */
export type Fault =
  | { readonly kind: 'welded'; readonly block: string }
  | { readonly kind: 'broken'; readonly wire: string }
  | { readonly kind: 'stuck'; readonly block: string }

/** A moment of the chain: which contacts are moved, and whether the controller tells the beam to be on. */
export interface ChainMoment {
  /** Ids of the contacts that are pressed, off or open; what moves together with one is moved too. */
  readonly moved: readonly string[]
  readonly commanded: boolean
}

/** What a signal wire brings: driven high, driven low, or nothing that drives it. */
type Level = 'high' | 'low' | 'open'

/** Everything about one circuit that does not change from moment to moment. */
interface Joined {
  readonly circuit: Circuit
  readonly power: ReadonlyMap<string, readonly WiredPair[]>
  readonly signal: ReadonlyMap<string, readonly WiredPair[]>
  readonly byId: ReadonlyMap<string, ChainBlock>
}

function join(circuit: Circuit): Joined {
  const byId = new Map(circuit.blocks.map((it) => [it.id, it]))
  const into = (kinds: readonly string[]): ReadonlyMap<string, readonly WiredPair[]> => {
    const found = new Map<string, WiredPair[]>()
    for (const wire of circuit.wires) {
      if (kinds.includes(wire.kind) && byId.has(wire.from) && byId.has(wire.to)) {
        found.set(wire.to, [...(found.get(wire.to) ?? []), wire])
      }
    }
    return found
  }
  return { circuit, byId, power: into(['rail', 'mains']), signal: into(['signal']) }
}

/** The contact that a person moves to move this one. */
export function actuatorOf(block: ChainBlock, byId: ReadonlyMap<string, ChainBlock>): string {
  const master = byId.get(block.movesWith)
  return master !== undefined && isActuated(master.kind) ? master.id : block.id
}

/** Contacts that a person moves, each once, however many contacts move together. */
export function actuators({ blocks }: Pick<Circuit, 'blocks'>): readonly string[] {
  const byId = new Map(blocks.map((it) => [it.id, it]))
  return [...new Set(blocks.filter((it) => isActuated(it.kind)).map((it) => actuatorOf(it, byId)))]
}

/** One moment worked: what has power, and what each signal input is told. */
class Moment {
  private readonly powered = new Set<string>()
  /** Devices whose input decides whether they conduct; all of them at first, fewer with every round. */
  private driven: ReadonlySet<string>
  private readonly joined: Joined
  private readonly moment: ChainMoment
  private readonly fault: Fault | null

  constructor(joined: Joined, moment: ChainMoment, fault: Fault | null) {
    this.joined = joined
    this.moment = moment
    this.fault = fault
    this.driven = new Set(
      joined.circuit.blocks.filter((it) => it.kind === 'contactor' || it.kind === 'switch').map((it) => it.id),
    )
    this.settle()
  }

  /** Drops what is not driven, until nothing more drops: a contactor that holds itself stays in until it is let go. */
  private settle(): void {
    for (;;) {
      this.spread()
      const still = new Set([...this.driven].filter((id) => this.isDriven(id)))
      if (still.size === this.driven.size) return
      this.driven = still
    }
  }

  /** What power reaches, from the sources on. */
  private spread(): void {
    this.powered.clear()
    for (let before = -1; before !== this.powered.size;) {
      before = this.powered.size
      for (const block of this.joined.circuit.blocks)
        if (!this.powered.has(block.id) && this.gets(block)) this.powered.add(block.id)
    }
  }

  private gets({ id, kind }: ChainBlock): boolean {
    const into = this.joined.power.get(id) ?? []
    if (kind === 'inlet') return true
    if (roleOf(kind) === 'source' && !into.some((it) => it.kind === 'mains')) return true
    return into.some((wire) => this.isWhole(wire) && this.powered.has(wire.from) && this.passes(wire.from))
  }

  /** Whether what reaches a block goes on beyond it. */
  private passes(id: string): boolean {
    const block = this.joined.byId.get(id)
    return block !== undefined && (roleOf(block.kind) !== 'contact' || this.isClosed(block))
  }

  private isClosed(block: ChainBlock): boolean {
    if (this.fault?.kind === 'welded' && this.fault.block === block.id) return true
    if (!isActuated(block.kind)) return this.driven.has(block.id)
    return this.isMoved(block) === (block.sense === 'closes')
  }

  private isMoved(block: ChainBlock): boolean {
    return this.moment.moved.includes(actuatorOf(block, this.joined.byId))
  }

  private isWhole(wire: WiredPair): boolean {
    return !(this.fault?.kind === 'broken' && this.fault.wire === wire.id)
  }

  private isDriven(id: string): boolean {
    return this.joined.byId.get(id)?.kind === 'contactor'
      ? (this.joined.signal.get(id) ?? []).some((wire) => this.level(wire, new Set()) === 'high')
      : this.isTold(id)
  }

  /** Whether all inputs of a driver or a head say on; one that nothing drives is on unless it is pulled down. */
  isTold(id: string): boolean {
    const into = this.joined.signal.get(id) ?? []
    if (into.length === 0) return this.joined.byId.get(id)?.kind === 'head' || !this.joined.circuit.pulledDown
    return into.every((wire) => this.allows(wire))
  }

  /** Whether an input lets the beam on. A contact that is read by itself says stop by being open, or by closing. */
  private allows(wire: WiredPair): boolean {
    const from = this.joined.byId.get(wire.from)
    if (from !== undefined && this.isDry(from)) {
      const closed = this.isWhole(wire) && this.isClosed(from)
      return from.sense === 'closes' ? !closed : closed
    }
    const level = this.level(wire, new Set())
    return level === 'open' ? !this.joined.circuit.pulledDown : level === 'high'
  }

  /** A contact that an input reads: nothing feeds it. */
  private isDry({ id, kind }: ChainBlock): boolean {
    return isActuated(kind) && !this.joined.power.has(id) && !this.joined.signal.has(id)
  }

  private level(wire: WiredPair, seen: ReadonlySet<string>): Level {
    const from = this.joined.byId.get(wire.from)
    if (from === undefined || !this.isWhole(wire) || seen.has(wire.id)) return 'open'
    if (from.kind === 'controller') return this.output(from.id)
    if (roleOf(from.kind) !== 'contact') return this.powered.has(from.id) ? 'high' : 'open'
    if (!this.isClosed(from)) return 'open'
    if (this.powered.has(from.id)) return 'high'
    const into = (this.joined.signal.get(from.id) ?? []).map((it) => this.level(it, new Set([...seen, wire.id])))
    return into.find((it) => it === 'high') ?? into.find((it) => it === 'low') ?? 'open'
  }

  /** What the controller's output says; one without power drives nothing. */
  private output(id: string): Level {
    if (!this.powered.has(id)) return 'open'
    if (this.fault?.kind === 'stuck' && this.fault.block === id) return 'high'
    return this.moment.commanded && this.isPermitted(id) ? 'high' : 'low'
  }

  /** Whether all that the controller reads lets it go on; an input of it that nothing drives reads as a stop. */
  private isPermitted(id: string): boolean {
    return (this.joined.signal.get(id) ?? []).every((wire) => {
      const from = this.joined.byId.get(wire.from)
      return from !== undefined && this.isDry(from) ? this.allows(wire) : this.level(wire, new Set()) === 'high'
    })
  }

  has(id: string): boolean {
    return this.powered.has(id)
  }

  /** Whether a contact, a contactor or a driver is closed. */
  conducts(block: ChainBlock): boolean {
    return roleOf(block.kind) === 'contact' && this.isClosed(block)
  }

  /** Whether a wire carries power, or says on. */
  carries(wire: WiredPair): boolean {
    if (wire.kind === 'signal') return this.isWhole(wire) && this.allows(wire)
    return wire.kind !== 'earth' && this.isWhole(wire) && this.powered.has(wire.from) && this.passes(wire.from)
  }

  beamOn(head: string): boolean {
    return this.powered.has(head) && this.isTold(head)
  }
}

/** A moment of a circuit, for its drawing. */
export interface ChainPicture {
  /** Blocks that have power, contacts that are closed, wires that carry power or a signal that says on. */
  readonly powered: ReadonlySet<string>
  readonly closed: ReadonlySet<string>
  readonly live: ReadonlySet<string>
  /** Heads that can give light: power reaches them, and every input of them says on. */
  readonly on: ReadonlySet<string>
}

/** What stands where in a moment, with one fault or none. */
export function chainPicture(circuit: Circuit, moment: ChainMoment, fault: Fault | null): ChainPicture {
  const worked = new Moment(join(circuit), moment, fault)
  const ids = (list: readonly { readonly id: string }[]): ReadonlySet<string> => new Set(list.map((it) => it.id))
  return {
    powered: ids(circuit.blocks.filter((it) => worked.has(it.id))),
    closed: ids(circuit.blocks.filter((it) => worked.conducts(it))),
    live: ids(circuit.wires.filter((it) => worked.carries(it))),
    on: ids(circuit.blocks.filter((it) => it.kind === 'head' && worked.beamOn(it.id))),
  }
}

/** Every single fault that a circuit can have. */
export function faultsOf({ blocks, wires }: Circuit): readonly Fault[] {
  return [
    ...blocks.flatMap((it): Fault[] => (roleOf(it.kind) === 'contact' ? [{ kind: 'welded', block: it.id }] : [])),
    ...blocks.flatMap((it): Fault[] =>
      it.kind === 'controller' && wires.some((wire) => wire.kind === 'signal' && wire.from === it.id)
        ? [{ kind: 'stuck', block: it.id }]
        : [],
    ),
    ...wires.flatMap((it): Fault[] => (it.kind === 'earth' ? [] : [{ kind: 'broken', wire: it.id }])),
  ]
}

/** One line of the truth table: contacts that are moved, and what becomes of the head. */
export interface ChainRow {
  readonly moved: readonly string[]
  /** Whether the head can give light when the controller tells it to. */
  readonly on: boolean
  /** Whether it does without being told. */
  readonly untold: boolean
  /** Whether power reaches it, light or none. */
  readonly powered: boolean
  /** Single faults with which it gives light although it is dark without them: told where a contact is moved, else untold. */
  readonly defeatedBy: readonly Fault[]
}

/** Up to so many contacts all their states are worked, beyond that each by itself. */
export const MOST_STATES_OF = 5

/**
 * The truth table of a safety chain, worked from what is drawn: for each state of the contacts whether the head can give
 * light, and with which single fault it can although it should not.
 * @returns Rows, nothing moved first, then one contact, then more. Where there are more than five, only none and one.
 * Valid: contacts, contactors, drivers and signals as drawn; one fault at a time. Power goes along a wire from its first
 * block to its second. Source: logic of the circuit; a welded contact, a broken wire and a stuck output as the usual single
 * faults (ISO 13849-2, annex D, from memory).
 */
export function truthTable(circuit: Circuit, head: string): readonly ChainRow[] {
  const joined = join(circuit)
  const faults = faultsOf(circuit)
  return statesOf(actuators(circuit)).map((moved) => {
    const told = new Moment(joined, { moved, commanded: true }, null)
    const untold = new Moment(joined, { moved, commanded: false }, null)
    const isStopped = moved.length > 0
    const isDark = isStopped ? !told.beamOn(head) : !untold.beamOn(head)
    const moment = { moved, commanded: isStopped }
    return {
      moved,
      on: told.beamOn(head),
      untold: untold.beamOn(head),
      powered: told.has(head),
      defeatedBy: isDark ? faults.filter((it) => new Moment(joined, moment, it).beamOn(head)) : [],
    }
  })
}

/** Every set of the contacts, the smaller ones first. */
function statesOf(ids: readonly string[]): readonly (readonly string[])[] {
  if (ids.length > MOST_STATES_OF) return [[], ...ids.map((it) => [it])]
  const all = Array.from({ length: 2 ** ids.length }, (_, bits) => ids.filter((_id, i) => (bits >> i) % 2 === 1))
  return all.sort((p, q) => p.length - q.length)
}

/** Whether a lamp has power whenever the head has, in every state of the contacts. */
export function lampFollows(circuit: Circuit, head: string, lamp: string): boolean {
  const joined = join(circuit)
  return statesOf(actuators(circuit)).every((moved) => {
    const worked = new Moment(joined, { moved, commanded: true }, null)
    return !worked.has(head) || worked.has(lamp)
  })
}
