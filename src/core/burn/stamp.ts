import { type SpotSide } from '../optics'

/** A spot on the surface: its sides along its own axes, turned by an angle against the machine's, rad. */
export interface SurfaceSpot {
  readonly x: SpotSide
  readonly y: SpotSide
  readonly turnRad: number
}

/** Share of a joule that each cell around a place gets, 1/mm²; cell (i, j) of it lies at `left + i`, `bottom + j` cells from the place. */
export interface Stamp {
  readonly left: number
  readonly bottom: number
  readonly columns: number
  readonly rows: number
  readonly values: Float32Array
}

/** Below this share of its peak the profile counts as none. */
const NOTHING = 1e-6
/** Places within a cell for which stamps are kept, in each direction. */
export const PHASES = 16
/** A cell is summed over so many places in each direction. */
const PARTS = 3

/**
 * The stamp of a spot whose middle lies within a cell. Its values add up to exactly one joule, however coarse the grid.
 * @param pitch Side of a cell, mm. @param phaseX Where in the cell, 0…1, from its left edge. @param phaseY From its lower edge.
 * Valid: cells not larger than the spot, else the energy stays and the shape does not. Source: the profile exp(−2|s/w|^n) in both
 * of its axes, summed over each cell and brought to 1.
 */
export function stampOf({ x, y, turnRad }: SurfaceSpot, pitch: number, phaseX: number, phaseY: number): Stamp {
  const reachOf = ({ radius, order }: SpotSide): number => radius * (-Math.log(NOTHING) / 2) ** (1 / order)
  const [cosine, sine] = [Math.cos(turnRad), Math.sin(turnRad)]
  const [rx, ry] = [reachOf(x), reachOf(y)]
  const halfWidth = Math.abs(cosine) * rx + Math.abs(sine) * ry
  const halfHeight = Math.abs(sine) * rx + Math.abs(cosine) * ry
  const left = -Math.ceil(halfWidth / pitch)
  const bottom = -Math.ceil(halfHeight / pitch)
  const [columns, rows] = [1 - 2 * left, 1 - 2 * bottom]
  const values = new Float32Array(columns * rows)
  let sum = 0
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      let cell = 0
      for (let b = 0; b < PARTS; b++) {
        for (let a = 0; a < PARTS; a++) {
          const dx = (left + i + (a + 0.5) / PARTS - phaseX) * pitch
          const dy = (bottom + j + (b + 0.5) / PARTS - phaseY) * pitch
          const along = Math.abs((dx * cosine + dy * sine) / x.radius)
          const across = Math.abs((dy * cosine - dx * sine) / y.radius)
          cell += Math.exp(-2 * (along ** x.order + across ** y.order))
        }
      }
      values[j * columns + i] = cell
      sum += cell
    }
  }
  const toOne = 1 / (sum * pitch * pitch)
  for (let k = 0; k < values.length; k++) values[k] = (values[k] as number) * toOne
  return { left, bottom, columns, rows, values }
}

/** Stamps of a spot for every place within a cell, made as they are needed. */
export class Stamps {
  private readonly made: (Stamp | undefined)[] = []

  constructor(
    private readonly spot: SurfaceSpot,
    private readonly pitch: number,
  ) {}

  /** @param phaseX Number of the place in the cell, 0…PHASES − 1. */
  at(phaseX: number, phaseY: number): Stamp {
    const k = phaseY * PHASES + phaseX
    return (this.made[k] ??= stampOf(this.spot, this.pitch, (phaseX + 0.5) / PHASES, (phaseY + 0.5) / PHASES))
  }
}
