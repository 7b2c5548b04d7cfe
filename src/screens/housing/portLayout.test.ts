import { describe, expect, it } from 'vitest'
import { setAt } from '../../core/bench'
import { wayThrough, WALLS, type Enclosure, type PortFacts, type Wall } from '../../core/housing'
import type { Plain } from '../../core/bench'
import { heron } from '../../data/heron'
import { isFaceOn, layOutPort, lineOnView, onView, type PortDrawn } from './portLayout'
import { seenBox } from './seen'

const { bench } = heron()
const seen = seenBox(bench)
const given = Object.values(bench.housing.ports)[0]
if (seen?.box == null || given === undefined) throw new Error('the demo has a box with an opening')
const box: Enclosure = seen.box

const fact = (value: number) => ({ ...bench.motion.frame.barWidth, value, typed: String(value) })
const sizes = { x: 120, y: 90, width: 60, height: 40 }
const baffle = { away: 35, over: 25, right: 12, up: -8 }

function portOn(wall: Wall): PortDrawn {
  const facts = Object.fromEntries(Object.entries(sizes).map(([key, value]) => [key, fact(value)]))
  const plate = { ...baffle, order: 1, away: fact(baffle.away), over: fact(baffle.over) }
  const round = { ...given!.round, chosen: 'no' }
  return { ...given!, ...facts, wall, round, baffles: { b: plate } } as PortDrawn
}

describe('an opening on the drawing', () => {
  // What the light is held against is worked apart, and takes openings 1 mm wider and baffles 1 mm smaller.
  it.each(WALLS)('lies where the way of the light through it lies: %s', (wall) => {
    const port = portOn(wall)
    const plain = { wall, round: 'no', ...sizes, baffles: { b: { order: 1, ...baffle } } } as unknown as Plain<PortFacts>
    const { edges, baffles } = wayThrough(plain, box, seen.t)
    const laid = layOutPort(port, seen)!
    const { axis } = edges[0]!
    const ends = edges.map((it) => it.at).sort((p, q) => p - q)
    expect([laid.opening.low[axis], laid.opening.high[axis]]).toEqual(ends.map((it) => expect.closeTo(it, 9) as number))
    const across = [0, 1, 2].filter((it) => it !== axis)
    const plate = laid.baffles[0]![1]
    expect((plate.low[axis] + plate.high[axis]) / 2).toBeCloseTo(baffles[0]!.at, 9)
    across.forEach((way, k) => {
      expect(laid.opening.low[way]! - edges[0]!.low[k]!).toBeCloseTo(1, 9)
      expect(edges[0]!.high[k]! - laid.opening.high[way]!).toBeCloseTo(1, 9)
      expect(baffles[0]!.low[k]! - plate.low[way]!).toBeCloseTo(1, 9)
      expect(plate.high[way]! - baffles[0]!.high[k]!).toBeCloseTo(1, 9)
    })
  })

  // Face on, an opening is as wide and high on the view as it is; along its edge one side is the sheet's thickness.
  it.each(WALLS)('is seen face on from where both its sides are seen: %s', (wall) => {
    const { opening } = layOutPort(portOn(wall), seen)!
    for (const view of ['above', 'front'] as const) {
      const [low, high] = [onView(view, 0, opening.low), onView(view, 0, opening.high)]
      const sides = [high[0] - low[0], high[1] - low[1]]
      const isThin = sides.some((it) => Math.abs(it - seen.t) < 1e-9)
      expect([view, isFaceOn(view, wall)]).toEqual([view, !isThin])
    }
  })

  it('is not drawn before it is placed; a baffle without sizes stands a hand’s breadth off', () => {
    expect(layOutPort({ ...portOn('left'), x: { ...fact(0), value: null } }, seen)).toBeNull()
    expect(layOutPort(portOn('left'), { ...seen, box: null })).toBeNull()
    const unsaid = setAt({ port: portOn('left') }, 'port.baffles.b.away.value', null).port
    const [, plate] = layOutPort(unsaid, seen)!.baffles[0]!
    expect([plate.low[0], plate.high[0]]).toEqual([39, 41])
  })

  it('has baffles that end at the walls, however far they are said to reach', () => {
    const wide = setAt({ port: portOn('back') }, 'port.baffles.b.over', fact(5000)).port
    const [, plate] = layOutPort(wide, seen)!.baffles[0]!
    expect([plate.low[0], plate.high[0], plate.low[2], plate.high[2]]).toEqual([0, seen.x, 0, seen.z])
  })

  it('is seen from above and from the front; a line goes on beyond the opening', () => {
    expect(onView('above', 100, [1, 2, 3])).toEqual([101, 2])
    expect(onView('front', 100, [1, 2, 3])).toEqual([101, 3])
    const line = { from: [0, 0, 10], to: [30, 40, 10] } as const
    expect(lineOnView('above', 0, line)).toEqual({ from: [0, 0], to: [expect.closeTo(66, 9), expect.closeTo(88, 9)] })
    // Seen end on it is a point.
    expect(lineOnView('front', 0, { from: [5, 0, 10], to: [5, 40, 10] }).to).toEqual([5, 10])
  })
})
