import { MARK } from './layout'
import type { Luminance } from './reduce'

/** Something that looks like a mark: its middle and the mean radius of its dot, in pixels of the reduced picture. */
export interface FoundMark {
  readonly x: number
  readonly y: number
  readonly radius: number
}

/** A mark is so much darker than the mean of a window about it, a share of the picture's longer side wide; tried in turn. */
const SEARCHES = [
  { dark: 0.72, window: 1 / 9 },
  { dark: 0.72, window: 1 / 18 },
  { dark: 0.6, window: 1 / 9 },
  { dark: 0.82, window: 1 / 9 },
  { dark: 0.84, window: 1 / 18 },
] as const
/** Pixels that a dot has at least. */
const LEAST = 9
/** Of a dot's area the ring has so much, least and most: blur takes from the dot first. */
const RING = { least: 1.4, most: 16 } as const
/** How round and full a dot is: its area over that of the ellipse with its second moments. */
const FULL = { least: 0.86, most: 1.12 } as const

/**
 * Looks for marks: a full dark dot with a dark ring about the same middle. Looks harder each time that it is asked for more.
 * @returns All that were found so far, in no order; each once.
 * Valid: marks of 15 pixels across or more. Source: dark where well below the mean of a window (by a table of sums), pieces that hang
 * together, their moments.
 */
export function* findMarks(picture: Luminance): Generator<readonly FoundMark[]> {
  const calm = calmed(picture)
  const sums = sumTable(calm)
  const found: FoundMark[] = []
  for (const { dark, window } of SEARCHES) {
    const half = Math.max(4, Math.round((Math.max(picture.width, picture.height) * window) / 2))
    for (const it of marksIn(darkPieces(calm, sums, half, dark))) {
      if (found.every((one) => Math.hypot(one.x - it.x, one.y - it.y) > 2 * it.radius)) found.push(it)
    }
    yield [...found]
  }
}

/** Each pixel the mean of itself and the eight about it: noise goes, edges stay where they are. */
function calmed({ width, height, y, ...rest }: Luminance): Luminance {
  const rows = new Float32Array(y.length)
  const all = new Float32Array(y.length)
  for (let k = 1; k < y.length - 1; k++) rows[k] = ((y[k - 1] as number) + (y[k] as number) + (y[k + 1] as number)) / 3
  for (let k = width; k < y.length - width; k++) {
    all[k] = ((rows[k - width] as number) + (rows[k] as number) + (rows[k + width] as number)) / 3
  }
  for (let k = 0; k < width; k++) {
    all[k] = y[k] as number
    all[y.length - 1 - k] = y[y.length - 1 - k] as number
  }
  return { width, height, y: all, ...rest }
}

/** Sums of luminance over everything up to a pixel. */
function sumTable({ width, height, y }: Luminance): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  for (let j = 0; j < height; j++) {
    let row = 0
    for (let i = 0; i < width; i++) {
      row += y[j * width + i] as number
      sums[(j + 1) * (width + 1) + i + 1] = (sums[j * (width + 1) + i + 1] as number) + row
    }
  }
  return sums
}

/** A piece of dark pixels that hang together. */
interface Piece {
  count: number
  x: number
  y: number
  xx: number
  yy: number
  xy: number
  left: number
  right: number
  top: number
  bottom: number
}

/** Dark pieces, by one pass over the rows that joins what touches (each row's stretches with those of the row before). */
function darkPieces({ width, height, y }: Luminance, sums: Float64Array, half: number, dark: number): readonly Piece[] {
  const parents: number[] = []
  const pieces: Piece[] = []
  const rootOf = (k: number): number => {
    let at = k
    while (parents[at] !== at) at = parents[at] = parents[parents[at] as number] as number
    return at
  }
  let before: Stretch[] = []
  for (let j = 0; j < height; j++) {
    const row = darkStretches(j)
    for (const it of row) {
      for (const above of before) {
        if (above.from >= it.to || above.to <= it.from) continue
        const root = rootOf(above.label)
        if (it.label < 0) it.label = root
        else if (rootOf(it.label) !== root) {
          const mine = rootOf(it.label)
          parents[mine] = root
          join(pieces[root] as Piece, pieces[mine] as Piece)
          it.label = root
        }
      }
      if (it.label < 0) {
        it.label = pieces.length
        parents.push(it.label)
        pieces.push({ count: 0, x: 0, y: 0, xx: 0, yy: 0, xy: 0, left: width, right: 0, top: height, bottom: 0 })
      }
      take(pieces[rootOf(it.label)] as Piece, it, j)
    }
    before = row
  }
  return pieces.filter((it, k) => parents[k] === k && it.count >= LEAST)

  function darkStretches(j: number): Stretch[] {
    const [low, high] = [Math.max(0, j - half), Math.min(height, j + half + 1)]
    const [upper, lower] = [low * (width + 1), high * (width + 1)]
    const row: Stretch[] = []
    let from = -1
    for (let i = 0; i <= width; i++) {
      let isDark = false
      if (i < width) {
        const [l, r] = [Math.max(0, i - half), Math.min(width, i + half + 1)]
        const sum =
          (sums[lower + r] as number) - (sums[lower + l] as number) - (sums[upper + r] as number) + (sums[upper + l] as number)
        isDark = (y[j * width + i] as number) * (r - l) * (high - low) < dark * sum
      }
      if (isDark && from < 0) from = i
      if (!isDark && from >= 0) {
        row.push({ from, to: i, label: -1 })
        from = -1
      }
    }
    return row
  }
}

interface Stretch {
  readonly from: number
  readonly to: number
  label: number
}

/** Adds a stretch of a row to a piece: sums of its pixels' places and their squares. */
function take(piece: Piece, { from, to }: Stretch, j: number): void {
  const n = to - from
  // Sums of i and i² over from ≤ i < to, middles at halves.
  const sum = (n * (from + to)) / 2
  const squares = sum2(to) - sum2(from)
  piece.count += n
  piece.x += sum
  piece.y += n * (j + 0.5)
  piece.xx += squares
  piece.yy += n * (j + 0.5) ** 2
  piece.xy += sum * (j + 0.5)
  piece.left = Math.min(piece.left, from)
  piece.right = Math.max(piece.right, to)
  piece.top = Math.min(piece.top, j)
  piece.bottom = Math.max(piece.bottom, j + 1)
}

/** Sum of (i + ½)² for 0 ≤ i < n: (4n³ − n)/12. */
function sum2(n: number): number {
  return (4 * n ** 3 - n) / 12
}

function join(into: Piece, from: Piece): void {
  into.count += from.count
  into.x += from.x
  into.y += from.y
  into.xx += from.xx
  into.yy += from.yy
  into.xy += from.xy
  into.left = Math.min(into.left, from.left)
  into.right = Math.max(into.right, from.right)
  into.top = Math.min(into.top, from.top)
  into.bottom = Math.max(into.bottom, from.bottom)
}

/** Full dots with a ring about the same middle. */
function marksIn(pieces: readonly Piece[]): readonly FoundMark[] {
  const middles = pieces.map((it) => ({ x: it.x / it.count, y: it.y / it.count }))
  // Rings by where their middle lies, so that each dot looks at few.
  return pieces.flatMap((dot, k): FoundMark[] => {
    const full = fullness(dot)
    if (full < FULL.least || full > FULL.most) return []
    const radius = Math.sqrt(dot.count / Math.PI)
    const at = middles[k] as FoundMark
    const ring = pieces.findIndex((it, i) => {
      const other = middles[i] as FoundMark
      return (
        i !== k &&
        it.left < dot.left &&
        it.right > dot.right &&
        it.top < dot.top &&
        it.bottom > dot.bottom &&
        Math.hypot(other.x - at.x, other.y - at.y) < 0.35 * radius + 1 &&
        it.count > RING.least * dot.count &&
        it.count < RING.most * dot.count &&
        isThreeTimes(it, dot)
      )
    })
    if (ring < 0) return []
    const [outer, other] = [pieces[ring] as Piece, middles[ring] as FoundMark]
    const share = outer.count / (outer.count + dot.count)
    return [{ x: at.x + (other.x - at.x) * share, y: at.y + (other.y - at.y) * share, radius }]
  })
}

/** Whether a ring is as much wider than its dot as a mark's. */
function isThreeTimes(ring: Piece, dot: Piece): boolean {
  const wanted = MARK.outer / MARK.dot
  const [across, down] = [(ring.right - ring.left) / (dot.right - dot.left), (ring.bottom - ring.top) / (dot.bottom - dot.top)]
  return [across, down].every((it) => it > wanted * 0.62 && it < wanted * 1.7)
}

/** Area of a piece over that of the ellipse with its second moments: 1 for a full ellipse, 0.95 for a square, less with a hole. */
function fullness({ count, x, y, xx, yy, xy }: Piece): number {
  const [a, b, c] = [
    xx / count - (x / count) ** 2 + 1 / 12,
    yy / count - (y / count) ** 2 + 1 / 12,
    xy / count - (x / count) * (y / count),
  ]
  const spread = a * b - c * c
  return spread > 0 ? count / (4 * Math.PI * Math.sqrt(spread)) : 0
}
