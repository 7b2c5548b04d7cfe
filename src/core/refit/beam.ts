import { MOVE, SPINDLE, type Moves, type Step } from '../gcode'
import type { Finding } from '../units'
import { lengthFromAbove, partOf, piecesOf, type Piece } from './shape'

/** Power over depth: straight between its places, as shares of full power; depths rise, mm. */
export interface PowerByDepth {
  readonly depths: readonly number[]
  readonly powers: readonly number[]
}

/** How a program for a cutter becomes one for a beam. */
export interface BeamWish {
  /** Height of the surface, mm: below it is burnt. */
  readonly level: number
  /** A rapid move below it: dark, or burnt. */
  readonly rapids: 'dark' | 'lit'
  /** A move below it while the spindle stands: dark, or burnt. */
  readonly still: 'dark' | 'lit'
  readonly power: PowerByDepth
  /** mm/s; null: as the program has it. */
  readonly feed: number | null
  /** A hole that is only plunged becomes a dot of so many seconds; 0: none. */
  readonly dotSeconds: number
  /** The same way at several depths: every time, or once with the power of the deepest. */
  readonly passes: 'each' | 'once'
}

/** What was changed, counted. */
export interface Changed {
  readonly what: keyof typeof CHANGES
  readonly count: number
  /** The first line of the program where it was done. */
  readonly line: number
}

/** Kinds of changes, with what is said of each. */
export const CHANGES = {
  parted: 'Moves that come to the surface on their way, parted there',
  vanished: 'Plunges and retreats, gone',
  ramped: 'Ramps below the surface, burnt by their depth',
  dotted: 'Holes that were plunged, now dots',
  leftOut: 'Holes that were plunged, left out',
  again: 'Ways that are gone over again, burnt once',
  waited: 'Waits, gone',
  chorded: 'Arcs that stand upright, as they are seen from above',
} as const

/** A program made for a beam. */
export interface Refitted {
  readonly steps: readonly Step[]
  readonly changes: readonly Changed[]
  /** Length that is burnt, mm. */
  readonly burntLength: number
  readonly findings: readonly Finding[]
}

/** Ways nearer than this are no way, mm. */
const NO_WAY = 1e-6
/** Longer than this no light stands on one place, s: wood burns by then (common practice). */
const LONGEST_DOT = 5
/** Power may differ by this much from what the depth asks for. */
const POWER_STEP = 0.02
const MOST_PARTS = 200

/**
 * Makes a program for a cutter into one for a beam: what lies below the surface is burnt, also where Z moves together with X and Y; plunges
 * vanish, holes become dots. Heights are gone: the head stays where it is. @param moves As the program was read.
 * @throws {RangeError} where the table of powers has no places or depths that do not rise. Valid: any program.
 * Source: a level is come to at t = (z − z₁)/(z₂ − z₁) of a move, the same share of the angle on a helix (handbook of the trade).
 */
export function refitForBeam(moves: Moves, wish: BeamWish): Refitted {
  checkTable(wish.power)
  return new Refit(moves, wish).done()
}

function checkTable({ depths, powers }: PowerByDepth): void {
  const rises = depths.every((it, k) => k === 0 || it > (depths[k - 1] as number))
  if (depths.length === 0 || depths.length !== powers.length || !rises) throw new RangeError('powers need depths that rise')
}

/**
 * Power at a depth, share of full power. Valid: a table with places; beyond it as at its ends. Source: straight lines between the places.
 * @example powerAtDepth({ depths: [0, 2], powers: [0.2, 1] }, 1) // 0.6
 */
export function powerAtDepth({ depths, powers }: PowerByDepth, depth: number): number {
  let k = 1
  while (k < depths.length - 1 && (depths[k] as number) < depth) k++
  const [d0, d1] = [depths[k - 1] as number, depths[k] ?? (depths[k - 1] as number)]
  const [p0, p1] = [powers[k - 1] as number, powers[k] ?? (powers[k - 1] as number)]
  const t = d1 > d0 ? Math.min(1, Math.max(0, (depth - d0) / (d1 - d0))) : 0
  return p0 + (p1 - p0) * t
}

/** Something that is burnt or passed over, in order. */
type Act =
  | { readonly kind: 'dark'; readonly piece: Piece }
  | { readonly kind: 'lit'; readonly piece: Piece; readonly feed: number; readonly line: number }
  | { readonly kind: 'dot'; readonly x: number; readonly y: number; readonly seconds: number; readonly line: number }

class Refit {
  private readonly acts: Act[] = []
  private readonly counts = new Map<Changed['what'], { count: number; line: number }>()
  /** The stretch below the surface that is under way: where it began, whether it has a way of its own, and what waited in it. */
  private below: { readonly x: number; readonly y: number; hasWay: boolean; waits: number; readonly line: number } | null = null
  private feed = 0
  /** The first line of a hole that waits too long for a light that stands still; 0: none. */
  private longWait = 0

  constructor(
    private readonly moves: Moves,
    private readonly wish: BeamWish,
  ) {}

  done(): Refitted {
    const { moves, wish } = this
    // Until Z is said the head counts as clear of the surface.
    let at: Piece['to'] = [0, 0, Math.max(0, wish.level)]
    let isZSaid = false
    for (let i = 0; i < moves.count; i++) {
      const line = moves.line[i] as number
      if (moves.kind[i] === MOVE.dwell) {
        this.wait(moves.feed[i] as number, line)
        continue
      }
      isZSaid ||= moves.z[i] !== 0
      const pieces = piecesOf(moves, i, at, wish.level, isZSaid ? moves.z[i] : at[2])
      if (pieces.length > 1) this.count('chorded', line)
      if ((moves.feed[i] as number) > 0) this.feed = moves.feed[i] as number
      for (const piece of pieces) this.take(piece, this.isBurning(i), line)
      at = pieces.at(-1)?.to ?? at
    }
    this.surface()
    return this.written()
  }

  /** Whether a move burns where it lies below the surface. */
  private isBurning(i: number): boolean {
    const { moves, wish } = this
    if (moves.kind[i] === MOVE.rapid && wish.rapids === 'dark') return false
    return moves.spindle[i] !== SPINDLE.off || wish.still === 'lit'
  }

  private count(what: Changed['what'], line: number): void {
    const there = this.counts.get(what)
    if (there === undefined) this.counts.set(what, { count: 1, line })
    else there.count++
  }

  private wait(seconds: number, line: number): void {
    if (this.below !== null && !this.below.hasWay) this.below.waits += seconds
    this.count('waited', line)
  }

  /** Parts a piece where it comes to the surface. */
  private take(piece: Piece, isBurning: boolean, line: number): void {
    const { level } = this.wish
    const [z1, z2] = [piece.from[2], piece.to[2]]
    const isCrossing = (z1 < level && z2 > level) || (z1 > level && z2 < level)
    if (!isCrossing) {
      this.part(piece, Math.min(z1, z2) < level, isBurning, line)
      return
    }
    const share = (level - z1) / (z2 - z1)
    const hasWay = lengthFromAbove(piece) > NO_WAY
    if (hasWay) this.count('parted', line)
    this.part(partOf(piece, 0, share), z1 < level, isBurning, line)
    this.part(partOf(piece, share, 1), z2 < level, isBurning, line)
  }

  private part(piece: Piece, isBelow: boolean, isBurning: boolean, line: number): void {
    const hasWay = lengthFromAbove(piece) > NO_WAY
    if (!isBelow) {
      this.surface()
      if (hasWay) this.acts.push({ kind: 'dark', piece })
      return
    }
    this.below ??= { x: piece.from[0], y: piece.from[1], hasWay: false, waits: 0, line }
    if (!hasWay) return
    this.below.hasWay = true
    if (!isBurning) {
      this.acts.push({ kind: 'dark', piece })
      return
    }
    if (Math.abs(piece.from[2] - piece.to[2]) > NO_WAY) this.count('ramped', line)
    this.acts.push({ kind: 'lit', piece, feed: this.wish.feed ?? this.feed, line })
  }

  /** The cutter comes up again: a plunge without a way was a hole. */
  private surface(): void {
    const { below, wish } = this
    this.below = null
    if (below === null) return
    if (below.hasWay) {
      this.count('vanished', below.line)
      return
    }
    const last = this.acts.at(-1)
    const isAgain = last?.kind === 'dot' && Math.hypot(last.x - below.x, last.y - below.y) <= NO_WAY
    if (isAgain) return
    this.count(wish.dotSeconds > 0 ? 'dotted' : 'leftOut', below.line)
    if (wish.dotSeconds > 0) {
      const isTooLong = below.waits > LONGEST_DOT
      if (isTooLong && this.longWait === 0) this.longWait = below.line
      const seconds = below.waits > 0 && !isTooLong ? below.waits : wish.dotSeconds
      this.acts.push({ kind: 'dot', x: below.x, y: below.y, seconds, line: below.line })
    }
  }

  private written(): Refitted {
    const { acts, wish } = this
    const deepest = new Map<string, number>()
    const depthOf = ({ from, to }: Piece): number => wish.level - Math.min(from[2], to[2])
    if (wish.passes === 'once') {
      for (const act of acts)
        if (act.kind === 'lit') deepest.set(keyOf(act.piece), Math.max(depthOf(act.piece), deepest.get(keyOf(act.piece)) ?? 0))
    }
    const steps: Step[] = []
    const done = new Set<string>()
    let burntLength = 0
    let at = { x: 0, y: 0 }
    const go = (x: number, y: number): void => {
      if (Math.hypot(x - at.x, y - at.y) > NO_WAY) steps.push({ kind: 'rapid', x, y })
      at = { x, y }
    }
    for (const act of acts) {
      if (act.kind === 'dark') go(act.piece.to[0], act.piece.to[1])
      else if (act.kind === 'dot') {
        go(act.x, act.y)
        steps.push({ kind: 'dot', seconds: act.seconds, power: powerAtDepth(wish.power, Infinity) })
      } else {
        const key = keyOf(act.piece)
        const isAgain = wish.passes === 'once' && done.has(key)
        if (isAgain) {
          this.count('again', act.line)
          go(act.piece.to[0], act.piece.to[1])
          continue
        }
        done.add(key)
        go(act.piece.from[0], act.piece.from[1])
        const depth = deepest.get(key)
        steps.push(...litSteps(act.piece, act.feed, wish, depth))
        burntLength += lengthFromAbove(act.piece)
        at = { x: act.piece.to[0], y: act.piece.to[1] }
      }
    }
    const changes = [...this.counts].map(([what, { count, line }]) => ({ what, count, line }))
    return { steps, changes, burntLength, findings: this.found(acts) }
  }

  private found(acts: readonly Act[]): readonly Finding[] {
    const noFeed = acts.find((it) => it.kind === 'lit' && !(it.feed > 0))
    const said: Finding[] = []
    if (this.longWait > 0) {
      const long = `Line ${this.longWait}: a hole waits more than ${LONGEST_DOT} s. The light would stand there, which sets fire: its dot has the seconds that are said here.`
      said.push({ code: 'long-dot', severity: 'warning', message: long, line: this.longWait })
    }
    if (noFeed?.kind !== 'lit') return said
    const message = `Line ${noFeed.line}: a rapid move is to be burnt before any speed is given. Say how fast it is burnt.`
    return [...said, { code: 'no-feed', severity: 'error', message, line: noFeed.line }]
  }
}

/** The same for ways that are the same seen from above, whatever their sense. */
function keyOf({ from, to, arc }: Piece): string {
  const word = ([x, y]: Piece['from']): string => `${Math.round(x * 1000)},${Math.round(y * 1000)}`
  const ends = [word(from), word(to)].sort().join(' ')
  if (arc === null) return ends
  const isForward = word(from) <= word(to)
  return `${ends} ${Math.round(arc.x * 1000)},${Math.round(arc.y * 1000)} ${Math.round(arc.swept * 1000) * (isForward ? 1 : -1)}`
}

/** Steps of a piece that is burnt, parted where its depth asks for another power. */
function litSteps(piece: Piece, feed: number, { level, power }: BeamWish, deepest: number | undefined): readonly Step[] {
  const depthAt = (share: number): number => deepest ?? level - (piece.from[2] + (piece.to[2] - piece.from[2]) * share)
  const apart = Math.abs(powerAtDepth(power, depthAt(0)) - powerAtDepth(power, depthAt(1)))
  const parts = Math.min(MOST_PARTS, Math.max(1, Math.ceil(apart / POWER_STEP)))
  return Array.from({ length: parts }, (_, k): Step => {
    const part = parts === 1 ? piece : partOf(piece, k / parts, (k + 1) / parts)
    const share = powerAtDepth(power, depthAt((k + 0.5) / parts))
    const [x, y] = part.to
    if (part.arc === null) return { kind: 'line', x, y, feed, power: share }
    return { kind: 'arc', x, y, centreX: part.arc.x, centreY: part.arc.y, clockwise: part.arc.swept < 0, feed, power: share }
  })
}
