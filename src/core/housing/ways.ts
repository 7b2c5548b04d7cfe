import type { Plain } from '../bench'
import type { Enclosure } from './enclosure'
import type { Rect, WayOut } from './sight'
import type { PortFacts, Wall } from './slice'

/** What a saw is off by: every opening is taken so much wider, every baffle so much smaller, mm. */
const OFF = 1

/** How a wall lies: the axis that it is square to, its inner face, and which way is out. Places from the inner corner left, front, below. */
interface Lying {
  readonly axis: 0 | 1 | 2
  readonly at: number
  readonly out: 1 | -1
}

function lyingOf(wall: Wall, { inside }: Enclosure): Lying {
  switch (wall) {
    case 'left':
      return { axis: 0, at: 0, out: -1 }
    case 'right':
      return { axis: 0, at: inside.x, out: 1 }
    case 'front':
      return { axis: 1, at: 0, out: -1 }
    case 'back':
      return { axis: 1, at: inside.y, out: 1 }
    case 'floor':
      return { axis: 2, at: 0, out: -1 }
    case 'roof':
      return { axis: 2, at: inside.z, out: 1 }
  }
}

/**
 * A place of a wall as it is measured from its lower left corner outside, as the two other coordinates of the inside in their order x, y, z.
 * @param x @param y mm on the wall. @param t Thickness, mm. Valid: any. Source: by definition: looked at from outside, the floor from below with the front at its lower edge.
 */
export function onWall(wall: Wall, x: number, y: number, { inside, outside }: Enclosure, t: number): readonly [number, number] {
  // A hood has no floor: its walls begin where the inside does.
  const below = outside.z - inside.z > 1.5 * t ? t : 0
  switch (wall) {
    case 'left':
      return [inside.y + t - x, y - below]
    case 'right':
      return [x - t, y - below]
    case 'front':
      return [x - t, y - below]
    case 'back':
      return [inside.x + t - x, y - below]
    case 'floor':
      return [inside.x + t - x, y - t]
    case 'roof':
      return [x - t, y - t]
  }
}

/** A rectangle about a middle. */
function about(axis: 0 | 1 | 2, at: number, [p, q]: readonly [number, number], halfP: number, halfQ: number): Rect {
  return { axis, at, low: [p - halfP, q - halfQ], high: [p + halfP, q + halfQ] }
}

/**
 * The way out through an opening, with the plates that stand before it. @param t Thickness of the wall, mm. Valid: openings in flat walls; a round one is taken as the square about it. Source: by definition, 1 mm on the protective side.
 */
export function wayThrough(port: Plain<PortFacts>, box: Enclosure, t: number): WayOut {
  const { axis, at, out } = lyingOf(port.wall, box)
  const middle = onWall(port.wall, port.x, port.y, box, t)
  const [halfP, halfQ] = [port.width / 2 + OFF, (port.round === 'yes' ? port.width : port.height) / 2 + OFF]
  const edges = [about(axis, at, middle, halfP, halfQ), about(axis, at + out * t, middle, halfP, halfQ)]
  const baffles = Object.values(port.baffles).map((it) => {
    const shifted = onWall(port.wall, port.x + it.right, port.y + it.up, box, t)
    const [p, q] = [halfP - 2 * OFF + it.over, halfQ - 2 * OFF + it.over]
    return about(axis, at - out * it.away, shifted, p, q)
  })
  return { edges, baffles }
}

/** A slot all along a wall, from one height to another, from the outside of the box's foot, mm; its ends as far as the wall goes. @param t mm. Valid: the four upright walls. Source: by definition. */
export function slotThrough(wall: Wall, from: number, to: number, box: Enclosure, t: number): WayOut {
  const { axis, at, out } = lyingOf(wall, box)
  const wide = wall === 'left' || wall === 'right' ? box.inside.y : box.inside.x
  const below = box.outside.z - box.inside.z > 1.5 * t ? t : 0
  const rect = (place: number): Rect => ({
    axis,
    at: place,
    low: [0, from - below - OFF],
    high: [wide, to - below + OFF],
  })
  return { edges: [rect(at), rect(at + out * t)], baffles: [] }
}

/** Inner faces of a box, from which a bright wall throws light on. Valid: any box. Source: by definition. */
export function innerFaces({ inside: { x, y, z } }: Enclosure): readonly Rect[] {
  return [
    { axis: 0, at: 0, low: [0, 0], high: [y, z] },
    { axis: 0, at: x, low: [0, 0], high: [y, z] },
    { axis: 1, at: 0, low: [0, 0], high: [x, z] },
    { axis: 1, at: y, low: [0, 0], high: [x, z] },
    { axis: 2, at: 0, low: [0, 0], high: [x, y] },
    { axis: 2, at: z, low: [0, 0], high: [x, y] },
  ]
}
