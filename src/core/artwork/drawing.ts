import { boxOfOutline, type Box } from './flatten'
import type { Outline, Point } from './geometry'

/** A shape of a drawing, in mm, y upwards from the lower left corner of the sheet. */
export interface Shape {
  /** The element it comes from, and its id; empty where it has none. */
  readonly element: string
  readonly id: string
  /** The layer it stands on, as the file names it; empty where the file has none. */
  readonly layer: string
  readonly outlines: readonly Outline[]
  /** Colours as written; null: not filled, not stroked. */
  readonly fill: string | null
  readonly stroke: string | null
  /** mm. */
  readonly strokeWidth: number
  readonly fillRule: 'nonzero' | 'evenodd'
}

/** A drawing that was read. */
export interface Drawing {
  /** mm. */
  readonly width: number
  readonly height: number
  /** Whether the file says its size in a unit; without one a pixel is 1/96 in, and the unit of an exchange file counts as 1 mm. */
  readonly hasUnits: boolean
  readonly shapes: readonly Shape[]
}

/** The box around shapes; null where there is none. Valid: any. Source: the boxes of their outlines. */
export function boxOfShapes(shapes: readonly Shape[]): Box | null {
  let all: Box | null = null
  for (const shape of shapes) {
    for (const outline of shape.outlines) {
      const box = boxOfOutline(outline)
      if (box !== null) all = all === null ? box : joinedBox(all, box)
    }
  }
  return all
}

/** The box around two. Valid: any. Source: by definition. */
export function joinedBox(p: Box, q: Box): Box {
  return {
    left: Math.min(p.left, q.left),
    bottom: Math.min(p.bottom, q.bottom),
    right: Math.max(p.right, q.right),
    top: Math.max(p.top, q.top),
  }
}

/** Whether all numbers of an outline are there, and such as a drawing has. Source: by definition. */
export function isNumbers({ start, segments }: Outline): boolean {
  if (!isPlace(start)) return false
  for (const it of segments) {
    if (!isPlace(it.to)) return false
    if (it.kind === 'cubic' && !(isPlace(it.first) && isPlace(it.second))) return false
    if (it.kind === 'arc' && !(isPlace(it.centre) && isPlace(it.u) && isPlace(it.v) && isPlace({ x: it.start, y: it.sweep })))
      return false
  }
  return true
}

/** What is no number fails both comparisons. */
function isPlace({ x, y }: Point): boolean {
  return Math.abs(x) < 1e9 && Math.abs(y) < 1e9
}
