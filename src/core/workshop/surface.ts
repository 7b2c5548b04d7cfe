import type { Mark } from './calipers'
import type { Place } from './mechanics'
import { normal, type Random } from './random'
import { slownessOf, toneOf, type HiddenTone } from './tones'

/** A line of light as it fell: J/mm, mm/s, and the spot's profile across it. */
export interface Fall {
  readonly from: Place
  readonly to: Place
  readonly energy: number
  readonly speed: number
  readonly radius: number
  readonly order: number
}

/** Luminance of the sheet over a box, as a share of white; rows from the bottom. */
export interface Surface {
  readonly left: number
  readonly bottom: number
  readonly pitch: number
  readonly columns: number
  readonly rows: number
  readonly y: Float32Array
}

const MARGIN = 7

/** A square that fell out, mm. */
export interface Opening {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

/** How near the ends of cut lines lie for a piece to fall, mm. */
const CLOSED = 0.6

/** Pieces that fell out: four lines one after the other, each cut through, that close. */
export function openingsOf(marks: readonly (Mark | null)[]): readonly Opening[] {
  return marks.flatMap((_, i): Opening[] => {
    const four = marks.slice(i, i + 4)
    if (four.length < 4 || four.some((it) => it?.cut === undefined)) return []
    const lines = four as readonly Mark[]
    const isClosed = lines.every((it, k) => {
      const next = lines[(k + 1) % 4] as Mark
      return Math.hypot(next.x0 - it.x1, next.y0 - it.y1) < CLOSED
    })
    const [xs, ys] = [lines.flatMap((it) => [it.x0, it.x1]), lines.flatMap((it) => [it.y0, it.y1])]
    return isClosed ? [{ left: Math.min(...xs), bottom: Math.min(...ys), right: Math.max(...xs), top: Math.max(...ys) }] : []
  })
}

/** Light from behind, through an opening, as a share of white. */
const BEHIND = 2.4

/** The box around what light fell on, with some of the sheet around it, mm; null where none fell. */
export function boxOf(falls: readonly Fall[]): { left: number; bottom: number; right: number; top: number } | null {
  if (falls.length === 0) return null
  const box = { left: Infinity, bottom: Infinity, right: -Infinity, top: -Infinity }
  for (const { from, to } of falls) {
    box.left = Math.min(box.left, from.x, to.x)
    box.right = Math.max(box.right, from.x, to.x)
    box.bottom = Math.min(box.bottom, from.y, to.y)
    box.top = Math.max(box.top, from.y, to.y)
  }
  return { left: box.left - MARGIN, bottom: box.bottom - MARGIN, right: box.right + MARGIN, top: box.top + MARGIN }
}

/**
 * The sheet as light left it. @param pitch Side of a cell, mm.
 * @returns Null where no light fell. Valid: cells up to the spot's radius. Source: each line's profile laid over the cells, doses added
 * as they count, then the sheet's own answer; written apart from the burn engine.
 */
export function surfaceOf(
  falls: readonly Fall[],
  tone: HiddenTone,
  pitch: number,
  openings: readonly Opening[] = [],
): Surface | null {
  const box = boxOf(falls)
  if (box === null) return null
  const [columns, rows] = [Math.ceil((box.right - box.left) / pitch), Math.ceil((box.top - box.bottom) / pitch)]
  const felt = new Float32Array(columns * rows)
  const across = new Map<number, number>()
  for (const fall of falls) lay(fall, fall.energy * slownessOf(tone, fall.speed))
  const y = felt.map((it, k) => brightness(toneOf(tone, it) + grainAt(k % columns, Math.floor(k / columns)) * tone.grain))
  for (const it of openings) {
    const [i0, i1] = [it.left, it.right].map((x) => Math.round((x - box.left) / pitch)) as [number, number]
    const [j0, j1] = [it.bottom, it.top].map((at) => Math.round((at - box.bottom) / pitch)) as [number, number]
    for (let j = j0; j < j1; j++) y.fill(BEHIND, j * columns + i0, j * columns + i1)
  }
  return { left: box.left, bottom: box.bottom, pitch, columns, rows, y }

  function lay({ from, to, radius, order }: Fall, energy: number): void {
    const length = Math.hypot(to.x - from.x, to.y - from.y)
    if (!(length > 0) || box === null) return
    let area = across.get(order)
    if (area === undefined) across.set(order, (area = areaUnder(order)))
    const peak = energy / (radius * area)
    const reach = 2.2 * radius
    const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length]
    const cell = (at: number, low: number): number => Math.floor((at - low) / pitch)
    const [i0, i1] = [cell(Math.min(from.x, to.x) - reach, box.left), cell(Math.max(from.x, to.x) + reach, box.left)]
    const [j0, j1] = [cell(Math.min(from.y, to.y) - reach, box.bottom), cell(Math.max(from.y, to.y) + reach, box.bottom)]
    for (let j = Math.max(0, j0); j <= Math.min(rows - 1, j1); j++) {
      for (let i = Math.max(0, i0); i <= Math.min(columns - 1, i1); i++) {
        const [dx, dy] = [box.left + (i + 0.5) * pitch - from.x, box.bottom + (j + 0.5) * pitch - from.y]
        const along = dx * ux + dy * uy
        if (along < 0 || along > length) continue
        const off = Math.abs(dx * uy - dy * ux) / radius
        if (off > 2.2) continue
        const at = j * columns + i
        felt[at] = (felt[at] as number) + peak * Math.exp(-2 * off ** order)
      }
    }
  }
}

/** How far off the eye guesses a tone, standard deviation, L*. */
const EYE = 4

/**
 * CIE L* of a square of the sheet as the eye guesses it. @param place Its middle and its side as shares of the box that was burnt.
 * Valid: within the box. Source: the mean over the square, with the eye's own error.
 */
export const lookAt = (
  { columns, rows, pitch, y }: Surface,
  place: { readonly x: number; readonly y: number; readonly side: number },
  random: Random,
): number => {
  const margin = MARGIN / pitch
  const [wide, high] = [columns - 2 * margin, rows - 2 * margin]
  const half = (place.side * wide) / 2
  const [cx, cy] = [margin + place.x * wide, margin + place.y * high]
  let [sum, count] = [0, 0]
  for (let j = Math.round(cy - half); j <= cy + half; j++) {
    for (let i = Math.round(cx - half); i <= cx + half; i++, count++) sum += y[j * columns + i] ?? 0
  }
  const mean = sum / Math.max(1, count)
  const tone = mean > 0.008856 ? 116 * Math.cbrt(mean) - 16 : 903.3 * mean
  return Math.min(99, Math.max(1, tone + EYE * normal(random)))
}

/** Area under exp(−2|u|^order), by summing. */
function areaUnder(order: number): number {
  let sum = 0
  for (let k = 0; k < 600; k++) sum += Math.exp(-2 * (0.005 * (k + 0.5)) ** order)
  return 2 * 0.005 * sum
}

/** Luminance of an L*, as a share of white. */
function brightness(tone: number): number {
  const at = Math.max(0, tone)
  return at > 8 ? ((at + 16) / 116) ** 3 : at / 903.3
}

/** A number about 0 for each few cells of the sheet, the same every time: its grain, long along X. */
function grainAt(i: number, j: number): number {
  const hash = (a: number, b: number): number => {
    const mixed = Math.imul((a * 73856093) ^ (b * 19349663), 0x2c1b3c6d)
    return (((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32 - 0.5) * 3.46
  }
  return hash(i >> 5, j >> 2)
}
