import {
  boxOfOutline,
  flattened,
  joined,
  joinedBox,
  lengthOf,
  type Box,
  type Drawing,
  type Outline,
  type Point,
  type Shape,
} from '../artwork'
import { areaLines, burntLength, type Picture } from '../scan'
import type { Way } from './slice'

/** Ends of lines that lie no further apart than this are one place, mm. */
const MEETS = 0.01
/** Chords of what is only added up, mm, and lines of an area that is only added up. */
const COARSE = 0.02
const AREA_LINES = 400

/** Outlines of a drawing that are drawn alike. */
export interface DrawnAlike {
  readonly key: string
  readonly drawn: string
  readonly outlines: readonly Outline[]
  readonly fillRule: 'nonzero' | 'evenodd'
  readonly isFilled: boolean
}

/** What of a way follows from the drawing alone. */
export type WaySummary = Pick<
  Way,
  'key' | 'drawn' | 'outlines' | 'closed' | 'length' | 'area' | 'left' | 'bottom' | 'right' | 'top' | 'does'
>

/**
 * Parts a drawing by how it is drawn: by layer, filling and line; lines that meet are joined.
 * @returns In the order in which each is first met. @throws {RangeError} never: the distance is more than 0.
 * Valid: any drawing. Source: by definition.
 */
export function drawnAlike({ shapes }: Drawing): readonly DrawnAlike[] {
  const groups = new Map<string, { drawn: string; fillRule: Shape['fillRule']; isFilled: boolean; outlines: Outline[] }>()
  for (const shape of shapes) {
    const key = `${shape.layer}|${shape.fill ?? ''}|${shape.stroke ?? ''}`.slice(0, 200)
    const there = groups.get(key)
    if (there !== undefined) for (const it of shape.outlines) there.outlines.push(it)
    else {
      const { fillRule } = shape
      groups.set(key, { drawn: wordsFor(shape), fillRule, isFilled: shape.fill !== null, outlines: [...shape.outlines] })
    }
  }
  const told = new Map<string, number>()
  for (const { drawn } of groups.values()) told.set(drawn, (told.get(drawn) ?? 0) + 1)
  return [...groups].map(([key, { outlines, drawn, ...it }]) => {
    // Two greens are told apart as the file does.
    const words = told.get(drawn) === 1 ? drawn : `${drawn} (${key.replaceAll('|', ' ').trim()})`.slice(0, 120)
    return { key, ...it, drawn: words, outlines: joined(outlines, MEETS) }
  })
}

/** How a shape is drawn, in words. */
function wordsFor({ layer, fill, stroke }: Shape): string {
  const on = layer === '' ? '' : `layer ${layer.slice(0, 40)}`
  const filled = fill === null ? '' : fill === 'as its layer' ? 'filled' : `filled ${colourWord(fill)}`
  const isPlain = stroke === null || stroke === 'as its layer' || stroke === fill
  const lines = isPlain ? '' : `lines ${colourWord(stroke)}`
  const words = [on, filled, lines].filter((it) => it !== '').join(', ')
  return (words === '' ? 'lines' : words).slice(0, 120)
}

/** Where each hue ends, degrees. */
const HUES = [
  [15, 'red'],
  [45, 'orange'],
  [70, 'yellow'],
  [165, 'green'],
  [200, 'turquoise'],
  [255, 'blue'],
  [290, 'purple'],
  [345, 'pink'],
  [360, 'red'],
] as const

/** A colour as a person would say it; what is no number stays as the file has it. Source: hue of HSL (CSS Color 4, 7). */
function colourWord(colour: string): string {
  const hex = /^#(?:([0-9a-f]{3})|([0-9a-f]{6}))$/i.exec(colour.trim())
  if (hex === null) return colour.slice(0, 40)
  const digits = hex[2] ?? Array.from(hex[1] ?? '', (it) => it + it).join('')
  const [r, g, b] = [0, 2, 4].map((at) => parseInt(digits.slice(at, at + 2), 16)) as [number, number, number]
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)]
  if (most - least < 24) return most < 64 ? 'black' : most > 224 ? 'white' : 'grey'
  const apart = most - least
  const hue = 60 * (most === r ? (g - b) / apart : most === g ? 2 + (b - r) / apart : 4 + (r - g) / apart)
  const turned = (hue + 360) % 360
  return HUES.find(([end]) => turned <= end)?.[1] ?? 'red'
}

/**
 * What follows of each part of a drawing: how long, how large, where; and what is likely meant to be done with it.
 * @throws {RangeError} never for a drawing that was read. Valid: any. Source: by definition; the guess is one of common practice.
 */
export function summariesOf(drawing: Drawing): readonly WaySummary[] {
  const groups = drawnAlike(drawing)
  const boxes = groups.map(({ outlines }) => boxOfAll(outlines))
  const whole = boxes.reduce<Box | null>((all, it) => (it === null ? all : all === null ? it : joinedBox(all, it)), null)
  return groups.flatMap((group, i): WaySummary[] => {
    const box = boxes[i]
    if (box == null || whole === null) return []
    const rings = group.outlines.map((it) => flattened(it, COARSE))
    const isAround =
      box.right - box.left > 0.98 * (whole.right - whole.left) && box.top - box.bottom > 0.98 * (whole.top - whole.bottom)
    const closed = group.outlines.filter((it) => it.isClosed).length
    return [
      {
        key: group.key,
        drawn: group.drawn,
        outlines: group.outlines.length,
        closed,
        length: rings.reduce((sum, it) => sum + lengthOf(it), 0),
        area: areaUnder(rings, group.fillRule, box),
        ...box,
        does: group.isFilled ? 'fill' : closed > 0 && isAround ? 'cut' : 'mark',
      },
    ]
  })
}

/** Greys lighter than this may come to nothing, as luminance. */
const LIGHT_GREY = 0.9

/**
 * What follows of a picture: where it lies, and an area that it surely burns, each pixel by how dark it is to be.
 * @param width mm. @param height mm. @throws {RangeError} never for a picture that was read.
 * Valid: greys by power burn at least that; dots make up a tone by no fewer. Source: CIE L* (CIE 15) of the luminance; the share that L* lacks to 100.
 */
export function summaryOfPicture({ luminance }: Picture, width: number, height: number): WaySummary {
  let dark = 0
  for (const y of luminance) {
    if (y < LIGHT_GREY) dark += 1 - (y > 0.008856 ? 1.16 * Math.cbrt(y) - 0.16 : 9.033 * y)
  }
  const area = (width * height * dark) / Math.max(1, luminance.length)
  const box = { left: 0, bottom: 0, right: width, top: height }
  return { key: 'picture', drawn: 'picture', outlines: 0, closed: 0, length: 0, area, ...box, does: 'fill' }
}

function areaUnder(rings: readonly (readonly Point[])[], rule: 'nonzero' | 'evenodd', { bottom, top }: Box): number {
  const pitch = (top - bottom) / AREA_LINES
  return pitch > 0 ? burntLength(areaLines(rings, rule, pitch, 0, 1)) * pitch : 0
}

function boxOfAll(outlines: readonly Outline[]): Box | null {
  return outlines.reduce<Box | null>((all, it) => {
    const box = boxOfOutline(it)
    return box === null ? all : all === null ? box : joinedBox(all, box)
  }, null)
}

/** Places that a picture of a drawing has at most. */
const MOST_DRAWN = 150_000

/** Outlines as path data for a picture of them, coarse where there is much. @throws {RangeError} where the distance is not more than 0. */
export function pathDataOf(outlines: readonly Outline[], within: number): string {
  let left = MOST_DRAWN
  return outlines
    .flatMap((it) => {
      if (left <= 0) return []
      const places = flattened(it, within)
      left -= places.length
      return [`M${places.map(({ x, y }) => `${round(x)} ${round(y)}`).join('L')}${it.isClosed ? 'Z' : ''}`]
    })
    .join('')
}

/** Ways as path data for a picture of them, no more places than are seen. @param apart mm between places that are kept. Valid: any. Source: SVG 2, 9. */
export function wayData(ways: readonly (readonly Point[])[], apart: number): string {
  return ways
    .map((way) => {
      let last: Point | null = null
      const kept = way.filter((it, i) => {
        const isKept = i === way.length - 1 || last === null || Math.hypot(it.x - last.x, it.y - last.y) >= apart
        if (isKept) last = it
        return isKept
      })
      return `M${kept.map(({ x, y }) => `${round(x)} ${round(y)}`).join('L')}`
    })
    .join('')
}

function round(mm: number): number {
  return Math.round(mm * 1000) / 1000
}
