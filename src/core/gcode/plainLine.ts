/** The letters of a plain line, each with its place in `PlainLine.values` and, as a bit, in `PlainLine.given`. */
export const PLAIN = { x: 0, y: 1, z: 2, feed: 3, s: 4, motion: 5, number: 6 } as const
/** A bit for each letter. */
export const HAS_AXIS = (1 << PLAIN.x) | (1 << PLAIN.y) | (1 << PLAIN.z)

/** One line of the commonest kind: at most one each of G0 or G1, N, X, Y, Z, F, S, and nothing else. */
export interface PlainLine {
  readonly values: Float64Array
  /** Bits of the letters that stand on it. */
  given: number
  /** From 1. */
  line: number
  /** Where the next line begins in the text. */
  next: number
}

/** A line to read plain ones into. */
export function plainLine(): PlainLine {
  return { values: new Float64Array(7), given: 0, line: 0, next: 0 }
}

const NOT_PLAIN = 255
const SLOTS = new Uint8Array(128).fill(NOT_PLAIN)
for (const [letters, slot] of [
  ['Xx', PLAIN.x],
  ['Yy', PLAIN.y],
  ['Zz', PLAIN.z],
  ['Ff', PLAIN.feed],
  ['Ss', PLAIN.s],
  ['Gg', PLAIN.motion],
  ['Nn', PLAIN.number],
] as const)
  for (const letter of letters) SLOTS[letter.charCodeAt(0)] = slot

const NEW_LINE = 10
const RETURN = 13
const BLANK = 32
const MINUS = 45
const POINT = 46
const LONGEST = 256
/** Numerators up to here, and powers of ten that divide them, are exact: one division rounds as IEEE 754 rounds the number. */
const MOST_DIGITS = 15
const TENS = Float64Array.from({ length: MOST_DIGITS + 1 }, (_, i) => 10 ** i)

/**
 * Reads a line where it is plain; most lines of long programs are. What is rarer, or wrong in any way, is left to the
 * scanner, which says so.
 * @returns Whether it is plain; then the line holds it. @throws never. Source: NISTIR 6556, 3.3 (from memory).
 */
export function readPlainLine(text: string, from: number, into: PlainLine): boolean {
  const { values } = into
  const most = Math.min(text.length, from + LONGEST)
  let given = 0
  let at = from
  while (at < most) {
    let code = text.charCodeAt(at++)
    if (code === BLANK || code === RETURN) continue
    if (code === NEW_LINE) {
      into.given = given
      into.next = at
      return true
    }
    const slot = code < 128 ? (SLOTS[code] as number) : NOT_PLAIN
    if (slot === NOT_PLAIN || (given & (1 << slot)) !== 0) return false
    given |= 1 << slot
    code = at < most ? text.charCodeAt(at) : 0
    const isNegative = code === MINUS
    if (isNegative) at++
    let digits = 0
    let many = 0
    let point = -1
    for (; at < most; at++) {
      code = text.charCodeAt(at)
      if (code >= 48 && code <= 57) {
        digits = digits * 10 + (code - 48)
        many++
      } else if (code === POINT && point < 0) point = many
      else break
    }
    if (many === 0 || many > MOST_DIGITS) return false
    // Behind a blank the number might go on, which is allowed and rare.
    if (code === BLANK && at + 1 < most && isNumeral(text.charCodeAt(at + 1))) return false
    const value = point < 0 ? digits : digits / (TENS[many - point] as number)
    if (slot >= PLAIN.feed && (isNegative || (slot >= PLAIN.motion && !isWhole(slot, value, point)))) return false
    values[slot] = isNegative ? -value : value
  }
  return false
}

/** G0, G1, or a line's number as it may be. */
function isWhole(slot: number, value: number, point: number): boolean {
  return point < 0 && value <= (slot === PLAIN.motion ? 1 : 99_999)
}

function isNumeral(code: number): boolean {
  return (code >= 48 && code <= 57) || code === POINT || code === BLANK || code === MINUS
}
