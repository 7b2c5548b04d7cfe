import type { Box, Point } from '../artwork'
import type { Step } from '../gcode'
import type { ScanMachine } from '../scan'
import { sayQuantity, type Finding } from '../units'
import { contoursOf, type Contour } from './contours'
import { fillSteps, planFill, planPicture, type PlannedFill } from './fills'
import type { Polygons } from './kerf'
import { leadTo } from './leads'
import { boundByApart } from './oneTree'
import { forestOf } from './rings'
import type { OutlineTask, Task } from './task'
import { freedBy, type Freed } from './tilting'
import { sequenceOf } from './sequence'
import type { Work } from './slice'
import type { Stop, Visit } from './tour'
import { litWays, stepsAlong } from './wayOut'

/** All that is to be burnt in one go, and with what. */
export interface WorkJob {
  readonly tasks: readonly Task[]
  readonly machine: ScanMachine
  /** mm. */
  readonly kerf: number
  /** How far chords and arcs may lie from what is drawn, mm; more than 0. */
  readonly within: number
  /** Where the head begins and ends, mm. */
  readonly start: Point
  /** Whether the head moves up and down by program. */
  readonly hasZ: boolean
  /** Lines in the order of the list, or the quickest; the next one so far from the last one's heat, mm. Without it the quickest. */
  readonly sequence?: Work['sequence']
  readonly apart?: number
}

/** A job as steps, and what is known of it. */
export interface PlannedWork {
  readonly steps: readonly Step[]
  readonly fills: readonly Omit<PlannedFill, 'parted'>[]
  /** Dark ways between lines and cuts, mm, and what no order could be shorter than. */
  readonly ways: { readonly dark: number; readonly bound: number; readonly count: number }
  readonly findings: readonly Finding[]
  /** Where it is cut through, as places. */
  readonly cuts: readonly (readonly Point[])[]
  /** What the cuts free. */
  readonly freed: readonly Freed[]
}

/**
 * Plans a job: pictures and fills, then what is marked, then what is cut part-way, then what is cut through, inside before outside.
 * @throws {RangeError} where a setting is out of its range.
 * Valid: tasks in the machine's own mm. Source: handbook of the trade (inside before outside, marks before cuts); `tourOf`, `quickestFill`.
 */
export function planWork(job: WorkJob, polygons: Polygons): PlannedWork {
  const writer = new WorkWriter(job)
  const lines = job.tasks.filter((it): it is OutlineTask => it.does === 'mark' || it.does === 'part' || it.does === 'cut')
  const { contours, findings } = contoursOf(lines, job.kerf, polygons, job.within)
  for (const task of job.tasks) {
    if (task.does === 'fill') writer.fill(planFill(task, job.machine, job.within), task.setting.passes, task.setting.focus)
    if (task.does === 'picture') writer.fill(planPicture(task, job.machine), task.setting.passes, task.setting.focus)
  }
  for (const does of ['mark', 'part', 'cut'] as const) writer.lines(contours.filter((it) => it.task.does === does))
  return { ...writer.done([...findings, ...(job.hasZ ? [] : heightsByHand(job.tasks))]), freed: freedBy(contours) }
}

/** Heights that a setting wants of a head that no program moves. */
function heightsByHand(tasks: readonly Task[]): readonly Finding[] {
  return tasks.flatMap((task): Finding[] => {
    const drop = 'drop' in task && task.setting.passes > 1 ? task.drop : 0
    if (task.setting.focus === 0 && drop === 0) return []
    const height = sayQuantity(task.setting.focus, null, 'mm')
    const steps = drop === 0 ? '' : `, and ${sayQuantity(drop, null, 'mm')} lower for each further pass`
    const message = `${task.of}: its setting wants the head ${height} above focus${steps}, and no program moves the head of this machine. Set it by hand, or take 0.`
    return [{ code: 'height', severity: 'warning', message }]
  })
}

class WorkWriter {
  private readonly steps: Step[] = []
  private readonly fills: Omit<PlannedFill, 'parted'>[] = []
  private readonly ways = { dark: 0, bound: 0, count: 0 }
  private readonly cuts: (readonly Point[])[] = []
  private at: Point
  private height = 0
  /** Lines that lie nearer to the one before than heat allows. */
  private near = 0

  constructor(private readonly job: WorkJob) {
    this.at = job.start
  }

  fill(planned: PlannedFill, passes: number, focus: number): void {
    const { parted, ...about } = planned
    this.fills.push(about)
    this.remark(planned.name)
    if (parted.every((it) => it.scan.lines.length === 0)) return
    this.lift(focus)
    this.take(fillSteps(planned, passes, this.job.machine, this.at))
  }

  /** Contours in a good order, each begun where it is nearest. */
  lines(contours: readonly Contour[]): void {
    if (contours.length === 0) return
    const stops = stopsOf(contours)
    const { sequence = 'quickest', apart = 0 } = this.job
    const turns = sequence === 'listed' ? contours.map((it) => it.task.turn) : null
    const { visits, near } = sequenceOf(stops, this.at, { turns, apart, boxes: contours.map((it) => boxOf(it.places)) })
    if (near > 0) this.near += near
    this.ways.bound += lengthAtLeast(contours, this.at)
    this.ways.count += contours.length
    visits.forEach((visit, k) => this.contour(contours, visit, visits[k + 1]))
  }

  private contour(all: readonly Contour[], { stop, turned }: Visit, next: Visit | undefined): void {
    const contour = all[stop] as Contour
    const begin = contour.isClosed ? this.beginning(contour, next === undefined ? null : (all[next.stop] as Contour)) : 0
    const rings = all.filter((it) => it.task.does === contour.task.does).map((it) => it.places)
    const lead = contour.isClosed ? leadTo(contour, begin, contour.task.lead, rings) : null
    const { within, kerf, hasZ } = this.job
    this.remark(contour.task.name)
    const start = lead ?? (contour.isClosed ? contour.places[begin] : contour.places.at(turned ? -1 : 0)) ?? this.at
    this.ways.dark += Math.hypot(start.x - this.at.x, start.y - this.at.y)
    if (!hasZ) this.lift(contour.task.setting.focus)
    const going = { begin, turned, lead, within, kerf, hasZ }
    if (contour.task.does === 'cut') this.cuts.push(...litWays(contour, going))
    this.take(stepsAlong(contour, going))
  }

  /** The place of a ring that lies best between where the head is and where it goes next. */
  private beginning({ places }: Contour, next: Contour | null): number {
    const to = next === null ? this.job.start : (next.places[0] as Point)
    const cost = ({ x, y }: Point): number => Math.hypot(x - this.at.x, y - this.at.y) + Math.hypot(x - to.x, y - to.y)
    let best = 0
    for (let i = 1; i < places.length - 1; i++) if (cost(places[i] as Point) < cost(places[best] as Point)) best = i
    return best
  }

  private remark(text: string): void {
    const last = this.steps.findLast((it) => it.kind === 'remark')
    if (last?.text !== text) this.steps.push({ kind: 'remark', text })
  }

  /** Raises the head in the dark, where it moves by program. */
  private lift(focus: number): void {
    if (!this.job.hasZ || focus === this.height) return
    this.steps.push({ kind: 'rapid', ...this.at, z: focus })
    this.height = focus
  }

  private take(steps: readonly Step[]): void {
    for (const step of steps) {
      this.steps.push(step)
      if (!('x' in step)) continue
      this.at = { x: step.x, y: step.y }
      if (step.z !== undefined) this.height = step.z
    }
  }

  private stillNear(): readonly Finding[] {
    const { near, job } = this
    if (near === 0) return []
    const far = sayQuantity(job.apart ?? 0, null, 'mm')
    const message = `${near} of ${this.ways.count} lines begin nearer than ${far} to the one before: nothing else was left, or what lies inside has to come first.`
    return [{ code: 'near-heat', severity: 'warning', message }]
  }

  done(said: readonly Finding[]): Omit<PlannedWork, 'freed'> {
    // What holds for every copy is said once.
    const findings = [...new Map([...said, ...this.stillNear()].map((it) => [it.message, it])).values()]
    this.lift(0)
    const { x, y } = this.job.start
    if (this.at.x !== x || this.at.y !== y) this.steps.push({ kind: 'rapid', x, y })
    return { steps: this.steps, fills: this.fills, ways: this.ways, findings, cuts: this.cuts }
  }
}

/** Of more contours than this no bound is worked out: it takes longer than it tells. */
const MOST_BOUND = 600

/** Way that no order of some contours can do without, mm: between the boxes around them, without the way back from the last. */
function lengthAtLeast(contours: readonly Contour[], { x, y }: Point): number {
  if (contours.length > MOST_BOUND) return 0
  const boxes = [{ left: x, right: x, bottom: y, top: y }, ...contours.map((it) => boxOf(it.places))]
  const apart = (i: number, j: number): number => {
    const [p, q] = [boxes[i] as Box, boxes[j] as Box]
    return Math.hypot(Math.max(0, p.left - q.right, q.left - p.right), Math.max(0, p.bottom - q.top, q.bottom - p.top))
  }
  const home = Math.max(0, ...contours.map((_, i) => apart(0, i + 1)))
  return Math.max(0, boundByApart(boxes.length, apart) - home)
}

function boxOf(places: readonly Point[]): Box {
  const box = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity }
  for (const { x, y } of places) {
    box.left = Math.min(box.left, x)
    box.right = Math.max(box.right, x)
    box.bottom = Math.min(box.bottom, y)
    box.top = Math.max(box.top, y)
  }
  return box
}

/** Contours as stops: what lies in another is done before it. */
function stopsOf(contours: readonly Contour[]): readonly Stop[] {
  const rings = contours.flatMap((it, index) => (it.isClosed ? [{ ring: it.drawn, index }] : []))
  const { parents } = forestOf(rings.map((it) => it.ring))
  const before = contours.map(() => -1)
  rings.forEach(({ index }, k) => {
    const parent = parents[k] as number
    if (parent >= 0) before[index] = (rings[parent] as { index: number }).index
  })
  return contours.map(({ places, isClosed }, i): Stop => {
    const [from, end] = [places[0] as Point, places.at(-1) as Point]
    return { from, to: isClosed ? from : end, turns: !isClosed, before: before[i] as number }
  })
}
