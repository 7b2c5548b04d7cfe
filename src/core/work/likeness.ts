import { requireInRange } from '../units'

/** Two pictures of the same place: one value a pixel, in rows, of the same size. */
export interface PicturePair {
  readonly width: number
  readonly height: number
  readonly one: ArrayLike<number>
  readonly other: ArrayLike<number>
}

/** Side of the windows in which pictures are compared, pixels. */
const WINDOW = 8
/** What keeps flat windows from being judged by their noise, as shares of the range (Wang and others 2004). */
const [K1, K2] = [0.01, 0.03]

/**
 * How alike two pictures are in their structure: 1 where they are the same. @param range Of the values; more than 0.
 * @throws {RangeError} where the range is not more than 0 or a picture has no whole window.
 * Valid: windows of 8 by 8, half over one another. Source: structural similarity (Wang, Bovik, Sheikh and Simoncelli 2004, from memory).
 * @example likeness({ width: 8, height: 8, one: new Float32Array(64).fill(1), other: new Float32Array(64).fill(1) }, 1) // 1
 */
export function likeness(pair: PicturePair, range: number): number {
  const all = windowsOf(pair, range)
  return all.reduce((sum, it) => sum + it.alike, 0) / all.length
}

interface Compared {
  readonly alike: number
  /** How far either picture goes from 1 there. */
  readonly darkest: number
}

function windowsOf(pair: PicturePair, range: number): readonly Compared[] {
  const { width, height } = pair
  requireInRange('range', range, Number.MIN_VALUE, Number.MAX_VALUE)
  if (width < WINDOW || height < WINDOW) throw new RangeError(`pictures must be ${WINDOW} pixels wide and high at least`)
  const [c1, c2] = [(K1 * range) ** 2, (K2 * range) ** 2]
  const all: Compared[] = []
  for (let y = 0; y + WINDOW <= height; y += WINDOW / 2) {
    for (let x = 0; x + WINDOW <= width; x += WINDOW / 2) {
      const { a, b, aa, bb, ab, darkest } = momentsOf(pair, x, y)
      all.push({ alike: ((2 * a * b + c1) * (2 * ab + c2)) / ((a * a + b * b + c1) * (aa + bb + c2)), darkest })
    }
  }
  return all
}

/** Light of a picture, in rows; relative to white. */
export interface Light {
  readonly width: number
  readonly height: number
  readonly values: ArrayLike<number>
}

/** What is darker than the bare sheet by less than this share is its grain. */
const GRAIN = 0.1
/** Most of a sheet is bare: its light is that of so many of its pixels. */
const BARE = 0.9

/**
 * How alike a burn came out to what was foretold, where either shows one: bare sheet says nothing. @param every Pixels that are averaged
 * along each side before: finer things move with the play of a machine. @returns Null where neither shows a burn.
 * @throws {RangeError} where the pictures are too small. Valid: pictures of the same box, of which most is bare.
 * Source: `likeness` over the windows in which either is darker than the bare sheet.
 */
export function burnLikeness(foretold: Light, came: Light, every: number): number | null {
  const [one, other] = [coarser(foretold, every), coarser(came, every)]
  const [width, height] = [Math.min(one.width, other.width), Math.min(one.height, other.height)]
  const toBare = (it: Light): Float32Array => {
    const sorted = Float32Array.from(it.values).sort()
    const bare = sorted[Math.floor(sorted.length * BARE)] ?? 1
    return Float32Array.from(
      { length: width * height },
      (_, k) => (it.values[Math.floor(k / width) * it.width + (k % width)] as number) / bare,
    )
  }
  const seen = windowsOf({ width, height, one: toBare(one), other: toBare(other) }, 1).filter((it) => it.darkest > GRAIN)
  return seen.length === 0 ? null : seen.reduce((sum, it) => sum + it.alike, 0) / seen.length
}

function momentsOf({ width, one, other }: PicturePair, x: number, y: number) {
  const n = WINDOW * WINDOW
  let [a, b, aa, bb, ab, darkest] = [0, 0, 0, 0, 0, 0]
  for (let j = y; j < y + WINDOW; j++) {
    for (let i = x; i < x + WINDOW; i++) {
      const [p, q] = [one[j * width + i] as number, other[j * width + i] as number]
      a += p
      b += q
      aa += p * p
      bb += q * q
      ab += p * q
      darkest = Math.max(darkest, 1 - p, 1 - q)
    }
  }
  ;[a, b] = [a / n, b / n]
  return { a, b, aa: aa / n - a * a, bb: bb / n - b * b, ab: ab / n - a * b, darkest }
}

/**
 * A picture in fewer pixels, each the mean of so many. Valid: any. Source: by definition.
 * @param every Pixels along each side; whole, 1 or more.
 */
export function coarser(picture: Light, every: number) {
  const [width, height] = [Math.floor(picture.width / every), Math.floor(picture.height / every)]
  const values = new Float32Array(width * height)
  for (let j = 0; j < height * every; j++) {
    for (let i = 0; i < width * every; i++) {
      const at = Math.floor(j / every) * width + Math.floor(i / every)
      values[at] = (values[at] as number) + (picture.values[j * picture.width + i] as number) / (every * every)
    }
  }
  return { width, height, values }
}
