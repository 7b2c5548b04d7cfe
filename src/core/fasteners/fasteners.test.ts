import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BLOCKS, leastEdge, nearestBlocks, pilotHole, screwsApart, SHIMS, spacerFor, THREAD_NAMES, WASHER } from '.'

describe('screws along a board', () => {
  it('stand evenly, the outer ones in from the ends (by adding them up)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 2000 }), fc.integer({ min: 2, max: 30 }), (length, count) => {
        const apart = screwsApart(length, count, 20)
        expect(20 + (count - 1) * apart + 20).toBeCloseTo(length, 9)
      }),
    )
    expect(() => screwsApart(30, 3, 20)).toThrow(/edgeMm/)
  })

  it('have a pilot of 70 % in plywood, 80 % in hardwood (common practice), and three diameters to the edge', () => {
    expect([pilotHole(4, 'ply'), pilotHole(4, 'hardwood')]).toEqual([2.8, 3.2])
    // EN 1995-1-1, table 8.2, unloaded edge with predrilled holes: 3 d (from memory).
    expect(leastEdge(4, 'softwood')).toBe(12)
  })
})

describe('a stack of washers and shims', () => {
  it('fills any gap to a twentieth of a millimetre, of pieces that are sold', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6, noNaN: true }), fc.constantFrom(...THREAD_NAMES), (gap, thread) => {
        const stack = spacerFor(gap, thread)
        if (stack === null) return
        const filled = stack.washers * WASHER[thread] + stack.shims.reduce((sum, it) => sum + it, 0)
        expect(Math.abs(gap - filled)).toBeLessThanOrEqual(0.0501)
        expect(stack.leftMm).toBeCloseTo(gap - filled, 3)
        for (const it of stack.shims) expect(SHIMS).toContain(it)
      }),
    )
    expect(spacerFor(2.6, 'M5')).toEqual({ washers: 2, shims: [0.5, 0.1], leftMm: 0 })
    expect(spacerFor(40, 'M5')).toBeNull()
  })
})

it('a carriage block is told by both distances, for one of them alone fits several', () => {
  expect(nearestBlocks(20.1, 15.1)[0]?.block.name).toBe('rail 12, short')
  expect(nearestBlocks(20.1, 20)[0]?.block.name).toBe('rail 12, long')
  expect(nearestBlocks(25, 20)[0]?.block.name).toBe('rail 15, short')
  // Every pair of distances is one block's alone.
  expect(new Set(BLOCKS.map((it) => `${it.acrossMm} ${it.alongMm}`)).size).toBe(BLOCKS.length)
})
