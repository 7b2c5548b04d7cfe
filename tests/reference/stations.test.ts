import { describe, expect, it } from 'vitest'
import { MOVE, PLAIN_CARD, readProgram, writeProgram, type Step } from '../../src/core/gcode'
import { engineFor, stationAsk, stationWalk, wrappedOrder, writeStations, type Bench } from '../../src/core/document'
import { setAt } from '../../src/core/bench'
import { benchWith, exactly, withNumbers } from '../rotaryBench'

const WORK = { 'rotary.objects.o.workFrom': 10, 'rotary.objects.o.workTo': 60, 'rotary.objects.o.workAround': 40 }
const PLATE = {
  'rotary.plate.stations': 20,
  'rotary.plate.steps': 3200,
  'rotary.plate.settle': 1.5,
  'electrical.fullPower': 1000,
}
const PIECE: readonly Step[] = [
  { kind: 'rapid', x: 5, y: 2 },
  { kind: 'line', x: 15, y: 2, feed: 10, power: 0.5 },
  { kind: 'line', x: 15, y: 9, feed: 10, power: 0.5 },
  { kind: 'rapid', x: 0, y: 0 },
]

function plateBench(chosen: string, turned: 'hand' | 'axis'): Bench {
  const bench = benchWith(
    [
      [0, 12],
      [80, 12],
    ],
    'plate',
    { ...WORK, ...PLATE },
    { 'rotary.plate.turned': turned },
  )
  return setAt(bench, 'rotary.onStations', chosen)
}

function written(bench: Bench): string {
  const piece = writeProgram(PIECE, { ...PLAIN_CARD, fullPower: 1000 })
  const ask = stationAsk(bench)
  if (!piece.ok || !ask.ok) throw new Error('nothing to write')
  const text = writeStations(piece.value, ask.value)
  if (!text.ok) throw new Error(text.findings[0]?.message)
  return text.value
}

/** Burnt lines of a program, as their ends. */
function burnt(text: string): readonly string[] {
  const { moves } = readProgram(text)
  const found: string[] = []
  let [x, y] = [0, 0]
  for (let k = 0; k < moves.count; k++) {
    const [toX, toY] = [moves.x[k] as number, moves.y[k] as number]
    if (moves.kind[k] === MOVE.feed) found.push(`${x},${y} ${toX},${toY}`)
    ;[x, y] = [toX, toY]
  }
  return found
}

describe('one piece at the stations of a plate', () => {
  it('is burnt once at each that is chosen, no line more and none less', () => {
    const alone = burnt(written(plateBench('1', 'hand')))
    expect(alone).toHaveLength(2)
    for (const [chosen, times] of [
      ['1-5', 5],
      ['', 20],
      ['2, 4, 20', 3],
    ] as const)
      expect(burnt(written(plateBench(chosen, 'hand')))).toEqual(Array.from({ length: times }, () => alone).flat())
  })

  it('waits for the hand between two, not before one alone', () => {
    const pauses = (chosen: string): number => written(plateBench(chosen, 'hand')).match(/^M0$/gm)?.length ?? 0
    expect([pauses('7'), pauses('1-3'), pauses('2-4'), pauses('')]).toEqual([0, 2, 3, 19])
  })

  it('of an axis of its own turns dark and rests before it burns', () => {
    const lines = written(plateBench('1-3', 'axis')).split('\n')
    expect(lines.filter((it) => it.startsWith('G0 A'))).toEqual(['G0 A0', 'G0 A18', 'G0 A36'])
    lines.forEach((it, k) => {
      if (!it.startsWith('G0 A')) return
      const before = lines.slice(0, k).findLast((one) => /^M[345]\b/.test(one))
      expect(before === undefined || before.startsWith('M5')).toBe(true)
      expect(lines.slice(k + 1, k + 3).join()).toContain('1.5')
    })
  })

  it('says what is missing, and where it is entered', () => {
    const bench = plateBench('', 'hand')
    const without = (path: string) => stationAsk(setAt(bench, `${path}.value`, null))
    expect(without('rotary.plate.stations')).toMatchObject({ ok: false, findings: [{ path: 'rotary.plate.stations' }] })
    expect(without('rotary.plate.steps')).toMatchObject({ ok: false, findings: [{ path: 'rotary.plate.steps' }] })
    expect(without('electrical.fullPower')).toMatchObject({ ok: false, findings: [{ path: 'electrical.fullPower' }] })
    expect(stationAsk(setAt(bench, 'rotary.onStations', '21'))).toMatchObject({ ok: false })
  })
})

describe('the outline of station 1', () => {
  const bench = (choices: Readonly<Record<string, string>> = {}): Bench =>
    benchWith(
      [
        [0, 12],
        [80, 12],
      ],
      'plate',
      {
        ...WORK,
        ...PLATE,
        'rotary.plate.size': 24,
        'rotary.plate.slotLength': 130,
        'work.sheetWidth': 50,
        'work.sheetHeight': 20,
        'work.sheetX': 100,
        'work.sheetY': 90,
      },
      choices,
    )

  it('of a slot lies around the middle of the sheet, along the axis; of a disc on its circle', () => {
    const corners = (choices: Readonly<Record<string, string>>) => {
      const walk = stationWalk(bench(choices))
      if (!walk.ok) throw new Error(walk.findings[0]?.message)
      return walk.value
    }
    const slot = corners({})
    expect(slot.outline.map(({ x, y }) => [x, y])).toEqual([
      [60, 88],
      [190, 88],
      [190, 112],
      [60, 112],
    ])
    // Five rounds, each back to where it began.
    const lines = slot.steps.filter((it) => it.kind === 'line')
    expect(lines).toHaveLength(20)
    expect(lines[3]).toMatchObject({ x: 60, y: 88 })
    expect(Math.max(...lines.map((it) => it.power))).toBeLessThan(0.05)
    const upright = corners({ 'rotary.stack.axisLies': 'y' }).outline
    expect([upright[0], upright[2]]).toEqual([
      { x: 113, y: 35 },
      { x: 137, y: 165 },
    ])
    for (const { x, y } of corners({ 'rotary.plate.shape': 'disc' }).outline)
      expect(Math.hypot(x - 125, y - 100)).toBeCloseTo(12, 9)
  })

  it('says which size is missing, and where it is entered', () => {
    for (const path of [
      'rotary.plate.size',
      'rotary.plate.slotLength',
      'work.sheetHeight',
      'work.sheetX',
      'calibrate.sightPower',
    ])
      expect(stationWalk(setAt(bench(), `${path}.value`, null))).toMatchObject({ ok: false, findings: [{ path }] })
  })
})

describe('an order round an object', () => {
  const bench = (choices: Readonly<Record<string, string>> = {}): Bench => {
    const made = benchWith(
      [
        [0, 60],
        [100, 80],
      ],
      'chuck',
      { ...WORK, 'work.sheetWidth': 50, 'work.sheetHeight': 70, 'work.sheetX': 5, 'work.sheetY': 8 },
      choices,
    )
    return setAt(made, 'rotary.lays', 'round')
  }

  it('begins where the sheet does, its middle on the top line, its ends as wide as the object is there', () => {
    const order = wrappedOrder(engineFor(bench()))
    // Straight from 60 to 80 over 100: at 10 it is 62, at 60 it is 72.
    expect(order).toMatchObject({
      ok: true,
      value: { zone: { along: 'x', start: 5, middle: 8 + 35, first: 62, last: 72 }, round: null },
    })
    expect(order.ok && order.value?.zone.length).toBeCloseTo(Math.hypot(50, 5), 9)
  })

  it('of an axis of its own has 360° for once round its middle; lying along Y it goes round along X', () => {
    const own = wrappedOrder(engineFor(bench({ 'rotary.turn.standsFor': 'own' })))
    expect(own.ok && own.value?.round?.letter).toBe('A')
    expect((own.ok ? (own.value?.round?.degrees ?? 0) : 0) * Math.PI * 67).toBeCloseTo(360, 9)
    const across = wrappedOrder(engineFor(bench({ 'rotary.turn.standsFor': 'own', 'rotary.stack.axisLies': 'y' })))
    expect(across.ok && across.value).toMatchObject({ zone: { along: 'y', start: 8, middle: 5 + 25 }, round: { instead: 'x' } })
  })

  it('is none while it is flat, and is refused in words while nothing is measured', () => {
    expect(wrappedOrder(engineFor(setAt(bench(), 'rotary.lays', 'flat')))).toMatchObject({ ok: true, value: null })
    expect(wrappedOrder(engineFor(setAt(bench(), 'rotary.inHand', '')))).toMatchObject({
      ok: false,
      findings: [{ code: 'no-object' }],
    })
    const unsaid = setAt(bench(), 'rotary.objects.o.workTo', { ...exactly(1), value: null })
    expect(wrappedOrder(engineFor(unsaid)).ok).toBe(false)
    expect(withNumbers(bench(), {}).rotary.lays).toBe('round')
  })
})
