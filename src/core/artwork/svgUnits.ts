import type { Affine } from './affine'

/** CSS pixels of one of each unit. Source: CSS Values and Units 3, 6.2: an inch has 96. */
const PIXELS: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  pt: 96 / 72,
  pc: 16,
  q: 96 / 101.6,
}
/** mm of a CSS pixel. */
export const MM_OF_PIXEL = 25.4 / 96

const LENGTH = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(px|in|cm|mm|pt|pc|q|em|ex|rem|%)?\s*$/i
/** Letters are taken to be as large as a browser's. */
const EM = 16

/**
 * A length in CSS pixels. @param whole What 100 % of it is. @returns Null where it makes no sense, or where a share of nothing is asked for.
 * Valid: numbers with the units of CSS. Source: CSS Values and Units 3, 6; SVG 2, 8.9.
 */
export function readLength(text: string, whole: number | null): number | null {
  const found = LENGTH.exec(text)
  if (found === null) return null
  const [value, unit] = [Number(found[1]), (found[2] ?? '').toLowerCase()]
  if (unit === '%') return whole === null ? null : (value * whole) / 100
  if (unit === 'em' || unit === 'rem') return value * EM
  if (unit === 'ex') return (value * EM) / 2
  return value * (PIXELS[unit] as number)
}

/** A window of user units. */
export interface ViewBox {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** Reads a viewBox. @returns Null where it makes no sense, or shows nothing. Valid: SVG 2, 8.6. Source: SVG 2, 8.6. */
export function readViewBox(text: string): ViewBox | null {
  const n = text
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const [x = NaN, y = NaN, width = NaN, height = NaN] = n
  return n.length === 4 && [x, y].every(Number.isFinite) && width > 0 && height > 0 ? { x, y, width, height } : null
}

/**
 * How a viewBox lies in a window: fitted or filled, aligned, or stretched. @param preserve As the attribute has it.
 * Valid: windows with an inside. Source: SVG 2, 8.2 (equivalent transform of a viewport).
 * @returns The map from user units to the window's pixels.
 */
export function fitViewBox(box: ViewBox, wide: number, high: number, preserve: string): Affine {
  const [align = 'xMidYMid', how = 'meet'] = preserve
    .replace(/^\s*defer\s+/, '')
    .trim()
    .split(/\s+/)
  const [sx, sy] = [wide / box.width, high / box.height]
  if (align === 'none') return [sx, 0, 0, sy, -box.x * sx, -box.y * sy]
  const scale = how === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy)
  const share = (word: string | undefined): number => (word === 'Min' ? 0 : word === 'Max' ? 1 : 0.5)
  const [, ax, ay] = /^x(Min|Mid|Max)Y(Min|Mid|Max)$/.exec(align) ?? []
  return [
    scale,
    0,
    0,
    scale,
    (wide - box.width * scale) * share(ax) - box.x * scale,
    (high - box.height * scale) * share(ay) - box.y * scale,
  ]
}
