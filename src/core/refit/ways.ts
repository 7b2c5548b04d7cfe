import { lengthFromAbove, type Piece } from './shape'

/** What a way is: passed over, burnt, or a place where the light stands. */
export const WAY = { dark: 0, lit: 1, dot: 2 } as const

type Ends = readonly [fromX: number, fromY: number, toX: number, toY: number]

/** Ends and centre in mm; `swept` in rad, 0 where it is straight; `feed` in mm/s, of a dot its seconds. */
const FLOATS = ['fromX', 'fromY', 'fromZ', 'toX', 'toY', 'toZ', 'centreX', 'centreY', 'swept', 'feed'] as const
type Floats = Readonly<Record<(typeof FLOATS)[number], Float64Array>>

/** Ways in their order as columns, so that a million of them are cheap. */
export class Ways {
  count = 0
  kind: Uint8Array
  line: Uint32Array
  at: Floats
  /** Parts of straight moves that come to the surface on their way, with the ends of the whole move. */
  private readonly wholes = new Map<number, Ends>()

  /** @param room For so many without growing. */
  constructor(room: number) {
    this.kind = new Uint8Array(room)
    this.line = new Uint32Array(room)
    this.at = floatsOf(room)
  }

  /** Puts a straight way behind the others. */
  straight(
    kind: number,
    fx: number,
    fy: number,
    fz: number,
    tx: number,
    ty: number,
    tz: number,
    feed: number,
    line: number,
  ): void {
    const n = this.room()
    const { at } = this
    this.kind[n] = kind
    this.line[n] = line
    at.fromX[n] = fx
    at.fromY[n] = fy
    at.fromZ[n] = fz
    at.toX[n] = tx
    at.toY[n] = ty
    at.toZ[n] = tz
    at.feed[n] = feed
  }

  /** Makes the last way an arc. */
  asArc(centreX: number, centreY: number, swept: number): void {
    const n = this.count - 1
    this.at.centreX[n] = centreX
    this.at.centreY[n] = centreY
    this.at.swept[n] = swept
  }

  /** Says of which straight move the last way is a part. */
  asPartOf(...ends: Ends): void {
    this.wholes.set(this.count - 1, ends)
  }

  /**
   * For each burnt way, the one that goes the same way as it is seen from above, whatever its sense; to a µm. That is the first of them; a ramp
   * that is a part of a way which is gone whole elsewhere is that way.
   */
  firstAlike(): Uint32Array {
    const first = new Uint32Array(this.count)
    const size = 2 ** Math.ceil(Math.log2(Math.max(2, 2 * this.count)))
    const table = new Int32Array(size).fill(-1)
    const hashes = new Uint32Array(this.count)
    for (let i = 0; i < this.count; i++) {
      first[i] = i
      if (this.kind[i] !== WAY.lit || this.wholes.has(i)) continue
      const hash = this.hashOf(i)
      hashes[i] = hash
      let slot = hash & (size - 1)
      for (; (table[slot] as number) >= 0; slot = (slot + 1) & (size - 1)) {
        const other = table[slot] as number
        if (hashes[other] !== hash || !this.areAlike(other, i)) continue
        first[i] = table[slot] as number
        break
      }
      if (first[i] === i) table[slot] = i
    }
    for (const [i, ends] of this.wholes) {
      if (this.kind[i] !== WAY.lit) continue
      for (let slot = hashOf(...ends) & (size - 1); (table[slot] as number) >= 0; slot = (slot + 1) & (size - 1)) {
        if (this.goesBetween(table[slot] as number, ends)) first[i] = table[slot] as number
      }
    }
    return first
  }

  /** Whether a way is straight and has these ends. */
  private goesBetween(i: number, [fx, fy, tx, ty]: Ends): boolean {
    const { fromX, fromY, toX, toY, swept } = this.at
    const isForward = near(fromX[i], fx) && near(fromY[i], fy) && near(toX[i], tx) && near(toY[i], ty)
    const isBack = near(fromX[i], tx) && near(fromY[i], ty) && near(toX[i], fx) && near(toY[i], fy)
    return swept[i] === 0 && (isForward || isBack)
  }

  /** A way as a piece. */
  pieceOf(i: number): Piece {
    const { fromX, fromY, fromZ, toX, toY, toZ, centreX, centreY, swept } = this.at
    const round = swept[i] as number
    return {
      from: [fromX[i] as number, fromY[i] as number, fromZ[i] as number],
      to: [toX[i] as number, toY[i] as number, toZ[i] as number],
      arc: round === 0 ? null : { x: centreX[i] as number, y: centreY[i] as number, swept: round },
    }
  }

  /** Length of a way as it is seen from above, mm. */
  lengthOf(i: number): number {
    const { fromX, fromY, toX, toY, swept } = this.at
    if (swept[i] !== 0) return lengthFromAbove(this.pieceOf(i))
    const [dx, dy] = [(toX[i] as number) - (fromX[i] as number), (toY[i] as number) - (fromY[i] as number)]
    return Math.sqrt(dx * dx + dy * dy)
  }

  private room(): number {
    if (this.count === this.kind.length) {
      const size = 2 * this.count
      const grown = floatsOf(size)
      for (const key of FLOATS) grown[key].set(this.at[key])
      this.at = grown
      const [kind, line] = [new Uint8Array(size), new Uint32Array(size)]
      kind.set(this.kind)
      line.set(this.line)
      this.kind = kind
      this.line = line
    }
    return this.count++
  }

  private hashOf(i: number): number {
    const { fromX, fromY, toX, toY } = this.at
    return hashOf(fromX[i] as number, fromY[i] as number, toX[i] as number, toY[i] as number)
  }

  private areAlike(i: number, k: number): boolean {
    const { fromX, fromY, toX, toY, centreX, centreY, swept } = this.at
    const isForward = near(fromX[i], fromX[k]) && near(fromY[i], fromY[k]) && near(toX[i], toX[k]) && near(toY[i], toY[k])
    const isBack = near(fromX[i], toX[k]) && near(fromY[i], toY[k]) && near(toX[i], fromX[k]) && near(toY[i], fromY[k])
    if (!isForward && !isBack) return false
    const [a, b] = [swept[i] as number, swept[k] as number]
    if (a === 0 && b === 0) return true
    if (!near(centreX[i], centreX[k]) || !near(centreY[i], centreY[k])) return false
    // A whole circle is the same in both senses.
    return (isForward && near(a, b)) || (isBack && near(a, -b))
  }
}

function near(p: number | undefined, q: number | undefined): boolean {
  return micro(p) === micro(q)
}

/** The same for both senses. */
function hashOf(fx: number, fy: number, tx: number, ty: number): number {
  const p = Math.imul(micro(fx), 73_856_093) ^ Math.imul(micro(fy), 19_349_663)
  const q = Math.imul(micro(tx), 73_856_093) ^ Math.imul(micro(ty), 19_349_663)
  const sum = Math.imul((p + q) | 0, 83_492_791)
  return (sum ^ (sum >>> 15)) >>> 0
}

function floatsOf(size: number): Floats {
  return Object.fromEntries(FLOATS.map((key) => [key, new Float64Array(size)])) as unknown as Floats
}

function micro(value: number | undefined): number {
  return Math.round((value as number) * 1000)
}
