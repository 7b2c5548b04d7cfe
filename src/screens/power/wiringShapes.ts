import { roleOf, type BlockId, type WireKind } from '../../core/electrical'

/** A column and a row of the drawing, px. */
export const CELL = { w: 234, h: 116 }
/** Steps in which a block is moved, in columns and rows. */
export const GRID = { x: 6, y: 4 }
const WIDE = { w: 150, h: 84 }
const SMALL = { w: 64, h: 84 }

/** A block on the drawing, px. */
export interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

/** Contacts and what stands on the mains are drawn small, so that a chain of them can be read. */
export function isSmall(kind: BlockId): boolean {
  return roleOf(kind) === 'contact' || roleOf(kind) === 'mains'
}

/** Where a block stands. @param x In columns. @param y In rows. */
export function boxOf(kind: BlockId, x: number, y: number): Box {
  return { x: x * CELL.w, y: y * CELL.h, ...(isSmall(kind) ? SMALL : WIDE) }
}

/** The nearest place of the grid, in columns and rows. */
export function onGrid(x: number, y: number): { readonly x: number; readonly y: number } {
  return { x: Math.round(x * GRID.x) / GRID.x, y: Math.round(y * GRID.y) / GRID.y }
}

/** A wire as it is drawn, and where its numbers stand; null where there is no room for them. */
export interface Drawn {
  readonly d: string
  readonly end: readonly [number, number]
  readonly label: { readonly x: number; readonly y: number; readonly anchor: 'end' | 'start' } | null
  /** About the middle of it, for a mark. */
  readonly middle: readonly [number, number]
}

/** Room that two numbers need beside a wire, px. */
const LABEL = 70
const BEFORE = 66

/** How high at its sides a wire leaves and enters, of a block's height: signals below the rail. */
const AT: Readonly<Record<WireKind, number>> = { rail: 0.5, mains: 0.5, signal: 0.8, earth: 0.92 }

/** A wire between two blocks: round corners to the right, straight down between what stands above one another, or back round. */
export function drawnWire(a: Box, b: Box, kind: WireKind): Drawn {
  const [x0, y0] = [a.x + a.w, a.y + a.h * AT[kind]]
  const [x1, y1] = [b.x, b.y + b.h * AT[kind]]
  if (x1 >= x0) return toTheRight(x0, y0, x1, y1, kind === 'rail' ? BEFORE : 22)
  const isOver = a.x < b.x + b.w && b.x < a.x + a.w
  if (isOver && Math.abs(a.y - b.y) > Math.min(a.h, b.h)) return upright(a, b)
  const between = Math.max(a.y + a.h, b.y + b.h) + 14
  const d = `M${x0} ${y0}H${x0 + 14}V${between}H${x1 - 14}V${y1}H${x1}`
  return { d, end: [x1, y1], label: null, middle: [(x0 + x1) / 2, between] }
}

/** @param before How far before its end it turns. */
function toTheRight(x0: number, y0: number, x1: number, y1: number, before: number): Drawn {
  const gap = x1 - x0
  const turn = gap > before + 8 ? x1 - before : x0 + gap / 2
  const d = y0 === y1 ? `M${x0} ${y0}H${x1}` : `M${x0} ${y0}H${turn}V${y1}H${x1}`
  const label = gap >= LABEL ? ({ x: x1 - 6, y: y1, anchor: 'end' } as const) : null
  return { d, end: [x1, y1], label, middle: [turn, (y0 + y1) / 2] }
}

function upright(a: Box, b: Box): Drawn {
  const down = b.y > a.y
  const [from, to] = [Math.max(a.x, b.x), Math.min(a.x + a.w, b.x + b.w)]
  const x = (from + to) / 2
  const [y0, y1] = down ? [a.y + a.h, b.y] : [a.y, b.y + b.h]
  return {
    d: `M${x} ${y0}V${y1}`,
    end: [x, y1],
    label: { x: x + 8, y: (y0 + y1) / 2, anchor: 'start' },
    middle: [x, (y0 + y1) / 2],
  }
}

/** A name on two lines of at most so many letters, drawn together as far as it can be read. */
export function onTwoLines(name: string, letters: number): readonly string[] {
  const lines: string[] = ['']
  for (const word of name.split(' ')) {
    const last = lines.at(-1) ?? ''
    const longer = last === '' ? word : `${last} ${word}`
    if (longer.length <= letters || last === '') lines[lines.length - 1] = longer
    else lines.push(word)
  }
  const [first = '', ...rest] = lines
  const second = rest.join(' ')
  const cut = (text: string): string => (text.length > letters + 1 ? `${text.slice(0, letters)}…` : text)
  return second === '' ? [cut(first)] : [cut(first), cut(second)]
}
