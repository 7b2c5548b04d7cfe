/** A surface of triangles: places x, y, z in mm, z upwards from the bed it is printed on, and three places a triangle, against the clock seen from outside. */
export interface Mesh {
  readonly places: readonly (readonly [number, number, number])[]
  readonly triangles: readonly (readonly [number, number, number])[]
}

/** What a surface is proved to be. */
export interface MeshProof {
  /** Edges that are not the edge of exactly two triangles which run it both ways: 0 where it is watertight and all triangles face the same side. */
  readonly openEdges: number
  /** mm³; less than 0 where its triangles face inwards. */
  readonly volume: number
  /** Steepest overhang, rad from upright, and where it stands, mm above the bed; what lies on the bed is none. */
  readonly overhang: number
  readonly overhangAt: number
  /** Triangles without an area. */
  readonly flat: number
}

/** Steepest overhang that is printed without support, rad. (common practice) */
export const PRINTABLE = Math.PI / 4

/** What lies on the bed, mm. */
const ON_BED = 1e-6

/**
 * Proves a surface: closed, facing outwards, printable. Valid: triangles that do not pass through one another; that is not looked for.
 * @throws never. Source: every edge twice, once each way; divergence theorem for the volume; the normal against upright.
 */
export function proveMesh({ places, triangles }: Mesh): MeshProof {
  const edges = new Map<string, number>()
  const lowest = places.reduce((least, it) => Math.min(least, it[2]), Infinity)
  let [volume, overhang, overhangAt, flat] = [0, 0, 0, 0]
  for (const corners of triangles) {
    const [p, q, r] = corners.map((it) => places[it] ?? ORIGIN) as [Place, Place, Place]
    corners.forEach((from, k) => {
      const to = corners[(k + 1) % 3] as number
      const [key, way] = from < to ? [`${from} ${to}`, 1] : [`${to} ${from}`, -1]
      // Twice the count, and one more for each that goes the same way as the last.
      const known = edges.get(key) ?? 0
      edges.set(key, known + way + TWICE)
    })
    volume += dot(p, cross(q, r)) / 6
    const normal = cross(less(q, p), less(r, p))
    const size = Math.hypot(...normal)
    if (size < 1e-12) {
      flat++
      continue
    }
    if (Math.max(p[2], q[2], r[2]) <= lowest + ON_BED) continue
    const leans = Math.asin(Math.max(0, Math.min(1, -normal[2] / size)))
    if (leans > overhang) [overhang, overhangAt] = [leans, Math.min(p[2], q[2], r[2]) - lowest]
  }
  const openEdges = [...edges.values()].filter((it) => it !== 2 * TWICE).length
  return { openEdges, volume, overhang, overhangAt, flat }
}

type Place = readonly [number, number, number]
const ORIGIN: Place = [0, 0, 0]
/** Counts an edge beside its ways, which cancel where two triangles run it both ways. */
const TWICE = 1000

const less = (p: Place, q: Place): Place => [p[0] - q[0], p[1] - q[1], p[2] - q[2]]
const dot = (p: Place, q: Place): number => p[0] * q[0] + p[1] * q[1] + p[2] * q[2]
const cross = (p: Place, q: Place): Place => [p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]]

/** A place of a profile: distance from the axis and height, mm. */
export interface OnProfile {
  readonly r: number
  readonly z: number
}

/**
 * Turns a closed profile about the upright axis. @param profile Against the clock in r and z, all of it off the axis. @param count Sides of the turned thing.
 * @throws {RangeError} for a profile that touches the axis or has fewer than three places. Valid: profiles that do not cross themselves. Source: by definition.
 */
export function revolve(profile: readonly OnProfile[], count = 128): Mesh {
  if (profile.length < 3 || profile.some((it) => !(it.r > 0)))
    throw new RangeError('a profile has three places or more, all off the axis')
  const n = profile.length
  const places = Array.from({ length: count }, (_, k) => {
    const angle = (2 * Math.PI * k) / count
    return profile.map(({ r, z }): Place => [r * Math.cos(angle), r * Math.sin(angle), z])
  }).flat()
  const triangles = Array.from({ length: count }, (_, k) =>
    profile.flatMap((_, i): Place[] => {
      const [a, b] = [k * n + i, k * n + ((i + 1) % n)]
      const next = ((k + 1) % count) * n
      const [c, d] = [next + i, next + ((i + 1) % n)]
      return [
        [a, c, d],
        [a, d, b],
      ]
    }),
  ).flat()
  return { places, triangles }
}

/** A surface as binary STL: 80 bytes of header, the count, then normal and corners of each triangle in mm. @throws never. Valid: any mesh. Source: the format’s own description (from memory). */
export function meshToStl({ places, triangles }: Mesh): Uint8Array {
  const bytes = new Uint8Array(84 + 50 * triangles.length)
  const view = new DataView(bytes.buffer)
  view.setUint32(80, triangles.length, true)
  triangles.forEach((corners, k) => {
    const [p, q, r] = corners.map((it) => places[it] ?? ORIGIN) as [Place, Place, Place]
    const normal = cross(less(q, p), less(r, p))
    const size = Math.hypot(...normal) || 1
    const numbers = [...normal.map((it) => it / size), ...p, ...q, ...r]
    numbers.forEach((it, i) => view.setFloat32(84 + 50 * k + 4 * i, it, true))
  })
  return bytes
}
