import { runUp } from '../calibrate'
import { cardCells, type CardShape, type CellSetting, spreadCells } from '../burn'
import type { Step } from '../gcode'
import { GAP, layoutCard, MARK, MODULE, middleOf, type CardLayout } from './layout'
import { letters } from './lettering'

/** What a card's program is made with, beside the card. */
export interface CardMachine {
  /** mm/s². */
  readonly acceleration: number
  /** Seconds by which the light comes and goes behind its word; lines begin and end as much earlier. Null: nobody has measured it. */
  readonly onDelay: number | null
  readonly offDelay: number | null
}

/** Dark modules of a code, rows from the top. */
export type Modules = readonly (readonly boolean[])[]

/** Lines of a mark, of a module: no further apart than this, mm. */
const HATCH = 0.16

/**
 * The program of a card: marks, code and words, then the cells, spread. Scan lines all go one way,
 * in full motion.
 * @param modules Of its code; none: without one. @param lift Of the head for the card's own focus, mm.
 * @returns Steps from the card's lower left corner at its origin. @throws {RangeError} where its values cannot be.
 * Valid: a card as its schema has it. Source: by definition.
 */
export function cardSteps(card: CardShape, modules: Modules, machine: CardMachine): readonly Step[] {
  const layout = layoutCard(card)
  const writer = new CardWriter(card, machine)
  const darkest = markSetting(card, machine)
  writer.remark(`Test card ${card.code}`)
  writer.lift(darkest.focus)
  for (const { x, y } of layout.marks) writer.hatch(markRuns(x, y), darkest)
  writer.hatch(codeRuns(layout, modules), darkest)
  for (const { text, x, y, height } of layout.words) {
    for (const line of letters(text, x, y, height)) writer.trace(line, { ...darkest, speed: darkest.speed / 2 })
  }
  for (const cell of spreadCells(cardCells(card))) {
    const { x, y } = middleOf(layout, cell.column, cell.row)
    writer.remark(`Cell ${cell.id}`)
    writer.lift(cell.focus)
    const [left, bottom] = [x - layout.cell / 2, y - layout.cell / 2]
    if (card.does === 'cut') writer.outline(left, bottom, layout.cell, cell)
    else writer.area(left, bottom, layout.cell, cell)
  }
  writer.lift(0)
  return writer.end()
}

/** Where the delay is not known, marks and code are burnt no faster, mm/s: fifteen milliseconds shift an edge by a quarter of a module. */
const SLOW = 10
/** Less power than this may be no light at all (common practice). */
const SURELY_LIGHT = 0.5

/** What marks, code and words are burnt with: as the card says; slower, with less power, where nobody knows how late the light comes. */
export function markSetting(card: CardShape, machine: CardMachine): CellSetting {
  const { markPower: power, markSpeed: speed } = card
  const common = { pitch: HATCH, passes: 1, focus: card.focus }
  if (machine.onDelay !== null || speed <= SLOW) return { power, speed, ...common }
  return { power: Math.min(power, Math.max(SURELY_LIGHT, (power * SLOW) / speed)), speed: SLOW, ...common }
}

/** A scan line with its lit pieces from the left, mm on the card. */
interface Run {
  readonly y: number
  readonly pieces: readonly (readonly [from: number, to: number])[]
}

/** Scan lines that fill a mark. */
function markRuns(x: number, y: number): readonly Run[] {
  const { dot, inner, outer } = MARK
  const lines = Math.ceil((2 * outer) / HATCH)
  return Array.from({ length: lines }, (_, i): Run => {
    const dy = -outer + (2 * outer * (i + 0.5)) / lines
    const half = (radius: number): number => Math.sqrt(Math.max(0, radius * radius - dy * dy))
    const [a, b, c] = [half(outer), half(inner), half(dot)]
    const pieces: readonly (readonly [number, number])[] =
      b > 0 ? [[-a, -b], ...(c > 0 ? [[-c, c] as const] : []), [b, a]] : [[-a, a]]
    return { y: y + dy, pieces: pieces.map(([from, to]) => [x + from, x + to]) }
  })
}

/** Scan lines that fill the dark modules of a code. */
function codeRuns({ code }: CardLayout, modules: Modules): readonly Run[] {
  const lines = Math.ceil(MODULE / HATCH)
  return modules.flatMap((row, fromTop) => {
    const runs: [number, number][] = []
    row.forEach((isDark, i) => {
      const last = runs.at(-1)
      if (isDark && last?.[1] === i) last[1] = i + 1
      else if (isDark) runs.push([i, i + 1])
    })
    const bottom = code.y + (modules.length - 1 - fromTop) * MODULE
    const pieces = runs.map(([from, to]) => [code.x + from * MODULE, code.x + to * MODULE] as const)
    return Array.from({ length: lines }, (_, k): Run => ({ y: bottom + ((k + 0.5) * MODULE) / lines, pieces }))
  })
}

/** Gathers the steps of a card. */
class CardWriter {
  private readonly steps: Step[] = []
  private height = 0

  constructor(
    private readonly card: CardShape,
    private readonly machine: CardMachine,
  ) {}

  remark(text: string): void {
    this.steps.push({ kind: 'remark', text })
  }

  /** Raises the head; a machine whose Z nobody moves gets no word for it. */
  lift(focus: number): void {
    if (focus === this.height) return
    const last = this.steps.findLast((it) => 'x' in it)
    const place = last !== undefined && 'x' in last ? { x: last.x, y: last.y } : { x: this.card.originX, y: this.card.originY }
    this.steps.push({ kind: 'rapid', ...place, z: focus })
    this.height = focus
  }

  hatch(runs: readonly Run[], setting: CellSetting): void {
    for (const run of runs) this.fly(run, setting)
  }

  area(x: number, y: number, side: number, setting: CellSetting): void {
    const lines = Math.max(1, Math.round(side / setting.pitch))
    for (let pass = 0; pass < setting.passes; pass++) {
      for (let i = 0; i < lines; i++) this.fly({ pieces: [[x, x + side]], y: y + (i + 0.5) * setting.pitch }, setting)
    }
  }

  /** One scan line: up to its speed in the dark, its pieces, and down again behind them. */
  private fly({ pieces, y }: Run, { speed, power }: CellSetting): void {
    const first = pieces[0]
    if (first === undefined) return
    const { acceleration } = this.machine
    const [onDelay, offDelay] = [this.machine.onDelay ?? 0, this.machine.offDelay ?? 0]
    const { originX, originY } = this.card
    const run = runUp(speed, acceleration)
    const at = originY + y
    const dark = (x: number): void => void this.steps.push({ kind: 'line', x, y: at, feed: speed, power: 0 })
    this.steps.push({ kind: 'rapid', x: originX + first[0] - speed * onDelay - run, y: at })
    let end = -Infinity
    for (const [from, to] of pieces) {
      const begin = Math.max(end, originX + from - speed * onDelay)
      // Where the light comes later than the whole piece is long there is nothing to burn.
      end = Math.max(begin, originX + to - speed * offDelay)
      dark(begin)
      this.steps.push({ kind: 'line', x: end, y: at, feed: speed, power })
    }
    dark(end + run)
  }

  /** A square along its edge, once for each pass. */
  outline(x: number, y: number, side: number, setting: CellSetting): void {
    const corners = [
      [x, y],
      [x + side, y],
      [x + side, y + side],
      [x, y + side],
      [x, y],
    ] as const
    for (let pass = 0; pass < setting.passes; pass++) this.trace(corners, setting)
  }

  trace(line: readonly (readonly [number, number])[], { speed, power }: CellSetting): void {
    const { originX, originY } = this.card
    line.forEach(([x, y], i) => {
      const place = { x: originX + x, y: originY + y }
      this.steps.push(i === 0 ? { kind: 'rapid', ...place } : { kind: 'line', ...place, feed: speed, power })
    })
  }

  end(): readonly Step[] {
    const { originX: x, originY: y } = this.card
    return [...this.steps, { kind: 'rapid', x, y }]
  }
}

/** Scan lines of all marks and of the code, and how wide they are in the middle, mm. */
const MARK_LINES = { count: (7 * 2 * MARK.outer + MODULE * 21) / HATCH, wide: 7 } as const
/** Seconds to go back and begin the next line. */
const BACK = 0.3

/**
 * Seconds that a card takes. @param marks What its marks are burnt with. @param side Of a cell, mm.
 * @throws {RangeError} where a run-up cannot be.
 * Valid: a rough sum, without the ways between cells. Source: lines·(w/v + 2·run/v + the way back) (common practice).
 * @example cardSeconds([{ speed: 50, pitch: 0.1, passes: 1 }], { speed: 20 }, 5, { acceleration: 1000, onDelay: 0, offDelay: 0 }) // 290.0
 */
export function cardSeconds(
  cells: readonly Pick<CellSetting, 'speed' | 'pitch' | 'passes'>[],
  marks: Pick<CellSetting, 'speed'>,
  side: number,
  { acceleration }: CardMachine,
): number {
  const lineSeconds = (wide: number, speed: number): number => (wide + 2 * runUp(speed, acceleration)) / speed + BACK
  return cells.reduce(
    (sum, { speed, pitch, passes }) => sum + Math.max(1, Math.round(side / pitch)) * passes * lineSeconds(side, speed),
    MARK_LINES.count * lineSeconds(MARK_LINES.wide, marks.speed),
  )
}

/**
 * Room that run-ups need to the left of a card and to its right, mm. @throws {RangeError} where its values cannot be.
 * Valid: even acceleration. Source: v²/2a for the marks, which stand at the edges, and for the cells, which have the card's own room.
 */
export function cardRoom(card: CardShape, machine: CardMachine): { readonly left: number; readonly right: number } {
  const { width, marks, cells, cell, columns } = layoutCard(card)
  const wayOf = (speed: number): number => runUp(speed, machine.acceleration)
  const lateOf = (speed: number): number => speed * (machine.onDelay ?? 0)
  const mark = markSetting(card, machine).speed
  const fastest = Math.max(...cardCells(card).map((it) => it.speed))
  const edge = Math.min(...marks.map((it) => it.x)) - MARK.outer
  const end = cells.x + columns * cell + (columns - 1) * GAP
  return {
    left: Math.max(0, wayOf(mark) + lateOf(mark) - edge, wayOf(fastest) + lateOf(fastest) - cells.x),
    right: Math.max(0, wayOf(mark) - edge, wayOf(fastest) - (width - end)),
  }
}
