import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { packStrip, type StripItem } from '../../src/core/nesting'
import { seeded } from '../../src/core/workshop'

/** A sheet cut by straight cuts into so many boxes: laid out again they need no more than the sheet, which is the optimum. */
function cutUp(width: number, height: number, count: number, seed: number): readonly StripItem[] {
  const random = seeded(seed)
  const boxes = [{ width, height }]
  while (boxes.length < count) {
    boxes.sort((p, q) => q.width * q.height - p.width * p.height)
    const { width: w, height: h } = boxes.shift()!
    const share = Math.round((0.3 + 0.4 * random()) * 100) / 100
    if (w > h) boxes.push({ width: w * share, height: h }, { width: w * (1 - share), height: h })
    else boxes.push({ width: w, height: h * share }, { width: w, height: h * (1 - share) })
  }
  return boxes.map((it, i) => ({ id: `${i}`, ...it, turns: random() < 0.5 }))
}

describe('boxes over a width', () => {
  it('of sheets that were cut up by straight cuts (the optimum is the sheet), take no more than 5 % beyond it in the mean', () => {
    const shares = [8, 12, 16, 20, 25, 30].flatMap((count) =>
      [1, 2, 3].map((seed) => packStrip(cutUp(300, 200, count, 100 * count + seed), 300, 0).height / 200),
    )
    expect(Math.min(...shares)).toBeGreaterThanOrEqual(1 - 1e-9)
    expect(shares.reduce((sum, it) => sum + it, 0) / shares.length).toBeLessThanOrEqual(1.05)
    expect(Math.max(...shares)).toBeLessThanOrEqual(1.1)
  })
  it('lie inside of the width, apart by the gap, each once, turned only where they may be; never below the bound', () => {
    const item = fc.record({
      width: fc.integer({ min: 1, max: 80 }),
      height: fc.integer({ min: 1, max: 80 }),
      turns: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 12 }), fc.integer({ min: 0, max: 6 }), (drawn, gap) => {
        const items = drawn.map((it, i) => ({ ...it, id: `${i}` }))
        const plan = packStrip(items, 90, gap)
        expect([...plan.places.map((it) => it.id)].sort()).toEqual([...items.map((it) => it.id)].sort())
        const boxes = plan.places.map(({ id, x, y, isTurned }) => {
          const { width, height, turns } = items[Number(id)]!
          if (isTurned) expect(turns).toBe(true)
          const [w, h] = isTurned ? [height, width] : [width, height]
          expect(x >= 0 && y >= 0 && x + w <= 90 + 1e-9 && y + h <= plan.height + 1e-9).toBe(true)
          return { x, y, w, h }
        })
        boxes.forEach((p, i) =>
          boxes.slice(i + 1).forEach((q) => {
            const apart = Math.max(q.x - p.x - p.w, p.x - q.x - q.w, q.y - p.y - p.h, p.y - q.y - q.h)
            expect(apart).toBeGreaterThanOrEqual(gap - 1e-6)
          }),
        )
        expect(plan.height).toBeGreaterThanOrEqual(plan.bound - 1e-9)
      }),
      { seed: 14, numRuns: 40 },
    )
  })
  it('one that is wider than there is room is refused by name', () => {
    expect(() => packStrip([{ id: 'Plaque', width: 400, height: 20, turns: false }], 300, 2)).toThrow(/“Plaque” is wider/)
  })
})
