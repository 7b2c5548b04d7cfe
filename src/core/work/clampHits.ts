import type { Finding } from '../units'
import type { Clamp } from './slice'

/** The way of a head: places in order, and whether it comes to each in the light. */
export interface HeadWay {
  readonly x: ArrayLike<number>
  readonly y: ArrayLike<number>
  readonly lit: ArrayLike<number>
}

/** A clamp that a way runs over: which of them, and whether in the light. */
export interface ClampHit {
  readonly index: number
  readonly isLit: boolean
}

/**
 * Clamps that a way runs over. @param sheet Lower left corner of the sheet, mm. @param clear How far the head reaches to the sides, mm.
 * Valid: any way. Source: crossings of lines with boxes (Liang and Barsky 1984, from memory).
 */
export function clampsHit(
  way: HeadWay,
  clamps: readonly Clamp[],
  sheet: { readonly x: number; readonly y: number },
  clear = 0,
): readonly ClampHit[] {
  return clamps.flatMap((clamp, index): ClampHit[] => {
    const box = {
      left: sheet.x + clamp.x - clear,
      right: sheet.x + clamp.x + clamp.width + clear,
      bottom: sheet.y + clamp.y - clear,
      top: sheet.y + clamp.y + clamp.height + clear,
    }
    let [lit, dark] = [false, false]
    for (let i = 1; i < way.x.length && !lit; i++) {
      if (!crosses(box, way.x[i - 1] as number, way.y[i - 1] as number, way.x[i] as number, way.y[i] as number)) continue
      if (way.lit[i] === 1) lit = true
      else dark = true
    }
    return lit || dark ? [{ index, isLit: lit }] : []
  })
}

/** What is said of clamps that are run over, one finding each. Valid: any. Source: `clampsHit`. */
export function clampFindings(hits: readonly ClampHit[]): readonly Finding[] {
  return hits.map(({ index, isLit }): Finding => {
    const what = isLit ? 'burns on it' : 'goes over it in the dark: what is higher than the gap below the head is hit'
    const message = `Clamp ${index + 1}: the way of the head ${what}. Move the clamp or the piece.`
    return { code: 'clamp', severity: 'error', message }
  })
}

interface Box {
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly top: number
}

function crosses({ left, right, bottom, top }: Box, x0: number, y0: number, x1: number, y1: number): boolean {
  let [enter, leave] = [0, 1]
  for (const [p, q] of [
    [x0 - x1, x0 - left],
    [x1 - x0, right - x0],
    [y0 - y1, y0 - bottom],
    [y1 - y0, top - y0],
  ] as const) {
    if (p === 0 && q < 0) return false
    if (p < 0) enter = Math.max(enter, q / p)
    if (p > 0) leave = Math.min(leave, q / p)
  }
  return enter <= leave
}
