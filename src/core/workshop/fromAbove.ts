import type { Surface } from './surface'

/** A part of the bed as a camera straight above it sees it: luminances as shares of white, in rows from the top. */
export interface FromAbove {
  readonly columns: number
  readonly rows: number
  readonly luminance: Float32Array
}

/**
 * A box of the bed from straight above. @param bare Luminance of what nothing fell on. @param pitch Side of a pixel, mm; more than 0.
 * Valid: any box. Source: the mean of the surface's cells under each pixel.
 */
export function fromAbove(
  surface: Surface | null,
  bare: number,
  box: { readonly left: number; readonly bottom: number; readonly right: number; readonly top: number },
  pitch: number,
): FromAbove {
  const [columns, rows] = [
    Math.max(1, Math.ceil((box.right - box.left) / pitch)),
    Math.max(1, Math.ceil((box.top - box.bottom) / pitch)),
  ]
  const luminance = new Float32Array(columns * rows).fill(bare)
  if (surface === null) return { columns, rows, luminance }
  const counts = new Uint32Array(columns * rows)
  const sums = new Float32Array(columns * rows)
  for (let j = 0; j < surface.rows; j++) {
    const row = rows - 1 - Math.floor((surface.bottom + (j + 0.5) * surface.pitch - box.bottom) / pitch)
    if (row < 0 || row >= rows) continue
    for (let i = 0; i < surface.columns; i++) {
      const column = Math.floor((surface.left + (i + 0.5) * surface.pitch - box.left) / pitch)
      if (column < 0 || column >= columns) continue
      const at = row * columns + column
      sums[at] = (sums[at] as number) + (surface.y[j * surface.columns + i] as number)
      counts[at] = (counts[at] as number) + 1
    }
  }
  for (let at = 0; at < luminance.length; at++)
    if ((counts[at] as number) > 0) luminance[at] = (sums[at] as number) / (counts[at] as number)
  return { columns, rows, luminance }
}
