/** What a move is. */
export const MOVE = { rapid: 0, feed: 1, clockwise: 2, counterClockwise: 3, dwell: 4 } as const
export type MoveKind = keyof typeof MOVE

/** What the spindle words stand at: which of them means “beam on”, and how, is an output card's to say. */
export const SPINDLE = { off: 0, clockwise: 1, counterClockwise: 2 } as const

/** Moves as columns, so that a million of them are cheap and cross to a worker without a copy. */
export interface Moves {
  readonly count: number
  readonly kind: Uint8Array
  /** End of the move, mm in the coordinates of the work. */
  readonly x: Float64Array
  readonly y: Float64Array
  readonly z: Float64Array
  /** Centre of an arc in the two axes of its plane, mm. */
  readonly centreA: Float64Array
  readonly centreB: Float64Array
  /** 17, 18 or 19: the plane of an arc. */
  readonly plane: Uint8Array
  /** mm/s; of a dwell, its seconds. 0 for a rapid move. */
  readonly feed: Float64Array
  readonly spindle: Uint8Array
  /** The number behind S, in its own units. */
  readonly s: Float64Array
  /** Line of the program, counted from 1. */
  readonly line: Uint32Array
}

/** Grows by doubling where more come than were expected; `done` cuts the columns to their length. */
export class MoveWriter {
  columns: Moves
  private count = 0

  /** @param expected How many there will be, about. */
  constructor(expected: number) {
    this.columns = columnsOf(Math.max(64, Math.min(MOST_EXPECTED, expected)))
  }

  /** Makes room for one more and gives its place in the columns. */
  next(): number {
    if (this.count === this.columns.kind.length) this.columns = grown(this.columns)
    return this.count++
  }

  done(): Moves {
    const cut = (key: Exclude<keyof Moves, 'count'>) => this.columns[key].subarray(0, this.count)
    return { ...(Object.fromEntries(KEYS.map((key) => [key, cut(key)])) as unknown as Moves), count: this.count }
  }
}

/** More are not made room for beforehand. */
const MOST_EXPECTED = 2_000_000

const KEYS = ['kind', 'x', 'y', 'z', 'centreA', 'centreB', 'plane', 'feed', 'spindle', 's', 'line'] as const

function columnsOf(size: number): Moves {
  const floats = () => new Float64Array(size)
  return {
    count: 0,
    kind: new Uint8Array(size),
    x: floats(),
    y: floats(),
    z: floats(),
    centreA: floats(),
    centreB: floats(),
    plane: new Uint8Array(size),
    feed: floats(),
    spindle: new Uint8Array(size),
    s: floats(),
    line: new Uint32Array(size),
  }
}

function grown(columns: Moves): Moves {
  const next = columnsOf(columns.kind.length * 2)
  for (const key of KEYS) (next[key] as Float64Array).set(columns[key])
  return next
}
