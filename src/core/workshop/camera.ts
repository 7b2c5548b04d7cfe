import { normal, type Random } from './random'
import type { Surface } from './surface'

/** How a picture is taken. */
export interface Shot {
  /** Pixels. */
  readonly width: number
  readonly height: number
  /** Tilt of the camera against straight down, to which side, and turn of the picture, rad. */
  readonly tiltRad: number
  readonly towardRad: number
  readonly turnRad: number
  /** How much brighter one side is lit than the other, 1 or more, and from which side. */
  readonly shade: number
  readonly shadeRad: number
  /** Standard deviation of noise, as a share of white in the bytes. */
  readonly noise: number
  /** By which share the corners are drawn in. */
  readonly barrel: number
  /** Standard deviation of blur, pixels. */
  readonly blur: number
  /** Share of the picture's shorter side that the sheet takes; 0.9 leaves a little of the bed. */
  readonly fill: number
}

/** A steady hand over the bed in daylight. */
export const STEADY: Shot = {
  width: 1600,
  height: 1200,
  tiltRad: 0.1,
  towardRad: 0.8,
  turnRad: 0.05,
  shade: 1.25,
  shadeRad: 0.6,
  noise: 0.01,
  barrel: 0.01,
  blur: 0.8,
  fill: 0.92,
}

/** Distance of the lens from the sheet, in diagonals of the sheet. */
const AWAY = 4
/** The bed around the sheet, as a share of white. */
const BED = 0.07
/** Light on white in the middle: a picture leaves some room above it. */
const EXPOSURE = 0.82
/** Warm like wood: the channels' shares of the luminance. */
const TINT = [1.2, 0.98, 0.62] as const

/**
 * A picture of the sheet, four bytes a pixel, rows from the top.
 * Valid: tilts under 60°. Source: a pinhole and one term of radial distortion; light falls off along a line; sRGB (IEC 61966-2-1);
 * written apart from the reader.
 */
export function photograph(
  sheet: Surface,
  shot: Shot,
  random: Random,
): { width: number; height: number; data: Uint8ClampedArray } {
  const { width, height } = shot
  const light = blurred(exposed(sheet, shot), width, height, shot.blur)
  const data = new Uint8ClampedArray(width * height * 4)
  const sum = 0.2126 * TINT[0] + 0.7152 * TINT[1] + 0.0722 * TINT[2]
  for (let k = 0; k < width * height; k++) {
    const noise = shot.noise > 0 ? 255 * shot.noise * normal(random) : 0
    for (let c = 0; c < 3; c++) data[4 * k + c] = encoded(((light[k] as number) * (TINT[c] as number)) / sum) + noise
    data[4 * k + 3] = 255
  }
  return { width, height, data }
}

function encoded(linear: number): number {
  const it = Math.min(1, linear)
  return 255 * (it > 0.0031308 ? 1.055 * it ** (1 / 2.4) - 0.055 : 12.92 * it)
}

/** Light on every pixel before the lens's blur. */
function exposed(sheet: Surface, shot: Shot): Float32Array {
  const { width, height, barrel, shade, shadeRad } = shot
  const light = new Float32Array(width * height)
  const [wide, high] = [sheet.columns * sheet.pitch, sheet.rows * sheet.pitch]
  const away = AWAY * Math.hypot(wide, high)
  const half = Math.hypot(width, height) / 2
  const look = lookOf(shot)
  // mm of the sheet for a pixel, straight ahead.
  const scale = Math.max(wide / width, high / height, Math.min(wide, high) / Math.min(width, height)) / shot.fill
  const [sx, sy] = [Math.cos(shadeRad), Math.sin(shadeRad)]
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      let [x, y] = [(i + 0.5 - width / 2) / half, (j + 0.5 - height / 2) / half]
      // Undo the lens: r_d = r(1 − barrel·r²), by turns.
      const r2 = x * x + y * y
      let r = r2
      for (let turn = 0; turn < 3; turn++) r = r2 / (1 - barrel * r) ** 2
      const by = 1 / (1 - barrel * r)
      x *= by * half * scale
      y *= by * half * scale
      const [u, v] = look(x, y, away)
      const falloff = 2 ** (Math.log2(shade) * (sx * (i / width - 0.5) + sy * (j / height - 0.5)))
      light[j * width + i] = EXPOSURE * falloff * at(sheet, u + wide / 2, v + high / 2)
    }
  }
  return light
}

/** Where on the sheet a ray meets it, mm from its middle. */
function lookOf({ tiltRad, towardRad, turnRad }: Shot): (x: number, y: number, away: number) => readonly [number, number] {
  const [ct, st] = [Math.cos(turnRad), Math.sin(turnRad)]
  const [ca, sa] = [Math.cos(towardRad), Math.sin(towardRad)]
  const [cosine, sine] = [Math.cos(tiltRad), Math.sin(tiltRad)]
  return (x, y, away) => {
    // Picture's y runs down; turned into the direction of the tilt.
    const [px, py] = [x * ct - y * st, -(x * st + y * ct)]
    const [a, b] = [px * ca + py * sa, -px * sa + py * ca]
    // The sheet is tilted about the axis across that direction.
    const t = away / (away * cosine - a * sine)
    const [p, q] = [a * t, b * t * cosine]
    return [p * ca - q * sa, p * sa + q * ca]
  }
}

/** Luminance at a place of the sheet, mm from its lower left corner; the bed beside it. */
function at({ columns, rows, pitch, y }: Surface, px: number, py: number): number {
  const [u, v] = [px / pitch - 0.5, py / pitch - 0.5]
  const [i, j] = [Math.floor(u), Math.floor(v)]
  if (i < 0 || j < 0 || i >= columns - 1 || j >= rows - 1) return BED
  const [a, b] = [u - i, v - j]
  const k = j * columns + i
  const lower = (y[k] as number) * (1 - a) + (y[k + 1] as number) * a
  const upper = (y[k + columns] as number) * (1 - a) + (y[k + columns + 1] as number) * a
  return lower * (1 - b) + upper * b
}

/** Blurs along rows, then along columns. */
function blurred(light: Float32Array, width: number, height: number, deviation: number): Float32Array {
  if (!(deviation > 0)) return light
  const reach = Math.ceil(3 * deviation)
  const kernel = Float32Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-((k - reach) ** 2) / (2 * deviation ** 2)))
  const sum = kernel.reduce((total, it) => total + it, 0)
  const pass = (from: Float32Array, step: number, count: number, lines: number, between: number): Float32Array => {
    const to = new Float32Array(from.length)
    for (let line = 0; line < lines; line++) {
      for (let i = 0; i < count; i++) {
        let value = 0
        for (let k = -reach; k <= reach; k++) {
          const j = Math.min(count - 1, Math.max(0, i + k))
          value += (kernel[k + reach] as number) * (from[line * between + j * step] as number)
        }
        to[line * between + i * step] = value / sum
      }
    }
    return to
  }
  return pass(pass(light, 1, width, height, width), width, height, width, 1)
}
