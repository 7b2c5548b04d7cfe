import { roleOf, type BlockId, type WireKind } from './blocks'

/** A block as far as its place in the wiring matters. */
export interface WiredBlock {
  readonly id: string
  readonly kind: BlockId
  readonly name: string
}

/** A pair of wires, from the side of the source to the side of the load. */
export interface WiredPair {
  readonly id: string
  readonly from: string
  readonly to: string
  readonly kind: WireKind
}

/** Something wrong with how blocks are joined, at its place. */
export interface WiringFinding {
  readonly code:
    'no-source' | 'two-sources' | 'converter-loop' | 'into-source' | 'to-itself' | 'lost-end' | 'mains-as-rail' | 'rail-as-mains'
  readonly message: string
  /** The block or the wire that it is about. */
  readonly block?: string
  readonly wire?: string
}

const isSource = ({ kind }: WiredBlock): boolean => roleOf(kind) === 'source' || roleOf(kind) === 'converter'

/**
 * The rail wires that a source feeds: along the wires from it, until a converter, which is fed and feeds a rail of its own.
 * @returns Wires in the order in which they are reached, and the blocks at their ends, the source first.
 */
export function reachOf(source: string, blocks: readonly WiredBlock[], wires: readonly WiredPair[]) {
  const byId = new Map(blocks.map((it) => [it.id, it]))
  const reached = [source]
  const taken: WiredPair[] = []
  for (let i = 0; i < reached.length; i++) {
    const at = byId.get(reached[i] ?? '')
    if (at === undefined || (i > 0 && isSource(at))) continue
    for (const wire of wires) {
      if (wire.kind !== 'rail' || taken.includes(wire) || wire.from !== at.id || !byId.has(wire.to)) continue
      taken.push(wire)
      if (!reached.includes(wire.to)) reached.push(wire.to)
    }
  }
  return { blocks: reached, wires: taken }
}

/** Everything that is wrong with how blocks are joined; what is sound can be worked all the same. */
export function wiringFindings(blocks: readonly WiredBlock[], wires: readonly WiredPair[]): readonly WiringFinding[] {
  return [...endFindings(blocks, wires), ...sourceFindings(blocks, wires), ...loopFindings(blocks, wires)]
}

/** Wires that end nowhere, at their own beginning, or in a source. */
function endFindings(blocks: readonly WiredBlock[], wires: readonly WiredPair[]): readonly WiringFinding[] {
  const byId = new Map(blocks.map((it) => [it.id, it]))
  return wires.flatMap(({ id, from, to, kind }): WiringFinding[] => {
    const [a, b] = [byId.get(from), byId.get(to)]
    if (a === undefined || b === undefined) {
      const message = 'One end of this wire hangs free: what it went to was taken away. Join it again, or take it away too.'
      return [{ code: 'lost-end', wire: id, message }]
    }
    if (from === to) return [{ code: 'to-itself', wire: id, message: `This wire leads from ${a.name} back to itself.` }]
    if (kind === 'rail' && roleOf(b.kind) === 'source') {
      const message = `This wire leads into ${b.name}, which is a source: nothing may feed it. Turn the wire round, or join another block.`
      return [{ code: 'into-source', wire: id, message }]
    }
    return [...mainsFindings(id, kind, a, b)]
  })
}

/** Mains on a wire that is drawn as a rail, or the other way round. */
function mainsFindings(wire: string, kind: WireKind, a: WiredBlock, b: WiredBlock): readonly WiringFinding[] {
  const isMains = roleOf(a.kind) === 'mains'
  if (isMains && (kind === 'rail' || kind === 'signal')) {
    const message = `This wire would lead mains into ${b.name} as a ${kind}. If it is a mains lead, say so at its line; else feed ${b.name} from a supply.`
    return [{ code: 'mains-as-rail', wire, message }]
  }
  if (kind === 'mains' && (isSource(a) || roleOf(a.kind) === 'load')) {
    const message = `This wire is drawn as mains, but ${a.name} gives none. Call it a rail at its line.`
    return [{ code: 'rail-as-mains', wire, message }]
  }
  return []
}

/** A load on the mains, or a contact in a signal or mains line: it need not hang on a rail. */
function isFedOtherwise(id: string, kind: BlockId, wires: readonly WiredPair[]): boolean {
  if (wires.some((it) => it.kind === 'rail' && it.to === id)) return false
  if (roleOf(kind) === 'contact') return wires.some((it) => it.kind !== 'earth' && (it.from === id || it.to === id))
  return wires.some((it) => it.kind === 'mains' && it.to === id)
}

/** Loads that no source reaches, and blocks that two reach at once. */
function sourceFindings(blocks: readonly WiredBlock[], wires: readonly WiredPair[]): readonly WiringFinding[] {
  const feeders = new Map<string, string[]>()
  for (const source of blocks.filter(isSource)) {
    for (const id of reachOf(source.id, blocks, wires).blocks.slice(1)) feeders.set(id, [...(feeders.get(id) ?? []), source.name])
  }
  return blocks.flatMap(({ id, kind, name }): WiringFinding[] => {
    if (roleOf(kind) === 'source' || roleOf(kind) === 'mains' || isFedOtherwise(id, kind, wires)) return []
    const from = feeders.get(id) ?? []
    if (from.length === 0) {
      return [{ code: 'no-source', block: id, message: `Nothing feeds ${name}: lead a wire to it from a supply or a converter.` }]
    }
    if (from.length > 1) {
      const message = `${name} hangs on ${from.join(' and ')} at once: two sources on one rail fight each other. Keep one.`
      return [{ code: 'two-sources', block: id, message }]
    }
    return []
  })
}

/** Converters that feed one another in a ring. */
function loopFindings(blocks: readonly WiredBlock[], wires: readonly WiredPair[]): readonly WiringFinding[] {
  const converters = blocks.filter((it) => roleOf(it.kind) === 'converter')
  const feeds = new Map(converters.map((it) => [it.id, reachOf(it.id, blocks, wires).blocks.slice(1)]))
  const leadsTo = (from: string, to: string, seen: ReadonlySet<string>): boolean =>
    (feeds.get(from) ?? []).some((it) => it === to || (feeds.has(it) && !seen.has(it) && leadsTo(it, to, new Set([...seen, it]))))
  return converters
    .filter(({ id }) => leadsTo(id, id, new Set([id])))
    .map(({ id, name }) => ({
      code: 'converter-loop',
      block: id,
      message: `${name} feeds itself in a ring of converters: no power comes from that. Feed it from a supply.`,
    }))
}

/** Where the blocks are drawn: columns by how many wires lie between them and a source, rows by their order. */
export function laidOut(
  blocks: readonly WiredBlock[],
  wires: readonly WiredPair[],
): ReadonlyMap<string, { readonly column: number; readonly row: number }> {
  const depth = new Map(blocks.map((it) => [it.id, 0]))
  for (let round = 0; round < blocks.length; round++) {
    for (const { from, to } of wires) {
      const [a, b] = [depth.get(from), depth.get(to)]
      if (a !== undefined && b !== undefined && b < a + 1 && a + 1 < blocks.length) depth.set(to, a + 1)
    }
  }
  const rows = new Map<number, number>()
  return new Map(
    blocks.map(({ id }) => {
      const column = depth.get(id) ?? 0
      const row = rows.get(column) ?? 0
      rows.set(column, row + 1)
      return [id, { column, row }]
    }),
  )
}
