import { flattened, type Point } from '../artwork'
import type { Step } from '../gcode'
import {
  anglesFor,
  dotLines,
  greyLines,
  partedScan,
  quickestFill,
  scanGrid,
  scanSteps,
  type Direction,
  type PartedScan,
  type Scan,
  type ScanMachine,
} from '../scan'
import { forestOf, type Ring } from './rings'
import type { OutlineTask, PictureTask } from './task'

/** A fill as it is burnt, and what the other ways of burning it would have taken. */
export interface PlannedFill {
  readonly name: string
  /** What all copies of it are called. */
  readonly of: string
  readonly parted: readonly PartedScan[]
  readonly compared: readonly Direction[]
  /** Whether its islands are burnt each by itself, in a direction of its own. */
  readonly isParted: boolean
}

/** More islands than this are not tried each by itself. */
const MOST_ISLANDS = 60

/**
 * Plans a fill: as a whole in its quickest direction, or each island in its own where that is quicker.
 * @throws {RangeError} where pitch or speed is not more than 0. Valid: any outlines. Source: every way planned and added up.
 */
export function planFill(task: OutlineTask, machine: ScanMachine, within: number): PlannedFill {
  const { name, of, outlines, fillRule, setting, angleRad } = task
  const rings = outlines.map((it) => closed(flattened(it, within))).filter((it) => it.length > 3)
  const angles = angleRad === null ? anglesFor(rings) : [angleRad]
  const whole = quickestFill(rings, fillRule, setting, machine, angles)
  const islands = angleRad === null ? islandsOf(rings) : []
  if (islands.length < 2 || islands.length > MOST_ISLANDS) {
    return { name, of, parted: [whole.best], compared: whole.compared, isParted: false }
  }
  const each = islands.map((them) => quickestFill(them, fillRule, setting, machine, anglesFor(them)).best)
  const seconds = each.reduce((sum, it) => sum + it.seconds, 0)
  const isParted = seconds < whole.best.seconds
  return { name, of, parted: isParted ? each : [whole.best], compared: whole.compared, isParted }
}

function closed(places: readonly Point[]): Ring {
  const [start, end] = [places[0] as Point, places.at(-1) as Point]
  return start.x === end.x && start.y === end.y ? places : [...places, start]
}

/** Outer rings with what lies in them. */
function islandsOf(rings: readonly Ring[]): readonly (readonly Ring[])[] {
  const { parents } = forestOf(rings)
  const topOf = (i: number): number => {
    let at = i
    while ((parents[at] as number) >= 0) at = parents[at] as number
    return at
  }
  const islands = new Map<number, Ring[]>()
  rings.forEach((ring, i) => {
    const top = topOf(i)
    islands.set(top, [...(islands.get(top) ?? []), ring])
  })
  return [...islands.values()]
}

/**
 * Plans a picture: along its rows or across, whichever is quicker; greys or dots as they are asked for.
 * @throws {RangeError} where it has too many cells. Valid: any picture. Source: `scanGrid`.
 */
export function planPicture(task: PictureTask, machine: ScanMachine): PlannedFill {
  const { name, of, width, height, setting, toning, x, y, turnRad, angleRad } = task
  const picture = task.isMirrored ? mirrored(task.picture) : task.picture
  const ways = angleRad === null ? [0, Math.PI / 2] : [angleRad]
  const all = ways.map((angle) => {
    const grid = scanGrid(picture, { width, height }, setting.pitch, angle)
    const scan =
      toning.kind === 'grey'
        ? greyLines(grid, toning)
        : dotLines(grid, (luminance) => shareAt(toning.shares, luminance), toning.kind, setting.power)
    return partedScan(moved(scan, turnRad, { x, y }), setting.speed, machine)
  })
  const best = all.reduce((p, q) => (q.seconds < p.seconds ? q : p))
  return {
    name,
    of,
    parted: [best],
    compared: all.map(({ scan, seconds }) => ({ angleRad: scan.angleRad, seconds })),
    isParted: false,
  }
}

function shareAt(shares: ArrayLike<number>, luminance: number): number {
  return shares[Math.round(Math.min(1, Math.max(0, luminance)) * (shares.length - 1))] as number
}

function mirrored({ width, height, luminance }: PictureTask['picture']): PictureTask['picture'] {
  const turned = new Float32Array(luminance.length)
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) turned[j * width + i] = luminance[j * width + width - 1 - i] as number
  }
  return { width, height, luminance: turned }
}

/** A scan turned about its corner, the corner at a place. */
function moved(scan: Scan, turnRad: number, { x, y }: Point): Scan {
  const angleRad = scan.angleRad + turnRad
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  const [du, dv] = [x * c + y * s, y * c - x * s]
  const shifted = (them: ArrayLike<number>): readonly number[] => Array.from(them, (it) => it + du)
  return {
    ...scan,
    angleRad,
    lines: scan.lines.map((it) => ({ ...it, v: it.v + dv, from: shifted(it.from), to: shifted(it.to) })),
  }
}

/** Steps of a planned fill, over all its passes. Valid: any. Source: `scanSteps`. */
export function fillSteps({ parted }: PlannedFill, passes: number, machine: ScanMachine, start: Point): readonly Step[] {
  const steps: Step[] = []
  let at = start
  for (let pass = 0; pass < passes; pass++) {
    for (const one of parted) {
      for (const step of scanSteps(one, machine, at)) {
        steps.push(step)
        if ('x' in step) at = { x: step.x, y: step.y }
      }
    }
  }
  return steps
}
