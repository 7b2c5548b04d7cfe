import { describe, expect, it } from 'vitest'
import { boxOf, CELL, drawnWire, onGrid, onTwoLines } from './wiringShapes'

const load = (x: number, y: number) => boxOf('head', x, y)
const contact = (x: number, y: number) => boxOf('key', x, y)

describe('a wire on the drawing', () => {
  it('between blocks side by side is one straight line, its numbers before its end', () => {
    const [a, b] = [load(0, 1), load(1, 1)]
    const { d, end, label } = drawnWire(a, b, 'rail')
    expect(d).toBe(`M${a.w} ${a.y + a.h / 2}H${b.x}`)
    expect(end).toEqual([b.x, b.y + b.h / 2])
    expect(label).toEqual({ x: b.x - 6, y: end[1], anchor: 'end' })
  })

  it('to another row goes round corners, and never through either block', () => {
    for (const row of [-2, -1, 1, 3]) {
      const [a, b] = [load(0, 0), load(1, row)]
      const turn = Number(/^M\S+ \S+H(\S+)V/.exec(drawnWire(a, b, 'rail').d)?.[1])
      expect(turn).toBeGreaterThan(a.x + a.w)
      expect(turn).toBeLessThan(b.x)
    }
  })

  it('between contacts in a chain has no room for numbers', () => {
    expect(drawnWire(contact(2, 0), contact(2 + 1 / 3, 0), 'rail').label).toBeNull()
  })

  it('to what stands below goes straight down between the two, to what stands above straight up', () => {
    const [above, below] = [boxOf('inlet', 1 / 6, 0), load(0, 1)]
    const down = drawnWire(above, below, 'mains')
    expect(down.d).toBe(`M${down.end[0]} ${above.y + above.h}V${below.y}`)
    expect(down.end[0]).toBeGreaterThanOrEqual(above.x)
    expect(down.end[0]).toBeLessThanOrEqual(above.x + above.w)
    expect(drawnWire(below, above, 'mains').end[1]).toBe(above.y + above.h)
  })

  it('back to the left goes round below both', () => {
    const [a, b] = [load(2, 0), load(0, 1)]
    const deepest = Math.max(...[...drawnWire(a, b, 'rail').d.matchAll(/V([\d.]+)/g)].map((it) => Number(it[1])))
    expect(deepest).toBeGreaterThan(b.y + b.h)
  })

  it('of a signal runs beside the rail, not on it', () => {
    const [rail, signal] = (['rail', 'signal'] as const).map((kind) => drawnWire(load(0, 0), load(1, 0), kind).end[1])
    expect(signal).toBeGreaterThan((rail ?? 0) + 10)
  })
})

it('a block is let go on the grid: sixths of a column, quarters of a row', () => {
  expect(onGrid(1.4, -0.3)).toEqual({ x: 8 / 6, y: -0.25 })
  expect(load(2, 3)).toMatchObject({ x: 2 * CELL.w, y: 3 * CELL.h })
})

it('a name stands on two lines at most, cut where it is too long', () => {
  expect(onTwoLines('Emergency stop', 11)).toEqual(['Emergency', 'stop'])
  expect(onTwoLines('Key', 11)).toEqual(['Key'])
  expect(onTwoLines('Stop behind the shed door, red', 11)).toEqual(['Stop behind', 'the shed do…'])
  expect(onTwoLines('Uninterruptible', 11)).toEqual(['Uninterrupt…'])
})
