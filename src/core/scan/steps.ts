import type { Step } from '../gcode'
import { fromFrame, type Scan, type ScanLine } from './lines'
import type { ScanMachine } from './machine'
import type { Section } from './sections'
import type { PartedScan, RunUp } from './time'

/** Where the head is, mm. */
interface Place {
  readonly x: number
  readonly y: number
}

/**
 * The steps of a parted scan: up to speed in the dark, its pieces in full motion, down again behind them; sections from the nearest end on.
 * @param start Where the head comes from, mm.
 * @returns Steps, the first of them a dark way there. Valid: any scan. Source: handbook of the trade (run-out, two-way scanning).
 */
export function scanSteps({ scan, sections, runUp }: PartedScan, machine: ScanMachine, start: Place): readonly Step[] {
  const writer = new ScanWriter(scan, runUp, machine, start)
  for (const section of nearestFirst(scan, sections, start)) writer.section(section)
  writer.runOut()
  return writer.steps
}

/** More sections than this are burnt as they lie: to look for the nearest of so many takes longer than it saves. */
const MOST_SORTED = 3000

/** Sections in the order in which each next one begins nearest, turned round where its end is nearer. */
function nearestFirst(scan: Scan, sections: readonly Section[], start: Place): readonly Section[] {
  if (sections.length > MOST_SORTED) return sections
  const left = new Set(sections)
  const order: Section[] = []
  let at = start
  while (left.size > 0) {
    let best: { section: Section; turned: boolean; apart: number } | null = null
    for (const section of left) {
      for (const turned of [false, true]) {
        const span = (turned ? section.at(-1) : section[0]) as Section[number]
        const { v, from } = scan.lines[span.line] as ScanLine
        const place = fromFrame(from[span.first] as number, v, scan.angleRad)
        const apart = Math.hypot(place.x - at.x, place.y - at.y)
        if (best === null || apart < best.apart - 1e-9) best = { section, turned, apart }
      }
    }
    if (best === null) break
    left.delete(best.section)
    const next = best.turned ? [...best.section].reverse() : best.section
    order.push(next)
    const span = next.at(-1) as Section[number]
    const { v, to } = scan.lines[span.line] as ScanLine
    at = fromFrame(to[span.end - 1] as number, v, scan.angleRad)
  }
  return order
}

class ScanWriter {
  readonly steps: Step[] = []

  constructor(
    private readonly scan: Scan,
    private readonly runUp: RunUp,
    private readonly machine: ScanMachine,
    private at: Place,
  ) {}

  section(section: Section): void {
    section.forEach((span, k) => {
      const line = this.scan.lines[span.line] as ScanLine
      const isBack = this.machine.bothWays && (k % 2 === 1) !== this.beginsRight(section)
      this.line(line, span.first, span.end, isBack)
    })
  }

  /** Whether a section begins at its right end: where that is nearer. */
  private beginsRight(section: Section): boolean {
    if (!this.machine.bothWays) return false
    if (this.decided?.section !== section) {
      const span = section[0] as Section[number]
      const { v, from, to } = this.scan.lines[span.line] as ScanLine
      const apart = (u: number): number => {
        const place = fromFrame(u, v, this.scan.angleRad)
        return Math.hypot(place.x - this.at.x, place.y - this.at.y)
      }
      const isRight = apart((to[span.end - 1] as number) + this.runUp.way) < apart((from[span.first] as number) - this.runUp.way)
      this.decided = { section, isRight }
    }
    return this.decided.isRight
  }
  private decided: { readonly section: Section; readonly isRight: boolean } | null = null

  private line({ v, from, to, power }: ScanLine, first: number, end: number, isBack: boolean): void {
    const { speed, way } = this.runUp
    const { onDelay, offDelay, backShift } = this.machine
    const sense = isBack ? -1 : 1
    const shift = isBack ? backShift : 0
    const nth = (k: number): number => (isBack ? end - 1 - k : first + k)
    const begins = (k: number): number => ((isBack ? to[k] : from[k]) as number) + shift - sense * speed * onDelay
    // Where one piece goes on into the next the light does not go: it only changes.
    const goesOn = (k: number): boolean => {
      const next = isBack ? k - 1 : k + 1
      if (next < first || next >= end) return false
      return Math.abs(((isBack ? to[next] : from[next]) as number) - ((isBack ? from[k] : to[k]) as number)) < 1e-6
    }
    const ends = (k: number): number =>
      ((isBack ? from[k] : to[k]) as number) + shift - sense * speed * (goesOn(k) ? onDelay : offDelay)
    const start = begins(nth(0))
    let last = this.turnTo(start - sense * way, v, sense)
    for (let k = 0; k < end - first; k++) {
      const piece = nth(k)
      const begin = sense * Math.max(sense * last, sense * begins(piece))
      // A piece that is shorter than the delays has its length cut from its end.
      const finish = sense * Math.max(sense * begin, sense * ends(piece))
      this.cut(last, begin, v, 0)
      this.cut(begin, finish, v, power[piece] as number)
      last = finish
    }
    this.ended = { u: last, v, sense }
  }

  /** Where the line before ended in the light, and which way it went; its run-out is not written yet. */
  private ended: { readonly u: number; readonly v: number; readonly sense: number } | null = null

  /**
   * Runs out of the line before and goes to where the next begins to run up, mm along the scan. Where the next goes back from about there, the
   * step across is made on the way out and back, so that the head stands still once only.
   * @returns Where the run-up begins.
   */
  private turnTo(start: number, v: number, sense: number): number {
    const { ended, runUp, scan } = this
    const { way } = runUp
    if (ended !== null) {
      const out = ended.u + ended.sense * way
      const isNear = Math.abs(out - start) <= 2 * way + scan.pitch && Math.abs(v - ended.v) <= 1.5 * scan.pitch
      if (ended.sense === -sense && isNear) {
        const turn = ended.sense * Math.max(ended.sense * out, ended.sense * start)
        this.cut(ended.u, turn, (ended.v + v) / 2, 0)
        this.ended = null
        return turn
      }
    }
    this.runOut()
    this.rapid(start, v)
    return start
  }

  /** Runs out of the line that was burnt last. */
  runOut(): void {
    const { ended } = this
    this.ended = null
    if (ended !== null) this.cut(ended.u, ended.u + ended.sense * this.runUp.way, ended.v, 0)
  }

  private rapid(u: number, v: number): void {
    this.at = fromFrame(u, v, this.scan.angleRad)
    this.steps.push({ kind: 'rapid', ...this.at })
  }

  private cut(from: number, to: number, v: number, power: number): void {
    if (Math.abs(to - from) < 1e-6) return
    this.at = fromFrame(to, v, this.scan.angleRad)
    this.steps.push({ kind: 'line', ...this.at, feed: this.runUp.speed, power })
  }
}
