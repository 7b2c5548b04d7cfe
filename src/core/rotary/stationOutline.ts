import { requireInRange } from '../units'

/** What a station looks like from above. */
export type StationShape =
  { readonly kind: 'slot'; readonly across: number; readonly length: number } | { readonly kind: 'disc'; readonly across: number }

/** Chords of a round station; at 500 mm they lie within 0.3 mm of the circle. */
const CHORDS = 90

/**
 * The outline of a station around a place, corner by corner against the clock. @param shape Sizes in mm. @param middle mm, machine coordinates. @param along Axis that a slot lies along.
 * @throws {RangeError} for a size that is not above 0. Valid: sizes to 1000 mm. Source: by definition.
 * @example stationOutline({ kind: 'slot', across: 20, length: 80 }, { x: 50, y: 30 }, 'x')[0] // { x: 10, y: 20 }
 */
export function stationOutline(
  shape: StationShape,
  middle: { readonly x: number; readonly y: number },
  along: 'x' | 'y',
): readonly { readonly x: number; readonly y: number }[] {
  requireInRange('across', shape.across, 1e-6, 1000)
  if (shape.kind === 'disc') {
    const r = shape.across / 2
    return Array.from({ length: CHORDS }, (_, k) => {
      const t = (2 * Math.PI * k) / CHORDS
      return { x: middle.x + r * Math.cos(t), y: middle.y + r * Math.sin(t) }
    })
  }
  requireInRange('length', shape.length, 1e-6, 1000)
  const [dx, dy] = along === 'x' ? [shape.length / 2, shape.across / 2] : [shape.across / 2, shape.length / 2]
  return [
    { x: middle.x - dx, y: middle.y - dy },
    { x: middle.x + dx, y: middle.y - dy },
    { x: middle.x + dx, y: middle.y + dy },
    { x: middle.x - dx, y: middle.y + dy },
  ]
}
