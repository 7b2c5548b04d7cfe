import { MOVE, sweptAngle, type Moves } from '../gcode'
import { radiusAt, type Waist } from '../optics'
import type { TimedPlan } from '../planner'
import { commandedShare, Lamp, pulsedSeconds, wattsAt, type Glow, type LightLaw } from './light'
import { PHASES, Stamps } from './stamp'

/** A beam through focus as it burns: both sides, their profiles, and how the spot is turned with the head. */
export interface BurningBeam {
  readonly x: Waist & { readonly order: number }
  readonly y: Waist & { readonly order: number }
  readonly turnRad: number
}

/** Heights of the surface below focus over the work, mm, on a grid; between its places they go straight. */
export interface HeightMap {
  readonly left: number
  readonly bottom: number
  readonly step: number
  readonly columns: number
  readonly rows: number
  readonly heights: Float32Array
}

/** What is burnt: a program in time, the light of its words, the beam, the surface. */
export interface BurnJob {
  readonly moves: Moves
  readonly plan: TimedPlan
  readonly light: LightLaw
  readonly beam: BurningBeam
  /** How far the surface lies below focus, mm; less than 0 above. */
  readonly surface: number | HeightMap
  /** How often the program is run; 1 or more. */
  readonly passes: number
}

/** A map of cells over the work, mm; cell (i, j) begins at left + i·pitch, bottom + j·pitch. */
export interface DoseGrid {
  readonly left: number
  readonly bottom: number
  /** Side of a cell, mm; more than 0. */
  readonly pitch: number
  readonly columns: number
  readonly rows: number
}

/** Radiant exposure of every cell, J/mm², in rows from the bottom. */
export interface DoseMap extends DoseGrid {
  readonly dose: Float32Array
}

/** Way between two stamps, as a share of the spot's smaller radius at focus. */
const STEP = 0.4
/** Radii that differ by less than this share are stamped alike. */
const ALIKE = 0.01
/** Moves between two reports of progress. */
const REPORT_EVERY = 2000

/**
 * Burns a program into a map: everything that its light leaves on these cells. Energy is kept: what a stamp gives adds up to the
 * light of its time, whatever the grid.
 * @param onProgress Hears the share that is done, 0…1, now and then; gives it up by returning false.
 * @returns The map; null where it was given up. @throws {RangeError} where the grid has no cells.
 * Valid: cells up to half of the spot's radius show its shape. Source: energy is power times time; the spot's profile about every
 * place of the way, sampled by length, times by uniformly accelerated motion.
 */
export function burnDose(job: BurnJob, grid: DoseGrid, onProgress: (share: number) => boolean = () => true): DoseMap | null {
  if (!(grid.columns > 0 && grid.rows > 0 && grid.pitch > 0)) throw new RangeError('the grid has no cells')
  const writer = new DoseWriter(job, grid)
  const { moves, plan, light } = job
  const lamp = new Lamp(light)
  let from: Place = { x: 0, y: 0 }
  for (let i = 0; i < moves.count; i++) {
    const to = { x: moves.x[i] as number, y: moves.y[i] as number }
    const before = lamp.seconds
    const glow = lamp.next(commandedShare(moves, i, light.fullS), plan.seconds[i] as number)
    if (glow !== null) writer.burn(wayOf(moves, i, from, to), timingOf(plan, i), glow, before, moves.feed[i] as number)
    from = to
    if (i % REPORT_EVERY === 0 && !onProgress(i / moves.count)) return null
  }
  return writer.map
}

interface Place {
  readonly x: number
  readonly y: number
}

/** A move's way in the plane: the place at a share of it, and the box around it. */
interface Way {
  readonly at: (share: number) => Place
  readonly box: readonly [left: number, bottom: number, right: number, top: number]
}

function wayOf(moves: Moves, i: number, from: Place, to: Place): Way {
  const kind = moves.kind[i]
  const isArc = (kind === MOVE.clockwise || kind === MOVE.counterClockwise) && moves.plane[i] === 17
  if (!isArc) {
    return {
      at: (share) => ({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }),
      box: [Math.min(from.x, to.x), Math.min(from.y, to.y), Math.max(from.x, to.x), Math.max(from.y, to.y)],
    }
  }
  const centre = [moves.centreA[i] as number, moves.centreB[i] as number] as const
  const swept = sweptAngle([from.x, from.y], [to.x, to.y], centre, kind === MOVE.clockwise)
  const radius = Math.hypot(from.x - centre[0], from.y - centre[1])
  const start = Math.atan2(from.y - centre[1], from.x - centre[0])
  const way = kind === MOVE.clockwise ? -1 : 1
  return {
    at: (share) => {
      const angle = start + way * swept * share
      return { x: centre[0] + radius * Math.cos(angle), y: centre[1] + radius * Math.sin(angle) }
    },
    box: [centre[0] - radius, centre[1] - radius, centre[0] + radius, centre[1] + radius],
  }
}

/** A move in time: rising, even, falling. */
interface Timing {
  readonly length: number
  readonly seconds: number
  readonly entry: number
  readonly peak: number
  readonly exit: number
  readonly acceleration: number
}

function timingOf(plan: TimedPlan, i: number): Timing {
  return {
    length: plan.length[i] as number,
    seconds: plan.seconds[i] as number,
    entry: plan.entry[i] as number,
    peak: plan.peak[i] as number,
    exit: plan.exit[i] as number,
    acceleration: plan.acceleration[i] as number,
  }
}

/**
 * Way that is gone after some seconds of a move, mm. @param seconds 0 up to the move's own.
 * Valid: a planned move. Source: uniformly accelerated motion.
 * @example wayAfter({ length: 10, seconds: 2, entry: 0, peak: 10, exit: 0, acceleration: 10 }, 1) // 5
 */
export function wayAfter({ length, seconds: whole, entry, peak, exit, acceleration }: Timing, seconds: number): number {
  if (seconds >= whole) return length
  const rising = (peak - entry) / acceleration
  if (seconds < rising) return seconds * (entry + (acceleration * seconds) / 2)
  const left = whole - seconds
  if (left < (peak - exit) / acceleration) return length - left * (exit + (acceleration * left) / 2)
  return rising * (entry + (acceleration * rising) / 2) + peak * (seconds - rising)
}

/**
 * Seconds that a move needs for the first part of its way. @param way 0 up to its length, mm.
 * Valid: a planned move. Source: uniformly accelerated motion, solved for the time.
 * @example secondsAfter({ length: 10, seconds: 2, entry: 0, peak: 10, exit: 0, acceleration: 10 }, 5) // 1
 */
export function secondsAfter({ length, seconds, entry, peak, exit, acceleration }: Timing, way: number): number {
  if (way >= length) return seconds
  const [up, down] = [(peak * peak - entry * entry) / (2 * acceleration), (peak * peak - exit * exit) / (2 * acceleration)]
  if (way < up) return (Math.sqrt(entry * entry + 2 * acceleration * way) - entry) / acceleration
  const left = length - way
  if (left < down) return seconds - (Math.sqrt(exit * exit + 2 * acceleration * left) - exit) / acceleration
  return (peak - entry) / acceleration + (way - up) / peak
}

/** Writes the light of moves into a map. */
class DoseWriter {
  readonly map: DoseMap
  private readonly step: number
  private readonly levels = new Map<number, Stamps>()
  private readonly reach: number

  constructor(
    private readonly job: BurnJob,
    grid: DoseGrid,
  ) {
    this.map = { ...grid, dose: new Float32Array(grid.columns * grid.rows) }
    const { beam } = job
    this.step = STEP * Math.min(beam.x.radius, beam.y.radius)
    this.reach = 4 * Math.max(...[beam.x, beam.y].map((it) => radiusAt(it, this.furthest())))
  }

  /** @param clock When the move begins, s. @param feed Speed that was commanded for it, mm/s. */
  burn({ at, box }: Way, timing: Timing, { from, to, share }: Glow, clock: number, feed: number): void {
    if (!this.meets(box)) return
    const { light, passes } = this.job
    if (!(wattsAt(light, share) > 0)) return
    const follows = light.followsSpeed === true && timing.length > 0
    /** Joules between two times of the move, over so much of its way. */
    const energy = (a: number, b: number, way: number): number => {
      const now = follows && b > a ? share * Math.min(1, way / (b - a) / feed) : share
      const watts = wattsAt(light, now)
      if (light.pulsesHz === null || !(now > 0)) return watts * (b - a)
      return (watts / now) * (pulsedSeconds(clock + b, light.pulsesHz, now) - pulsedSeconds(clock + a, light.pulsesHz, now))
    }
    const [s0, s1] = [wayAfter(timing, from), wayAfter(timing, to)]
    const pieces = Math.max(1, Math.ceil((s1 - s0) / this.step))
    let before = from
    for (let k = 0; k < pieces; k++) {
      const end = k + 1 === pieces ? to : secondsAfter(timing, s0 + ((s1 - s0) * (k + 1)) / pieces)
      const middle = s0 + ((s1 - s0) * (k + 0.5)) / pieces
      const { x, y } = at(timing.length > 0 ? middle / timing.length : 0)
      const joules = energy(before, end, (s1 - s0) / pieces)
      if (joules > 0) this.stamp(x, y, joules * passes)
      before = end
    }
  }

  private stamp(x: number, y: number, joules: number): void {
    const { left, bottom, pitch, columns, rows, dose } = this.map
    const [u, v] = [(x - left) / pitch, (y - bottom) / pitch]
    const [i, j] = [Math.floor(u), Math.floor(v)]
    const stamps = this.stampsAt(x, y)
    const stamp = stamps.at(Math.floor((u - i) * PHASES), Math.floor((v - j) * PHASES))
    const [first, last] = [Math.max(0, -(i + stamp.left)), Math.min(stamp.columns, columns - i - stamp.left)]
    const [low, high] = [Math.max(0, -(j + stamp.bottom)), Math.min(stamp.rows, rows - j - stamp.bottom)]
    for (let r = low; r < high; r++) {
      const to = (j + stamp.bottom + r) * columns + i + stamp.left
      const of = r * stamp.columns
      for (let c = first; c < last; c++) dose[to + c] = (dose[to + c] as number) + joules * (stamp.values[of + c] as number)
    }
  }

  /** Stamps for how far the surface lies from focus here; neighbouring radii share them. */
  private stampsAt(x: number, y: number): Stamps {
    const { surface, beam } = this.job
    const height = typeof surface === 'number' ? surface : heightAt(surface, x, y)
    const level = Math.round(Math.log(radiusAt(beam.x, height) * radiusAt(beam.y, height)) / (2 * ALIKE))
    const known = this.levels.get(level)
    if (known !== undefined) return known
    const side = (it: BurningBeam['x']) => ({ radius: radiusAt(it, height), order: it.order })
    const made = new Stamps({ x: side(beam.x), y: side(beam.y), turnRad: beam.turnRad }, this.map.pitch)
    this.levels.set(level, made)
    return made
  }

  private furthest(): number {
    const { surface } = this.job
    if (typeof surface === 'number') return surface
    return surface.heights.reduce((most, it) => Math.max(most, Math.abs(it)), 0)
  }

  /** Whether light on a box can reach the map. */
  private meets([l, b, r, t]: Way['box']): boolean {
    const { left, bottom, pitch, columns, rows } = this.map
    const { reach } = this
    return r + reach >= left && l - reach <= left + columns * pitch && t + reach >= bottom && b - reach <= bottom + rows * pitch
  }
}

/**
 * Height of a surface at a place, mm; beyond its grid as at its edge.
 * Valid: a grid of one place or more. Source: straight lines between the places, along both axes.
 * @example heightAt({ left: 0, bottom: 0, step: 1, columns: 2, rows: 1, heights: new Float32Array([0, 2]) }, 0.25, 5) // 0.5
 */
export function heightAt({ left, bottom, step, columns, rows, heights }: HeightMap, x: number, y: number): number {
  const place = (at: number, count: number) => {
    const t = Math.min(count - 1, Math.max(0, at))
    const low = Math.min(Math.floor(t), Math.max(0, count - 2))
    return { low, high: Math.min(low + 1, count - 1), share: t - low }
  }
  const [i, j] = [place((x - left) / step, columns), place((y - bottom) / step, rows)]
  const at = (c: number, r: number): number => heights[r * columns + c] as number
  const lower = at(i.low, j.low) * (1 - i.share) + at(i.high, j.low) * i.share
  const upper = at(i.low, j.high) * (1 - i.share) + at(i.high, j.high) * i.share
  return lower * (1 - j.share) + upper * j.share
}

/**
 * Tiles that cover a box, so that a large work is burnt piece by piece. @param side Cells of a tile along each axis.
 * @returns From the bottom left on, row by row. Valid: a box with an inside. Source: by definition.
 */
export function tilesOf(
  box: { readonly left: number; readonly bottom: number; readonly right: number; readonly top: number },
  pitch: number,
  side: number,
): readonly DoseGrid[] {
  const [columns, rows] = [Math.ceil((box.right - box.left) / pitch), Math.ceil((box.top - box.bottom) / pitch)]
  const tiles: DoseGrid[] = []
  for (let j = 0; j < rows; j += side) {
    for (let i = 0; i < columns; i += side) {
      tiles.push({
        left: box.left + i * pitch,
        bottom: box.bottom + j * pitch,
        pitch,
        columns: Math.min(side, columns - i),
        rows: Math.min(side, rows - j),
      })
    }
  }
  return tiles
}
