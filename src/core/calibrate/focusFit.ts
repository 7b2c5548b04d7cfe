import { linePeak } from '../optics'
import { solveLinear } from './linear'

/** A burnt line: how far its place lies from the head, its energy, and how wide it is. */
export interface FocusWidth {
  /** Gap between head and surface, mm. */
  readonly gap: number
  /** J/mm, or in any unit that all share. */
  readonly energy: number
  /** mm. */
  readonly width: number
}

/** A beam through focus, fitted. */
export interface FocusFit {
  /** Gap at focus, mm. */
  readonly gap: number
  /** Radius at focus, mm. */
  readonly radius: number
  /** Rayleigh length, mm. */
  readonly rayleigh: number
  /** Dose from which a line marks, J/mm², in the unit of the energies. */
  readonly threshold: number
  /** Order of the profile: 2 for a Gaussian, more the flatter. */
  readonly order: number
  /** Root of the mean square of what is left, mm. */
  readonly scatter: number
}

/** Lines that a fit needs, and more of them where the order of a flat side is sought too. */
const LEAST_WIDTHS = 6
const MORE_FOR_FLAT = 3

/** Whether lines that left a mark are enough for all of the beam: of two energies at least, and more than the unknowns. Source: by definition. */
export function areEnough(lines: readonly Pick<FocusWidth, 'energy'>[], isFlat: boolean): boolean {
  const least = LEAST_WIDTHS + (isFlat ? MORE_FOR_FLAT : 0)
  return lines.length >= least && new Set(lines.map((it) => it.energy)).size > 1
}
const TURNS = 100
const SETTLED = 1e-10
/** Half the logarithm of dose over threshold is not taken nearer to 0, where a flat side's edge has no slope. */
const NEAR = 1e-3

/** Orders of a profile between which the flat side's is looked for. */
const ORDERS = [2, 24] as const
/** How flat a side is is held near what it is thought to be: six tenths off weigh as much as 0.008 mm of a width. */
const HELD = 0.008 / 0.6

/** A side that is flat, of about this order. */
export interface Flat {
  readonly about: number
}

/**
 * The beam through focus in one axis, from widths of lines of several energies at several gaps: D^n = (2w)^n·½ ln(E·p(w)/F),
 * w through focus by ISO 11146-1; all lines at once by damped least squares.
 * @param order Of the side across the lines, 2 or more; or flat, about which its order is found too.
 * @returns Null where lines are too few, of one energy, or do not settle it. @throws {RangeError} for an order below 2.
 * Valid: a sharp threshold, gaps on both sides of focus. Source: Liu (1982) (from memory), ISO 11146-1; Levenberg and Marquardt.
 */
export function fitFocus(lines: readonly FocusWidth[], order: number | Flat): FocusFit | null {
  const seen = lines.filter((it) => it.width > 0)
  if (!areEnough(seen, typeof order !== 'number')) return null
  const gaps = seen.map((it) => it.gap)
  const [low, high] = [Math.min(...gaps), Math.max(...gaps)]
  const span = high - low
  if (!(span > 0)) return null
  const narrow = Math.min(...seen.map((it) => it.width)) / 2
  const faintest = Math.min(...seen.map((it) => it.energy))
  const law = new WidthLaw(seen, order)
  const beginning = (share: number): number[] => [
    low + share * span,
    Math.log(narrow),
    Math.log(0.35 * span),
    Math.log((faintest / narrow) * 0.25),
    ...(typeof order === 'number' ? [] : [Math.log(order.about)]),
  ]
  // About the middle first; where that leads nowhere, from nearer the ends.
  const found = [0.5, 0.3, 0.7].reduce<Settled | null>((best, share) => best ?? settle(law, beginning(share)), null)
  if (found === null) return null
  const [gap = 0, radius = 0, rayleigh = 0, threshold = 0] = found.p
  // A focus far outside of what was burnt is no finding.
  if (gap < low - span || gap > high + span) return null
  const flatness = law.orderAt(found.p)
  return {
    gap,
    radius: Math.exp(radius),
    rayleigh: Math.exp(rayleigh),
    threshold: Math.exp(threshold) * linePeak({ radius: 1, order: flatness }),
    order: flatness,
    scatter: Math.sqrt(found.sum / seen.length),
  }
}

/** Place of focus, and logarithms of radius, Rayleigh length, threshold over the profile's peak, and order where it is sought. */
interface Settled {
  readonly p: readonly number[]
  /** Squares of what is left, mm². */
  readonly sum: number
}

/** What widths a beam would burn, against those that were read, and how they change with each unknown. */
class WidthLaw {
  private readonly gaps: Float64Array
  private readonly energies: Float64Array
  private readonly widths: Float64Array
  private readonly slopes: Float64Array
  /** Of the equations that the next step solves. */
  readonly matrix: number[][]
  readonly right: number[]

  constructor(
    lines: readonly FocusWidth[],
    private readonly order: number | Flat,
  ) {
    this.gaps = Float64Array.from(lines, (it) => it.gap)
    this.energies = Float64Array.from(lines, (it) => Math.log(it.energy))
    this.widths = Float64Array.from(lines, (it) => it.width)
    const n = typeof order === 'number' ? 4 : 5
    this.slopes = new Float64Array(n)
    this.matrix = Array.from({ length: n }, () => Array.from({ length: n }, () => 0))
    this.right = Array.from({ length: n }, () => 0)
  }

  orderAt(p: readonly number[]): number {
    const { order } = this
    return typeof order === 'number' ? order : Math.min(ORDERS[1], Math.max(ORDERS[0], Math.exp(p[4] ?? 0)))
  }

  /**
   * Fills matrix and right side for a place, and gives the squares of what is left, mm². What is left of a line is its squared
   * width less the model's, over twice its width: smooth at the threshold, below which the model's goes on as a negative number.
   */
  gather(p: readonly number[]): number {
    const [at = 0, logRadius = 0, logRayleigh = 0, logThreshold = 0] = p
    const [radius, rayleigh, power] = [Math.exp(logRadius), Math.exp(logRayleigh), 2 / this.orderAt(p)]
    const { gaps, energies, widths, slopes, matrix, right } = this
    const n = right.length
    for (let i = 0; i < n; i++) {
      right[i] = 0
      ;(matrix[i] as number[]).fill(0)
    }
    let sum = 0
    for (let k = 0; k < gaps.length; k++) {
      const width = widths[k] as number
      const t = ((gaps[k] as number) - at) / rayleigh
      const q = 1 + t * t
      const w = radius * Math.sqrt(q)
      const half = ((energies[k] as number) - Math.log(w) - logThreshold) / 2
      const size = Math.max(Math.abs(half), NEAR)
      const squared = 4 * w * w * Math.sign(half) * size ** power
      // Slope of the squared width in the logarithm of the dose over the threshold.
      const inDose = 2 * w * w * power * size ** (power - 1)
      const inRadius = 2 * squared - inDose
      slopes[0] = (-inRadius * t) / (rayleigh * q)
      slopes[1] = inRadius
      slopes[2] = (-inRadius * t * t) / q
      slopes[3] = -inDose
      if (n > 4) slopes[4] = -squared * power * Math.log(size)
      const left = (width * width - squared) / (2 * width)
      sum += left * left
      for (let i = 0; i < n; i++) {
        const a = (slopes[i] as number) / (2 * width)
        right[i] = (right[i] as number) + a * left
        const row = matrix[i] as number[]
        for (let j = 0; j < n; j++) row[j] = (row[j] as number) + (a * (slopes[j] as number)) / (2 * width)
      }
    }
    if (typeof this.order === 'number') return sum
    const off = Math.log(this.order.about) - (p[4] ?? 0)
    const row = matrix[4] as number[]
    row[4] = (row[4] as number) + HELD * HELD
    right[4] = (right[4] as number) + HELD * HELD * off
    return sum + (HELD * off) ** 2
  }
}

function settle(law: WidthLaw, from: readonly number[]): Settled | null {
  let p = from
  let sum = law.gather(p)
  let damping = 1e-2
  for (let turn = 0; turn < TURNS; turn++) {
    const damped = law.matrix.map((row, i) => row.map((it, j) => (i === j ? it * (1 + damping) : it)))
    const step = solveLinear(damped, law.right)
    if (step?.every(Number.isFinite) !== true) return null
    const next = p.map((it, i) => it + Math.max(-2, Math.min(2, step[i] as number)))
    const then = law.gather(next)
    if (then < sum) {
      const gained = (sum - then) / sum
      p = next
      sum = then
      damping = Math.max(1e-9, damping / 5)
      if (gained < SETTLED) return { p, sum }
    } else {
      damping *= 7
      if (damping > 1e9) return { p, sum }
      law.gather(p)
    }
  }
  return null
}

/** Lines of one energy that its middle needs. */
export const LEAST_FOR_MIDDLE = 5

/**
 * Gap at focus from lines of one energy: the middle about which their widths are alike, D² = a + b·t² + c·t⁴ with t the way from
 * it. That gives where focus is, and nothing of waist or Rayleigh length.
 * @returns mm; null where lines are too few or all on one side.
 * Valid: gaps on both sides of focus. Source: an even law by least squares; the middle by golden section.
 */
export function middleOfWidths(lines: readonly Pick<FocusWidth, 'gap' | 'width'>[]): number | null {
  const seen = lines.filter((it) => it.width > 0)
  if (seen.length < LEAST_FOR_MIDDLE) return null
  const gaps = seen.map((it) => it.gap)
  const [low, high] = [Math.min(...gaps), Math.max(...gaps)]
  const left = (middle: number): number => {
    const rows = seen.map(({ gap }) => [1, (gap - middle) ** 2, (gap - middle) ** 4])
    const y = seen.map((it) => it.width * it.width)
    const matrix = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0)))
    const right = [0, 1, 2].map((i) => rows.reduce((sum, row, k) => sum + (row[i] ?? 0) * (y[k] ?? 0), 0))
    const solved = solveLinear(matrix, right)
    if (solved === null) return Infinity
    return rows.reduce(
      (sum, row, k) => sum + (row.reduce((it, cell, i) => it + cell * (solved[i] ?? 0), 0) - (y[k] ?? 0)) ** 2,
      0,
    )
  }
  const steps = 24
  const tried = Array.from({ length: steps + 1 }, (_, i) => low + ((high - low) * i) / steps)
  const sums = tried.map(left)
  const at = sums.indexOf(Math.min(...sums))
  if (at === 0 || at === steps) return null
  return goldenLeast(left, tried[at - 1] ?? low, tried[at + 1] ?? high)
}

/** Place of the least value between two ends. */
function goldenLeast(of: (x: number) => number, from: number, to: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2
  let [a, b] = [from, to]
  let [p, q] = [b - ratio * (b - a), a + ratio * (b - a)]
  let [fp, fq] = [of(p), of(q)]
  for (let i = 0; i < 100 && b - a > 1e-11; i++) {
    if (fp < fq) {
      ;[b, q, fq] = [q, p, fp]
      p = b - ratio * (b - a)
      fp = of(p)
    } else {
      ;[a, p, fp] = [p, q, fq]
      q = a + ratio * (b - a)
      fq = of(q)
    }
  }
  return (a + b) / 2
}
