import { wrappedPlace, type WrappedZone } from '../../core/rotary'
import { radiusOf, type Seen } from './seen'

/** How the object is looked at: turned about its own axis, and from where, rad. */
export interface Look {
  readonly spin: number
  readonly yaw: number
  readonly pitch: number
}

/** A place on the screen in mm, y upwards, and whether it is on the side that is seen. */
export interface Shown {
  readonly x: number
  readonly y: number
  readonly isFront: boolean
}

/** Projects a place of the surface: along the axis, mm, about it from the top, rad, and its distance from the axis, mm. */
export function projected(along: number, turn: number, radius: number, { spin, yaw, pitch }: Look): Shown {
  const angle = turn + spin
  const [up, near] = [radius * Math.cos(angle), radius * Math.sin(angle)]
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)]
  const towards = -along * sy + near * cy
  const facing = Math.cos(angle) * sp + Math.sin(angle) * cy * cp
  return { x: along * cy + near * sy, y: up * cp - towards * sp, isFront: facing > 0 }
}

/** A circle about the axis, in so many places. */
export function ringOf(along: number, radius: number, look: Look, count = 72): readonly Shown[] {
  return Array.from({ length: count + 1 }, (_, k) => projected(along, (2 * Math.PI * k) / count, radius, look))
}

/** What the head burns, on the object: pairs of places, one behind the other, as columns of along and turn. */
export interface WrappedTrack {
  readonly count: number
  readonly along: Float32Array
  readonly turn: Float32Array
}

/** The way of the head in the light. */
interface Track {
  readonly x: Float32Array
  readonly y: Float32Array
  readonly lit: Uint8Array
}

/** Lit ways that are drawn at most: more than a screen can tell apart. */
const MOST_DRAWN = 12_000

/**
 * The lit ways of an order as they lie on the object. @param track The way of the head as it is planned, on the machine. @param zone The stretch it lies on.
 * @param from Where that begins along the object, mm. Of more ways than are drawn every so many is left out.
 */
export function wrappedTrack({ x, y, lit }: Track, zone: WrappedZone, from: number): WrappedTrack {
  const ways: number[] = []
  for (let k = 1; k < lit.length; k++) if (lit[k] === 1) ways.push(k)
  const step = Math.max(1, Math.ceil(ways.length / MOST_DRAWN))
  const drawn = ways.filter((_, k) => k % step === 0)
  const [along, turn] = [new Float32Array(2 * drawn.length), new Float32Array(2 * drawn.length)]
  // On the machine what goes round is counted as surface in the middle of the stretch.
  const middle = (zone.first + zone.last) / 4
  const place = (k: number, at: number): void => {
    const [u, v] = zone.along === 'x' ? [x[k] as number, y[k] as number] : [y[k] as number, x[k] as number]
    along[at] = from + u - zone.start
    turn[at] = (v - zone.middle) / middle
  }
  drawn.forEach((k, i) => {
    place(k - 1, 2 * i)
    place(k, 2 * i + 1)
  })
  return { count: drawn.length, along, turn }
}

/** Corners of the unrolled stretch on the object, for its outline. */
export function zoneOutline(zone: WrappedZone, from: number, high: number): readonly (readonly [along: number, turn: number])[] {
  const corners = [
    [0, -high / 2],
    [zone.length, -high / 2],
    [zone.length, high / 2],
    [0, high / 2],
    [0, -high / 2],
  ] as const
  return corners.flatMap(([u, v], k) => {
    const next = corners[k + 1]
    if (next === undefined) return []
    return Array.from({ length: 24 }, (_, i) => {
      const share = i / 24
      const { along, turn } = wrappedPlace(zone, u + (next[0] - u) * share, v + (next[1] - v) * share)
      return [from + along, turn] as const
    })
  })
}

/** Extent of an object as it is looked at, whatever its spin, mm. */
export function extentOf(
  seen: Seen,
  { yaw, pitch }: Look,
): { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number } {
  const radius = seen.widest / 2 + (seen.handle?.out ?? 0)
  const look = { spin: 0, yaw, pitch }
  const all = [0, seen.length].flatMap((at) => ringOf(at, radius, look, 36))
  return {
    left: Math.min(...all.map((it) => it.x)),
    right: Math.max(...all.map((it) => it.x)),
    bottom: Math.min(...all.map((it) => it.y)),
    top: Math.max(...all.map((it) => it.y)),
  }
}

/** Both silhouettes of an object: per place along it the outermost of its ring. */
export function silhouettes(seen: Seen, look: Look): readonly (readonly Shown[])[] {
  const places = [0, ...seen.sections.map((it) => it.at).filter((it) => it > 0 && it < seen.length), seen.length]
  // Seen at a right angle to where the axis runs on the screen.
  const axis = projected(1, 0, 0, look)
  const long = Math.hypot(axis.x, axis.y)
  const [nx, ny] = [-axis.y / long, axis.x / long]
  const side = (sign: 1 | -1): readonly Shown[] =>
    places.map((at) => {
      const ring = ringOf(at, radiusOf(seen, at), look)
      return ring.reduce((best, it) => (sign * (it.x * nx + it.y * ny) > sign * (best.x * nx + best.y * ny) ? it : best))
    })
  return [side(1), side(-1)]
}
