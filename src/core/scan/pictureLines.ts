import { diffusedDots, orderedDots, type Diffusion } from '../burn'
import { requireInRange } from '../units'
import { fromFrame, toFrame, type Scan, type ScanLine } from './lines'

/** A picture: luminance relative to white, 0…1, in rows from the top. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly luminance: Float32Array
}

/** Where a picture lies: its lower left corner at the origin, its size, mm. */
export interface PictureSize {
  readonly width: number
  readonly height: number
}

/** Luminances in the frame of a scan: columns along it, rows across, from the first line on. NaN lies outside of the picture. */
export interface ScanGrid {
  readonly angleRad: number
  readonly pitch: number
  /** Of the middle of the first cell, mm. */
  readonly u: number
  readonly v: number
  readonly columns: number
  readonly rows: number
  readonly luminance: Float32Array
}

/** Cells that a grid has at most. */
const MOST_CELLS = 64_000_000
/** Places looked at along each side of a cell, at most. */
const MOST_LOOKS = 4

/**
 * A picture as the scan sees it: the mean light of each square cell of a pitch.
 * @throws {RangeError} where pitch or size is not more than 0, or the cells are too many.
 * Valid: any angle. Source: means of luminance, which is what adds up in light (IEC 61966-2-1); up to 4 × 4 places a cell.
 */
export function scanGrid(picture: Picture, size: PictureSize, pitch: number, angleRad: number): ScanGrid {
  for (const [name, value] of Object.entries({ pitch, ...size })) requireInRange(name, value, Number.MIN_VALUE, 1e6, 'mm')
  const corners = [
    [0, 0],
    [size.width, 0],
    [0, size.height],
    [size.width, size.height],
  ].map(([x, y]) => toFrame({ x: x as number, y: y as number }, angleRad))
  const [left, right] = [Math.min(...corners.map((it) => it.x)), Math.max(...corners.map((it) => it.x))]
  const [bottom, top] = [Math.min(...corners.map((it) => it.y)), Math.max(...corners.map((it) => it.y))]
  const columns = Math.max(1, Math.round((right - left) / pitch))
  const rows = Math.max(1, Math.round((top - bottom) / pitch))
  if (columns * rows > MOST_CELLS) {
    throw new RangeError(`${columns} × ${rows} cells are beyond ${MOST_CELLS}: take a coarser pitch, or a smaller size`)
  }
  const u = left + (right - left - (columns - 1) * pitch) / 2
  const v = bottom + (top - bottom - (rows - 1) * pitch) / 2
  const grid = { angleRad, pitch, u, v, columns, rows, luminance: new Float32Array(columns * rows) }
  fillGrid(grid, picture, size)
  return grid
}

function fillGrid({ angleRad, pitch, u, v, columns, rows, luminance }: ScanGrid, picture: Picture, size: PictureSize): void {
  const [px, py] = [picture.width / size.width, picture.height / size.height]
  const looks = Math.min(MOST_LOOKS, Math.max(1, Math.round(pitch * Math.max(px, py))))
  // Steps of one column and one row in the picture's own pixels.
  const [du, dv] = [fromFrame(pitch, 0, angleRad), fromFrame(0, pitch, angleRad)]
  const start = fromFrame(u, v, angleRad)
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      let [sum, count] = [0, 0]
      for (let b = 0; b < looks; b++) {
        for (let a = 0; a < looks; a++) {
          const [p, q] = [i + (a + 0.5) / looks - 0.5, j + (b + 0.5) / looks - 0.5]
          const column = Math.floor((start.x + p * du.x + q * dv.x) * px)
          const row = picture.height - 1 - Math.floor((start.y + p * du.y + q * dv.y) * py)
          if (column < 0 || row < 0 || column >= picture.width || row >= picture.height) continue
          sum += picture.luminance[row * picture.width + column] as number
          count++
        }
      }
      luminance[j * columns + i] = count > 0 ? sum / count : Number.NaN
    }
  }
}

/** Grey by power: a power for each of some steps of luminance from 0 to 1; 0 where nothing is burnt. */
export interface GreyTable {
  readonly powers: ArrayLike<number>
}

/** Scan lines of a picture whose greys are powers. Valid: any grid. Source: the table's nearest step; like neighbours are one piece. */
export function greyLines(grid: ScanGrid, { powers }: GreyTable): Scan {
  const last = powers.length - 1
  return linesOf(grid, (cell) => {
    const y = grid.luminance[cell] as number
    return Number.isNaN(y) ? 0 : (powers[Math.round(Math.min(1, Math.max(0, y)) * last)] as number)
  })
}

/** How dots are set. */
export type Dither = Diffusion | 'ordered'

/**
 * Scan lines of a picture in dots of one power. @param darkness Share of dots for a luminance, 0…1; `dotShare` with the material's tones.
 * @throws {RangeError} never for a grid made here. Valid: dots as large as a cell. Source: `diffusedDots`, `orderedDots`.
 */
export function dotLines(grid: ScanGrid, darkness: (luminance: number) => number, way: Dither, power: number): Scan {
  const values = grid.luminance.map((y) => (Number.isNaN(y) ? 0 : darkness(y)))
  const wanted = { width: grid.columns, height: grid.rows, values }
  const dots = way === 'ordered' ? orderedDots(wanted, 3) : diffusedDots(wanted, way)
  return linesOf(grid, (cell) => (dots[cell] === 1 && !Number.isNaN(grid.luminance[cell]) ? power : 0))
}

function linesOf(grid: ScanGrid, powerOf: (cell: number) => number): Scan {
  const { angleRad, pitch, u, v, columns, rows } = grid
  const lines: ScanLine[] = []
  for (let j = 0; j < rows; j++) {
    const [from, to, power]: [number[], number[], number[]] = [[], [], []]
    let current = 0
    for (let i = 0; i <= columns; i++) {
      const next = i < columns ? powerOf(j * columns + i) : 0
      if (next === current) continue
      const edge = u + (i - 0.5) * pitch
      if (current > 0) to.push(edge)
      if (next > 0) {
        from.push(edge)
        power.push(next)
      }
      current = next
    }
    if (from.length > 0) lines.push({ v: v + j * pitch, from, to, power })
  }
  return { angleRad, pitch, lines }
}
