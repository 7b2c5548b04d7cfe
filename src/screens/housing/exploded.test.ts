import { describe, expect, it } from 'vitest'
import { enclosureOf, panelBlocks } from '../../core/housing'
import { facesSeen, projected } from './exploded'

function blocks(form: 'top' | 'front' | 'angled') {
  const made = enclosureOf({
    inside: { x: 500, y: 400, z: 300 },
    thickness: 9,
    joint: { kind: 'butt' },
    hasFloor: true,
    form,
    frontHeight: 120,
    roofDepth: 150,
    window: null,
  })
  if (!made.ok) throw new Error('no box')
  return panelBlocks(made.value, 9)
}

describe('the box pulled apart', () => {
  it.each(['top', 'front', 'angled'] as const)('shows of each panel the faces that look here, over a turn (%s)', (form) => {
    const panels = blocks(form)
    for (let k = 0; k < 12; k++) {
      const faces = facesSeen(panels, 9, 518, { yaw: 0.1 + (k * Math.PI) / 6, pitch: 0.5, apart: 0.6 })
      // From above, to one side: top and two sides of every block, four or more of a slanted one.
      for (const { name } of panels) expect(faces.filter((it) => it.name === name).length, name).toBeGreaterThanOrEqual(3)
      expect(faces.every((it) => it.light > 0 && it.light <= 1)).toBe(true)
    }
  })
  it('from straight above X lies to the right and Y upwards', () => {
    const look = { yaw: 0, pitch: Math.PI / 2, apart: 0 }
    const [x, y] = projected([3, 4, 5], look)
    expect(x).toBeCloseTo(3, 9)
    expect(y).toBeCloseTo(4, 9)
  })
})
