import { subjectOf } from '../bench'
import { roleOf } from './blocks'
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

/** Loads on the rails. */
export const aLoad = subject('load', ({ electrical }): [blockId: string][] =>
  inOrder(electrical.blocks).flatMap(([id, { kind }]) => (roleOf(kind) === 'load' ? [[id]] : [])),
)

/** Pairs of wires that carry a rail. */
export const aRailWire = subject('wire', ({ electrical }): [wireId: string][] =>
  inOrder(electrical.wires).flatMap(([id, { kind }]) => (kind === 'rail' ? [[id]] : [])),
)
