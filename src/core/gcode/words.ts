import { G, LETTER } from './codes'
import type { Gathered } from './findings'
import type { Block, Stranger } from './scan'
import { G_WORDS, IDLE_LETTERS, M_WORDS, tenths, type Group, type KnownWord } from './vocabulary'

/** No word of a group stands on the line. */
export const NONE = -1

const GROUPS = [
  'motion',
  'plane',
  'distance',
  'feed mode',
  'units',
  'cutter',
  'length',
  'work',
  'stop',
  'spindle',
  'coolant',
  'return',
  'path',
  'tool',
  'override',
] as const satisfies readonly Group[]
const groupOf = (name: Group): number => (GROUPS as readonly Group[]).indexOf(name)

/** Places of the modal groups in `Words.code`. */
export const GROUP = {
  motion: groupOf('motion'),
  plane: groupOf('plane'),
  distance: groupOf('distance'),
  units: groupOf('units'),
  stop: groupOf('stop'),
  back: groupOf('return'),
  spindle: groupOf('spindle'),
} as const
const COOLANT = groupOf('coolant')
const COOLANT_OFF = 90

/** Most M words on a line. Source: NISTIR 6556, 3.4 (from memory). */
const MOST_M = 4

/** Letters that hold a number of the line itself: 1; those that only some words use: 2. */
const USED_LETTERS = new Uint8Array(91)
for (const letter of 'FHNSTXYZ') USED_LETTERS[letter.charCodeAt(0)] = 1
for (const letter of 'IJKLPQR') USED_LETTERS[letter.charCodeAt(0)] = 2

/** Letters whose numbers count or measure something. */
const NOT_NEGATIVE = new Set('FHLPQST')

/** One line's words by letter and by group, used again for every line. */
export class Words {
  /** NaN where the letter is not there. */
  readonly value = new Float64Array(91).fill(Number.NaN)
  readonly column = new Uint16Array(91)
  /** Codes in tenths by the group's number, NONE where none of it is there. */
  readonly code = new Int16Array(GROUPS.length).fill(NONE)
  dwell = false
  /** The G92 word on the line in tenths, or NONE. */
  offset = NONE
  /** A word stands on the line that only some words use: I, J, K, L, P, Q, R, or G92. */
  rare = false
  /** Words that are not carried out here, by name: how often, and the first line. */
  readonly strangers = new Map<string, Stranger>()
  /** The line has a G word that is left out: nothing of it is carried out. */
  skipped = false
  private readonly saidIdle = new Set<string>()

  /** @param leftOut Words to pass over; a line with a G word among them is passed over whole. */
  constructor(
    private readonly block: Block,
    private readonly found: Gathered,
    private readonly leftOut: ReadonlySet<string> = new Set(),
  ) {}

  has(letter: number): boolean {
    // A number that differs from itself is NaN: the letter is not there.
    return this.value[letter] === this.value[letter]
  }

  /** Sorts the block's words and checks that they may stand together. @returns Whether the line may be carried out. */
  sort(): boolean {
    const { block, found, value, column } = this
    const before = found.errors
    this.clear()
    let mWords = 0
    for (let i = 0; i < block.count; i++) {
      const letter = block.letters[i] as number
      const given = block.values[i] as number
      const at = block.columns[i] as number
      if (letter === LETTER.G || letter === LETTER.M) {
        if (letter === LETTER.M && ++mWords > MOST_M)
          this.say('too-many-m', 'More than four M words on one line. Put the others on the next.', at)
        this.sortCode(letter, given, at)
      } else {
        const first = value[letter] !== value[letter]
        const use = USED_LETTERS[letter] as number
        if (use === 2) this.rare = true
        if (!first || use === 0 || given < 0 || letter === LETTER.N) this.checkLetter(letter, given, at, !first)
        value[letter] = given
        column[letter] = at
      }
    }
    return found.errors === before
  }

  /** Says what is wrong with the line, at a column. */
  say(code: string, message: string, column: number): void {
    this.found.report('error', code, message, this.block.line, column)
  }

  private clear(): void {
    const { value } = this
    for (let letter: number = LETTER.A; letter <= LETTER.Z; letter++) value[letter] = Number.NaN
    this.code.fill(NONE)
    this.dwell = false
    this.offset = NONE
    this.rare = false
    this.skipped = false
  }

  private checkLetter(letter: number, value: number, column: number, twice: boolean): void {
    const name = String.fromCharCode(letter)
    if (twice) this.say('letter-twice', `${name} stands twice on this line. Keep one.`, column)
    else if (letter === LETTER.N && !(Number.isInteger(value) && value >= 0 && value <= 99_999))
      this.say('line-number', `N must be a whole number from 0 to 99999, not ${value}.`, column)
    else if (IDLE_LETTERS.has(name))
      this.say(
        'known-not-supported',
        `${name} (${IDLE_LETTERS.get(name) ?? ''}) is of the standard but is not carried out here. Take it away.`,
        column,
      )
    else if (value < 0 && NOT_NEGATIVE.has(name)) this.say('negative', `${name} cannot be negative.`, column)
  }

  private sortCode(letter: number, value: number, column: number): void {
    const code = tenths(value)
    const known: KnownWord | undefined =
      Math.abs(code - value * 10) > 1e-6 ? undefined : (letter === LETTER.G ? G_WORDS : M_WORDS).get(code)
    const name = `${String.fromCharCode(letter)}${value}`
    if (known?.supported !== true && this.leftOut.has(name)) this.leave(letter, name, column)
    else if (known?.supported !== true) this.refuse(name, known, column)
    else if (known.isIdle === true) this.takeIdle(name, known, code, column)
    else if (known.group === 'not modal') this.takeNotModal(name, code, column)
    else this.takeModal(name, known.group, code, column)
  }

  private takeIdle(name: string, { group, does }: KnownWord, code: number, column: number): void {
    this.takeModal(name, group, code, column)
    if (this.saidIdle.has(name)) return
    this.saidIdle.add(name)
    this.found.report(
      'warning',
      'no-effect',
      `${name} (${does}) is read, and changes nothing of what is drawn.`,
      this.block.line,
      column,
    )
  }

  private takeNotModal(name: string, code: number, column: number): void {
    if (this.dwell || this.offset !== NONE) this.sayTwice(name, 'not modal', column)
    if (code === G.dwell) this.dwell = true
    else {
      this.offset = code
      this.rare = true
    }
  }

  private takeModal(name: string, group: Group, code: number, column: number): void {
    const place = groupOf(group)
    const both = this.code[place] as number
    const coolantPair = place === COOLANT && both !== COOLANT_OFF && code !== COOLANT_OFF && both !== code
    if (both !== NONE && !coolantPair) this.sayTwice(name, group, column)
    this.code[place] = code
  }

  private leave(letter: number, name: string, column: number): void {
    // A G word says what the numbers beside it mean: without it they mean something else.
    if (letter === LETTER.G) this.skipped = true
    this.note(name)
    if (this.saidIdle.has(name)) return
    this.saidIdle.add(name)
    const message = letter === LETTER.G ? `Lines with ${name} are left out, as you said.` : `${name} is left out, as you said.`
    this.found.report('warning', 'left-out', message, this.block.line, column)
  }

  private note(name: string): void {
    const there = this.strangers.get(name)
    if (there === undefined) this.strangers.set(name, { name, count: 1, line: this.block.line })
    else there.count++
  }

  private refuse(name: string, known: KnownWord | undefined, column: number): void {
    this.note(name)
    if (known === undefined) {
      const message = `${name} is no word of the standard. If your controller knows it, put it in an output card, not here.`
      this.say('unknown', message, column)
    } else {
      const message = `${name} (${known.does}) is of the standard but is not carried out here. Take it away, or write the program without it.`
      this.say('known-not-supported', message, column)
    }
  }

  private sayTwice(name: string, group: Group, column: number): void {
    const message = `${name}: another word of the same group (${group}) stands on this line already. Keep one, or put the other on its own line.`
    this.say('group-twice', message, column)
  }
}
