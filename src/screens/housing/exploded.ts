import type { PanelBlock } from '../../core/housing'

/** How the box is looked at, and how far its panels are pulled apart. */
export interface Look {
  readonly yaw: number
  readonly pitch: number
  /** 0: together; 1: as far apart as the box is large. */
  readonly apart: number
}

type Place = readonly [x: number, y: number, z: number]

/** A face as it is seen: its corners in mm, y upwards, and how far away it is. */
export interface Face {
  readonly name: PanelBlock['name']
  readonly corners: readonly (readonly [number, number])[]
  readonly far: number
  /** How much light falls on it, 0 to 1. */
  readonly light: number
}

/** Which way each panel is pulled. */
export const PULL: Readonly<Record<PanelBlock['name'], Place>> = {
  left: [-1, 0, 0],
  right: [1, 0, 0],
  front: [0, -1, 0],
  back: [0, 1, 0],
  floor: [0, 0, -0.8],
  roof: [0, 0, 1],
  lid: [0, -0.25, 1.25],
}

/** Corners of a block, low and high; a slanted side or lid by its outline over y and z. */
function facesOf({ low, high, outline, slant }: PanelBlock, t: number): readonly (readonly Place[])[] {
  if (outline !== null) {
    const ring = (x: number): Place[] => outline.map(([y, z]): Place => [x, low[1] + y, low[2] + z])
    return prism(ring(low[0]), ring(high[0]))
  }
  if (slant !== null) {
    const [[y0, z0], [y1, z1]] = slant
    const long = Math.hypot(y1 - y0, z1 - z0)
    const [ny, nz] = [(-(z1 - z0) / long) * t, ((y1 - y0) / long) * t]
    const ring = (x: number): Place[] => [
      [x, y0, z0],
      [x, y1, z1],
      [x, y1 + ny, z1 + nz],
      [x, y0 + ny, z0 + nz],
    ]
    return prism(ring(low[0]), ring(high[0]))
  }
  const ring = (x: number): Place[] => [
    [x, low[1], low[2]],
    [x, high[1], low[2]],
    [x, high[1], high[2]],
    [x, low[1], high[2]],
  ]
  return prism(ring(low[0]), ring(high[0]))
}

function prism(a: readonly Place[], b: readonly Place[]): readonly (readonly Place[])[] {
  const sides = a.map((p, k): readonly Place[] => {
    const n = (k + 1) % a.length
    return [p, b[k] as Place, b[n] as Place, a[n] as Place]
  })
  return [[...a].reverse(), b, ...sides]
}

/** A place as it is seen: across, upwards, and towards whoever looks. */
export function projected([x, y, z]: Place, { yaw, pitch }: Look): readonly [number, number, number] {
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)]
  const [across, deep] = [x * cy - y * sy, x * sy + y * cy]
  return [across, z * cp + deep * sp, z * sp - deep * cp]
}

/** Faces of all panels as they are seen, the furthest first; those that look away are left out. */
export function facesSeen(blocks: readonly PanelBlock[], t: number, size: number, look: Look): readonly Face[] {
  const panels = blocks.map((block) => {
    const [px, py, pz] = PULL[block.name]
    const pull = look.apart * size * 0.6
    const shift = ([x, y, z]: Place): Place => [x + px * pull, y + py * pull, z + pz * pull]
    const faces = facesOf(block, t).flatMap((corners): readonly Face[] => {
      const seen = corners.map((it) => projected(shift(it), look))
      const area = seen.reduce((sum, p, k) => {
        const q = seen[(k + 1) % seen.length] as readonly [number, number, number]
        return sum + p[0] * q[1] - q[0] * p[1]
      }, 0)
      if (area >= 0) return []
      const far = seen.reduce((sum, it) => sum + it[2], 0) / seen.length
      return [{ name: block.name, corners: seen.map(([a, b]) => [a, b] as const), far, light: lightOn(corners) }]
    })
    return { faces, far: Math.max(...faces.map((it) => it.far), -Infinity) }
  })
  return panels.sort((p, q) => p.far - q.far).flatMap(({ faces }) => [...faces].sort((p, q) => p.far - q.far))
}

/** From above most, from the sides less. */
function lightOn(corners: readonly Place[]): number {
  const [a, b, c] = corners as readonly [Place, Place, Place]
  const u = [b[0] - a[0], b[1] - a[1], b[2] - a[2]] as const
  const v = [c[0] - b[0], c[1] - b[1], c[2] - b[2]] as const
  const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const
  const long = Math.hypot(...n)
  if (long === 0) return 0
  return Math.min(1, 0.35 + 0.65 * Math.abs(n[2] / long) + 0.2 * Math.abs(n[0] / long))
}
