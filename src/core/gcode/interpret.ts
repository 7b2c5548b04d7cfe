import type { Finding } from '../units'
import { arcCentre } from './arc'
import { gather, type Gathered } from './findings'
import { MOVE, MoveWriter, SPINDLE, type Moves } from './moves'
import { emptyBlock, scanner, type Block } from './scan'
import { G_WORDS, IDLE_LETTERS, M_WORDS, tenths, type Group, type KnownWord } from './vocabulary'

/** What a program came to: its moves in millimetres and seconds, and everything that was found. */
export interface Program {
  readonly moves: Moves
  readonly lines: number
  /** All of them, up to some thousands; `findingCount` counts them all. */
  readonly findings: readonly Finding[]
  readonly findingCount: number
  readonly errorCount: number
  /** M2, M30 or the closing % was reached. */
  readonly ended: boolean
}

export interface ReadOptions {
  /** Whether lines that begin with `/` are carried out; the switch on the machine. */
  readonly deletable?: boolean
  /** Hears the lines read so far; giving back false stops. */
  readonly onProgress?: (lines: number) => boolean
}

const MM_PER_INCH = 25.4
const PROGRESS_EVERY = 20_000

/** Modal state: what stays in force from line to line. Lengths in mm of the work's coordinates. */
interface Modal {
  motion: number
  plane: 17 | 18 | 19
  absolute: boolean
  /** mm for a unit. */
  unit: number
  /** mm/s; NaN while none was given. */
  feed: number
  s: number
  spindle: number
  x: number
  y: number
  z: number
  /** G92's offsets: what is taken from a number to come to the work. */
  offset: readonly [number, number, number]
  suspended: readonly [number, number, number]
}

const [A_X, A_Y, A_Z] = [88, 89, 90]
const [W_F, W_G, W_I, W_J, W_K, W_M, W_N, W_P, W_R, W_S] = [70, 71, 73, 74, 75, 77, 78, 80, 82, 83]

/**
 * Reads and carries out a program after RS274/NGC.
 * @param text The whole program.
 * @returns Its moves, and every finding with line and column: what is of the standard but not carried out here is
 * “known-not-supported”, what is beyond it is “unknown”; nothing is skipped in silence. A line with an error gives no
 * move.
 * Source: NISTIR 6556, 3.5 to 3.8 (from memory); the order of execution is its table 8.
 */
export function readProgram(text: string, options: ReadOptions = {}): Program {
  const found = gather()
  const scan = scanner(text, found)
  const block = emptyBlock()
  const moves = new MoveWriter()
  const modal: Modal = {
    motion: 10,
    plane: 17,
    absolute: true,
    unit: 1,
    feed: Number.NaN,
    s: 0,
    spindle: SPINDLE.off,
    x: 0,
    y: 0,
    z: 0,
    offset: [0, 0, 0],
    suspended: [0, 0, 0],
  }
  const words = emptyWords()
  let lines = 0
  let percents = 0
  let ended = false
  let acted = false
  while (!ended && scan.next(block)) {
    lines = block.line
    if (lines % PROGRESS_EVERY === 0 && options.onProgress?.(lines) === false) break
    if (block.count > 0) {
      acted = true
      const isSkipped = block.broken || (block.deletable && options.deletable !== true)
      if (!isSkipped && sortWords(block, words, found) && (!words.rare || haveUse(block, words, modal, found)))
        ended = carryOut(block, words, modal, moves, found)
    } else if (block.percent) ended = ++percents === 2
    else if (block.broken) acted = true
  }
  if (!acted) {
    const message =
      'It has no line that does anything: nothing but blank lines, comments or lines that are skipped. Is it the right file?'
    found.report('error', 'nothing', message, 1, 1)
  } else if (!ended && lines > 0) found.report('warning', 'no-end', 'The program has no end. Close it with M2 or M30.', lines, 1)
  return { moves: moves.done(), lines, findings: found.findings, findingCount: found.count, errorCount: found.errors, ended }
}

/** One line's words by letter and by group, used again for every line. */
interface Words {
  /** NaN where the letter is not there. */
  readonly value: Float64Array
  readonly column: Uint16Array
  /** Codes in tenths by the group's number, NONE where none of it is there. */
  readonly code: Int16Array
  dwell: boolean
  /** The G92 word on the line in tenths, or NONE. */
  offset: number
  /** A word stands on the line that only some words use: I, J, K, R, P, or G92. */
  rare: boolean
}

const NONE = -1
const GROUPS: readonly Group[] = [
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
]
const groupOf = (name: Group): number => GROUPS.indexOf(name)
const [MOTION, PLANE, DISTANCE, UNITS, STOP, SPINDLE_GROUP, COOLANT] = (
  ['motion', 'plane', 'distance', 'units', 'stop', 'spindle', 'coolant'] as const
).map(groupOf) as [number, number, number, number, number, number, number]

/** Letters that hold a number of the line itself. */
const USED_LETTERS = new Uint8Array(91)
for (const letter of 'FNSXYZ') USED_LETTERS[letter.charCodeAt(0)] = 1
for (const letter of 'IJKPR') USED_LETTERS[letter.charCodeAt(0)] = 2

function emptyWords(): Words {
  return {
    value: new Float64Array(91).fill(Number.NaN),
    column: new Uint16Array(91),
    code: new Int16Array(GROUPS.length).fill(NONE),
    dwell: false,
    offset: NONE,
    rare: false,
  }
}

/** Sorts a line's words and checks that they may stand together. @returns Whether the line may be carried out. */
function sortWords(block: Block, words: Words, found: Gathered): boolean {
  const before = found.errors
  const { value } = words
  for (let letter = 65; letter < 91; letter++) value[letter] = Number.NaN
  words.code.fill(NONE)
  words.dwell = false
  words.offset = NONE
  words.rare = false
  let mWords = 0
  for (let i = 0; i < block.count; i++) {
    const letter = block.letters[i] as number
    const given = block.values[i] as number
    const column = block.columns[i] as number
    if (letter === W_G || letter === W_M) {
      if (letter === W_M && ++mWords > 4)
        found.report('error', 'too-many-m', 'More than four M words on one line. Put the others on the next.', block.line, column)
      sortCode(letter, given, column, block, words, found)
    } else {
      // A number that differs from itself is NaN: the letter is here for the first time.
      const first = value[letter] !== value[letter]
      const use = USED_LETTERS[letter] as number
      if (use === 2) words.rare = true
      if (!first || use === 0 || given < 0 || letter === W_N) checkLetter(letter, given, column, !first, block, found)
      value[letter] = given
      words.column[letter] = column
    }
  }
  return found.errors === before
}

function checkLetter(letter: number, value: number, column: number, twice: boolean, block: Block, found: Gathered): void {
  const name = String.fromCharCode(letter)
  const say = (code: string, message: string): void => found.report('error', code, message, block.line, column)
  if (twice) say('letter-twice', `${name} stands twice on this line. Keep one.`)
  else if (letter === W_N && !(Number.isInteger(value) && value >= 0 && value <= 99_999))
    say('line-number', `N must be a whole number from 0 to 99999, not ${value}.`)
  else if (IDLE_LETTERS.has(name))
    say(
      'known-not-supported',
      `${name} (${IDLE_LETTERS.get(name) ?? ''}) is of the standard but is not carried out here. Take it away.`,
    )
  else if ((letter === W_F || letter === W_S || letter === W_P) && value < 0) say('negative', `${name} cannot be negative.`)
}

function sortCode(letter: number, value: number, column: number, block: Block, words: Words, found: Gathered): void {
  const code = tenths(value)
  const known: KnownWord | undefined =
    Math.abs(code - value * 10) > 1e-6 ? undefined : (letter === W_G ? G_WORDS : M_WORDS).get(code)
  if (known?.supported !== true) {
    refuseCode(letter, value, column, known, block, found)
  } else if (known.group === 'not modal') {
    if (words.dwell || words.offset !== NONE) twice(letter, value, column, 'not modal', block, found)
    if (code === 40) words.dwell = true
    else {
      words.offset = code
      words.rare = true
    }
  } else {
    const group = groupOf(known.group)
    const both = words.code[group] as number
    const coolantPair = group === COOLANT && both !== 90 && code !== 90 && both !== code
    if (both !== NONE && !coolantPair) twice(letter, value, column, known.group, block, found)
    words.code[group] = code
  }
}

function refuseCode(
  letter: number,
  value: number,
  column: number,
  known: KnownWord | undefined,
  block: Block,
  found: Gathered,
): void {
  const name = `${String.fromCharCode(letter)}${value}`
  if (known === undefined) {
    const message = `${name} is no word of the standard. If your controller knows it, put it in an output card, not here.`
    found.report('error', 'unknown', message, block.line, column)
  } else {
    const message = `${name} (${known.does}) is of the standard but is not carried out here. Take it away, or write the program without it.`
    found.report('error', 'known-not-supported', message, block.line, column)
  }
}

function twice(letter: number, value: number, column: number, group: Group, block: Block, found: Gathered): void {
  const name = `${String.fromCharCode(letter)}${value}`
  const message = `${name}: another word of the same group (${group}) stands on this line already. Keep one, or put the other on its own line.`
  found.report('error', 'group-twice', message, block.line, column)
}

/** Checks that every number on a line has a word that uses it. @returns Whether the line may be carried out. */
function haveUse(block: Block, words: Words, modal: Modal, found: Gathered): boolean {
  const { value, code, dwell: waits, offset } = words
  const has = (letter: number): boolean => value[letter] === value[letter]
  const named = code[MOTION] as number
  const offsets = offset === 920 && named !== NONE && named !== 800
  const before = found.errors
  const say = (letter: number, why: string): void => found.report('error', 'no-use', why, block.line, words.column[letter] || 1)
  const motion = named === NONE ? modal.motion : named
  const moves = offset !== 920 && (has(A_X) || has(A_Y) || has(A_Z) || named !== NONE)
  const arc = moves && (motion === 20 || motion === 30)
  const plane = code[PLANE] === NONE ? modal.plane : (code[PLANE] as number) / 10
  const across = plane === 17 ? W_K : plane === 18 ? W_J : W_I
  for (const letter of [W_I, W_J, W_K]) {
    if (!has(letter)) continue
    const name = String.fromCharCode(letter)
    if (!arc) say(letter, `${name} has no use here: it belongs to an arc (G2 or G3). Take it away, or write the arc.`)
    else if (letter === across)
      say(letter, `${name} has no use in the plane in force (G${plane}). Take it away, or choose the plane.`)
  }
  if (has(W_R) && !arc) say(W_R, 'R has no use here: it belongs to an arc (G2 or G3). Take it away, or write the arc.')
  if (has(W_R) && arc && (has(W_I) || has(W_J) || has(W_K)))
    say(W_R, 'R and a centre by I, J or K stand on one line. Keep one of the two.')
  if (has(W_P) && !waits) say(W_P, 'P has no use here: it belongs to a wait (G4). Take it away, or write G4.')
  if (offsets) say(A_X, 'G92 and a move would both use X, Y and Z. Put G92 on a line of its own.')
  return found.errors === before
}

/** Carries out a line in the standard's order. @returns Whether it ended the program. */
function carryOut(block: Block, words: Words, modal: Modal, moves: MoveWriter, found: Gathered): boolean {
  const { value, code } = words
  const units = code[UNITS] as number
  if (units !== NONE) modal.unit = units === 200 ? MM_PER_INCH : 1
  if (!Number.isNaN(value[W_F])) modal.feed = ((value[W_F] as number) * modal.unit) / 60
  if (!Number.isNaN(value[W_S])) modal.s = value[W_S] as number
  const spindle = code[SPINDLE_GROUP] as number
  if (spindle !== NONE)
    modal.spindle = spindle === 50 ? SPINDLE.off : spindle === 30 ? SPINDLE.clockwise : SPINDLE.counterClockwise
  if (words.dwell) dwell(block, words, modal, moves, found)
  const plane = code[PLANE] as number
  if (plane !== NONE) modal.plane = (plane / 10) as Modal['plane']
  const distance = code[DISTANCE] as number
  if (distance !== NONE) modal.absolute = distance === 900
  if (words.offset !== NONE) setOffset(block, words, modal, found)
  const motion = code[MOTION] as number
  if (motion !== NONE) modal.motion = motion
  if (words.offset !== 920) move(block, words, modal, moves, found, motion !== NONE)
  const stop = code[STOP] as number
  return stop === 20 || stop === 300
}

function dwell(block: Block, { value, column }: Words, modal: Modal, moves: MoveWriter, found: Gathered): void {
  const seconds = value[W_P] as number
  if (Number.isNaN(seconds)) {
    found.report(
      'error',
      'dwell-without-p',
      'G4 needs P with the seconds to wait, such as G4 P0.5.',
      block.line,
      column[W_G] || 1,
    )
    return
  }
  write(moves, block.line, modal, MOVE.dwell, seconds, 0, 0)
}

function setOffset(block: Block, { value, offset }: Words, modal: Modal, found: Gathered): void {
  if (offset === 920) {
    const given = [A_X, A_Y, A_Z].map((axis) => value[axis] as number)
    if (given.every(Number.isNaN)) {
      found.report(
        'error',
        'offset-without-axis',
        'G92 needs at least one of X, Y, Z: the coordinates that the present place is to have.',
        block.line,
        1,
      )
      return
    }
    // The present place gets the coordinates given; the moves themselves stay where they are on the work.
    const here = [modal.x, modal.y, modal.z]
    modal.offset = given.map((it, i) =>
      Number.isNaN(it) ? (modal.offset[i] as number) : (here[i] as number) - it * modal.unit,
    ) as unknown as Modal['offset']
    modal.suspended = modal.offset
  } else if (offset === 921) {
    modal.offset = [0, 0, 0]
    modal.suspended = [0, 0, 0]
  } else modal.offset = offset === 922 ? [0, 0, 0] : modal.suspended
}

function move(block: Block, words: Words, modal: Modal, moves: MoveWriter, found: Gathered, named: boolean): void {
  const { value } = words
  const [gx, gy, gz] = [value[A_X] as number, value[A_Y] as number, value[A_Z] as number]
  // NaN is the one value that differs from itself: no axis word stands on the line.
  const axes = gx === gx || gy === gy || gz === gz
  const { motion } = modal
  const arc = motion === 20 || motion === 30
  if (!axes && !(named && arc)) {
    if (named && motion === 10) found.report('error', 'no-axis', 'G1 needs at least one of X, Y, Z.', block.line, 1)
    if (named && motion === 0) found.report('error', 'no-axis', 'G0 needs at least one of X, Y, Z.', block.line, 1)
    return
  }
  if (motion === 800)
    return found.report(
      'error',
      'no-motion-mode',
      'Coordinates stand here while no motion mode is in force (G80). Write G0, G1, G2 or G3.',
      block.line,
      1,
    )
  if (motion !== 0 && !(modal.feed > 0)) {
    return found.report('error', 'no-feed', 'This move has no feed rate. Write F once before it, such as F1200.', block.line, 1)
  }
  const x = end(gx, modal.x, modal.offset[0], modal)
  const y = end(gy, modal.y, modal.offset[1], modal)
  const z = end(gz, modal.z, modal.offset[2], modal)
  let centre: readonly [number, number] = NOWHERE
  if (arc) {
    const read = arcCentre(
      { plane: modal.plane, clockwise: motion === 20, from: [modal.x, modal.y, modal.z], to: [x, y, z], unit: modal.unit },
      { i: value[W_I] as number, j: value[W_J] as number, k: value[W_K] as number, r: value[W_R] as number },
    )
    if (typeof read === 'string') return found.report('error', 'arc', read, block.line, 1)
    centre = read
  }
  modal.x = x
  modal.y = y
  modal.z = z
  write(moves, block.line, modal, KIND[motion / 10] as number, motion === 0 ? 0 : modal.feed, centre[0], centre[1])
}

const NOWHERE = [0, 0] as const
const KIND = [MOVE.rapid, MOVE.feed, MOVE.clockwise, MOVE.counterClockwise] as const

function end(given: number, here: number, offset: number, modal: Modal): number {
  if (given !== given) return here
  return modal.absolute ? given * modal.unit + offset : here + given * modal.unit
}

function write(
  moves: MoveWriter,
  line: number,
  modal: Modal,
  kind: number,
  feed: number,
  centreA: number,
  centreB: number,
): void {
  const at = moves.next()
  const { columns } = moves
  columns.kind[at] = kind
  columns.x[at] = modal.x
  columns.y[at] = modal.y
  columns.z[at] = modal.z
  columns.centreA[at] = centreA
  columns.centreB[at] = centreB
  columns.plane[at] = modal.plane
  columns.feed[at] = feed
  columns.spindle[at] = modal.spindle
  columns.s[at] = modal.s
  columns.line[at] = line
}
