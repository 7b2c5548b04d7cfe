import { describe, expect, it } from 'vitest'
import { HINGE, layOutLid } from './lidLayout'

const sizes = { long: 400, deep: 400, high: 300 }
const drawn = (form: 'top' | 'front') => layOutLid({ form, ...sizes })

/** The ends of an arc, as its path says. */
function endsOf(path: string): readonly [number, number, number, number] {
  const [, x0, y0, x1, y1] = /^M(\S+) (\S+)A\S+ \S+ 0 0 1 (\S+) (\S+)$/.exec(path) ?? []
  return [Number(x0), Number(y0), Number(x1), Number(y1)]
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
    const ends = endsOf(lid.arc(75))
    const wanted = [...lid.lidAt(0, sizes.long, 0), ...lid.lidAt(75, sizes.long, 0)]
    ends.forEach((it, k) => expect(it).toBeCloseTo(wanted[k]!, 9))
  })
})

it('the longest side decides the scale', () => {
  expect(layOutLid({ form: 'top', long: 450, deep: 300, high: 100 }).scale).toBeCloseTo(0.5, 9)
  expect(layOutLid({ form: 'top', long: 200, deep: 210, high: 300 }).scale).toBeCloseTo(225 / 420, 9)
})
