import type { Point } from '../artwork'

/** Something that is visited: where the head comes to it, where it leaves, and what has to be done before. */
export interface Stop {
  readonly from: Point
  readonly to: Point
  /** It may be gone the other way. */
  readonly turns: boolean
  /** Index of the stop that has to wait for this one; −1 where none does. */
  readonly before: number
}

/** A stop in its turn. */
export interface Visit {
  readonly stop: number
  readonly turned: boolean
}

/** Improvements that are tried from one stop before the next is looked at. */
const MOST_MOVES = 1000
/** Pieces that are swapped to see whether a better order lies behind: so many for each stop, and no more than this. */
const SHAKES = { each: 1, most: 1000, long: 40 } as const
/** Neighbours that are looked at. */
const NEAR = 12
/** More stops than this are only gone from one to the nearest next. */
const MOST_IMPROVED = 4000

/**
 * An order for stops that keeps what has to come first: from one to the nearest that may be done, then pieces of the way turned round and
 * moved while that makes it shorter, and again after small shakes. @param start Where the head comes from and goes back to, mm.
 * @param seed Of the shakes; the same gives the same order.
 * @returns Every stop once. Valid: what has to come before is no ring. Source: nearest neighbour; 2-opt (Croes 1958) and moved pieces of
 * up to three (Or 1976); iterated local search with double bridges (Martin, Otto and Felten 1991; all from memory).
 */
export function tourOf(stops: readonly Stop[], start: Point, seed = 1): readonly Visit[] {
  const first = nearestNext(stops, start)
  if (stops.length > MOST_IMPROVED) return first
  const tour = new Tour(stops, start, first)
  tour.improve(stops.map((_, i) => i))
  tour.shake(Math.min(SHAKES.most, SHAKES.each * stops.length), seed)
  return tour.visits
}

/**
 * Dark way of an order, mm. Valid: any order. Source: by definition; from the start to each stop, and back.
 * @example darkWay([{ from: { x: 3, y: 4 }, to: { x: 0, y: 2 }, turns: false, before: -1 }], { x: 0, y: 0 }, [{ stop: 0, turned: false }]) // 7
 */
export function darkWay(stops: readonly Stop[], start: Point, visits: readonly Visit[]): number {
  let [sum, at] = [0, start]
  for (const visit of visits) {
    sum += apart(at, enters(stops, visit))
    at = leaves(stops, visit)
  }
  return sum + apart(at, start)
}

function apart(p: Point, q: Point): number {
  return Math.hypot(p.x - q.x, p.y - q.y)
}

function enters(stops: readonly Stop[], { stop, turned }: Visit): Point {
  const it = stops[stop] as Stop
  return turned ? it.to : it.from
}

function leaves(stops: readonly Stop[], { stop, turned }: Visit): Point {
  const it = stops[stop] as Stop
  return turned ? it.from : it.to
}

function nearestNext(stops: readonly Stop[], start: Point): readonly Visit[] {
  const waits = stops.map(() => 0)
  for (const { before } of stops) if (before >= 0) waits[before] = (waits[before] as number) + 1
  const left = new Set(stops.keys())
  const visits: Visit[] = []
  let at = start
  while (left.size > 0) {
    let best: { visit: Visit; apart: number } | null = null
    for (const stop of left) {
      if ((waits[stop] as number) > 0) continue
      for (const turned of (stops[stop] as Stop).turns ? [false, true] : [false]) {
        const visit = { stop, turned }
        const far = apart(at, enters(stops, visit))
        if (best === null || far < best.apart) best = { visit, apart: far }
      }
    }
    // A ring of waits would leave nothing to do: what is left is done as it lies.
    const visit = best?.visit ?? { stop: left.values().next().value as number, turned: false }
    left.delete(visit.stop)
    visits.push(visit)
    at = leaves(stops, visit)
    const { before } = stops[visit.stop] as Stop
    if (before >= 0) waits[before] = (waits[before] as number) - 1
  }
  return visits
}

/** A way under improvement. */
class Tour {
  visits: Visit[]
  private readonly place: number[]
  private readonly near: readonly (readonly number[])[]
  /** Stops whose waits are not done by the order of the way alone. */
  private readonly waiting: boolean

  constructor(
    private readonly stops: readonly Stop[],
    private readonly start: Point,
    visits: readonly Visit[],
  ) {
    this.visits = [...visits]
    this.place = stops.map(() => 0)
    this.number(0, visits.length - 1)
    this.near = neighbours(stops)
    this.waiting = stops.some((it) => it.before >= 0)
  }

  /** Makes the way shorter about some stops, and about those that are met on it. */
  improve(from: readonly number[]): void {
    const queue = [...from]
    const isIn = new Uint8Array(this.stops.length)
    for (const it of queue) isIn[it] = 1
    for (let k = 0; k < queue.length; k++) {
      const stop = queue[k] as number
      isIn[stop] = 0
      for (let move = 0; move < MOST_MOVES && (this.turnAt(stop) || this.moveFrom(stop)); move++) {
        const at = this.place[stop] as number
        for (const it of [
          this.visits[at - 1]?.stop,
          stop,
          this.visits[at + 1]?.stop,
          ...(this.near[stop] as readonly number[]),
        ]) {
          if (it === undefined || isIn[it] === 1) continue
          isIn[it] = 1
          queue.push(it)
        }
      }
    }
  }

  /** Swaps two short pieces that follow one another, improves about them, and keeps what is shorter. */
  shake(times: number, seed: number): void {
    const count = this.visits.length
    if (count < 8) return
    let state = seed >>> 0
    const draw = (below: number): number => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0
      return Math.floor((state / 2 ** 32) * below)
    }
    let best = this.length()
    for (let k = 0; k < times; k++) {
      const long = Math.min(SHAKES.long, Math.floor(count / 3))
      const from = draw(count - 2)
      const first = 1 + draw(Math.min(long, count - from - 1))
      const second = 1 + draw(Math.min(long, count - from - first))
      const kept = this.visits
      this.visits = [...kept]
      const ends = [from - 1, from, from + first - 1, from + first, from + first + second - 1, from + first + second]
      const met = ends.flatMap((i) => (kept[i] === undefined ? [] : [kept[i].stop]))
      if (this.move(from, first, from + first + second - 1)) this.improve(met)
      const now = this.length()
      if (now < best - 1e-9) best = now
      else {
        this.visits = kept
        this.number(0, count - 1)
      }
    }
  }

  private length(): number {
    return darkWay(this.stops, this.start, this.visits)
  }

  private number(from: number, to: number): void {
    for (let i = from; i <= to; i++) this.place[(this.visits[i] as Visit).stop] = i
  }

  private leave(i: number): Point {
    return i < 0 ? this.start : leaves(this.stops, this.visits[i] as Visit)
  }

  private enter(i: number): Point {
    return i >= this.visits.length ? this.start : enters(this.stops, this.visits[i] as Visit)
  }

  /** Turns a piece of the way round that begins or ends at a stop, where that is shorter. */
  private turnAt(stop: number): boolean {
    const at = this.place[stop] as number
    for (const other of this.near[stop] as readonly number[]) {
      const there = this.place[other] as number
      // The two shall follow one another: the piece between them is turned, from behind the first, or up to before the second.
      const [low, high] = [Math.min(at, there), Math.max(at, there)]
      if (this.turn(low + 1, high) || this.turn(low, high - 1)) return true
    }
    return this.turn(at, at)
  }

  private turn(from: number, to: number): boolean {
    if (from > to) return false
    const before = this.leave(from - 1)
    const after = this.enter(to + 1)
    const [first, last] = [this.visits[from] as Visit, this.visits[to] as Visit]
    const now = apart(before, enters(this.stops, first)) + apart(leaves(this.stops, last), after)
    // Turned round, each stop that may is gone the other way.
    const opposite = (it: Visit): Visit => ((this.stops[it.stop] as Stop).turns ? { ...it, turned: !it.turned } : it)
    const then = apart(before, enters(this.stops, opposite(last))) + apart(leaves(this.stops, opposite(first)), after)
    let gain = now - then
    const piece = this.visits.slice(from, to + 1)
    if (piece.some((it) => !(this.stops[it.stop] as Stop).turns && !this.isPoint(it.stop))) {
      // What may not be turned changes the ways within.
      const inner = (visits: readonly Visit[]): number =>
        visits.slice(1).reduce((sum, it, k) => sum + apart(leaves(this.stops, visits[k] as Visit), enters(this.stops, it)), 0)
      gain += inner(piece) - inner([...piece].reverse().map(opposite))
    }
    if (gain < 1e-9 || (this.waiting && this.hasPair(piece))) return false
    this.visits.splice(from, piece.length, ...piece.reverse().map(opposite))
    this.number(from, to)
    return true
  }

  /** A stop that ends where it begins may be met in any sense. */
  private isPoint(stop: number): boolean {
    const { from, to } = this.stops[stop] as Stop
    return from.x === to.x && from.y === to.y
  }

  /** Whether one of these waits for another of them: their order must stay. */
  private hasPair(piece: readonly Visit[]): boolean {
    const own = new Set(piece.map((it) => it.stop))
    return piece.some((it) => own.has((this.stops[it.stop] as Stop).before))
  }

  /** Moves up to three stops that follow one another behind or before a neighbour, where that is shorter. */
  private moveFrom(stop: number): boolean {
    const from = this.place[stop] as number
    for (let long = 1; long <= 3 && from + long <= this.visits.length; long++) {
      const piece = this.visits.slice(from, from + long)
      const [first, last] = [piece[0] as Visit, piece[long - 1] as Visit]
      const [before, after] = [this.leave(from - 1), this.enter(from + long)]
      const saved = apart(before, enters(this.stops, first)) + apart(leaves(this.stops, last), after) - apart(before, after)
      for (const other of this.near[stop] as readonly number[]) {
        const there = this.place[other] as number
        if (there >= from && there < from + long) continue
        for (const behind of [there, there - 1]) {
          if (behind >= from - 1 && behind < from + long) continue
          const [left, right] = [this.leave(behind), this.enter(behind + 1)]
          const cost = apart(left, enters(this.stops, first)) + apart(leaves(this.stops, last), right) - apart(left, right)
          if (saved - cost > 1e-9 && this.move(from, long, behind)) return true
        }
      }
    }
    return false
  }

  private move(from: number, long: number, behind: number): boolean {
    const piece = this.visits.slice(from, from + long)
    const [low, high] = behind < from ? [behind + 1, from - 1] : [from + long, behind]
    const passed = this.visits.slice(low, high + 1)
    if (this.waiting && this.crossesPair(piece, passed, behind < from)) return false
    const order = behind < from ? [...piece, ...passed] : [...passed, ...piece]
    const begin = Math.min(low, from)
    this.visits.splice(begin, order.length, ...order)
    this.number(begin, begin + order.length - 1)
    return true
  }

  /** Whether moving a piece past others puts one before what it waits for. */
  private crossesPair(piece: readonly Visit[], passed: readonly Visit[], toFront: boolean): boolean {
    const [first, second] = toFront ? [passed, piece] : [piece, passed]
    const later = new Set(second.map((it) => it.stop))
    return first.some((it) => later.has((this.stops[it.stop] as Stop).before))
  }
}

/** For each stop those whose ends are nearest. */
function neighbours(stops: readonly Stop[]): readonly (readonly number[])[] {
  return stops.map((it, i) => {
    const far = (other: Stop): number =>
      Math.min(apart(it.from, other.from), apart(it.from, other.to), apart(it.to, other.from), apart(it.to, other.to))
    return stops
      .map((other, k) => ({ k, far: k === i ? Infinity : far(other) }))
      .sort((p, q) => p.far - q.far)
      .slice(0, Math.min(NEAR, stops.length - 1))
      .map(({ k }) => k)
  })
}
