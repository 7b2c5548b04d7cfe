import { between, normal, seeded } from './random'
import { shuffled } from './table'

/** A mug as it lies on the bench. Lengths in mm, masses in kg; places are counted from its mouth. */
export interface LyingMug {
  readonly length: number
  readonly sections: readonly { readonly at: number; readonly diameter: number }[]
  readonly bore: number
  readonly boreDepth: number
  readonly mass: number
  readonly handleOut: number
  readonly handleFrom: number
  readonly handleTo: number
}

/** A mug, what calipers and scales say of it, and three discs on the shelf, of which one fits its bore. */
export interface MugTable {
  readonly truth: LyingMug
  readonly read: LyingMug
  readonly discs: readonly { readonly id: string; readonly outer: number; readonly fits: boolean }[]
  /** From where to where the work goes. */
  readonly work: { readonly from: number; readonly to: number }
}

/** What calipers scatter by, one standard deviation, mm. */
const CALIPERS = 0.02

/** Lays a mug and three discs on the bench. @param number The same number, the same mug. */
export function drawMug(number: number): MugTable {
  const random = seeded(number ^ 0x6d_75_67)
  const rim = between(random, 78, 92)
  const length = Math.round(between(random, 78, 102))
  const taper = between(random, 0.2, 2.4)
  const bore = rim - 2 * between(random, 1.6, 3.6)
  const truth: LyingMug = {
    length,
    sections: [0, 0.3, 0.7, 1].map((share) => ({ at: Math.round(share * length), diameter: rim - taper * share })),
    bore,
    boreDepth: length - between(random, 3, 6),
    mass: between(random, 0.15, 0.4),
    handleOut: between(random, 24, 36),
    handleFrom: 12,
    handleTo: length - 14,
  }
  const by = (value: number): number => Math.round((value + CALIPERS * normal(random)) * 100) / 100
  const rule = (value: number): number => Math.round(value * 2) / 2
  const read: LyingMug = {
    length: rule(truth.length),
    sections: truth.sections.map(({ at, diameter }) => ({ at, diameter: by(diameter) })),
    bore: by(truth.bore),
    boreDepth: rule(truth.boreDepth),
    mass: Math.round(truth.mass * 1000) / 1000,
    handleOut: rule(truth.handleOut),
    handleFrom: rule(truth.handleFrom),
    handleTo: rule(truth.handleTo),
  }
  const discs = shuffled(
    [
      { outer: by(bore - between(random, 0.2, 0.4)), fits: true },
      { outer: by(bore + between(random, 0.4, 2)), fits: false },
      { outer: by(bore - between(random, 4, 9)), fits: false },
    ],
    random,
  )
  return {
    truth,
    read,
    discs: discs.map((it, k) => ({ id: `disc-${k + 1}`, ...it })),
    work: { from: Math.round(length * 0.32), to: Math.round(length * 0.66) },
  }
}
