import { subjectOf } from '../bench'
import { roleOf, type WireKind } from './blocks'
import { actuators } from './chain'
import type { ElectricalBench } from './slice'

const subject = subjectOf<ElectricalBench>()

function inOrder<T extends { readonly order: number }>(rows: Readonly<Record<string, T>>): readonly (readonly [string, T])[] {
  return Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)
}

/** Supplies and converters: each feeds a rail. */
export const aSource = subject('source', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) =>
    roleOf(kind) === 'source' || roleOf(kind) === 'converter' ? [[id]] : [],
  ),
)

/** Loads on the rails: what hangs on the mains is none. */
export const aLoad = subject('load', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) =>
    roleOf(kind) === 'load' && !isOnMains(id, Object.values(electrical.wires)) ? [[id]] : [],
  ),
)

/** Mains inlets and strips. */
export const aMains = subject('mains', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) => (roleOf(kind) === 'mains' ? [[id]] : [])),
)

/** Supplies, which may stand on the mains. */
export const aSupply = subject('supply', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) => (roleOf(kind) === 'source' ? [[id]] : [])),
)

/** Converters, which take from one rail and feed another. */
export const aConverter = subject('converter', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) => (roleOf(kind) === 'converter' ? [[id]] : [])),
)

/** Joints of the protective earth. */
export const aBond = subject('bond', ({ electrical }): [bondId: string][] => inOrder(electrical.bonds).map(([id]) => [id]))

function isOnMains(id: string, wires: readonly { readonly kind: WireKind; readonly to: string }[]): boolean {
  return wires.some((it) => it.kind === 'mains' && it.to === id)
}

/** Pairs of wires that carry a rail. */
export const aRailWire = subject('wire', ({ electrical }): [wireId: string][] =>
  inOrder(electrical.wires).flatMap(([id, { kind }]) => (kind === 'rail' ? [[id]] : [])),
)

/** Diode heads. */
export const aHead = subject('head', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) => (kind === 'head' ? [[id]] : [])),
)

/** A head, and a contact that is there to darken it. */
export const aGuard = subject('contact', (bench: ElectricalBench): [headId: string, contactId: string][] => {
  const blocks = inOrder(bench.electrical.blocks).map(([id, it]) => ({ id, ...it }))
  return aHead.each(bench).flatMap(([head]) => actuators({ blocks }).map((it): [string, string] => [head, it]))
})
