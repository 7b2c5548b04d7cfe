import { between, normal, seeded } from './random'

/** What a machine of the stand-in is built as, before anything is hidden. Lengths in mm. */
export interface StandInSpec {
  readonly nominalSteps: { readonly x: number; readonly y: number }
  readonly travel: { readonly x: number; readonly y: number }
  /** Optical power, W. */
  readonly power: number
}

/** What is wrong with a machine beyond what every machine has. */
export interface HiddenFaults {
  /** A pulley that creeps on its shaft: share of the way that an axis moves by which it slips, always to one side. */
  readonly slip?: { readonly axis: 'x' | 'y'; readonly share: number }
  /** A belt that sags: at every turn back it takes up another amount about this one, mm. */
  readonly loose?: { readonly axis: 'x' | 'y'; readonly mm: number }
  /** A motor that misses steps now and then wherever it works as hard as it is set to. */
  readonly misses?: { readonly axis: 'x' | 'y'; readonly chance: number }
}

/** What the person cannot see. */
export interface Hidden {
  /** What one motor step really moves, mm. */
  readonly mmPerStep: { readonly x: number; readonly y: number }
  /** Play of each axis, mm. */
  readonly play: { readonly x: number; readonly y: number }
  /** By how much the angle at the origin is smaller than a right one, rad. */
  readonly skewRad: number
  /** Line energy from which a line shows, J/mm. */
  readonly threshold: number
  /** Radius of the beam at 1/e², mm. */
  readonly radius: number
  /** Pull of each belt, N. */
  readonly pull: { readonly xA: number; readonly yA: number; readonly yB: number }
  readonly calipers: {
    /** A reading r stands for r·(1 + scale). */
    readonly scale: number
    /** Standard deviation of one reading, mm. */
    readonly noise: number
  }
  /** Seconds from the word “on” to light, and from “off” to none. */
  readonly delay: { readonly on: number; readonly off: number }
  /** Acceleration that each motor just holds, mm/s²; above it misses steps. */
  readonly holds: { readonly x: number; readonly y: number }
  readonly faults: HiddenFaults
  readonly beam: HiddenBeam
  /** Where the pointing aid lies beside the beam, mm. */
  readonly pointer: { readonly x: number; readonly y: number }
  /** Energy that cuts the sheet through, J/mm, and how wide it is cut across each axis, with what the lower face is narrower, mm. */
  readonly cut: { readonly energy: number; readonly x: number; readonly y: number; readonly taper: number }
}

/** How the beam runs through focus. Its side across X is the flat one. */
export interface HiddenBeam {
  /** Gap between head and material at focus, and the gap as the head hangs over a flat sheet, mm. */
  readonly gap: number
  readonly head: number
  readonly x: HiddenSide
  readonly y: HiddenSide
}

export interface HiddenSide {
  /** Radius at focus, mm, and the height at which its square has doubled. */
  readonly waist: number
  readonly rayleigh: number
  /** The profile falls as exp(−2|s/w|^order). */
  readonly order: number
}

const LARGEST_SCALE_ERROR = 0.03
const LARGEST_SKEW = 0.005
const LARGEST_PLAY = 0.12
const LONGEST_ON = 0.02
const LONGEST_OFF = 0.006

/**
 * Draws what is hidden in the machine of a number. The calipers keep what their data sheet would promise: half-width
 * of scale 0.05 %, noise 0.02 mm.
 * @param number Whole; the same number hides the same machine.
 */
export function drawHidden(number: number, spec: StandInSpec): Hidden {
  const random = seeded(number)
  const scale = (): number => 1 + between(random, -LARGEST_SCALE_ERROR, LARGEST_SCALE_ERROR)
  const mmPerStep = { x: scale() / spec.nominalSteps.x, y: scale() / spec.nominalSteps.y }
  const play = { x: between(random, 0, LARGEST_PLAY), y: between(random, 0, LARGEST_PLAY) }
  const skewRad = between(random, -LARGEST_SKEW, LARGEST_SKEW)
  const threshold = between(random, 0.006, 0.03) * (spec.power / 5)
  const radius = between(random, 0.06, 0.11)
  const calipers = { scale: between(random, -0.0005, 0.0005), noise: 0.02 }
  const pulled = (): number => between(random, 8, 50)
  const pull = { xA: pulled(), yA: pulled(), yB: pulled() }
  const delay = { on: between(random, 0.003, LONGEST_ON), off: between(random, 0, LONGEST_OFF) }
  const holds = { x: between(random, 900, 4000), y: between(random, 900, 4000) }
  const beam = drawBeam(random, radius)
  const pointer = { x: between(random, -6, 6), y: between(random, -6, 6) }
  const cut = {
    energy: between(random, 0.25, 0.7) * (spec.power / 5),
    x: beam.x.waist * between(random, 1.4, 2),
    y: beam.y.waist * between(random, 1.4, 2),
    taper: between(random, 0.01, 0.06),
  }
  return { mmPerStep, play, skewRad, threshold, radius, calipers, pull, delay, holds, faults: {}, beam, pointer, cut }
}

/** A beam whose radius over a flat sheet is the one that was drawn. */
function drawBeam(random: () => number, radius: number): HiddenBeam {
  const gap = between(random, 6, 40)
  const out = between(random, -0.6, 0.6)
  const side = (order: number, ratio: number, rayleigh: number): HiddenSide => ({
    waist: (ratio * radius) / Math.hypot(1, out / rayleigh),
    rayleigh,
    order,
  })
  return {
    gap,
    head: gap + out,
    x: side(between(random, 4, 8), between(random, 1.1, 1.5), between(random, 1.8, 3.2)),
    y: side(2, 1, between(random, 1.2, 2.6)),
  }
}

/**
 * One reading's error, mm; the source is the calipers' own. Valid: any source. Source: normal noise.
 * @example readingNoise(() => 0.5, { scale: 0, noise: 0.02 }) // -0.0235
 */
export function readingNoise(random: () => number, { noise }: Hidden['calipers']): number {
  return noise * normal(random)
}
