import { MOVE, SPINDLE, type Moves, type Step } from '../gcode'
import { LONGEST_STAND } from '../planner'
import type { Finding } from '../units'
import { lengthFromAbove, partOf, piecesOf, type Piece } from './shape'
import { WAY, Ways } from './ways'

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
  /** How often all of it is burnt, one pass behind the other; 1 or more. */
  readonly times: number
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
  /** Made as they are gone through, which may be done often. */
  readonly steps: Iterable<Step>
  readonly changes: readonly Changed[]
  /** Length that is burnt, mm. */
  readonly burntLength: number
  readonly findings: readonly Finding[]
}

/** Ways nearer than this are no way, mm. */
const NO_WAY = 1e-6
/** Power may differ by this much from what the depth asks for. */
const POWER_STEP = 0.02
const MOST_PARTS = 200

/**
 * Makes a program for a cutter into one for a beam: what lies below the surface is burnt, also where Z moves together with X and Y; plunges
 * vanish, holes become dots. Heights are gone: the head stays where it is. @param moves As the program was read.
 * @throws {RangeError} where the table of powers has no places or depths that do not rise, or it is not burnt once or more. Valid: any program.
 * Source: a level is come to at t = (z − z₁)/(z₂ − z₁) of a move, the same share of the angle on a helix (handbook of the trade).
 */
export function refitForBeam(moves: Moves, wish: BeamWish): Refitted {
  checkTable(wish.power)
  if (!(wish.times >= 1)) throw new RangeError('a program is burnt once or more')
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

class Refit {
  private readonly ways: Ways
  private readonly counts = new Map<Changed['what'], { count: number; line: number }>()
  /** The stretch below the surface that is under way: where it began, whether it has a way of its own, and what waited in it. */
  private isUnder = false
  private readonly below = { x: 0, y: 0, hasWay: false, waits: 0, line: 0 }
  private feed = 0
  /** The first line of a hole that waits too long for a light that stands still; 0: none. */
  private longWait = 0

  constructor(
    private readonly moves: Moves,
    private readonly wish: BeamWish,
  ) {
    // Moves that come to the surface are parted: some more than there are.
    this.ways = new Ways(moves.count + (moves.count >> 3) + 16)
  }

  done(): Refitted {
    const { moves, wish } = this
    const { kind, feed } = moves
    // Until Z is said the head counts as clear of the surface.
    let [x, y, z] = [0, 0, Math.max(0, wish.level)]
    let isZSaid = false
    for (let i = 0; i < moves.count; i++) {
      const line = moves.line[i] as number
      if (kind[i] === MOVE.dwell) {
        this.wait(feed[i] as number, line)
        continue
      }
      isZSaid ||= moves.z[i] !== 0
      const [toX, toY, toZ] = [moves.x[i] as number, moves.y[i] as number, isZSaid ? (moves.z[i] as number) : z]
      if ((feed[i] as number) > 0) this.feed = feed[i] as number
      if (kind[i] === MOVE.rapid || kind[i] === MOVE.feed) this.straight(x, y, z, toX, toY, toZ, this.isBurning(i), line)
      else {
        const pieces = piecesOf(moves, i, [x, y, z], wish.level, toZ)
        if (pieces.length > 1) this.count('chorded', line)
        for (const piece of pieces) this.take(piece, this.isBurning(i), line)
      }
      x = toX
      y = toY
      z = toZ
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
    if (this.isUnder && !this.below.hasWay) this.below.waits += seconds
    this.count('waited', line)
  }

  /** A straight move, parted where it comes to the surface. */
  private straight(
    fx: number,
    fy: number,
    fz: number,
    tx: number,
    ty: number,
    tz: number,
    isBurning: boolean,
    line: number,
  ): void {
    const { level } = this.wish
    if (!isCrossing(fz, tz, level)) {
      this.straightPart(fx, fy, fz, tx, ty, tz, isBurning, line)
      return
    }
    if (distance(fx, fy, tx, ty) > NO_WAY) this.count('parted', line)
    const share = (level - fz) / (tz - fz)
    const [mx, my] = [fx + (tx - fx) * share, fy + (ty - fy) * share]
    const before = this.ways.count
    this.straightPart(fx, fy, fz, mx, my, level, isBurning, line)
    if (fz < level && this.ways.count > before) this.ways.asPartOf(fx, fy, tx, ty)
    const between = this.ways.count
    this.straightPart(mx, my, level, tx, ty, tz, isBurning, line)
    if (tz < level && this.ways.count > between) this.ways.asPartOf(fx, fy, tx, ty)
  }

  private straightPart(
    fx: number,
    fy: number,
    fz: number,
    tx: number,
    ty: number,
    tz: number,
    isBurning: boolean,
    line: number,
  ): void {
    const isBelow = Math.min(fz, tz) < this.wish.level
    if (!this.enters(isBelow, fx, fy, distance(fx, fy, tx, ty) > NO_WAY, line)) return
    const isLit = isBelow && isBurning
    if (isLit && Math.abs(fz - tz) > NO_WAY) this.count('ramped', line)
    this.ways.straight(isLit ? WAY.lit : WAY.dark, fx, fy, fz, tx, ty, tz, this.wish.feed ?? this.feed, line)
  }

  /** A piece of an arc, parted where it comes to the surface. */
  private take(piece: Piece, isBurning: boolean, line: number): void {
    const { level } = this.wish
    const { from, to, arc } = piece
    if (arc === null) this.straight(...from, ...to, isBurning, line)
    else if (!isCrossing(from[2], to[2], level)) this.arc(piece, isBurning, line)
    else {
      const share = (level - from[2]) / (to[2] - from[2])
      if (lengthFromAbove(piece) > NO_WAY) this.count('parted', line)
      this.arc(partOf(piece, 0, share), isBurning, line)
      this.arc(partOf(piece, share, 1), isBurning, line)
    }
  }

  private arc(piece: Piece, isBurning: boolean, line: number): void {
    const { from, to, arc } = piece
    if (arc === null) return
    // A part of a move that ends at the surface ends there to the last digit of its share.
    const isBelow = (from[2] + to[2]) / 2 < this.wish.level
    if (!this.enters(isBelow, from[0], from[1], lengthFromAbove(piece) > NO_WAY, line)) return
    const isLit = isBelow && isBurning
    if (isLit && Math.abs(from[2] - to[2]) > NO_WAY) this.count('ramped', line)
    this.ways.straight(isLit ? WAY.lit : WAY.dark, ...from, ...to, this.wish.feed ?? this.feed, line)
    this.ways.asArc(arc.x, arc.y, arc.swept)
  }

  /** Keeps account of being below the surface. @returns Whether there is a way to go. */
  private enters(isBelow: boolean, x: number, y: number, hasWay: boolean, line: number): boolean {
    if (!isBelow) {
      this.surface()
      return hasWay
    }
    const { below } = this
    if (!this.isUnder) {
      this.isUnder = true
      below.x = x
      below.y = y
      below.hasWay = false
      below.waits = 0
      below.line = line
    }
    if (hasWay) below.hasWay = true
    return hasWay
  }

  /** The cutter comes up again: a plunge without a way was a hole. */
  private surface(): void {
    if (!this.isUnder) return
    this.isUnder = false
    const { below, wish, ways } = this
    if (below.hasWay) {
      this.count('vanished', below.line)
      return
    }
    const last = ways.count - 1
    const [lastX, lastY] = [ways.at.toX[last] as number, ways.at.toY[last] as number]
    if (ways.kind[last] === WAY.dot && Math.hypot(lastX - below.x, lastY - below.y) <= NO_WAY) return
    this.count(wish.dotSeconds > 0 ? 'dotted' : 'leftOut', below.line)
    if (wish.dotSeconds === 0) return
    const isTooLong = below.waits > LONGEST_STAND
    if (isTooLong && this.longWait === 0) this.longWait = below.line
    const seconds = below.waits > 0 && !isTooLong ? below.waits : wish.dotSeconds
    ways.straight(WAY.dot, below.x, below.y, 0, below.x, below.y, 0, seconds, below.line)
  }

  private written(): Refitted {
    const { ways, wish } = this
    const first = wish.passes === 'once' ? ways.firstAlike() : null
    const deepest = first === null ? null : this.deepestOf(first)
    let burntLength = 0
    let noFeed = 0
    for (let i = 0; i < ways.count; i++) {
      if (ways.kind[i] !== WAY.lit) continue
      const line = ways.line[i] as number
      if (first !== null && first[i] !== i) this.count('again', line)
      else {
        if (!((ways.at.feed[i] as number) > 0) && noFeed === 0) noFeed = line
        burntLength += ways.lengthOf(i)
      }
    }
    const steps = { [Symbol.iterator]: () => this.passes(first, deepest) }
    const changes = [...this.counts].map(([what, { count, line }]) => ({ what, count, line }))
    return { steps, changes, burntLength: burntLength * wish.times, findings: this.found(noFeed) }
  }

  private *passes(first: Uint32Array | null, deepest: Float64Array | null): Generator<Step> {
    const at = { x: 0, y: 0 }
    for (let pass = 0; pass < this.wish.times; pass++) yield* this.stepsOf(first, deepest, at)
  }

  /** @param at Where the head is; it is left where they end. */
  private *stepsOf(first: Uint32Array | null, deepest: Float64Array | null, at: { x: number; y: number }): Generator<Step> {
    const { ways, wish } = this
    const { fromX, fromY, fromZ, toX, toY, toZ, swept, feed } = ways.at
    const { level, power } = wish
    let { x, y } = at
    for (let i = 0; i < ways.count; i++) {
      const kind = ways.kind[i]
      // What is burnt elsewhere is not gone along in the dark: the head goes on from where it is.
      if (kind === WAY.lit && first !== null && first[i] !== i) continue
      const isBurnt = kind === WAY.lit
      const goX = (isBurnt ? fromX[i] : toX[i]) as number
      const goY = (isBurnt ? fromY[i] : toY[i]) as number
      if (distance(x, y, goX, goY) > NO_WAY) yield { kind: 'rapid', x: goX, y: goY }
      x = toX[i] as number
      y = toY[i] as number
      if (kind === WAY.dot) yield { kind: 'dot', seconds: feed[i] as number, power: powerAtDepth(power, Infinity) }
      if (!isBurnt) continue
      const most = deepest === null ? Number.NaN : (deepest[i] as number)
      const isOwn = Number.isNaN(most)
      const d0 = isOwn ? level - (fromZ[i] as number) : most
      const d1 = isOwn ? level - (toZ[i] as number) : most
      // Most ways are straight and level.
      if (d0 === d1 && swept[i] === 0) yield { kind: 'line', x, y, feed: feed[i] as number, power: powerAtDepth(power, d0) }
      else yield* this.burn(i, d0, d1)
    }
    at.x = x
    at.y = y
  }

  /** The deepest that is gone along each way that stands for others too, mm; NaN of one that stands for itself: it burns by its own depth. */
  private deepestOf(first: Uint32Array): Float64Array {
    const { ways, wish } = this
    const { fromZ, toZ } = ways.at
    const deepest = new Float64Array(ways.count).fill(Number.NaN)
    const depthOf = (i: number): number => wish.level - Math.min(fromZ[i] as number, toZ[i] as number)
    for (let i = 0; i < ways.count; i++) {
      const at = first[i] as number
      if (at === i) continue
      const before = Number.isNaN(deepest[at]) ? depthOf(at) : (deepest[at] as number)
      deepest[at] = Math.max(before, depthOf(i))
    }
    return deepest
  }

  /** Steps of a way that is burnt, parted where its depth asks for another power. */
  private burn(i: number, d0: number, d1: number): readonly Step[] {
    const { power } = this.wish
    const feed = this.ways.at.feed[i] as number
    const whole = this.ways.pieceOf(i)
    const parts = partsOfRamp(power, d0, d1)
    return Array.from({ length: parts }, (_, k): Step => {
      const part = parts === 1 ? whole : partOf(whole, k / parts, (k + 1) / parts)
      const share = powerAtDepth(power, d0 + ((d1 - d0) * (k + 0.5)) / parts)
      const [x, y] = part.to
      const { arc } = whole
      if (arc === null) return { kind: 'line', x, y, feed, power: share }
      return { kind: 'arc', x, y, centreX: arc.x, centreY: arc.y, clockwise: arc.swept < 0, feed, power: share }
    })
  }

  private found(noFeed: number): readonly Finding[] {
    const said: Finding[] = []
    if (this.longWait > 0) {
      const long = `Line ${this.longWait}: a hole waits more than ${LONGEST_STAND} s. The light would stand there, which sets fire: its dot has the seconds that are said here.`
      said.push({ code: 'long-dot', severity: 'warning', message: long, line: this.longWait })
    }
    if (noFeed === 0) return said
    const message = `Line ${noFeed}: a rapid move is to be burnt before any speed is given. Say how fast it is burnt.`
    return [...said, { code: 'no-feed', severity: 'error', message, line: noFeed }]
  }
}

/** Without the care for numbers near the ends of their range, and four times as fast for it. */
function distance(fx: number, fy: number, tx: number, ty: number): number {
  return Math.sqrt((tx - fx) * (tx - fx) + (ty - fy) * (ty - fy))
}

function isCrossing(z1: number, z2: number, level: number): boolean {
  return (z1 < level && z2 > level) || (z1 > level && z2 < level)
}

/** Into how many parts a way is parted so that its power follows its depth. */
function partsOfRamp(power: PowerByDepth, d0: number, d1: number): number {
  if (d0 === d1) return 1
  const apart = Math.abs(powerAtDepth(power, d0) - powerAtDepth(power, d1))
  return Math.min(MOST_PARTS, Math.max(1, Math.ceil(apart / POWER_STEP)))
}
