import type { Mark } from './calipers'
import type { Hidden } from './hidden'
import type { Place } from './mechanics'

/** What lies on the bed: a sheet that shows lines burnt with energy enough. Other materials come with their own. */
export class Sheet {
  /** Burnt lines in the order of burning; null for one that left no mark. */
  readonly marks: (Mark | null)[] = []

  constructor(private readonly hidden: Hidden) {}

  /** @param energy Of the line, J/mm. */
  burn(from: Place, to: Place, energy: number): void {
    this.marks.push(burnt(from, to, energy, this.hidden))
  }

  /** A fresh sheet. */
  change(): void {
    this.marks.length = 0
  }
}

/** The mark that a line leaves; none where its energy is below the threshold. */
function burnt(from: Place, to: Place, energy: number, hidden: Hidden): Mark | null {
  const over = energy / hidden.threshold
  if (!(over > 1)) return null
  const width = 2 * hidden.radius * Math.sqrt(0.5 * Math.log(over))
  return { x0: from.x, y0: from.y, x1: to.x, y1: to.y, width, tone: 1 - 1 / over }
}
