import { describe, expect, it } from 'vitest'
import { HINGE, layOutLid } from './lidLayout'

const sizes = { long: 400, deep: 400, high: 280 }
const drawn = (form: 'top' | 'front') => layOutLid({ form, ...sizes })

/** Where an arc begins, its radius twice, and where it ends, as its path says. */
function arcOf(path: string): readonly number[] {
  return (/^M(\S+) (\S+)A(\S+) (\S+) 0 0 1 (\S+) (\S+)$/.exec(path) ?? []).slice(1).map(Number)
}

describe.each(['top', 'front'] as const)('a lid (%s) from the left', (form) => {
  const lid = drawn(form)

  it('lies shut on its box, its free edge where the box ends', () => {
    expect(lid.lidAt(0, sizes.long, 0)).toEqual(lid.place(sizes.long, 0))
    const [x, y] = lid.place(sizes.long, 0)
    // On top to the left of the hinge, in front below it.
    expect(form === 'top' ? [x < HINGE.x, y] : [y > HINGE.y, x]).toEqual([true, form === 'top' ? HINGE.y : HINGE.x])
  })

  it('keeps its length while it turns, and goes up and out', () => {
    let before = lid.lidAt(0, sizes.long, 0)
    for (let degrees = 10; degrees <= 90; degrees += 10) {
      const [x, y] = lid.lidAt(degrees, sizes.long, 0)
      expect(Math.hypot(x - HINGE.x, y - HINGE.y)).toBeCloseTo(sizes.long * lid.scale, 9)
      expect(y).toBeLessThan(before[1])
      before = [x, y]
    }
    expect(before[form === 'top' ? 0 : 1]).toBeCloseTo(form === 'top' ? HINGE.x : HINGE.y, 9)
  })

  it('is taken by its edge: where that is drawn, there is its angle', () => {
    for (const degrees of [0, 17, 60, 88]) expect(lid.angleTo(...lid.lidAt(degrees, sizes.long, 0))).toBeCloseTo(degrees, 9)
  })

  it('has what is fixed above it on the side away from the box', () => {
    const [lidSide, boxSide] = [lid.lidAt(0, 100, 30), lid.place(100, -30)]
    expect(form === 'top' ? lidSide[1] < HINGE.y && boxSide[1] > HINGE.y : lidSide[0] < HINGE.x && boxSide[0] > HINGE.x).toBe(
      true,
    )
  })

  it('draws the way of its edge from shut to as far as it opens', () => {
    // 225 px are its length here. A right angle: on top from the left to straight above, in front from below to the left.
    const { x, y } = HINGE
    const wanted = form === 'top' ? [x - 225, y, 225, 225, x, y - 225] : [x, y + 225, 225, 225, x - 225, y]
    const drawnArc = arcOf(lid.arc(90))
    expect(drawnArc).toHaveLength(6)
    drawnArc.forEach((it, k) => expect(it).toBeCloseTo(wanted[k]!, 9))
  })
})

it('the longest side decides the scale', () => {
  expect(layOutLid({ form: 'top', long: 450, deep: 300, high: 100 }).scale).toBeCloseTo(0.5, 9)
  expect(layOutLid({ form: 'top', long: 200, deep: 210, high: 300 }).scale).toBeCloseTo(225 / 420, 9)
})
