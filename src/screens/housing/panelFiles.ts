import { mappedOutline, type Layer, type Outline } from '../../core/artwork'

/** Parts side by side on one drawing. */
export interface SideBySide {
  readonly width: number
  readonly height: number
  readonly layers: readonly Layer[]
}

interface Part {
  readonly name: string
  readonly width: number
  readonly height: number
  readonly cut: readonly Outline[]
  readonly mark?: readonly Outline[]
}

/** Between parts on one drawing, mm. */
const BETWEEN = 20

/** Lays parts in a row, each on a layer of its own name; what is marked lies on one layer. */
export function sideBySide(parts: readonly Part[]): SideBySide {
  let x = 0
  const marks: Outline[] = []
  const layers = parts.map(({ name, width, cut, mark = [] }): Layer => {
    const move = (it: Outline): Outline => mappedOutline([1, 0, 0, 1, x, 0], it)
    const outlines = cut.map(move)
    marks.push(...mark.map(move))
    x += width + BETWEEN
    return { name, colour: '#111111', outlines }
  })
  const marked: readonly Layer[] = marks.length > 0 ? [{ name: 'mark', colour: '#1d4e89', outlines: marks }] : []
  return { width: Math.max(x - BETWEEN, 1), height: Math.max(1, ...parts.map((it) => it.height)), layers: [...marked, ...layers] }
}
