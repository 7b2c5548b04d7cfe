import 'fake-indexeddb/auto'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { valuesOf } from '../core/bench'
import { truthTable, wiringFindings, circuitOf } from '../core/electrical'
import { emptyBench, type Bench } from '../core/document'
import { openInStore, undo, useBenchStore } from './benchStore'
import { loadChecking } from './checking'
import { addCurvePoints, removeCurvePoint } from './powerCurve'
import { reasonOf } from './told'
import { addBlock, addBond, addUsualWiring, addWire, editBlock, editBond, layOutWiring, removeBlock, removeBond } from './wiring'

const drawn = () => (useBenchStore.getState().bench as Bench).electrical
const names = () => valuesOf(drawn().blocks).map((it) => it.name)
const idOf = (name: string) => Object.entries(drawn().blocks).find(([, it]) => it.name === name)?.[0] ?? ''

beforeAll(() => loadChecking())
beforeEach(() => {
  const bench = emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z')
  openInStore({ bench, records: [], files: [], revision: 1, savedMarks: {} }, '')
})

describe('the drawing of the wiring', () => {
  it('begins with a usual one in one step: nothing wrong in its joints, dark at the stop, gone by one undo', () => {
    expect(addUsualWiring()).toEqual([])
    const { blocks, wires } = drawn()
    const plain = Object.entries(blocks).map(([id, { kind, name }]) => ({ id, kind, name }))
    const joined = Object.entries(wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind }))
    expect(wiringFindings(plain, joined)).toEqual([])
    const rows = truthTable(
      circuitOf(drawn(), () => true),
      idOf('Diode head'),
    )
    expect(rows.map((it) => [it.moved.length, it.on, it.defeatedBy.length])).toEqual([
      [0, true, 1],
      [1, false, 0],
      [1, false, 1],
      [2, false, 0],
    ])
    undo()
    expect(names()).toEqual([])
  })

  it('names a second block of a kind apart, and puts it below the first', () => {
    addBlock('fan', 3)
    addBlock('fan', 3)
    expect(names()).toEqual(['Fan', 'Fan 2'])
    expect(valuesOf(drawn().blocks).map((it) => [it.x, it.y])).toEqual([
      [3, 0],
      [3, 1],
    ])
  })

  it('takes a block away with what hangs on it, and brings both back', () => {
    addBlock('supply', 0)
    addBlock('fan', 1)
    addBlock('lamp', 1)
    addWire(idOf('Another supply'), idOf('Fan'), 'rail')
    addWire(idOf('Another supply'), idOf('Lamp'), 'rail')
    removeBlock(idOf('Fan'))
    expect([names(), Object.keys(drawn().wires).length]).toEqual([['Another supply', 'Lamp'], 1])
    undo()
    expect([names().length, Object.keys(drawn().wires).length]).toEqual([3, 2])
  })

  it('refuses a name that is none, and leaves the block as it was', () => {
    addBlock('key', 1)
    expect(reasonOf(editBlock(idOf('Key'), { name: '' }, 'named'))).not.toBe('')
    expect(names()).toEqual(['Key'])
  })

  it('is laid out by what feeds what: nothing upon another, a load to the right of its source', () => {
    addUsualWiring()
    for (const id of Object.keys(drawn().blocks)) editBlock(id, { x: 0, y: 0 }, 'moved')
    layOutWiring()
    const places = valuesOf(drawn().blocks).map((it) => `${it.x} ${it.y}`)
    expect(new Set(places).size).toBe(places.length)
    for (const { from, to } of valuesOf(drawn().wires)) {
      expect(drawn().blocks[to]?.x).toBeGreaterThan(drawn().blocks[from]?.x ?? 0)
    }
  })

  it('keeps its bonds by name', () => {
    addBond('Bed')
    const [id = ''] = Object.keys(drawn().bonds)
    editBond(id, 'Bed plate')
    expect(drawn().bonds[id]?.name).toBe('Bed plate')
    expect(reasonOf(editBond(id, ''))).not.toBe('')
    removeBond(id)
    expect(drawn().bonds).toEqual({})
  })
})

describe('the powers of the curve', () => {
  const percents = () =>
    valuesOf((useBenchStore.getState().bench as Bench).calibrate.curve)
      .map((it) => it.percent)
      .sort((p, q) => p - q)

  it('begin with the usual ones, each once, and take another in between', () => {
    addCurvePoints()
    addCurvePoints([40, 50])
    expect(percents()).toEqual([0, 5, 10, 20, 40, 50, 60, 80, 100])
    expect(reasonOf(addCurvePoints([Number.NaN]))).toContain('0 to 100 %')
    const [id = ''] = Object.keys((useBenchStore.getState().bench as Bench).calibrate.curve)
    removeCurvePoint(id)
    expect(percents().length).toBe(8)
  })
})
