import { linearOfSrgb, LUMINANCE } from './colour'

/** A picture as it comes: four bytes a pixel (red, green, blue, opacity), in rows from the top. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray | Uint8Array
}

/** Luminance of a picture, made smaller by a whole factor. */
export interface Luminance {
  readonly width: number
  readonly height: number
  /** Share of white, 0…1. */
  readonly y: Float32Array
  /** Whether a pixel beneath is burnt out or black in a channel. */
  readonly clipped: Uint8Array
  /** Pixels of the picture along a side of one of these. */
  readonly factor: number
}

/** No more pixels than this are looked at for marks and tones. */
const ENOUGH = 1_400_000
const [WHITE, BLACK] = [254, 1]

/** Luminance of a byte of each channel, weighed. */
const TABLES = LUMINANCE.map((weight) => Float32Array.from({ length: 256 }, (_, i) => weight * linearOfSrgb(i / 255)))

/**
 * Luminance of a picture, averaged over blocks where it has more pixels than are needed: means of light stay means of light.
 * @throws {RangeError} where the bytes do not fit the size. Valid: any sRGB picture. Source: IEC 61966-2-1.
 */
export function luminanceOfPicture({ width, height, data }: Picture): Luminance {
  if (data.length !== width * height * 4) throw new RangeError('the picture has not four bytes a pixel')
  const factor = Math.max(1, Math.ceil(Math.sqrt((width * height) / ENOUGH)))
  const [columns, rows] = [Math.floor(width / factor), Math.floor(height / factor)]
  const y = new Float32Array(columns * rows)
  const clipped = new Uint8Array(columns * rows)
  const [red, green, blue] = TABLES as unknown as readonly [Float32Array, Float32Array, Float32Array]
  for (let j = 0; j < rows * factor; j++) {
    const to = Math.floor(j / factor) * columns
    let at = j * width * 4
    for (let i = 0; i < columns; i++) {
      let sum = 0
      let isClipped = 0
      for (let k = 0; k < factor; k++, at += 4) {
        const [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number]
        sum += (red[r] as number) + (green[g] as number) + (blue[b] as number)
        if (r >= WHITE || g >= WHITE || g <= BLACK) isClipped = 1
      }
      y[to + i] = (y[to + i] as number) + sum
      if (isClipped === 1) clipped[to + i] = 1
    }
  }
  const mean = 1 / (factor * factor)
  for (let k = 0; k < y.length; k++) y[k] = (y[k] as number) * mean
  return { width: columns, height: rows, y, clipped, factor }
}

/**
 * Luminance between pixels; beyond the picture its edge. @param x In pixels, their middles at halves.
 * Valid: any place. Source: straight lines between the four pixels around.
 * @example luminanceAt({ width: 2, height: 2, y: new Float32Array([0, 1, 0, 1]), clipped: new Uint8Array(4), factor: 1 }, 1, 1) // 0.5
 */
export function luminanceAt({ width, height, y }: Luminance, px: number, py: number): number {
  const [u, v] = [Math.min(width - 1.001, Math.max(0, px - 0.5)), Math.min(height - 1.001, Math.max(0, py - 0.5))]
  const [i, j] = [Math.floor(u), Math.floor(v)]
  const [a, b] = [u - i, v - j]
  const k = j * width + i
  const upper = (y[k] as number) * (1 - a) + (y[k + 1] as number) * a
  const lower = (y[k + width] as number) * (1 - a) + (y[k + width + 1] as number) * a
  return upper * (1 - b) + lower * b
}
