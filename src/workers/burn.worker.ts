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
  readonly tone: ToneLaw
  /** Speed that the doses are meant for, mm/s. */
  readonly speed: number
}

/** A burn that was simulated: its picture, rows from the top, and the most that any place got, J/mm². */
export interface BurnSeen {
  readonly picture: ImageBitmap
  readonly most: number
}

/** Burns programs into maps of dose, away from the page, tile by tile. */
export interface BurnWorker {
  /** @param onProgress Hears the share that is done. @returns Null where it was given up. */
  burn(ask: BurnAsk, onProgress: (share: number) => void): Promise<Outcome<BurnSeen> | null>
  /** Gives up what is being burnt. */
  giveUp(): void
}

/** Cells along the side of a tile. */
const TILE = 160
/** Warm like wood: what a* and b* of the sheet are is not asked. */
const TINT = [1.04, 1, 0.86] as const

const asked = { isGivenUp: false }
const wasGivenUp = (): boolean => asked.isGivenUp

const api: BurnWorker = {
  giveUp() {
    asked.isGivenUp = true
  },
  async burn({ text, limits, box, pitch, tone, speed, ...rest }, onProgress) {
    asked.isGivenUp = false
    const { moves, findings } = readProgram(text)
    const error = findings.find((it) => it.severity === 'error')
    if (error !== undefined) return refused('program', error.message)
    const job: BurnJob = { ...rest, moves, plan: planMoves(moves, limits) }
    const tiles = tilesOf(box, pitch, TILE)
    const [columns, rows] = [Math.ceil((box.right - box.left) / pitch), Math.ceil((box.top - box.bottom) / pitch)]
    const pixels = new Uint8ClampedArray(columns * rows * 4)
    let most = 0
    for (const [k, tile] of tiles.entries()) {
      const map = burnDose(job, tile)
      // Whoever waits may have given it up meanwhile.
      await new Promise((resolve) => setTimeout(resolve))
      if (wasGivenUp() || map === null) return null
      onProgress((k + 1) / tiles.length)
      const [left, bottom] = [Math.round((tile.left - box.left) / pitch), Math.round((tile.bottom - box.bottom) / pitch)]
      for (let j = 0; j < tile.rows; j++) {
        for (let i = 0; i < tile.columns; i++) {
          const dose = map.dose[j * tile.columns + i] as number
          most = Math.max(most, dose)
          paint(pixels, (rows - 1 - bottom - j) * columns + left + i, toneAfter(tone, dose, speed))
        }
      }
    }
    const picture = await createImageBitmap(new ImageData(pixels, columns, rows))
    return Comlink.transfer({ ok: true as const, value: { picture, most }, findings: [] }, [picture])
  },
}

/** Grey of an L*, a little warm (CIE 15, IEC 61966-2-1). */
function paint(pixels: Uint8ClampedArray, at: number, tone: number): void {
  const y = tone > 8 ? ((tone + 16) / 116) ** 3 : tone / 903.3
  const byte = 255 * (y > 0.0031308 ? 1.055 * y ** (1 / 2.4) - 0.055 : 12.92 * y)
  for (let c = 0; c < 3; c++) pixels[4 * at + c] = byte * (TINT[c] as number)
  pixels[4 * at + 3] = 255
}

Comlink.expose(api)
