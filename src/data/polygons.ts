import { EndType, inflatePathsD, JoinType } from 'clipper2-ts'
import type { Polygons, Ring } from '../core/work'

/** Decimals of mm that a ring is moved with. */
const DECIMALS = 5

/** Moves outlines by a general library of polygons: round about corners that point out, sharp in those that point in. */
export const polygons: Polygons = {
  offset(ring, by, within) {
    const path = ring.slice(0, -1).map(({ x, y }) => ({ x, y }))
    if (path.length < 3) return []
    const twice = path.reduce((sum, p, i) => {
      const q = path[(i + 1) % path.length] as { x: number; y: number }
      return sum + p.x * q.y - q.x * p.y
    }, 0)
    if (twice < 0) path.reverse()
    const moved = inflatePathsD([path], by, JoinType.Round, EndType.Polygon, 2, DECIMALS, within)
    return moved.map((it): Ring => {
      const places = it.map(({ x, y }) => ({ x, y }))
      return places.length === 0 ? places : [...places, places[0] as { x: number; y: number }]
    })
  },
}
