/** Where an error goes: share over the sum, to the cell so many to the right and so many rows down. */
interface Part {
  readonly right: number
  readonly down: number
  readonly share: number
}

/** Builds the parts of a diffusion from its rows as they are printed; the present cell is the last before the first number. */
function partsOf(sum: number, ...rows: readonly (readonly number[])[]): readonly Part[] {
  const reach = ((rows[1]?.length ?? 1) - 1) / 2
  return rows.flatMap((row, down) => row.map((share, i) => ({ right: down === 0 ? i + 1 : i - reach, down, share: share / sum })))
}

/** Ways to spread the error of a dot, each after its paper. */
export const DIFFUSIONS = {
  /** Floyd and Steinberg 1976. */
  four: partsOf(16, [7], [3, 5, 1]),
  /** Jarvis, Judice and Ninke 1976. */
  twelve: partsOf(48, [7, 5], [3, 5, 7, 5, 3], [1, 3, 5, 3, 1]),
  /** Stucki 1981. */
  twelveSharp: partsOf(42, [8, 4], [2, 4, 8, 4, 2], [1, 2, 4, 2, 1]),
} as const satisfies Readonly<Record<string, readonly Part[]>>
export type Diffusion = keyof typeof DIFFUSIONS

/** A picture of wanted darknesses, 0…1, in rows. */
export interface Darkness {
  readonly width: number
  readonly height: number
  readonly values: Float32Array
}

/**
 * Dots for wanted darknesses, by error diffusion; every other row goes back, mirrored. @param way Which spreading.
 * @returns 1 where a dot is, in rows. @throws {RangeError} where the values do not fit the size.
 * Valid: darknesses 0…1; their mean is kept but for what falls off the edges. Source: the papers named at `DIFFUSIONS` (weights of the
 * handbook of the trade).
 */
export function diffusedDots({ width, height, values }: Darkness, way: Diffusion): Uint8Array {
  if (values.length !== width * height) throw new RangeError('the picture has not one value a cell')
  const left = Float32Array.from(values)
  const dots = new Uint8Array(values.length)
  const parts: readonly Part[] = DIFFUSIONS[way]
  for (let j = 0; j < height; j++) {
    const back = j % 2 === 1
    for (let k = 0; k < width; k++) {
      const i = back ? width - 1 - k : k
      const wanted = left[j * width + i] as number
      const dot = wanted >= 0.5 ? 1 : 0
      dots[j * width + i] = dot
      for (const { right, down, share } of parts) {
        const [x, y] = [i + (back ? -right : right), j + down]
        if (x >= 0 && x < width && y < height) left[y * width + x] = (left[y * width + x] as number) + (wanted - dot) * share
      }
    }
  }
  return dots
}

/**
 * Thresholds of an ordered dither, side by side in rows. @param power The side is 2 to this; 1…6. @throws {RangeError} where it is not.
 * @returns Each of (k + ½)/n once, n places in all. Valid: squares. Source: Bayer 1973, by doubling.
 */
export function orderedThresholds(power: number): Float32Array {
  if (!(Number.isInteger(power) && power >= 1 && power <= 6)) throw new RangeError(`power must be 1…6, got ${power}`)
  const side = 2 ** power
  return Float32Array.from({ length: side * side }, (_, k) => {
    const [x, y] = [k % side, Math.floor(k / side)]
    let rank = 0
    for (let bit = 0; bit < power; bit++) {
      const [a, b] = [(x >> bit) & 1, (y >> bit) & 1]
      rank = rank * 4 + ((a ^ b) * 2 + b)
    }
    return (rank + 0.5) / (side * side)
  })
}

/**
 * Dots for wanted darknesses by fixed thresholds. @throws {RangeError} for a power that is not 1…6.
 * Valid: darknesses 0…1; an even one of k/n gives exactly k of n dots. Source: Bayer 1973.
 */
export function orderedDots({ width, height, values }: Darkness, power: number): Uint8Array {
  const side = 2 ** power
  const thresholds = orderedThresholds(power)
  return Uint8Array.from({ length: width * height }, (_, k) => {
    const [x, y] = [k % width, Math.floor(k / width)]
    return (values[k] as number) > (thresholds[(y % side) * side + (x % side)] as number) ? 1 : 0
  })
}

/**
 * Share of an area that dots have to cover for a tone between two. @param y Luminance that is wanted. @param bare Of the material.
 * @param dot Of a dot. @returns 0…1; beyond the two ends it is cut off.
 * Valid: dots that do not spread. Source: Murray and Davies 1936 (from memory): luminances add by area.
 * @example dotShare(0.3, 0.5, 0.1) // 0.5
 */
export function dotShare(y: number, bare: number, dot: number): number {
  return Math.min(1, Math.max(0, (bare - y) / (bare - dot)))
}
