import earcut from 'earcut'
import { flattened, type Outline } from '../core/artwork'
import type { Mesh } from '../core/air'

/** How near a curve is followed, mm: finer than any nozzle. */
const WITHIN = 0.03

type Place = readonly [number, number]

/** Places of a closed outline, the last not that of the first; against the clock, or with it. */
function ringOf(outline: Outline, isAgainst: boolean): readonly Place[] {
  const places = flattened(outline, WITHIN).map(({ x, y }): Place => [x, y])
  const [first, last] = [places[0], places[places.length - 1]]
  const ring =
    first !== undefined && last !== undefined && Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-9
      ? places.slice(0, -1)
      : places
  const twice = ring.reduce((sum, [x, y], k) => {
    const [p, q] = ring[(k + 1) % ring.length] as Place
    return sum + x * q - p * y
  }, 0)
  return twice > 0 === isAgainst ? ring : [...ring].reverse()
}

/**
 * A plate as a solid, lying on the bed, its faces triangulated by a general library.
 * @param cut Outlines as they are cut; the last is the edge of the plate, the others are holes in it. @param thick mm.
 */
export function plateSolid(cut: readonly Outline[], thick: number): Mesh {
  const edge = cut[cut.length - 1]
  if (edge === undefined) return { places: [], triangles: [] }
  const rings = [ringOf(edge, true), ...cut.slice(0, -1).map((it) => ringOf(it, false))]
  const flat = rings.flat()
  const begins: number[] = []
  let count = 0
  for (const ring of rings) {
    begins.push(count)
    count += ring.length
  }
  const faces = earcut(flat.flat(), begins.slice(1))
  const n = flat.length
  const places = [0, thick].flatMap((z) => flat.map(([x, y]): readonly [number, number, number] => [x, y, z]))
  const triangles: (readonly [number, number, number])[] = []
  for (let k = 0; k < faces.length; k += 3) {
    const [a, b, c] = faces.slice(k, k + 3) as [number, number, number]
    const [p, q, r] = [flat[a], flat[b], flat[c]] as [Place, Place, Place]
    const isAgainst = (q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1]) > 0
    const [u, v] = isAgainst ? [b, c] : [c, b]
    triangles.push([a + n, u + n, v + n], [a, v, u])
  }
  rings.forEach((ring, k) => {
    const from = begins[k] as number
    ring.forEach((_, i) => {
      const [p, q] = [from + i, from + ((i + 1) % ring.length)]
      triangles.push([p, q, q + n], [p, q + n, p + n])
    })
  })
  return { places, triangles }
}
