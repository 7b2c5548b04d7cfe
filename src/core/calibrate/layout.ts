import type { ScaleRun } from './runSlice'

/** What of a run says where its marks are. */
export type RunShape = Pick<ScaleRun, 'origin' | 'ticks' | 'repeats' | 'corner'>

/** One burnt line, mm of the work's coordinates, in the order of burning. */
export interface Stroke {
  /** What it is called on the plate and in the program: X0, Y2, A. */
  readonly label: string
  /** The axis it marks a place of: an upright line marks X. */
  readonly marks: 'x' | 'y'
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
  /** From which side its place is approached: 1 from below, as all others; −1 from beyond, so that backlash shows. */
  readonly approach: 1 | -1
}

/** What is read between two marks: the same edge of both, the outside of both, or centre to centre of two crosses. */
export type Edges = 'like' | 'over' | 'beyond' | 'centres'

/** One reading of a run. */
export interface ReadingDef {
  readonly id: string
  readonly axis: 'x' | 'y' | 'diagonal'
  readonly edges: Edges
  /** Places of the strokes in their order; of a cross the upright and the level one. */
  readonly from: readonly number[]
  readonly to: readonly number[]
  readonly commanded: number
  /** X0 to X3, left edges. */
  readonly words: string
}

const TICK = 6
const TALL = 14
const SECOND_ROW = 8
const ARM = 4
const STOPS = ['short', 'middle', 'long'] as const

/** The lines of a scale run, in the order of burning. All are approached from below, but for the two marked so. */
export function strokesOf({ origin, ticks, corner }: RunShape): readonly Stroke[] {
  const upright = (label: string, x: number, y0: number, y1: number, approach: 1 | -1 = 1): Stroke => ({
    label,
    marks: 'x',
    x0: origin.x + x,
    x1: origin.x + x,
    y0: origin.y + y0,
    y1: origin.y + y1,
    approach,
  })
  const level = (label: string, y: number, x0: number, x1: number, approach: 1 | -1 = 1): Stroke => ({
    label,
    marks: 'y',
    x0: origin.x + x0,
    x1: origin.x + x1,
    y0: origin.y + y,
    y1: origin.y + y,
    approach,
  })
  const { x: a, y: b } = corner
  return [
    upright('X0', 0, 0, TALL),
    upright('X1', ticks.x.short, 0, TICK),
    upright('X2', ticks.x.middle, 0, TICK),
    upright('X3', ticks.x.long, 0, TICK),
    upright('X3 back', ticks.x.long, SECOND_ROW, TALL, -1),
    level('Y0', 0, 0, TALL),
    level('Y1', ticks.y.short, 0, TICK),
    level('Y2', ticks.y.middle, 0, TICK),
    level('Y3', ticks.y.long, 0, TICK),
    level('Y3 back', ticks.y.long, SECOND_ROW, TALL, -1),
    ...[['A', a, 0] as const, ['B', a, b] as const, ['C', 0, b] as const].flatMap(([label, x, y]) => [
      upright(label, x, y - ARM, y + ARM),
      level(label, y, x - ARM, x + ARM),
    ]),
  ]
}

const AT = { x: 0, y: 5, a: 10, b: 12, c: 14 } as const

/** What is read of a run, in the order in which the calipers go: along X, along Y, the diagonals. */
export function readingDefs(shape: RunShape): readonly ReadingDef[] {
  const { ticks, corner } = shape
  const along = (axis: 'x' | 'y'): ReadingDef[] => {
    const letter = axis.toUpperCase()
    const edge = axis === 'x' ? 'left edges' : 'lower edges'
    const first = AT[axis]
    const def = (stop: (typeof STOPS)[number], edges: Edges, id: string, words: string): ReadingDef => ({
      id: `${axis}-${id}`,
      axis,
      edges,
      from: [first],
      to: [first + (edges === 'beyond' ? 4 : STOPS.indexOf(stop) + 1)],
      commanded: ticks[axis][stop],
      words,
    })
    const name = (stop: (typeof STOPS)[number]): string => `${letter}0 to ${letter}${STOPS.indexOf(stop) + 1}`
    const like = STOPS.flatMap((stop) =>
      Array.from({ length: stop === 'middle' ? 1 : shape.repeats }, (_, i) =>
        def(stop, 'like', `like-${stop}-${i + 1}`, `${name(stop)}, ${edge}${i > 0 ? ', again' : ''}`),
      ),
    )
    return [
      ...like,
      def('short', 'over', 'over-short', `${name('short')}, over the outside`),
      def('long', 'over', 'over-long', `${name('long')}, over the outside`),
      def('long', 'beyond', 'back-long', `${letter}0 to ${letter}3 back, ${edge}`),
    ]
  }
  const diagonal = Math.hypot(corner.x, corner.y)
  const across = (id: string, words: string, from: readonly number[], to: readonly number[]): ReadingDef => ({
    id,
    axis: 'diagonal',
    edges: 'centres',
    from,
    to,
    commanded: diagonal,
    words,
  })
  return [
    ...along('x'),
    ...along('y'),
    across('diagonal-origin', 'First crossing to cross B, centre to centre', [AT.x, AT.y], [AT.b, AT.b + 1]),
    across('diagonal-across', 'Cross A to cross C, centre to centre', [AT.a, AT.a + 1], [AT.c, AT.c + 1]),
  ]
}

/** The box that the marks take up with their approaches, mm of the work's coordinates. */
export function reachOf({ origin, ticks, corner }: RunShape): {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
} {
  const over = ARM + 1
  return {
    minX: origin.x - over,
    minY: origin.y - over,
    maxX: origin.x + Math.max(ticks.x.long, corner.x) + over,
    maxY: origin.y + Math.max(ticks.y.long, corner.y) + over,
  }
}

/**
 * A run as a program through a card really commands it: every mark where its rounded coordinates are.
 * @param round The coordinate that is commanded for one that is wanted, mm (`asCommanded` of gcode, with the card).
 */
export function roundedRun({ origin, ticks, repeats, corner }: RunShape, round: (mm: number) => number): RunShape {
  const from = { x: round(origin.x), y: round(origin.y) }
  const place = (axis: 'x' | 'y', at: number): number => round(from[axis] + at) - from[axis]
  const along = (axis: 'x' | 'y') => ({
    short: place(axis, ticks[axis].short),
    middle: place(axis, ticks[axis].middle),
    long: place(axis, ticks[axis].long),
  })
  return {
    origin: from,
    ticks: { x: along('x'), y: along('y') },
    repeats,
    corner: { x: place('x', corner.x), y: place('y', corner.y) },
  }
}
