import type { Finding } from '../units'
import { arcCentre } from './arc'
import { G, LETTER, M } from './codes'
import { Calls } from './calls'
import { cycleSteps, isCycle, type CycleStep } from './cycles'
import { gather } from './findings'
import { modesOf, NO_CYCLE, startOf, type Modal, type Modes } from './modal'
import { MOVE, MoveWriter, SPINDLE, type Moves } from './moves'
import { HAS_AXIS, PLAIN, plainLine } from './plainLine'
import { emptyBlock, scanner, type Stranger } from './scan'
import type { SubroutineWords } from './subroutines'
import { GROUP, NONE, Words } from './words'

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
  /** Words that are not carried out here, the most frequent first; those that were left out too. */
  readonly strangers: readonly Readonly<Stranger>[]
  /** What was in force when the reading ended. */
  readonly modes: Modes
}

export interface ReadOptions {
  /** Whether lines that begin with `/` are carried out; the switch on the machine. */
  readonly deletable?: boolean
  /** Hears the lines read so far; giving back false stops. */
  readonly onProgress?: (lines: number) => boolean
  /** Words such as `M106` that are not carried out here and are passed over; a line with such a G word is passed over whole. */
  readonly leaveOut?: readonly string[]
  /** How a card states subroutines; without it they are known and not supported. */
  readonly subroutines?: SubroutineWords
  /** The last line that is read, from 1. */
  readonly until?: number
}

const MM_PER_INCH = 25.4
const PROGRESS_EVERY = 20_000

/** More repetitions than this are no row of holes. */
const MOST_REPEATS = 10_000

/**
 * Reads and carries out a program after RS274/NGC.
 * @param text The whole program.
 * @returns Its moves, and every finding with line and column: what is of the standard but not carried out here is
 * “known-not-supported”, what is beyond it is “unknown”; nothing is skipped in silence. A line with an error gives no
 * move.
 * Source: NISTIR 6556, 3.5 to 3.8 (from memory); the order of execution is its table 8.
 */
export function readProgram(text: string, options: ReadOptions = {}): Program {
  return new ProgramReader(options).read(text)
}

/** One reading of a program: the line in hand, its words, what stays in force, and what it has come to so far. */
class ProgramReader {
  private readonly found = gather()
  private readonly block = emptyBlock()
  private readonly words: Words
  private moves = new MoveWriter(0)
  private readonly modal = startOf()
  private readonly parameters = new Map<number, number>()
  private readonly plain = plainLine()

  constructor(private readonly options: ReadOptions) {
    this.words = new Words(this.block, this.found, new Set(options.leaveOut))
  }

  read(text: string): Program {
    this.moves = new MoveWriter(linesAbout(text))
    const { found, block, moves, plain } = this
    const { onProgress, until = Infinity, subroutines } = this.options
    const scan = scanner(text, found, this.parameters, this.options.leaveOut)
    const calls = subroutines === undefined ? null : new Calls(scan, subroutines, found)
    let lines = 0
    let carried = 0
    let percents = 0
    let ended = false
    let acted = false
    while (!ended && lines !== until) {
      if (++carried % PROGRESS_EVERY === 0 && onProgress?.(lines) === false) break
      if (calls?.isEndless(carried, lines) === true) break
      const followed = calls?.follow() ?? 0
      if (followed > 0) {
        lines = followed
        acted = true
        continue
      }
      if (scan.plain(plain)) {
        if (this.carryOutPlain(plain.line)) {
          lines = plain.line
          if (plain.given !== 0) acted = true
          continue
        }
        scan.again()
      }
      if (!scan.next(block)) break
      lines = block.line
      if (block.count > 0) {
        acted = true
        ended = this.isCarriedOut() && this.carryOut()
        if (block.settings.length > 0) this.set()
      } else if (block.settings.length > 0) acted = this.set() || acted
      else if (block.percent) ended = ++percents === 2
      else if (block.broken) acted = true
    }
    if (!acted) {
      const message =
        'It has no line that does anything: nothing but blank lines, comments or lines that are skipped. Is it the right file?'
      found.report('error', 'nothing', message, 1, 1)
    } else if (!ended && lines > 0 && until === Infinity)
      found.report('warning', 'no-end', 'The program has no end. Close it with M2 or M30.', lines, 1)
    if (!ended && until === Infinity) calls?.sayOpen()
    const { findings, count, errors } = found
    const strangers = [...this.words.strangers.values(), ...scan.strangers()].sort((p, q) => q.count - p.count)
    const modes = modesOf(this.modal)
    return { moves: moves.done(), lines, findings, findingCount: count, errorCount: errors, ended, strangers, modes }
  }

  /** Carries out a line that is plain. @returns False, and nothing is changed, where there is anything to say of it. */
  private carryOutPlain(line: number): boolean {
    const { modal, plain } = this
    const { values, given } = plain
    const isNamed = (given & HAS_MOTION) !== 0
    const motion = isNamed ? 10 * (values[PLAIN.motion] as number) : modal.motion
    const isMove = (given & HAS_AXIS) !== 0
    const feed = (given & HAS_FEED) === 0 ? modal.feed : ((values[PLAIN.feed] as number) * modal.unit) / 60
    if (isMove ? motion > G.line || (motion === G.line && !(feed > 0)) : isNamed) return false
    modal.feed = feed
    if ((given & HAS_S) !== 0) modal.s = values[PLAIN.s] as number
    if (!isMove) return true
    modal.motion = motion
    const [ox, oy, oz] = modal.offset
    if ((given & HAS_X) !== 0) modal.x = end(values[PLAIN.x] as number, modal.x, ox, modal)
    if ((given & HAS_Y) !== 0) modal.y = end(values[PLAIN.y] as number, modal.y, oy, modal)
    if ((given & HAS_Z) !== 0) modal.z = end(values[PLAIN.z] as number, modal.z, oz, modal)
    const isRapid = motion === G.rapid
    this.write(line, isRapid ? MOVE.rapid : MOVE.feed, isRapid ? 0 : feed, 0, 0)
    return true
  }

  private isCarriedOut(): boolean {
    const { block, words } = this
    if (block.broken || (block.deletable && this.options.deletable !== true)) return false
    return words.sort() && !words.skipped && (!words.rare || this.haveUse())
  }

  /** Parameters take the values that the line gives them. @returns Whether it gave any. */
  private set(): boolean {
    const { block } = this
    if (block.broken || (block.deletable && this.options.deletable !== true)) return false
    for (const [number, value] of block.settings) this.parameters.set(number, value)
    return true
  }

  /** Checks that every number on a line has a word that uses it. @returns Whether the line may be carried out. */
  private haveUse(): boolean {
    const { words, modal, found } = this
    const before = found.errors
    const named = words.code[GROUP.motion] as number
    const motion = named === NONE ? modal.motion : named
    const moves = words.offset !== G.offset && (this.hasAxis() || named !== NONE)
    const arc = moves && isArc(motion)
    const cycle = moves && isCycle(motion)
    this.centreHasUse(arc, cycle)
    if (words.has(LETTER.P) && !words.dwell && !cycle)
      this.hasNoUse(LETTER.P, 'P has no use here: it belongs to a wait (G4). Take it away, or write G4.')
    for (const letter of [LETTER.L, LETTER.Q])
      if (words.has(letter) && !cycle)
        this.hasNoUse(letter, `${String.fromCharCode(letter)} has no use here: it belongs to a canned cycle. Take it away.`)
    if (words.offset === G.offset && named !== NONE && named !== G.noMotion)
      this.hasNoUse(LETTER.X, 'G92 and a move would both use X, Y and Z. Put G92 on a line of its own.')
    return found.errors === before
  }

  private centreHasUse(arc: boolean, cycle: boolean): void {
    const { words, modal } = this
    const code = words.code[GROUP.plane] as number
    const plane = code === NONE ? modal.plane : code / 10
    const across = plane === 17 ? LETTER.K : plane === 18 ? LETTER.J : LETTER.I
    const given = CENTRE.filter((it) => words.has(it))
    for (const letter of given) {
      const name = String.fromCharCode(letter)
      if (!arc) this.hasNoUse(letter, `${name} has no use here: it belongs to an arc (G2 or G3). Take it away, or write the arc.`)
      else if (letter === across)
        this.hasNoUse(letter, `${name} has no use in the plane in force (G${plane}). Take it away, or choose the plane.`)
    }
    if (!words.has(LETTER.R) || cycle) return
    if (!arc) this.hasNoUse(LETTER.R, 'R has no use here: it belongs to an arc (G2 or G3). Take it away, or write the arc.')
    else if (given.length > 0) this.hasNoUse(LETTER.R, 'R and a centre by I, J or K stand on one line. Keep one of the two.')
  }

  private hasNoUse(letter: number, why: string): void {
    this.words.say('no-use', why, this.words.column[letter] || 1)
  }

  private hasAxis(): boolean {
    const { words } = this
    return words.has(LETTER.X) || words.has(LETTER.Y) || words.has(LETTER.Z)
  }

  /** Carries out a line in the standard's order. @returns Whether it ended the program. */
  private carryOut(): boolean {
    const { words, modal } = this
    const { value, code } = words
    const units = code[GROUP.units] as number
    if (units !== NONE) modal.unit = units === G.inches ? MM_PER_INCH : 1
    if (words.has(LETTER.F)) modal.feed = ((value[LETTER.F] as number) * modal.unit) / 60
    if (words.has(LETTER.S)) modal.s = value[LETTER.S] as number
    const spindle = code[GROUP.spindle] as number
    if (spindle !== NONE) modal.spindle = spindleOf(spindle)
    if (words.dwell) this.dwell()
    const plane = code[GROUP.plane] as number
    if (plane !== NONE) modal.plane = (plane / 10) as Modal['plane']
    const distance = code[GROUP.distance] as number
    if (distance !== NONE) modal.absolute = distance === G.absolute
    if (words.offset !== NONE) this.setOffset()
    const motion = code[GROUP.motion] as number
    const back = code[GROUP.back] as number
    if (back !== NONE) modal.toFirst = back === G.returnFirst
    if (motion !== NONE) {
      // A cycle that begins keeps nothing of an earlier one.
      if (isCycle(motion) && !isCycle(modal.motion)) modal.cycle = NO_CYCLE
      modal.motion = motion
    }
    if (words.offset !== G.offset) {
      if (isCycle(modal.motion)) this.cycle(motion !== NONE)
      else this.move(motion !== NONE)
    }
    const stop = code[GROUP.stop] as number
    return stop === M.end || stop === M.rewind
  }

  private dwell(): void {
    const { words, block } = this
    const seconds = words.value[LETTER.P] as number
    if (words.has(LETTER.P)) this.write(block.line, MOVE.dwell, seconds, 0, 0)
    else words.say('dwell-without-p', 'G4 needs P with the seconds to wait, such as G4 P0.5.', words.column[LETTER.G] || 1)
  }

  private setOffset(): void {
    const { words, modal } = this
    if (words.offset === G.offset) this.offsetHere()
    else if (words.offset === G.clearOffset) {
      modal.offset = [0, 0, 0]
      modal.suspended = [0, 0, 0]
    } else modal.offset = words.offset === G.suspendOffset ? [0, 0, 0] : modal.suspended
  }

  /** The present place gets the coordinates given; the moves themselves stay where they are on the work. */
  private offsetHere(): void {
    const { words, modal } = this
    if (!this.hasAxis()) {
      const message = 'G92 needs at least one of X, Y, Z: the coordinates that the present place is to have.'
      words.say('offset-without-axis', message, 1)
      return
    }
    const from = (letter: number, here: number, before: number): number =>
      words.has(letter) ? here - (words.value[letter] as number) * modal.unit : before
    const [x, y, z] = modal.offset
    modal.offset = [from(LETTER.X, modal.x, x), from(LETTER.Y, modal.y, y), from(LETTER.Z, modal.z, z)]
    modal.suspended = modal.offset
  }

  /** @param named The line itself says how to move. */
  private move(named: boolean): void {
    const { modal, block, words } = this
    const { value } = words
    const { motion } = modal
    if (!this.mayMove(named)) return
    const x = end(value[LETTER.X] as number, modal.x, modal.offset[0], modal)
    const y = end(value[LETTER.Y] as number, modal.y, modal.offset[1], modal)
    const z = end(value[LETTER.Z] as number, modal.z, modal.offset[2], modal)
    const centre = isArc(motion) ? this.centreTo(x, y, z) : NOWHERE
    if (centre === null) return
    modal.x = x
    modal.y = y
    modal.z = z
    const feed = motion === G.rapid ? 0 : modal.feed
    this.write(block.line, KIND[motion / 10] as number, feed, centre[0], centre[1])
  }

  /** Carries out a canned cycle at the place of a line, or at several in a row. @param named The line itself says which. */
  private cycle(named: boolean): void {
    const { modal, words } = this
    if (!this.hasAxis() && !named) return
    const read = this.cycleOf()
    if (typeof read === 'string') {
      words.say('cycle', read, 1)
      return
    }
    const { steps, repeats, r } = read
    const given = (letter: number): number => words.value[letter] as number
    const first = modal.z
    for (let k = 0; k < repeats; k++) {
      const x = end(given(LETTER.X), modal.x, modal.offset[0], modal)
      const y = end(given(LETTER.Y), modal.y, modal.offset[1], modal)
      if (modal.z < r) this.to({ z: r }, true)
      this.to({ x, y }, true)
      this.to({ z: r }, true)
      for (const step of steps) {
        if (step.kind === 'dwell') this.write(this.block.line, MOVE.dwell, step.seconds, 0, 0)
        else if (step.kind === 'spindle')
          [modal.spindle, modal.before] = step.isOn ? [modal.before, modal.before] : [SPINDLE.off, modal.spindle]
        else this.to({ z: step.z }, step.kind === 'rapid')
      }
      this.to({ z: modal.toFirst ? Math.max(first, r) : r }, true)
    }
  }

  /** What a cycle does at each place of the line; what stands in the way, in words. */
  private cycleOf(): { readonly steps: readonly CycleStep[]; readonly repeats: number; readonly r: number } | string {
    const { modal, words } = this
    const { value } = words
    if (modal.plane !== 17)
      return 'Canned cycles are carried out in the plane XY here. Write G17 before, or the moves themselves.'
    if (!(modal.feed > 0)) return 'This cycle has no feed rate. Write F once before it, such as F100.'
    const repeats = words.has(LETTER.L) ? (value[LETTER.L] as number) : 1
    if (!Number.isInteger(repeats) || repeats < 1) return 'L is how often a cycle is repeated: a whole number, 1 or more.'
    if (repeats > MOST_REPEATS) return `L ${repeats} is more than ${MOST_REPEATS} repetitions. Write fewer.`
    const kept = modal.cycle
    const level = (letter: number, from: number, before: number): number =>
      !words.has(letter)
        ? before
        : modal.absolute
          ? (value[letter] as number) * modal.unit + modal.offset[2]
          : from + (value[letter] as number) * modal.unit
    const r = level(LETTER.R, modal.z, kept.r)
    const z = level(LETTER.Z, r, kept.z)
    const p = words.has(LETTER.P) ? (value[LETTER.P] as number) : kept.p
    const q = words.has(LETTER.Q) ? (value[LETTER.Q] as number) * modal.unit : kept.q
    if (Number.isNaN(r)) return 'A cycle needs R: the level that it begins from.'
    if (Number.isNaN(z)) return 'A cycle needs Z: how deep it goes.'
    if (z > r) return 'R lies below Z: a cycle goes down from R to Z.'
    const cycle = { r, z, p, q }
    const steps = cycleSteps(modal.motion, cycle)
    if (typeof steps === 'string') return steps
    modal.cycle = cycle
    return { steps, repeats, r }
  }

  /** A straight move to a place; nothing where it is there already. */
  private to(place: { readonly x?: number; readonly y?: number; readonly z?: number }, isRapid: boolean): void {
    const { modal, block } = this
    const { x = modal.x, y = modal.y, z = modal.z } = place
    if (x === modal.x && y === modal.y && z === modal.z) return
    modal.x = x
    modal.y = y
    modal.z = z
    this.write(block.line, isRapid ? MOVE.rapid : MOVE.feed, isRapid ? 0 : modal.feed, 0, 0)
  }

  /** Whether the line moves at all, and may; what stands in the way is said. */
  private mayMove(named: boolean): boolean {
    const { modal, words } = this
    const { motion } = modal
    if (!this.hasAxis() && !(named && isArc(motion))) {
      if (named && motion === G.line) words.say('no-axis', 'G1 needs at least one of X, Y, Z.', 1)
      if (named && motion === G.rapid) words.say('no-axis', 'G0 needs at least one of X, Y, Z.', 1)
      return false
    }
    if (motion === G.noMotion) {
      const message = 'Coordinates stand here while no motion mode is in force (G80). Write G0, G1, G2 or G3.'
      words.say('no-motion-mode', message, 1)
      return false
    }
    if (motion === G.rapid || modal.feed > 0) return true
    words.say('no-feed', 'This move has no feed rate. Write F once before it, such as F1200.', 1)
    return false
  }

  /** Centre of an arc to a place; null where it is no arc, which is said. */
  private centreTo(x: number, y: number, z: number): readonly [number, number] | null {
    const { modal, words } = this
    const { value } = words
    const arc = { plane: modal.plane, clockwise: modal.motion === G.clockwise, unit: modal.unit }
    const read = arcCentre(
      { ...arc, from: [modal.x, modal.y, modal.z], to: [x, y, z] },
      {
        i: value[LETTER.I] as number,
        j: value[LETTER.J] as number,
        k: value[LETTER.K] as number,
        r: value[LETTER.R] as number,
      },
    )
    if (typeof read !== 'string') return read
    words.say('arc', read, 1)
    return null
  }

  private write(line: number, kind: number, feed: number, centreA: number, centreB: number): void {
    const { modal, moves } = this
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
}

/** Characters from which the lines of a text are counted out. */
const SAMPLE = 65_536

/** How many lines a text has, about: by how long those at its beginning are, and some more. */
function linesAbout(text: string): number {
  let lines = 1
  for (let at = text.indexOf('\n'); at >= 0 && at < SAMPLE; at = text.indexOf('\n', at + 1)) lines++
  return text.length <= SAMPLE ? lines : Math.ceil(1.05 * lines * (text.length / SAMPLE))
}

const [HAS_X, HAS_Y, HAS_Z, HAS_FEED, HAS_S, HAS_MOTION] = [1, 2, 4, 8, 16, 32] as const
const CENTRE = [LETTER.I, LETTER.J, LETTER.K] as const
const NOWHERE = [0, 0] as const
const KIND = [MOVE.rapid, MOVE.feed, MOVE.clockwise, MOVE.counterClockwise] as const

function isArc(motion: number): boolean {
  return motion === G.clockwise || motion === G.counterClockwise
}

function spindleOf(code: number): number {
  if (code === M.off) return SPINDLE.off
  return code === M.clockwise ? SPINDLE.clockwise : SPINDLE.counterClockwise
}

function end(given: number, here: number, offset: number, modal: Modal): number {
  // NaN is the one value that differs from itself: the axis word is not there.
  if (given !== given) return here
  return modal.absolute ? given * modal.unit + offset : here + given * modal.unit
}
