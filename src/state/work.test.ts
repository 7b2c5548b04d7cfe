import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Bench } from '../core/document'
import { storageHere } from '../../tests/workerHere'

storageHere()
const state = await import('.')
const bench = (): Bench => state.useBenchStore.getState().bench as Bench

beforeEach(async () => {
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
  await state.loadChecking()
})

describe('a piece of the order', () => {
  it('is moved with its copies, sized by its scale, given other numbers; what cannot be is refused and changes nothing', () => {
    expect(state.movePiece('label', 2.04, -1)).toEqual([])
    expect(bench().work.pieces['label']).toMatchObject({ x: 7, y: 5 })
    expect(state.sizePiece('picture', 'width', 36)).toEqual([])
    expect(bench().work.pieces['picture']!.scale).toBeCloseTo(2, 9)
    const before = bench().work
    expect(state.reasonOf(state.setPiece('label', { columns: 0 }))).toBe('The number of columns is 1 to 200.')
    expect(state.reasonOf(state.setWay('label', 'outline', { power: 1.5 }))).toBe('The power is 0.1 to 100 %.')
    expect(state.reasonOf(state.setPiece('nobody', { x: 1 }))).toContain('taken out')
    expect(state.reasonOf(state.setPiece('label', { name: '' }))).toContain('needs a name')
    expect(bench().work).toBe(before)
  })
  it('that is given to another purpose begins with usual numbers for it, without the setting of the old one', () => {
    state.setWay('label', 'outline', { setting: 's' })
    expect(state.letWay('label', 'outline', 'mark')).toEqual([])
    expect(bench().work.pieces['label']!.ways['outline']).toMatchObject({ does: 'mark', setting: '', speed: 25 })
    expect(state.dropPiece('label')).toEqual([])
    expect(bench().work.pieces['label']).toBeUndefined()
  })
  it('keeps its copies together when it was laid out one by one', () => {
    state.setPiece('label', { spots: { a: { order: 0, x: 5, y: 5, turn: 90 }, b: { order: 1, x: 50, y: 5, turn: 0 } } })
    state.movePiece('label', 10, 0)
    expect(Object.values(bench().work.pieces['label']!.spots).map((it) => it.x)).toEqual([15, 60])
    state.gridAgain('label')
    expect(bench().work.pieces['label']!.spots).toEqual({})
  })
})

describe('an order', () => {
  it('is kept under a name and taken up again, its material where that is still in the book', () => {
    expect(state.reasonOf(state.keepOrder(' '))).toContain('needs a name')
    expect(state.keepOrder('Labels')).toEqual([])
    const [id] = Object.keys(bench().work.kept)
    const { pieces } = bench().work
    state.dropPiece('label')
    state.setWorkMaterial('cork')
    expect(state.takeUpOrder(id!)).toEqual([])
    expect(bench().work.pieces).toEqual(pieces)
    expect(bench().work.material).toBe('ply')
    state.dropOrder(id!)
    expect(state.reasonOf(state.takeUpOrder(id!))).toContain('not kept any more')
  })
  it('keeps its files through export and import under another id, and so do its records', async () => {
    const { writeBenchFile, readBenchFile } = await import('../data/benchFile')
    const { copyBundle } = await import('../data')
    const { records, files } = state.useBenchStore.getState()
    state.keepOrder('Labels')
    const read = readBenchFile(writeBenchFile({ bench: bench(), records, files }), 'heron.bench.zip')
    if (!read.ok) throw new Error(read.findings[0]?.message)
    let count = 0
    const copied = copyBundle(read.value, () => `new${count++}`, 'Copy')
    const orders = [copied.bench.work.pieces, ...Object.values(copied.bench.work.kept).map((it) => it.pieces)]
    for (const piece of orders.flatMap((it) => Object.values(it))) {
      const file = copied.files.find((it) => it.recordId === piece.record)
      expect(file?.name).toBe(piece.name === 'Plant label' ? 'plant-label.svg' : 'seed-head.png')
    }
    const label = copied.files.find((it) => it.name === 'plant-label.svg')!
    expect(Buffer.from(label.bytes).equals(readFileSync('tests/fixtures/artwork/plant-label.svg'))).toBe(true)
  })
})
