/** A place, in the unit of the artwork, or mm once it is placed. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** A piece of an outline, from where the last one ended. */
export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'cubic'; readonly first: Point; readonly second: Point; readonly to: Point }
  | ({ readonly kind: 'arc'; readonly to: Point } & Arc)

/** A piece of an ellipse: centre + u·cos t + v·sin t, t from `start` over `sweep`, rad. Any affine map of it is another one. */
export interface Arc {
  readonly centre: Point
  readonly u: Point
  readonly v: Point
  readonly start: number
  readonly sweep: number
}

/** One outline: where it begins, its pieces, and whether it closes. */
export interface Outline {
  readonly start: Point
  readonly segments: readonly Segment[]
  readonly isClosed: boolean
}

/** A place on an arc. Valid: any arc. Source: by definition. */
export function pointOnArc({ centre, u, v }: Arc, t: number): Point {
  const [c, s] = [Math.cos(t), Math.sin(t)]
  return { x: centre.x + u.x * c + v.x * s, y: centre.y + u.y * c + v.y * s }
}

/** Whether an arc is one of a circle, to a share of its radius. Valid: any arc. Source: conjugate half-diameters alike and at a right angle. */
export function isCircular({ u, v }: Arc, within = 1e-6): boolean {
  const [a, b] = [u.x * u.x + u.y * u.y, v.x * v.x + v.y * v.y]
  return Math.abs(a - b) <= within * a && Math.abs(u.x * v.x + u.y * v.y) <= within * a
}

/** A curve of the second degree as one of the third. Valid: any. Source: degree elevation (de Casteljau). */
export function cubicOfQuadratic(from: Point, control: Point, to: Point): Segment {
  const between = (p: Point): Point => ({ x: p.x + (2 / 3) * (control.x - p.x), y: p.y + (2 / 3) * (control.y - p.y) })
  return { kind: 'cubic', first: between(from), second: between(to), to }
}
