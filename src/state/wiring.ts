import { setAt, templateOf, valuesOf } from '../core/bench'
import {
  BLOCKS,
  blockShape,
  bondShape,
  laidOut,
  wireShape,
  type Block,
  type BlockId,
  type Wire,
  type WireKind,
} from '../core/electrical'
import { newId } from '../data/ids'
import { writeWiring } from '../data/wiringCsv'
import { editBench, useBenchStore } from './benchStore'
import type { Told } from './told'

/** Puts a block of a kind onto the drawing, below what is there in its column. */
export function addBlock(kind: BlockId, column: number): Told {
  return editBench(`a ${BLOCKS[kind].name.toLowerCase()}`, (bench) => {
    const blocks = valuesOf(bench.electrical.blocks)
    const alike = blocks.filter((it) => it.kind === kind).length
    const name = alike === 0 ? BLOCKS[kind].name : `${BLOCKS[kind].name} ${alike + 1}`
    const rows = blocks.filter((it) => Math.round(it.x) === column).map((it) => it.y)
    const y = rows.length === 0 ? 0 : Math.max(...rows) + 1
    const order = 1 + Math.max(0, ...blocks.map((it) => it.order))
    return setAt(bench, `electrical.blocks.${newId()}`, templateOf(blockShape, { order, kind, name, x: column, y }))
  })
}

/** A usual wiring to begin from, by kind, name and place; its labels are the person's to enter. */
const USUAL_BLOCKS: readonly (readonly [BlockId, string, number, number])[] = [
  ['motorSupply', 'Supply', 0, 1],
  ['motors', 'Motors and drivers', 1, 0],
  ['converter', 'Converter', 1, 1],
  ['controller', 'Controller', 1, 2],
  ['stop', 'Emergency stop', 11 / 6, 1],
  ['key', 'Key', 13 / 6, 1],
  ['stop', 'Stop, second', 11 / 6, 2],
  ['head', 'Diode head', 16 / 6, 1],
  ['lamp', 'Beam lamp', 16 / 6, 0],
]
/** From, to, by place in that list. */
const USUAL_WIRES: readonly (readonly [number, number, WireKind])[] = [
  [0, 1, 'rail'],
  [0, 2, 'rail'],
  [0, 3, 'rail'],
  [2, 4, 'rail'],
  [4, 5, 'rail'],
  [5, 7, 'rail'],
  [5, 8, 'rail'],
  [3, 6, 'signal'],
  [6, 7, 'signal'],
]

/** Draws a usual wiring on an empty drawing: a supply, a converter for the head, a stop with two contacts, a key, a lamp. */
export function addUsualWiring(): Told {
  const ids = USUAL_BLOCKS.map(() => newId())
  const idOf = (i: number): string => ids[i] ?? ''
  return editBench('a usual wiring', (bench) => {
    const blocks = USUAL_BLOCKS.map(([kind, name, x, y], i) => {
      const made = templateOf(blockShape, { order: i + 1, kind, name, x, y })
      return [idOf(i), name === 'Stop, second' ? { ...made, movesWith: idOf(4) } : made] as const
    })
    const wires = USUAL_WIRES.map(([from, to, kind], i) => {
      const ends = { order: i + 1, from: idOf(from), to: idOf(to), kind, colour: '', connector: '' }
      return [newId(), templateOf(wireShape, ends)] as const
    })
    const drawn = setAt(bench, 'electrical.blocks', { ...bench.electrical.blocks, ...Object.fromEntries(blocks) })
    return setAt(drawn, 'electrical.wires', { ...bench.electrical.wires, ...Object.fromEntries(wires) })
  })
}

/** Changes a block's plain values: its name, its place. */
export function editBlock(
  id: string,
  patch: Partial<Pick<Block, 'name' | 'x' | 'y' | 'sense' | 'movesWith'>>,
  words: string,
): Told {
  return editBench(words, (bench) => {
    const block = bench.electrical.blocks[id]
    return block === undefined ? bench : setAt(bench, `electrical.blocks.${id}`, { ...block, ...patch })
  })
}

/** A metal part that is to be bonded to the protective earth. */
export function addBond(name: string): Told {
  return editBench('a bond', (bench) => {
    const order = 1 + Math.max(0, ...valuesOf(bench.electrical.bonds).map((it) => it.order))
    return setAt(bench, `electrical.bonds.${newId()}`, templateOf(bondShape, { order, name }))
  })
}

export function editBond(id: string, name: string): Told {
  return editBench('a bond named', (bench) => setAt(bench, `electrical.bonds.${id}.name`, name))
}

export function removeBond(id: string): Told {
  return editBench('a bond taken away', (bench) => setAt(bench, `electrical.bonds.${id}`, undefined))
}

/** Takes a block away, with the wires that go to it; one undo step. */
export function removeBlock(id: string): Told {
  return editBench('a block taken away', (bench) => {
    const wires = Object.entries(bench.electrical.wires).filter(([, it]) => it.from !== id && it.to !== id)
    const without = setAt(bench, `electrical.blocks.${id}`, undefined)
    return setAt(without, 'electrical.wires', Object.fromEntries(wires))
  })
}

/** Joins two blocks, from the side of the source. */
export function addWire(from: string, to: string, kind: WireKind): Told {
  return editBench('a wire', (bench) => {
    const order = 1 + Math.max(0, ...valuesOf(bench.electrical.wires).map((it) => it.order))
    const made = templateOf(wireShape, { order, from, to, kind, colour: '', connector: '' })
    return setAt(bench, `electrical.wires.${newId()}`, made)
  })
}

/** Changes a wire's plain values: its kind, its ends, its colour, its connector. */
export function editWire(id: string, patch: Partial<Pick<Wire, 'kind' | 'from' | 'to' | 'colour' | 'connector'>>): Told {
  return editBench('a wire', (bench) => {
    const wire = bench.electrical.wires[id]
    return wire === undefined ? bench : setAt(bench, `electrical.wires.${id}`, { ...wire, ...patch })
  })
}

export function removeWire(id: string): Told {
  return editBench('a wire taken away', (bench) => setAt(bench, `electrical.wires.${id}`, undefined))
}

/** The wiring list of the open bench as CSV. */
export function wiringToCsv(): Promise<string> {
  const { bench } = useBenchStore.getState()
  return bench === null ? Promise.resolve('') : writeWiring(bench)
}

/** Lays all blocks out again, by what feeds what. */
export function layOutWiring(): Told {
  return editBench('the wiring laid out', (bench) => {
    const { blocks, wires } = bench.electrical
    const inOrder = Object.entries(blocks).sort(([, p], [, q]) => p.order - q.order)
    const places = laidOut(
      inOrder.map(([id, { kind, name }]) => ({ id, kind, name })),
      Object.entries(wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind })),
    )
    const moved = inOrder.map(([id, it]) => [id, { ...it, x: places.get(id)?.column ?? it.x, y: places.get(id)?.row ?? it.y }])
    return setAt(bench, 'electrical.blocks', Object.fromEntries(moved))
  })
}
