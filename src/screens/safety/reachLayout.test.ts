import { expect, it } from 'vitest'
import { endsWithin, glowOutline, layRoom, type RoomSeen } from './reachLayout'

const room: RoomSeen = { width: 4000, depth: 3000, bed: 900, at: [1000, 500], size: [500, 500], places: [] }

it('lays both views on one floor line, without overlap, and everybody’s eyes below the ceiling', () => {
  const tall = layRoom({ ...room, places: [{ id: 'a', x: 0, y: 0, eyes: 2600 }] })
  expect(tall.side).toBeGreaterThan(room.width)
  expect(tall.ceiling).toBeGreaterThan(2600)
  expect(tall.extent.right - tall.side).toBe(room.width)
  expect(layRoom(room).extent.top).toBe(3000)
})

it('ends within the room only where it does in its furthest corner', () => {
  // From (1000, 500) the furthest corner is 3000 across and 2500 back.
  expect(endsWithin(Math.hypot(3000, 2500), room)).toBe(true)
  expect(endsWithin(Math.hypot(3000, 2500) + 1, room)).toBe(false)
})

it('draws the glow by Lambert’s law: all of it straight above, √½ at 60°, nothing along the surface, never below', () => {
  const line = glowOutline(1000, 48)
  expect(line[24]).toEqual([expect.closeTo(0, 6), expect.closeTo(1000, 6)])
  expect(Math.hypot(...(line[0] as [number, number]))).toBeCloseTo(0, 4)
  const at60 = line[40] as [number, number]
  expect(Math.hypot(...at60)).toBeCloseTo(1000 * Math.SQRT1_2, 6)
  expect(Math.min(...line.map(([, up]) => up))).toBeGreaterThanOrEqual(0)
})
