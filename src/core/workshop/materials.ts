import type { Mark } from './calipers'
import type { Fall } from './surface'
import { spotOver, type SheetLie } from './spot'
import type { Hidden } from './hidden'
import type { Place } from './mechanics'

/** Pulses that lie further apart than this share of the spot can be told apart. */
const DOTTED = 0.7
/** Lines that begin and end within so many mm of one another are one line in several passes. */
const SAME = 0.3
/** Cosine of a turn that still counts as going straight on. */
const STRAIGHT = 0.999

/** What lies on the bed: a sheet that shows lines burnt with energy enough. Other materials come with their own. */
export class Sheet {
  /** Burnt lines in the order of burning; null for one that left no mark. */
  readonly marks: (Mark | null)[] = []
  private lie: SheetLie = { kind: 'flat' }
  /** Light as it fell, for what the sheet looks like. */
  readonly falls: Fall[] = []

  constructor(private readonly hidden: Hidden) {}

  /**
   * @param energy Of the line, J/mm. @param speed mm/s. @param pulse Way of the head from one pulse of the signal to the next, mm.
   * @param raised The head above where it hangs, mm. @param since What had fallen before its move began: chords of one arc are no passes.
   */
  burn(from: Place, to: Place, line: { energy: number; speed: number; pulse: number; raised: number; since: number }): void {
    const { energy, speed, pulse, raised, since } = line
    const all = energy + this.before(from, to, since)
    const spot = spotOver(this.hidden, this.lie, from, to, raised)
    this.falls.push({ from, to, energy, speed, radius: spot.radius, order: spot.order })
    const mark = burnt(from, to, energy, this.hidden, this.lie, { ...spot, all })
    this.marks.push(mark === null ? null : { ...mark, dotted: pulse > DOTTED * 2 * this.hidden.radius })
  }

  /** The light came too late for this line. */
  miss(): void {
    this.marks.push(null)
  }

  /** The last line goes on to a place that lies straight ahead of it. */
  goOn({ x, y }: Place): void {
    const last = this.marks.at(-1) ?? null
    if (last === null) return
    const [dx, dy, ex, ey] = [last.x1 - last.x0, last.y1 - last.y0, x - last.x1, y - last.y1]
    const [whole, more] = [Math.hypot(dx, dy), Math.hypot(ex, ey)]
    if (more > 0 && (whole === 0 || dx * ex + dy * ey > STRAIGHT * whole * more)) {
      this.marks[this.marks.length - 1] = { ...last, x1: x, y1: y }
      const fall = this.falls.at(-1)
      if (fall !== undefined) this.falls[this.falls.length - 1] = { ...fall, to: { x, y } }
    }
  }

  /** A fresh sheet, and how it lies. */
  change(lie: SheetLie = { kind: 'flat' }): void {
    this.marks.length = 0
    this.falls.length = 0
    this.lie = lie
  }

  /** Energy of earlier passes over the same line, either way, J/mm. */
  private before(from: Place, to: Place, since: number): number {
    const isNear = (p: Place, q: Place): boolean =>
      Math.abs(p.y - q.y) < SAME && Math.abs(p.x - q.x) < SAME && Math.hypot(p.x - q.x, p.y - q.y) < SAME
    return this.falls
      .slice(0, since)
      .filter((it) => (isNear(it.from, from) && isNear(it.to, to)) || (isNear(it.from, to) && isNear(it.to, from)))
      .reduce((sum, it) => sum + it.energy, 0)
  }

  /** What a board or a gauge would show of how it lies, mm; null where there is no such thing. */
  board(what: 'gap' | 'lift' | 'run'): number | null {
    const { lie, hidden } = this
    if (lie.kind === 'tilted') return what === 'gap' ? hidden.beam.head + lie.lift / 2 : lie[what]
    return what === 'gap' ? hidden.beam.head + (lie.kind === 'lower' ? lie.by : 0) : null
  }
}

/** The mark that a line leaves; none where its energy is below the threshold. */
function burnt(
  from: Place,
  to: Place,
  energy: number,
  hidden: Hidden,
  lie: SheetLie,
  spot: { readonly radius: number; readonly order: number; readonly dose: number; readonly all: number },
): Mark | null {
  const { radius, order, dose, all } = spot
  const over = (energy / hidden.threshold) * dose
  if (!(over > 1)) return null
  const width = 2 * radius * (0.5 * Math.log(over)) ** (1 / order)
  const mark = { x0: from.x, y0: from.y, x1: to.x, y1: to.y, width, tone: 1 - 1 / over, pointer: hidden.pointer }
  if (all < hidden.cut.energy || lie.kind !== 'flat') return mark
  const isUpright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x)
  const top = isUpright ? hidden.cut.x : hidden.cut.y
  return { ...mark, cut: { top, bottom: Math.max(0.01, top - hidden.cut.taper) } }
}
