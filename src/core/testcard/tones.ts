import { solveLinear } from '../calibrate'
import { lightness, luminanceOf } from './colour'
import { GAP, middleOf, type CardLayout, type Spot } from './layout'
import { placeInPicture, type Pose } from './pose'
import { luminanceAt, type Luminance } from './reduce'

/** What a picture says of one cell. */
export interface CellTone {
  readonly id: string
  /** Luminance as a share of the bare material's, and the CIE L* that it comes to; null where it cannot be said. */
  readonly share: number | null
  readonly tone: number | null
  /** Standard uncertainty of the tone. */
  readonly u: number
  /** Of a cutting card against light: whether light comes through; null where it is no such card. */
  readonly isThrough: boolean | null
  /** Why there is none, or what to beware of. */
  readonly flaw: 'burnt out' | 'uneven' | null
}

/** A bare place of the card, and its luminance. */
interface Bare extends Spot {
  readonly light: number
}

/** Light behind an opening is so many times brighter than the bare face beside it. */
const THROUGH = 1.4
/** Samples across the middle of a cell; so much of its side is looked at. */
const SAMPLES = 16
const MIDDLE = 0.5
/** A cell of which more is burnt out or black is not read. */
const CLIPPED = 0.1
/** A tone whose scatter over the cell is more, as L*, is uneven. */
const UNEVEN = 9
/** Bare places further than this many deviations from the surface are not bare. */
const OUTSIDE = 2.5

/**
 * Tones of the cells: each against the bare material around it. A smooth surface through the bare places takes the shade out.
 * @param bareTone L* of the bare material. @param cuts A cutting card against light: openings instead of tones. @returns In rows from the lower left; null where the bare material cannot be seen. @throws {RangeError} for a bare tone below 0.
 * Valid: a card in a pose. Source: IEC 61966-2-1, CIE 15; the surface is a second-degree one in the logarithm (common practice).
 */
export function cellTones(
  picture: Luminance,
  pose: Pose,
  layout: CardLayout,
  bareTone: number,
  cuts = false,
): readonly CellTone[] | null {
  const shade = shadeOf(picture, pose, layout)
  if (shade === null) return null
  const bare = luminanceOf(bareTone)
  return Array.from({ length: layout.rows }, (_, row) =>
    Array.from({ length: layout.columns }, (__, column): CellTone => {
      const middle = middleOf(layout, column, row)
      const { values, clipped } = samplesOf(picture, pose, middle, layout.cell * MIDDLE)
      const light = shade.at(middle)
      const mean = values.reduce((sum, it) => sum + it, 0) / values.length
      const id = `${column + 1}-${row + 1}`
      if (cuts) return { id, share: null, tone: null, u: 0, isThrough: mean > THROUGH * light, flaw: null }
      if (clipped > CLIPPED) return { id, share: null, tone: null, u: 0, isThrough: null, flaw: 'burnt out' }
      const tone = lightness((mean / light) * bare)
      const [slope, spread] = [slopeAt((mean / light) * bare), deviation(values, mean)]
      // Noise of neighbouring samples is shared: a ninth of them count.
      const own = (slope * (spread / light) * bare) / Math.sqrt(values.length / 9)
      const u = Math.hypot(own, slope * (mean / light) * bare * shade.u, 0.4)
      return {
        id,
        share: mean / light,
        tone,
        u,
        isThrough: null,
        flaw: (slope * spread * bare) / light > UNEVEN ? 'uneven' : null,
      }
    }),
  ).flat()
}

/** dL-star for dY. */
function slopeAt(y: number): number {
  const at = Math.max(y, 0.009)
  return 116 / 3 / Math.cbrt(at * at)
}

function deviation(values: readonly number[], mean: number): number {
  return Math.sqrt(values.reduce((sum, it) => sum + (it - mean) ** 2, 0) / values.length)
}

/** Luminance of the bare material over the card. */
interface Shade {
  readonly at: (place: Spot) => number
  /** Relative standard uncertainty. */
  readonly u: number
}

/** Fits the shade: log Y as a surface of second degree through what is bare between and around the cells. */
function shadeOf(picture: Luminance, pose: Pose, layout: CardLayout): Shade | null {
  let bare = barePlaces(layout).map((it): Bare => ({ ...it, light: luminanceOver(picture, pose, it) }))
  bare = bare.filter((it) => it.light > 0.002)
  const terms = ({ x, y }: Spot): number[] => {
    const [u, v] = [(2 * x) / layout.width - 1, (2 * y) / layout.height - 1]
    return [1, u, v, u * u, u * v, v * v]
  }
  let surface: readonly number[] | null = null
  let spread = 0
  const at = (place: Spot): number =>
    Math.exp(terms(place).reduce((sum, it, i) => sum + it * ((surface as readonly number[])[i] as number), 0))
  for (let turn = 0; turn < 4; turn++) {
    if (bare.length < 12) return null
    const rows = bare.map(terms)
    const right = bare.map((it) => Math.log(it.light))
    const n = 6
    surface = solveLinear(
      Array.from({ length: n }, (_, i) =>
        Array.from({ length: n }, (__, j) => rows.reduce((sum, row) => sum + (row[i] as number) * (row[j] as number), 0)),
      ),
      Array.from({ length: n }, (_, i) => rows.reduce((sum, row, k) => sum + (row[i] as number) * (right[k] as number), 0)),
    )
    if (surface === null) return null
    const left = bare.map((it) => Math.log(it.light / at(it)))
    spread = Math.sqrt(left.reduce((sum, it) => sum + it * it, 0) / left.length)
    const kept = bare.filter((_, k) => Math.abs(left[k] as number) <= OUTSIDE * spread)
    if (kept.length === bare.length) break
    bare = kept
  }
  return { at, u: (spread * Math.sqrt(6)) / Math.sqrt(bare.length) }
}

/** Middles of the gaps between cells and of a frame around them; words keep clear of it. */
function barePlaces(layout: CardLayout): readonly Spot[] {
  const { cells, cell, columns, rows } = layout
  const step = cell + GAP
  const places: Spot[] = []
  for (let row = 0; row <= rows; row++) {
    for (let column = 0; column <= columns; column++) {
      const corner = { x: cells.x + column * step - GAP / 2, y: cells.y + row * step - GAP / 2 }
      places.push(corner)
      for (const share of [0.3, 0.5, 0.7]) {
        if (column < columns) places.push({ x: corner.x + step * share, y: corner.y })
        if (row < rows) places.push({ x: corner.x, y: corner.y + step * share })
      }
    }
  }
  return places
}

/** Mean luminance over the middle of a gap. */
function luminanceOver(picture: Luminance, pose: Pose, place: Spot): number {
  const { values } = samplesOf(picture, pose, place, GAP * 0.4, 4)
  return values.reduce((sum, it) => sum + it, 0) / values.length
}

/** Samples over a square of the card, and which share of them is burnt out or black. */
function samplesOf(picture: Luminance, pose: Pose, middle: Spot, side: number, count = SAMPLES) {
  const values: number[] = []
  let clipped = 0
  for (let j = 0; j < count; j++) {
    for (let i = 0; i < count; i++) {
      const [dx, dy] = [((i + 0.5) / count - 0.5) * side, ((j + 0.5) / count - 0.5) * side]
      const at = placeInPicture(pose, picture, { x: middle.x + dx, y: middle.y + dy })
      values.push(luminanceAt(picture, at.x, at.y))
      const [px, py] = [Math.floor(at.x), Math.floor(at.y)]
      const isInside = px >= 0 && py >= 0 && px < picture.width && py < picture.height
      clipped += isInside ? (picture.clipped[py * picture.width + px] as number) : 1
    }
  }
  return { values, clipped: clipped / values.length }
}
