import type { Outline, Point, Segment } from './geometry'

/** x' = a·x + c·y + e, y' = b·x + d·y + f; in the order in which SVG has them. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number]

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0]

/**
 * One map after another. @param p Applied last. @param q Applied first. Valid: any. Source: product of matrices.
 * @example after([2, 0, 0, 2, 0, 0], [1, 0, 0, 1, 3, 4]) // [2, 0, 0, 2, 6, 8]
 */
export function after(p: Affine, q: Affine): Affine {
  return [
    p[0] * q[0] + p[2] * q[1],
    p[1] * q[0] + p[3] * q[1],
    p[0] * q[2] + p[2] * q[3],
    p[1] * q[2] + p[3] * q[3],
    p[0] * q[4] + p[2] * q[5] + p[4],
    p[1] * q[4] + p[3] * q[5] + p[5],
  ]
}

/** Where a place goes. Valid: any. Source: by definition. */
export function mapped([a, b, c, d, e, f]: Affine, { x, y }: Point): Point {
  return { x: a * x + c * y + e, y: b * x + d * y + f }
}

/** Where an outline goes: lines stay lines, curves curves, arcs arcs. Valid: any map, mirrors too. Source: by definition. */
export function mappedOutline(by: Affine, { start, segments, isClosed }: Outline): Outline {
  const to = (p: Point): Point => mapped(by, p)
  const turned = ({ x, y }: Point): Point => ({ x: by[0] * x + by[2] * y, y: by[1] * x + by[3] * y })
  return {
    start: to(start),
    isClosed,
    segments: segments.map((it): Segment => {
      if (it.kind === 'line') return { kind: 'line', to: to(it.to) }
      if (it.kind === 'cubic') return { kind: 'cubic', first: to(it.first), second: to(it.second), to: to(it.to) }
      return { ...it, centre: to(it.centre), u: turned(it.u), v: turned(it.v), to: to(it.to) }
    }),
  }
}

const NUMBER = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi
const CALL = /^\s*,?\s*(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/

/**
 * Reads the transforms of an element, the first applied last. @returns Null where they make no sense.
 * Valid: SVG 2, 8.5: matrix, translate, scale, rotate, skewX, skewY. Source: CSS Transforms 1, 13.
 */
export function readTransform(text: string): Affine | null {
  let rest = text.trim()
  let all = IDENTITY
  while (rest !== '') {
    const call = CALL.exec(rest)
    if (call === null) return null
    const one = affineOf(call[1] ?? '', (call[2]?.match(NUMBER) ?? []).map(Number))
    if (one === null) return null
    all = after(all, one)
    rest = rest.slice(call[0].length).trim()
  }
  return all
}

function affineOf(name: string, n: readonly number[]): Affine | null {
  const [a = 0, b = 0, c = 0] = n
  const tangent = Math.tan((a * Math.PI) / 180)
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Affine) : null
    case 'translate':
      return n.length === 1 || n.length === 2 ? [1, 0, 0, 1, a, b] : null
    case 'scale':
      return n.length === 1 ? [a, 0, 0, a, 0, 0] : n.length === 2 ? [a, 0, 0, b, 0, 0] : null
    case 'rotate':
      return n.length === 1
        ? rotated(a)
        : n.length === 3
          ? after(after([1, 0, 0, 1, b, c], rotated(a)), [1, 0, 0, 1, -b, -c])
          : null
    case 'skewX':
      return n.length === 1 ? [1, 0, tangent, 1, 0, 0] : null
    case 'skewY':
      return n.length === 1 ? [1, tangent, 0, 1, 0, 0] : null
    default:
      return null
  }
}

function rotated(degrees: number): Affine {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  return [c, s, -s, c, 0, 0]
}
