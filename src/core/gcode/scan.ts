import { LAST_PARAMETER, readValue } from './expression'
import type { Gathered } from './findings'
import { readPlainLine, type PlainLine } from './plainLine'

/** Most words that one line may hold; a line of 256 characters holds at most 128. */
const MOST_WORDS = 128
/** Longest line in characters. Source: NISTIR 6556, 3.3.1 (from memory). */
const LONGEST_LINE = 256
/** Longer than this a line is not read word by word, characters. */
const HOPELESS = 16_384

/** One line's words, used again for every line: letters as character codes, upper case. */
export interface Block {
  /** Counted from 1. */
  line: number
  count: number
  readonly letters: Uint8Array
  readonly values: Float64Array
  /** Column of each letter, counted from 1. */
  readonly columns: Uint16Array
  /** The line began with `/`. */
  deletable: boolean
  /** `%` alone. */
  percent: boolean
  /** Something on the line could not be read; its words are not to be carried out. */
  broken: boolean
  /** Parameters that the line sets, in order: number and value. */
  settings: readonly (readonly [number: number, value: number])[]
}

/** A block to read lines into. */
export function emptyBlock(): Block {
  return {
    line: 0,
    count: 0,
    letters: new Uint8Array(MOST_WORDS),
    values: new Float64Array(MOST_WORDS),
    columns: new Uint16Array(MOST_WORDS),
    deletable: false,
    percent: false,
    broken: false,
    settings: NO_SETTINGS,
  }
}

const NO_SETTINGS: Block['settings'] = []

const [TAB, NEW_LINE, RETURN, BLANK, HASH, PERCENT, OPEN, CLOSE, PLUS, MINUS, POINT, SLASH, SEMICOLON, EQUALS, BRACKET] = [
  9, 10, 13, 32, 35, 37, 40, 41, 43, 45, 46, 47, 59, 61, 91,
] as const
/** A function of one value begins. */
const FUNCTION = /^(?:ABS|ACOS|ASIN|ATAN|COS|EXP|FIX|FUP|LN|ROUND|SIN|SQRT|TAN)\s*\[/i

/** Letters that begin a word. Source: NISTIR 6556, table 2 (from memory): none of E, O, U, V, W. */
const WORD_LETTERS = new Set(Array.from('ABCDFGHIJKLMNPQRSTXYZ', (it) => it.charCodeAt(0)))

/** Powers of ten that divide exactly rounded numerators to exactly rounded quotients. */
const TENS = Array.from({ length: 23 }, (_, i) => 10 ** i)
const EXACT = 2 ** 53

/** A word, or a letter, that is not carried out here. */
export interface Stranger {
  readonly name: string
  count: number
  /** The first line with it. */
  readonly line: number
}

/** Reads a program line by line into one block. */
export interface Scanner {
  /** Reads the next line into the block; false at the end of the text. */
  next(block: Block): boolean
  /** Reads the next line where it is plain; else gives false and stays before it. */
  plain(into: PlainLine): boolean
  /** Stays before the line that was read as plain, for `next` to read it. */
  again(): void
  /** The next line's text; null at the end. It stays the next. */
  peek(): string | null
  /** Passes the next line over. */
  skip(): void
  /** Where the next line begins, and its number. */
  place(): { readonly at: number; readonly line: number }
  /** Goes on at another place. */
  jump(to: { readonly at: number; readonly line: number }): void
  /** The text as it is read, line feeds at the ends of its lines. */
  readonly text: string
  /** Letters beyond the standard that words begin with. */
  strangers(): readonly Stranger[]
}

/**
 * A scanner of RS274/NGC lines. Blanks may stand anywhere outside comments, inside numbers too; case is free; comments
 * stand in `( )` or, beyond the standard, behind `;` (common practice); `/` first marks a line that may be skipped.
 * @param given The whole program; a byte-order mark at its beginning is no part of it, and a lone carriage return ends a line.
 * @param found Hears every finding with line and column; nothing is skipped in silence. @param parameters As they stand when a line is read. @param leftOut Letters beyond the standard whose words are passed over.
 * Source: NISTIR 6556, 3.3 (from memory). The number reader is exact: digits are gathered as an integer under 2⁵³ and
 * divided once by a power of ten up to 10²², which IEEE 754 rounds correctly.
 */
export function scanner(
  given: string,
  found: Gathered,
  parameters: ReadonlyMap<number, number> = new Map(),
  leftOut: readonly string[] = [],
): Scanner {
  return new LineScanner(withLineFeeds(given), found, parameters, new Set(leftOut))
}

class LineScanner implements Scanner {
  private readonly length: number
  private at = 0
  private line = 0
  private lineStart = 0
  private readonly strange = new Map<string, Stranger>()

  constructor(
    readonly text: string,
    private readonly found: Gathered,
    private readonly parameters: ReadonlyMap<number, number>,
    private readonly leftOut: ReadonlySet<string>,
  ) {
    this.length = text.length
  }

  plain(into: PlainLine): boolean {
    if (!readPlainLine(this.text, this.at, into)) return false
    this.line++
    into.line = this.line
    this.lineStart = this.at
    this.at = into.next
    return true
  }

  again(): void {
    this.line--
    this.at = this.lineStart
  }

  peek(): string | null {
    if (this.at >= this.length) return null
    const end = this.text.indexOf('\n', this.at)
    return this.text.slice(this.at, Math.min(end < 0 ? this.length : end, this.at + 2 * LONGEST_LINE))
  }

  skip(): void {
    const end = this.text.indexOf('\n', this.at)
    this.at = end < 0 ? this.length : end + 1
    this.line++
  }

  place(): { readonly at: number; readonly line: number } {
    return { at: this.at, line: this.line + 1 }
  }

  jump({ at, line }: { readonly at: number; readonly line: number }): void {
    this.at = at
    this.line = line - 1
  }

  next(block: Block): boolean {
    if (this.at >= this.length) return false
    this.line++
    this.lineStart = this.at
    block.line = this.line
    block.count = 0
    block.deletable = false
    block.percent = false
    block.broken = false
    block.settings = NO_SETTINGS
    if (this.isHopeless()) return this.passOver(block)
    for (;;) {
      const code = this.at < this.length ? this.text.charCodeAt(this.at) : NEW_LINE
      if (code === NEW_LINE) break
      if (code === BLANK || code === TAB || code === RETURN) this.at++
      else if ((code >= 65 && code <= 90) || (code >= 97 && code <= 122)) this.readWord(block, code & 0xdf)
      else this.readOther(block, code)
    }
    if (this.at - this.lineStart > LONGEST_LINE) this.tooLong(block)
    this.at++
    return true
  }

  /** The line is so long that it is no line of a program. */
  private isHopeless(): boolean {
    if (this.length - this.at <= HOPELESS) return false
    const end = this.text.indexOf('\n', this.at)
    return (end < 0 ? this.length : end) - this.at > HOPELESS
  }

  private passOver(block: Block): true {
    this.skipLine()
    this.tooLong(block)
    this.at++
    return true
  }

  strangers(): readonly Stranger[] {
    return [...this.strange.values()]
  }

  private note(name: string): void {
    const there = this.strange.get(name)
    if (there === undefined) this.strange.set(name, { name, count: 1, line: this.line })
    else there.count++
  }

  private readWord(block: Block, letter: number): void {
    const start = this.at
    let digits = 0
    let decimals = -1
    let many = 0
    let negative = false
    let code = NEW_LINE as number
    // A place of its own: the loop runs for every character of the program.
    let here = start + 1
    for (; here < this.length; here++) {
      code = this.text.charCodeAt(here)
      if (code >= 48 && code <= 57) {
        digits = digits * 10 + (code - 48)
        many++
        if (decimals >= 0) decimals++
      } else if (code === POINT && decimals < 0) decimals = 0
      else if (code === MINUS && many === 0 && decimals < 0 && !negative) negative = true
      else if (code === PLUS && many === 0 && decimals < 0) continue
      else if (code !== BLANK && code !== TAB) break
    }
    this.at = here
    if (many === 0) return this.noNumber(block, letter, start, this.at < this.length ? code : NEW_LINE, negative)
    if (!WORD_LETTERS.has(letter)) {
      this.note(String.fromCharCode(letter))
      if (this.leftOut.has(String.fromCharCode(letter))) return
      const word = this.text.slice(start, Math.min(this.at, start + 40)).trim()
      return this.wrong(
        block,
        'unknown-letter',
        `“${word}”: ${String.fromCharCode(letter)} is no letter of this language. Take it away, or put it in a comment.`,
        start,
      )
    }
    const value =
      digits < EXACT && decimals <= 22
        ? decimals > 0
          ? digits / (TENS[decimals] as number)
          : digits
        : Number(this.digitsOf(start + 1, this.at))
    this.keep(block, letter, negative ? -value : value, start)
  }

  private keep(block: Block, letter: number, value: number, start: number): void {
    const n = block.count
    if (n >= MOST_WORDS)
      return this.wrong(block, 'too-many-words', `More than ${MOST_WORDS} words on one line. Break it up.`, start)
    block.letters[n] = letter
    block.values[n] = value
    block.columns[n] = start - this.lineStart + 1
    block.count = n + 1
  }

  private digitsOf(from: number, to: number): string {
    return this.text.slice(from, to).replace(/[\s+-]/g, '')
  }

  /** No number stands behind a letter: an expression does, or nothing. */
  private noNumber(block: Block, letter: number, start: number, code: number, negative: boolean): void {
    const name = String.fromCharCode(letter)
    const isExpression = code === HASH || code === BRACKET || FUNCTION.test(this.text.slice(this.at, this.at + 12))
    if (!isExpression || !WORD_LETTERS.has(letter))
      return this.wrong(
        block,
        'no-number',
        `${name} has no number behind it. Write one with at most one point and no exponent, such as ${name}12.5.`,
        start,
      )
    if (negative) return this.wrongValue(block, `A sign belongs to a number: write ${name}[0-…] in place of ${name}-….`, start)
    const value = this.valueAt(block, this.at)
    if (value !== null) this.keep(block, letter, value, start)
  }

  /** A value from a place on; null where there is none, which is said. */
  private valueAt(block: Block, from: number): number | null {
    const read = readValue(this.text, from, this.lineEnd(), (it) => this.parameters.get(it) ?? 0)
    if ('wrong' in read) {
      this.wrongValue(block, read.wrong, read.at)
      return null
    }
    this.at = read.end
    return read.value
  }

  /** What cannot be worked is said; what stands behind it on the line is passed over. */
  private wrongValue(block: Block, message: string, at: number): void {
    this.wrong(block, 'expression', message, at)
    this.at = this.lineEnd()
  }

  /** Where the line ends, or its first comment begins. */
  private lineEnd(): number {
    let at = this.at
    // No expression is longer than a line may be: a line of megabytes is not gone through again at each of its words.
    const most = Math.min(this.length, at + 2 * LONGEST_LINE)
    for (; at < most; at++) {
      const code = this.text.charCodeAt(at)
      if (code === NEW_LINE || code === OPEN || code === SEMICOLON) break
    }
    return at
  }

  /** `#5 = [1 + 2]`: takes effect when the whole line has been read. */
  private readSetting(block: Block): void {
    const start = this.at
    this.at++
    const number = this.valueAt(block, this.at)
    if (number === null) return
    const whole = Math.round(number)
    if (Math.abs(number - whole) > 1e-4 || whole < 1 || whole > LAST_PARAMETER)
      return this.wrongValue(block, `Parameters have whole numbers from 1 to ${LAST_PARAMETER}, not ${number}.`, start)
    while (this.at < this.length && (this.text.charCodeAt(this.at) === BLANK || this.text.charCodeAt(this.at) === TAB)) this.at++
    if (this.text.charCodeAt(this.at) !== EQUALS)
      return this.wrongValue(block, `“=” and a value are missing behind #${whole}: write #${whole}=12.5.`, this.at)
    this.at++
    const value = this.valueAt(block, this.at)
    if (value === null) return
    if (block.settings.length < MOST_WORDS) block.settings = [...block.settings, [whole, value]]
    else this.wrong(block, 'too-many-words', `More than ${MOST_WORDS} parameters on one line. Break it up.`, start)
  }

  private readOther(block: Block, code: number): void {
    if (code === OPEN) this.readComment(block)
    else if (code === SEMICOLON) this.skipLine()
    else if (code === SLASH && block.count === 0 && !block.deletable) {
      block.deletable = true
      this.at++
    } else if (code === PERCENT && block.count === 0) {
      block.percent = true
      this.at++
    } else if (code === HASH) this.readSetting(block)
    else {
      const what = code === CLOSE ? 'closes a comment that never began' : 'cannot stand here'
      this.wrong(
        block,
        'stranger',
        `“${String.fromCodePoint(this.text.codePointAt(this.at) ?? code)}” ${what}. Take it away, or put it in a comment.`,
        this.at,
      )
      this.at++
    }
  }

  private readComment(block: Block): void {
    const start = this.at
    for (this.at++; this.at < this.length; this.at++) {
      const code = this.text.charCodeAt(this.at)
      if (code === CLOSE) {
        this.at++
        return
      }
      if (code === OPEN)
        this.wrong(block, 'nested-comment', 'Comments cannot stand inside comments. Take the inner “(” away.', this.at)
      if (code === NEW_LINE) break
    }
    this.wrong(block, 'open-comment', 'This comment has no end. Close it with “)” on the same line.', start)
  }

  private skipLine(): void {
    const end = this.text.indexOf('\n', this.at)
    this.at = end < 0 ? this.length : end
  }

  private tooLong(block: Block): void {
    const count = this.at - this.lineStart - (this.text.charCodeAt(this.at - 1) === RETURN ? 1 : 0)
    if (count > LONGEST_LINE)
      this.wrong(
        block,
        'long-line',
        `This line has ${count} characters; ${LONGEST_LINE} are allowed. Break it up.`,
        this.lineStart + LONGEST_LINE,
      )
  }

  private wrong(block: Block, code: string, message: string, place: number): void {
    block.broken = true
    this.found.report('error', code, message, this.line, place - this.lineStart + 1)
  }
}

/** The text without its byte-order mark, each lone carriage return a line feed. */
function withLineFeeds(text: string): string {
  const bare = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text
  return /\r(?!\n)/.test(bare) ? bare.replace(/\r(?!\n)/g, '\n') : bare
}
