import { requireInRange } from '../units'
import type { Outline, Point } from './geometry'

/**
 * Letters of single strokes, each as ways over a grid of four by six: `x y` by pairs, ways apart by `|`. Drawn for this product: straight
 * lines and cut corners only, so that a beam draws each in one go.
 */
const GLYPHS: Readonly<Record<string, string>> = {
  '0': '1 0 3 0 4 1 4 5 3 6 1 6 0 5 0 1 1 0',
  '1': '1 5 2 6 2 0',
  '2': '0 5 1 6 3 6 4 5 4 4 0 0 4 0',
  '3': '0 6 4 6 2 3.5 3 3.5 4 2.5 4 1 3 0 1 0 0 1',
  '4': '3 0 3 6 0 2 4 2',
  '5': '4 6 0 6 0 3.5 3 3.5 4 2.5 4 1 3 0 0 0',
  '6': '3 6 2 6 0 3 0 1 1 0 3 0 4 1 4 2 3 3 0 3',
  '7': '0 6 4 6 1 0',
  '8': '1 3 0 4 0 5 1 6 3 6 4 5 4 4 3 3 1 3 0 2 0 1 1 0 3 0 4 1 4 2 3 3',
  '9': '1 0 2 0 4 3 4 5 3 6 1 6 0 5 0 4 1 3 4 3',
  '.': '1 0 1 0.6',
  '-': '0.5 3 3.5 3',
  '/': '0 0 4 6',
  A: '0 0 2 6 4 0|0.8 2.2 3.2 2.2',
  B: '0 0 0 6 3 6 4 5 4 4 3 3 0 3|3 3 4 2 4 1 3 0 0 0',
  C: '4 5 3 6 1 6 0 5 0 1 1 0 3 0 4 1',
  D: '0 0 0 6 2.5 6 4 4.5 4 1.5 2.5 0 0 0',
  E: '4 0 0 0 0 6 4 6|0 3 3 3',
  F: '0 0 0 6 4 6|0 3 3 3',
  G: '4 5 3 6 1 6 0 5 0 1 1 0 3 0 4 1 4 3 2.5 3',
  H: '0 0 0 6|4 0 4 6|0 3 4 3',
  I: '2 0 2 6',
  J: '0 1 1 0 2 0 3 1 3 6',
  K: '0 0 0 6|4 6 0 2.5|1.4 3.7 4 0',
  L: '0 6 0 0 4 0',
  M: '0 0 0 6 2 3 4 6 4 0',
  N: '0 0 0 6 4 0 4 6',
  O: '1 0 3 0 4 1 4 5 3 6 1 6 0 5 0 1 1 0',
  P: '0 0 0 6 3 6 4 5 4 4 3 3 0 3',
  Q: '1 0 3 0 4 1 4 5 3 6 1 6 0 5 0 1 1 0|2.5 1.5 4 0',
  R: '0 0 0 6 3 6 4 5 4 4 3 3 0 3|2 3 4 0',
  S: '4 5 3 6 1 6 0 5 0 4 1 3 3 3 4 2 4 1 3 0 1 0 0 1',
  T: '0 6 4 6|2 6 2 0',
  U: '0 6 0 1 1 0 3 0 4 1 4 6',
  V: '0 6 2 0 4 6',
  W: '0 6 1 0 2 4 3 0 4 6',
  X: '0 0 4 6|0 6 4 0',
  Y: '0 6 2 3 4 6|2 3 2 0',
  Z: '0 6 4 6 0 0 4 0',
  Ø: '1 0 3 0 4 1 4 5 3 6 1 6 0 5 0 1 1 0|0 -0.5 4 6.5',
}
const [HIGH, WIDE, APART] = [6, 4, 1.6]

/**
 * How wide words in single strokes are. @param words @param height Of a capital, mm. @returns mm; what has no letter counts as a blank.
 * Valid: any. Source: by the grid of the letters. @example strokesWidth('80', 6) // 9.6
 */
export function strokesWidth(words: string, height: number): number {
  const count = Array.from(words).length
  return count === 0 ? 0 : ((count * WIDE + (count - 1) * APART) * height) / HIGH
}

/**
 * Words as single strokes, capitals all. @param words What has no letter is left blank. @param at Their lower left corner, mm. @param height Of a capital, mm; more than 0.
 * @throws {RangeError} where the height is not more than 0. Valid: digits, letters, point, dash, stroke and Ø. Source: letters of this product.
 */
export function strokesOf(words: string, at: Point, height: number): readonly Outline[] {
  requireInRange('height', height, Number.MIN_VALUE, 1000, 'mm')
  const scale = height / HIGH
  return Array.from(words.toUpperCase()).flatMap((letter, k) => {
    const x = at.x + k * (WIDE + APART) * scale
    return (GLYPHS[letter] ?? '').split('|').flatMap((way) => strokeOf(way, x, at.y, scale))
  })
}

function strokeOf(way: string, x: number, y: number, scale: number): readonly Outline[] {
  const numbers = way.split(' ').map(Number)
  const places = numbers.flatMap((it, i) =>
    i % 2 === 0 && i + 1 < numbers.length ? [{ x: x + it * scale, y: y + (numbers[i + 1] as number) * scale }] : [],
  )
  const [start, ...rest] = places
  if (start === undefined) return []
  return [{ start, segments: rest.map((to) => ({ kind: 'line', to }) as const), isClosed: false }]
}
