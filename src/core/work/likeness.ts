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
export function likeness({ width, height, one, other }: PicturePair, range: number): number {
  requireInRange('range', range, Number.MIN_VALUE, Number.MAX_VALUE)
  if (width < WINDOW || height < WINDOW) throw new RangeError(`pictures must be ${WINDOW} pixels wide and high at least`)
  const [c1, c2] = [(K1 * range) ** 2, (K2 * range) ** 2]
  let [sum, count] = [0, 0]
  for (let y = 0; y + WINDOW <= height; y += WINDOW / 2) {
    for (let x = 0; x + WINDOW <= width; x += WINDOW / 2) {
      const { a, b, aa, bb, ab } = momentsOf({ width, height, one, other }, x, y)
      sum += ((2 * a * b + c1) * (2 * ab + c2)) / ((a * a + b * b + c1) * (aa + bb + c2))
      count++
    }
  }
  return sum / count
}

function momentsOf({ width, one, other }: PicturePair, x: number, y: number) {
  const n = WINDOW * WINDOW
  let [a, b, aa, bb, ab] = [0, 0, 0, 0, 0]
  for (let j = y; j < y + WINDOW; j++) {
    for (let i = x; i < x + WINDOW; i++) {
      const [p, q] = [one[j * width + i] as number, other[j * width + i] as number]
      a += p
      b += q
      aa += p * p
      bb += q * q
      ab += p * q
    }
  }
  ;[a, b] = [a / n, b / n]
  return { a, b, aa: aa / n - a * a, bb: bb / n - b * b, ab: ab / n - a * b }
}

/**
 * A picture in fewer pixels, each the mean of so many. Valid: any. Source: by definition.
 * @param every Pixels along each side; whole, 1 or more.
 */
export function coarser(
  picture: { readonly width: number; readonly height: number; readonly values: ArrayLike<number> },
  every: number,
) {
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
