import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Bench } from '../core/document'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
workerHere(() => import('../workers/work.worker'))
const state = await import('.')
const bench = (): Bench => state.useBenchStore.getState().bench as Bench
const plan = () => state.useWorkPlan.getState()
const artwork = (name: string, change: (text: string) => string = (it) => it): File =>
  new File([change(readFileSync(`tests/fixtures/artwork/${name}`, 'utf8'))], name, { type: 'image/svg+xml' })

beforeEach(async () => {
  await state.resetDemo()
  expect(await state.openBench('heron')).toEqual([])
  await state.loadChecking()
  // Pictures need a browser; the label stands for the rest.
  for (const id of Object.keys(bench().work.pieces)) state.dropPiece(id)
  await state.saveOpenBench()
})
afterAll(() => vi.unstubAllGlobals())

/** Takes the label in and gives its piece. */
async function takeLabel(): Promise<string> {
  expect(await state.takeArtwork(artwork('plant-label.svg'))).toEqual([])
  return Object.keys(bench().work.pieces)[0]!
}

describe('a file of artwork', () => {
  it('becomes a piece with what it says of its parts, kept with the bench under a record', async () => {
    const id = await takeLabel()
    const piece = bench().work.pieces[id]!
    expect(piece).toMatchObject({ name: 'plant-label', kind: 'drawing', hasUnits: 'yes' })
    expect(Object.values(piece.ways).map((it) => it.does)).toEqual(['cut', 'mark', 'fill'])
    const { records, files } = state.useBenchStore.getState()
    expect(records.find((it) => it.id === piece.record)?.title).toBe('Artwork taken in: plant-label.svg')
    const kept = files.find((it) => it.recordId === piece.record)!
    expect(Buffer.from(kept.bytes).equals(readFileSync('tests/fixtures/artwork/plant-label.svg'))).toBe(true)
    // A second one is laid beside the first.
    await state.takeArtwork(artwork('plant-label.svg'))
    const [first, second] = Object.values(bench().work.pieces)
    expect(second!.x).toBeGreaterThan(first!.x + 99)
  })
  it('that is none, or empty, is refused in words; nothing is kept of it and nothing lost', async () => {
    const before = state.useBenchStore.getState().records.length
    for (const [text, words] of [
      ['', 'is empty'],
      ['<svg', 'no whole XML'],
      ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'nothing in the drawing'],
    ] as const) {
      expect(state.reasonOf(await state.takeArtwork(artwork('plant-label.svg', () => text)))).toContain(words)
    }
    expect(bench().work.pieces).toEqual({})
    expect(state.useBenchStore.getState().records).toHaveLength(before)
  })
  it('in place of another keeps what is done with what is drawn as before; what is new gets usual numbers, what is gone goes', async () => {
    const id = await takeLabel()
    const outline = Object.entries(bench().work.pieces[id]!.ways).find(([, it]) => it.does === 'cut')![0]
    state.setWay(id, outline, { speed: 3.3, tabs: 4 })
    const other = artwork('plant-label.svg', (it) => it.replaceAll('#0000ff', '#ff0000').replace('192,0 192,48', '180,0 180,48'))
    expect(await state.changeArtwork(id, other)).toEqual([])
    const { ways } = bench().work.pieces[id]!
    expect(ways[outline]).toMatchObject({ speed: 3.3, tabs: 4, drawn: 'lines black' })
    expect(Object.values(ways).map((it) => it.drawn)).toEqual(['lines black', 'lines red', 'filled green'])
    expect(state.reasonOf(await state.changeArtwork('nobody', other))).toContain('taken out')
  })
})

describe('the plan of an order', () => {
  it('is a program of what is burnt; changed, it is another; taken back, the first again, though the other was asked for between', async () => {
    const id = await takeLabel()
    await state.planOrder(bench())
    const first = plan().program!
    expect(first.text).toMatch(/^G21/)
    expect(first.seconds).toBeGreaterThan(30)
    expect(plan().isPlanning).toBe(false)
    const before = bench()
    state.movePiece(id, 4, 0)
    const changed = bench()
    // The change is asked for, and undone before its answer comes: it must not come over the order that stands.
    const late = state.planOrder(changed)
    await state.planOrder(before)
    await late
    expect(plan().program).toBe(first)
    await state.planOrder(changed)
    expect(plan().program!.text).not.toBe(first.text)
    expect(plan().program!.burntBounds!.minX - first.burntBounds!.minX).toBeCloseTo(4, 2)
  })
  it('goes where the sheet lies, names a clamp that is run over, and says bars beneath its cuts', async () => {
    await takeLabel()
    await state.planOrder(bench())
    const { burntBounds, onBars } = plan().program!
    expect(burntBounds!.minX).toBeGreaterThan(bench().work.sheetX.value!)
    expect(onBars).toBeNull()
    state.addClamp()
    const [clampId] = Object.keys(bench().work.clamps)
    state.setClamp(clampId!, { order: 1, x: 10, y: 5, width: 30, height: 20 })
    state.setUnder({ under: 'bars', barsFirst: 7.3, barsWidth: 6 })
    await state.planOrder(bench())
    expect(plan().findings.find((it) => it.code === 'clamp')?.message).toMatch(/^Clamp 1: the way of the head burns on it/)
    expect(plan().program!.onBars!.length).toBeGreaterThan(50)
    state.setClamp(clampId!, null)
    expect(bench().work.clamps).toEqual({})
  })
  it('of nothing, or of what is all left out, is none, without a complaint; what the machine lacks is said with its field', async () => {
    await state.planOrder(bench())
    expect(plan()).toMatchObject({ program: null, findings: [] })
    const id = await takeLabel()
    for (const wayId of Object.keys(bench().work.pieces[id]!.ways)) state.letWay(id, wayId, 'leave')
    await state.planOrder(bench())
    expect(plan()).toMatchObject({ program: null, findings: [] })
    state.letWay(id, Object.keys(bench().work.pieces[id]!.ways)[0]!, 'mark')
    const power = bench().electrical.fullPower
    const without = { ...bench(), electrical: { ...bench().electrical, fullPower: { ...power, value: null, typed: '' } } }
    await state.planOrder(without)
    expect(plan().findings).toMatchObject([{ code: 'no-full-power', path: 'electrical.fullPower' }])
  })
  it('says what would save time, as much as planning anew comes to', async () => {
    const id = await takeLabel()
    await state.planOrder(bench())
    const before = plan().program!.seconds
    const found = await state.findSavings(bench())
    if (!found.ok) throw new Error(found.findings[0]?.message)
    const [best] = found.value
    expect(best!.saved).toBeGreaterThan(1)
    expect(state.takeSaving(best!)).toEqual([])
    await state.planOrder(bench())
    // Speed and power are rounded when they are taken over.
    expect((before - plan().program!.seconds) / best!.saved).toBeCloseTo(1, 1)
    state.dropPiece(id)
    expect(state.reasonOf(state.takeSaving(best!))).toContain('taken out')
  })
  it('lays copies out through the worker, and says how many do not fit', async () => {
    const id = await takeLabel()
    state.setPiece(id, { columns: 2, rows: 9 })
    const said = await state.layOutOrder(3)
    expect(said[0]).toMatchObject({ code: 'beyond', severity: 'warning' })
    expect(Object.keys(bench().work.pieces[id]!.spots)).toHaveLength(18)
    state.setPiece(id, { scale: 50 })
    expect(state.reasonOf(await state.layOutOrder(3))).toContain('wider than')
  })
  it('given up leaves nothing that could be handed out; planned again it is what it would have been', async () => {
    await takeLabel()
    await state.planOrder(bench())
    const { text } = plan().program!
    state.setPiece(Object.keys(bench().work.pieces)[0]!, { x: 12 })
    const running = state.planOrder(bench())
    await new Promise((resolve) => setTimeout(resolve))
    state.giveUpPlan()
    expect(plan()).toMatchObject({ program: null, isPlanning: false, findings: [{ code: 'given-up' }] })
    state.setPiece(Object.keys(bench().work.pieces)[0]!, { x: 5 })
    await state.planOrder(bench())
    expect(plan().program!.text).toBe(text)
    // What was given up says nothing any more.
    void running
  })
  it('on many blanks is the first one again at every place that has one; by a fence it lies in its corner', async () => {
    const id = await takeLabel()
    state.setPiece(id, { scale: 0.4, x: 2, y: 2 })
    await state.planOrder(bench())
    const one = plan().program!
    expect(state.setPlacing({ placeColumns: 2, placeRows: 2 })).toEqual([])
    // Blanks that are laid side by side do not lie over one another.
    const { placeStepX, placeStepY, sheetWidth, sheetX } = bench().work
    expect(placeStepX).toBe(sheetWidth.value! + 3)
    state.setPlace('c1r0', false)
    await state.planOrder(bench())
    const three = plan().program!
    expect(three.burntLength / one.burntLength).toBeCloseTo(3, 2)
    expect(three.burntBounds!.maxX - one.burntBounds!.maxX).toBeCloseTo(placeStepX, 2)
    expect(three.burntBounds!.maxY - one.burntBounds!.maxY).toBeCloseTo(placeStepY, 2)
    state.setPlacing({ placedBy: 'fence' })
    await state.planOrder(bench())
    expect(plan().program!.burntBounds!.minX).toBeCloseTo(three.burntBounds!.minX - sheetX.value! + 20, 2)
    expect(state.keepFence({ x: 20, y: 20 })).toEqual([])
    expect(bench().work).toMatchObject({ fenceBurnt: 'yes', fenceBurntX: 20, fenceBurntY: 20 })
    for (const place of ['c0r0', 'c0r1', 'c1r1']) state.setPlace(place, false)
    await state.planOrder(bench())
    expect(plan().findings).toMatchObject([{ code: 'no-blank' }])
    expect(state.reasonOf(state.setPlacing({ placeColumns: 51 }))).toContain('1 to 50')
  })
  it('in the order of the list begins with what was put first, and no later than what lies around it', async () => {
    const id = await takeLabel()
    await state.takeArtwork(artwork('plant-label.svg'))
    for (const [pieceId, piece] of Object.entries(bench().work.pieces)) {
      for (const [wayId, way] of Object.entries(piece.ways)) if (way.does !== 'mark') state.letWay(pieceId, wayId, 'leave')
      state.setPiece(pieceId, {
        scale: 0.5,
        y: pieceId === id ? 5 : 60,
        x: pieceId === id ? 5 : 20,
        name: pieceId === id ? 'Near' : 'Far',
      })
    }
    const firstOf = (): string | undefined => /Near|Far/.exec(plan().program!.text)?.[0]
    await state.planOrder(bench())
    expect(firstOf()).toBe('Near')
    const far = Object.keys(bench().work.pieces).find((it) => it !== id)!
    expect(state.setSequence({ sequence: 'listed' })).toEqual([])
    state.putEarlier(far)
    await state.planOrder(bench())
    expect(firstOf()).toBe('Far')
    // What stands first stays first.
    state.putEarlier(far)
    expect(Object.entries(bench().work.pieces).sort(([, p], [, q]) => p.order - q.order)[0]![0]).toBe(far)
    state.setSequence({ sequence: 'quickest', apart: 400 })
    await state.planOrder(bench())
    expect(plan().findings.some((it) => it.code === 'near-heat')).toBe(true)
    expect(state.reasonOf(state.setSequence({ apart: -1 }))).toContain('0 to 500')
  })
})
