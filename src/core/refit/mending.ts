import type { Moves, Step } from '../gcode'
import { requireInRange } from '../units'
import { fitArcs } from '../work'
import { partsByZone, type Zone } from './boxes'
import { lengthFromAbove, partOf, type Piece } from './shape'
import { stepOfPiece, tracesOf, type Trace, type WayTrace } from './traces'

/** How a program that has the beam’s words already is put right. */
export interface MendWish {
  /** Its power word at full power; more than 0. */
  readonly fullS: number
  /** Its lengths and speeds are taken times this: 25.4 where inches were read as millimetres. */
  readonly scale: number
  /** What a wait with the beam on becomes. */
  readonly waits: 'dark' | 'lit'
  /** Dark run-up before, and run-out behind each stretch that is burnt, mm; 0: as the program has them. */
  readonly lead: number
  readonly runOut: number
  /** By how much the light comes and goes behind its words, s: each is given so much earlier, on the run-up and before the end; 0: as it is. */
  readonly onDelay: number
  readonly offDelay: number
  /** What lies outside is not burnt; null: all is. */
  readonly clip: Zone | null
  /** Where power and speed are taken times something; null: nowhere. */
  readonly zone: { readonly box: Zone; readonly power: number; readonly speed: number } | null
  /** Short lines become arcs where they are no further from them than this, mm; null: they stay. */
  readonly fit: number | null
}

/**
 * The run-up that a speed needs, mm, up to a tenth. @param speed mm/s. @param acceleration mm/s², more than 0.
 * @throws {RangeError} where the acceleration is not more than 0. Valid: from rest. Source: v²/2a; handbook of the trade. @example runUpFor(100, 1000) // 5
 */
export function runUpFor(speed: number, acceleration: number): number {
  requireInRange('acceleration', acceleration, Number.MIN_VALUE, Number.MAX_VALUE, 'mm/s²')
  return Math.ceil(((speed * speed) / (2 * acceleration)) * 10 - 1e-9) / 10
}

/** Nothing is to be put right but the words. */
export const AS_IT_IS: Omit<MendWish, 'fullS'> = {
  scale: 1,
  waits: 'lit',
  lead: 0,
  runOut: 0,
  onDelay: 0,
  offDelay: 0,
  clip: null,
  zone: null,
  fit: null,
}

/** What was put right, counted. */
export interface Mended {
  readonly what: keyof typeof MENDINGS
  /** Pieces, or mm where `MENDINGS` says so. */
  readonly count: number
  /** The first line of the program; 0: the whole of it. */
  readonly line: number
}

/** Kinds of what is put right, with what is said of each and whether it is counted in mm. */
export const MENDINGS = {
  beamOff: { words: 'Rapid moves with the beam’s word on: it is turned off before them', isLength: false },
  ends: { words: 'Its end, with the beam’s word on: it is turned off', isLength: false },
  stands: { words: 'Waits with the beam on: it is off meanwhile', isLength: false },
  scaled: { words: 'Lengths and speeds, taken times the scale', isLength: false },
  clipped: { words: 'Outside what is burnt: left out', isLength: true },
  inZone: { words: 'In the zone: with other power or speed', isLength: true },
  fitted: { words: 'Short lines, now arcs', isLength: false },
  led: { words: 'Stretches with a run-up or run-out of their own', isLength: false },
  capped: { words: 'Beyond full power by the zone: burnt at full power', isLength: false },
} as const

export interface MendedProgram {
  readonly steps: readonly Step[]
  readonly mended: readonly Mended[]
  readonly burntLength: number
}

/** Shorter than this is no way, mm. */
const NO_WAY = 1e-6

/**
 * A program as it is put right; its order stays. Written through an output card the beam is off before every dark move, every wait and at the end.
 * @throws {RangeError} where the full power word, the scale, or a factor is not more than 0. Valid: any program. Source: by definition.
 */
export function mendProgram(moves: Moves, wish: MendWish): MendedProgram {
  const { zone } = wish
  if (zone !== null && !(zone.power > 0 && zone.speed > 0))
    throw new RangeError('power and speed of a zone are taken times more than 0')
  return new Mend(wish).done(moves)
}

class Mend {
  private readonly counts = new Map<Mended['what'], { count: number; line: number }>()
  private readonly steps: Step[] = []
  private at: Piece['to'] = [0, 0, 0]
  /** The stretch that is burnt without a break. */
  private run: WayTrace[] = []
  private burntLength = 0

  constructor(private readonly wish: MendWish) {}

  done(moves: Moves): MendedProgram {
    const { fullS, scale } = this.wish
    if (scale !== 1) this.count('scaled', 1, 0)
    let last: Trace | null = null
    for (const trace of tracesOf(moves, fullS, scale)) {
      if (trace.kind === 'wait') this.wait(trace)
      else if (trace.isLit) for (const part of this.partsOf(trace)) this.burn(part)
      else this.pass(trace)
      last = trace
    }
    this.close()
    // What counts as on when the program ends is what its last line left on.
    const end = moves.count - 1
    if (last !== null && moves.spindle[end] !== 0 && (moves.s[end] as number) > 0) this.count('ends', 1, last.line)
    const mended = [...this.counts].map(([what, { count, line }]) => ({ what, count, line }))
    return { steps: this.steps, mended, burntLength: this.burntLength }
  }

  private count(what: Mended['what'], by: number, line: number): void {
    const there = this.counts.get(what)
    if (there === undefined) this.counts.set(what, { count: by, line })
    else there.count += by
  }

  private wait({ seconds, isLit, power, x, y, line }: Extract<Trace, { kind: 'wait' }>): void {
    this.close()
    const { clip, waits } = this.wish
    const isOut = clip !== null && (x < clip.left || x > clip.right || y < clip.bottom || y > clip.top)
    if (!isLit || waits === 'dark' || isOut) {
      if (isLit) this.count('stands', 1, line)
      this.steps.push({ kind: 'wait', seconds })
      return
    }
    this.goTo([x, y, this.at[2]])
    this.steps.push({ kind: 'dot', seconds, power })
  }

  /** A dark way: as it is, or left away where stretches get ways of their own between them. */
  private pass({ piece, isRapid, isOn, feed, line }: WayTrace): void {
    if (isRapid && isOn) this.count('beamOff', 1, line)
    this.close()
    const { clip, lead, runOut, onDelay, offDelay } = this.wish
    if (clip !== null || lead > 0 || runOut > 0 || onDelay > 0 || offDelay > 0) return
    if (isRapid)
      this.steps.push({
        kind: 'rapid',
        x: piece.to[0],
        y: piece.to[1],
        ...(piece.to[2] === piece.from[2] ? {} : { z: piece.to[2] }),
      })
    else this.steps.push(stepOfPiece(piece, feed, 0))
    this.at = piece.to
  }

  /** Parts of a burnt way that stay, with the power and speed of where they lie. */
  private *partsOf(trace: WayTrace): Generator<WayTrace> {
    const { clip, zone } = this.wish
    const kept = clip === null ? [{ piece: trace.piece, isInside: true }] : partsByZone(trace.piece, clip)
    for (const { piece, isInside } of kept) {
      if (!isInside) {
        this.count('clipped', lengthFromAbove(piece), trace.line)
        continue
      }
      if (zone === null) {
        yield { ...trace, piece }
        continue
      }
      for (const part of partsByZone(piece, zone.box)) {
        if (part.isInside && (zone.power !== 1 || zone.speed !== 1)) this.count('inZone', lengthFromAbove(part.piece), trace.line)
        const power = part.isInside ? trace.power * zone.power : trace.power
        if (power > 1) this.count('capped', 1, trace.line)
        yield {
          ...trace,
          piece: part.piece,
          power: Math.min(1, power),
          feed: part.isInside ? trace.feed * zone.speed : trace.feed,
        }
      }
    }
  }

  private burn(trace: WayTrace): void {
    if (lengthFromAbove(trace.piece) <= NO_WAY && trace.piece.from[2] === trace.piece.to[2]) return
    const last = this.run.at(-1)
    if (last !== undefined && !isSame(last.piece.to, trace.piece.from)) this.close()
    this.run.push(trace)
    this.burntLength += lengthFromAbove(trace.piece)
  }

  /** The stretch that was burnt so far is written, with its run-up and run-out. */
  private close(): void {
    const { run, wish } = this
    const [first, last] = [run[0], run.at(-1)]
    if (first === undefined || last === undefined) return
    this.run = []
    const [into, out] = [wayOf(first.piece, 'in'), wayOf(last.piece, 'out')]
    const { from } = first.piece
    const { to } = last.piece
    const early = first.feed * wish.onDelay
    // The run-up is long enough for the light to be told on it.
    const lead = Math.max(wish.lead, early)
    if (lead > 0 || wish.runOut > 0) this.count('led', 1, first.line)
    const back = (by: number): Piece['to'] => [from[0] - into[0] * by, from[1] - into[1] * by, from[2]]
    if (lead > 0) {
      this.goTo(back(lead))
      if (lead > early) this.steps.push({ kind: 'line', x: back(early)[0], y: back(early)[1], feed: first.feed, power: 0 })
      if (early > 0) this.steps.push({ kind: 'line', x: from[0], y: from[1], feed: first.feed, power: first.power })
      this.at = from
    } else this.goTo(from)
    const told = withEarlyEnd(run, last.feed * wish.offDelay)
    this.steps.push(...(wish.fit === null ? told.map(stepOfTrace) : this.fitted(told, wish.fit)))
    this.at = to
    if (wish.runOut > 0) {
      const end: Piece['to'] = [to[0] + out[0] * wish.runOut, to[1] + out[1] * wish.runOut, to[2]]
      this.steps.push({ kind: 'line', x: end[0], y: end[1], feed: last.feed, power: 0 })
      this.at = end
    }
  }

  /** Straight pieces of one power and speed in a row, as arcs where they lie on some. */
  private fitted(run: readonly WayTrace[], within: number): readonly Step[] {
    const steps: Step[] = []
    for (let i = 0; i < run.length;) {
      const trace = run[i] as WayTrace
      let end = i
      while (end < run.length && isAlike(run[end] as WayTrace, trace)) end++
      if (end === i) {
        steps.push(stepOfTrace(trace))
        i++
        continue
      }
      const places = [trace.piece.from, ...run.slice(i, end).map((it) => it.piece.to)].map(([x, y]) => ({ x, y }))
      const pieces = fitArcs(places, within)
      if (pieces.length < end - i) this.count('fitted', end - i - pieces.filter((it) => it.kind === 'line').length, trace.line)
      for (const { to, ...piece } of pieces) {
        const about = { x: to.x, y: to.y, feed: trace.feed, power: trace.power }
        if (piece.kind === 'line') steps.push({ kind: 'line', ...about })
        else steps.push({ kind: 'arc', ...about, centreX: piece.centre.x, centreY: piece.centre.y, clockwise: piece.clockwise })
      }
      i = end
    }
    return steps
  }

  private goTo(to: Piece['to']): void {
    if (isSame(this.at, to)) return
    this.steps.push({ kind: 'rapid', x: to[0], y: to[1], ...(to[2] === this.at[2] ? {} : { z: to[2] }) })
    this.at = to
  }
}

function stepOfTrace({ piece, feed, power }: WayTrace): Step {
  return stepOfPiece(piece, feed, power)
}

/** A stretch whose light is told off before its end, mm; what is shorter is dark. */
function withEarlyEnd(run: readonly WayTrace[], by: number): readonly WayTrace[] {
  const told: WayTrace[] = []
  let left = by
  for (const trace of [...run].reverse()) {
    const length = lengthFromAbove(trace.piece)
    if (left <= 0 || length === 0) told.push(trace)
    else if (length <= left) told.push({ ...trace, power: 0 })
    else {
      const share = 1 - left / length
      told.push({ ...trace, piece: partOf(trace.piece, share, 1), power: 0 }, { ...trace, piece: partOf(trace.piece, 0, share) })
    }
    left = Math.max(0, left - length)
  }
  return told.reverse()
}

function isSame(p: Piece['to'], q: Piece['to']): boolean {
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) <= NO_WAY
}

function isAlike(trace: WayTrace, first: WayTrace): boolean {
  const { piece, feed, power } = trace
  return piece.arc === null && piece.from[2] === piece.to[2] && feed === first.feed && power === first.power
}

/** The way in which a piece begins or ends, seen from above; a unit vector. */
function wayOf({ from, to, arc }: Piece, end: 'in' | 'out'): readonly [number, number] {
  const [x, y] = end === 'in' ? from : to
  const [dx, dy] =
    arc === null ? [to[0] - from[0], to[1] - from[1]] : [-(y - arc.y) * Math.sign(arc.swept), (x - arc.x) * Math.sign(arc.swept)]
  const size = Math.hypot(dx, dy) || 1
  return [dx / size, dy / size]
}
