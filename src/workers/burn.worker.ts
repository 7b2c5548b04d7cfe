import * as Comlink from 'comlink'
import { burnDose, tilesOf, toneAfter, type BurnJob, type BurningBeam, type LightLaw, type ToneLaw } from '../core/burn'
import { readProgram } from '../core/gcode'
import { planMoves, type Limits } from '../core/planner'
import { refused, type Outcome } from '../core/units'

/** A program that is to be seen burnt, and on what. Lengths in mm. */
export interface BurnAsk {
  readonly text: string
  readonly limits: Limits
  readonly light: LightLaw
  readonly beam: BurningBeam
  /** How far the surface lies below focus. */
  readonly surface: number
  readonly passes: number
  readonly box: { readonly left: number; readonly bottom: number; readonly right: number; readonly top: number }
  /** Side of a cell of the map. */
  readonly pitch: number
  /** So many cells along each side are one of the picture: their light is averaged, as the eye does from afar. */
  readonly every?: number
  readonly tone: ToneLaw
  /** Speed that the doses are meant for, mm/s. */
  readonly speed: number
}

/** A burn that was simulated: its picture, rows from the top, and the most that any place got, J/mm². */
export interface BurnSeen {
  readonly picture: ImageBitmap
  /** The same as luminances relative to white. */
  readonly light: { readonly width: number; readonly height: number; readonly values: Float32Array }
  readonly most: number
}

/** Burns programs into maps of dose, away from the page, tile by tile. */
export interface BurnWorker {
  /** @param onProgress Hears the share that is done. @returns Null where it was given up. */
  burn(ask: BurnAsk, onProgress: (share: number) => void): Promise<Outcome<BurnSeen> | null>
  /** A picture of luminances that were seen elsewhere, as a burn is shown. */
  paint(light: BurnSeen['light']): Promise<ImageBitmap>
  /** Gives up what is being burnt. */
  giveUp(): void
}

/** Cells along the side of a tile. */
const TILE = 480
/** Warm like wood: what a* and b* of the sheet are is not asked. */
const TINT = [1.1, 0.985, 0.8] as const

/** Counts burns: only the last one goes on, and giving it up counts as another. */
const asked = { last: 0 }
const isLast = (burn: number): boolean => asked.last === burn

const api: BurnWorker = {
  giveUp() {
    asked.last++
  },
  async paint({ width, height, values }) {
    const data = new Uint8ClampedArray(width * height * 4)
    values.forEach((y, at) => warmGrey(data, at, y))
    const picture = await createImageBitmap(new ImageData(data, width, height))
    return Comlink.transfer(picture, [picture])
  },
  async burn({ text, limits, box, pitch, every = 1, tone, speed, ...rest }, onProgress) {
    const mine = ++asked.last
    const { moves, findings } = readProgram(text)
    const error = findings.find((it) => it.severity === 'error')
    if (error !== undefined) return refused('program', error.message)
    const job: BurnJob = { ...rest, moves, plan: planMoves(moves, limits) }
    const tiles = tilesOf(box, pitch, TILE)
    const shown = new ShownBurn(box, pitch, every)
    let most = 0
    for (const [k, tile] of tiles.entries()) {
      const map = burnDose(job, tile)
      // Whoever waits may have given it up meanwhile.
      await new Promise((resolve) => setTimeout(resolve))
      if (!isLast(mine) || map === null) return null
      onProgress((k + 1) / tiles.length)
      const [left, bottom] = [Math.round((tile.left - box.left) / pitch), Math.round((tile.bottom - box.bottom) / pitch)]
      for (let j = 0; j < tile.rows; j++) {
        for (let i = 0; i < tile.columns; i++) {
          const dose = map.dose[j * tile.columns + i] as number
          most = Math.max(most, dose)
          shown.add(left + i, bottom + j, toneAfter(tone, dose, speed))
        }
      }
    }
    const picture = await createImageBitmap(shown.pixels())
    const light = shown.light()
    return Comlink.transfer({ ok: true as const, value: { picture, light, most }, findings: [] }, [picture, light.values.buffer])
  },
}

/** A pixel of a luminance. Source: IEC 61966-2-1. */
function warmGrey(data: Uint8ClampedArray, at: number, y: number): void {
  const byte = 255 * (y > 0.0031308 ? 1.055 * y ** (1 / 2.4) - 0.055 : 12.92 * y)
  for (let c = 0; c < 3; c++) data[4 * at + c] = byte * (TINT[c] as number)
  data[4 * at + 3] = 255
}

/** The picture of a burn: mean luminance of the cells under each of its own. */
class ShownBurn {
  private readonly columns: number
  private readonly rows: number
  private readonly sums: Float32Array
  private readonly counts: Uint16Array

  constructor(
    box: BurnAsk['box'],
    pitch: number,
    private readonly every: number,
  ) {
    this.columns = Math.ceil(Math.ceil((box.right - box.left) / pitch) / every)
    this.rows = Math.ceil(Math.ceil((box.top - box.bottom) / pitch) / every)
    this.sums = new Float32Array(this.columns * this.rows)
    this.counts = new Uint16Array(this.columns * this.rows)
  }

  /** Adds a cell, from the lower left, by its L*. */
  add(column: number, row: number, tone: number): void {
    const at = (this.rows - 1 - Math.floor(row / this.every)) * this.columns + Math.floor(column / this.every)
    this.sums[at] = (this.sums[at] as number) + (tone > 8 ? ((tone + 16) / 116) ** 3 : tone / 903.3)
    this.counts[at] = (this.counts[at] as number) + 1
  }

  /** Mean luminance of each pixel. */
  light(): BurnSeen['light'] {
    return {
      width: this.columns,
      height: this.rows,
      values: this.sums.map((it, at) => it / Math.max(1, this.counts[at] as number)),
    }
  }

  /** Greys, a little warm (IEC 61966-2-1). */
  pixels(): ImageData {
    const data = new Uint8ClampedArray(this.columns * this.rows * 4)
    for (let at = 0; at < this.sums.length; at++) {
      const y = (this.sums[at] as number) / Math.max(1, this.counts[at] as number)
      warmGrey(data, at, y)
    }
    return new ImageData(data, this.columns, this.rows)
  }
}

Comlink.expose(api)
