import { coverageFactor, effectiveDof } from '../bench'
import { refused, accepted, sayQuantity, sayShare, type Outcome, type UnitSystem } from '../units'
import type { RunShape } from './layout'

/** What a run is planned for. Lengths in mm. */
export interface RunWish {
  readonly origin: { readonly x: number; readonly y: number }
  readonly travel: { readonly x: number; readonly y: number }
  /** Smallest step of each axis. */
  readonly step: { readonly x: number; readonly y: number }
  /** Share to which size is wanted, at about 95 %. */
  readonly wantedShare: number
  readonly instrument: {
    readonly name: string
    readonly min: number
    readonly max: number
    /** Standard uncertainty of one reading, mm, and of its scale, as a share. */
    readonly u: number
    readonly uScale: number
  }
  readonly system: UnitSystem
}

export interface RunPlan {
  readonly shape: RunShape
  /** ± of each axis's scale that is to be expected, about 95 %, and of it what the instrument's own scale brings. */
  readonly expected: { readonly x: number; readonly y: number; readonly byInstrument: number }
  /** Whether the wanted accuracy can be decided. */
  readonly decides: boolean
  /** Why it is planned so, a sentence each. */
  readonly why: readonly string[]
}

/** The machine may be this much too large before it is calibrated; the longest span must still go into the instrument. */
const MAY_BE_LARGER = 1.035
/** Room kept at the far end of the travel for the approach, mm. */
const ROOM = 10
const SHORTEST = 15
/** The longest span is at least this much longer than the shortest, mm: less decides nothing. */
const LEAST_SPREAD = 20
/** Twice at least: only what is read again shows how well it is read. */
const LEAST_REPEATS = 2
const MOST_REPEATS = 5
/** Corners keep this far from ticks, mm. */
const APART = 10

/**
 * Plans a scale run: spans that the instrument can read and the travel holds, read as often as the wanted accuracy asks.
 * @returns The plan with its reasons; refused where instrument and travel leave no room for two unlike spans.
 * @throws {RangeError} where the wanted share or the instrument’s uncertainty is not more than 0.
 * Source: the standard uncertainty of a slope, u/√Σ(x − x̄)² (JCGM 100:2008, H.3); Student's t for the readings taken.
 */
export function planScaleRun(wish: RunWish): Outcome<RunPlan> {
  const { origin, instrument, wantedShare } = wish
  const room = { x: wish.travel.x - origin.x - ROOM, y: wish.travel.y - origin.y - ROOM }
  const reach = Math.floor(instrument.max / MAY_BE_LARGER)
  const long = { x: Math.floor(Math.min(reach, room.x)), y: Math.floor(Math.min(reach, room.y)) }
  const short = Math.ceil(Math.max(SHORTEST, instrument.min * MAY_BE_LARGER))
  const tight = (['x', 'y'] as const).find((it) => long[it] < short + LEAST_SPREAD)
  if (tight !== undefined) {
    return refused(
      'no-room',
      `${tight.toUpperCase()} leaves spans of at most ${Math.max(0, long[tight])} mm between the start of the marks, the end of the travel and the range of “${instrument.name}”; at least ${short + LEAST_SPREAD} mm are needed. Let the marks begin nearer to the origin, or choose another instrument.`,
    )
  }
  const ticksOf = (axis: 'x' | 'y') => ({ short, middle: Math.round((short + long[axis]) / 2), long: long[axis] })
  const ticks = { x: ticksOf('x'), y: ticksOf('y') }
  const byInstrument = 2 * instrument.uScale
  const expectedWith = (repeats: number, axis: 'x' | 'y'): number => expectedShare(ticks[axis], repeats, instrument)
  const enough = (repeats: number): boolean => Math.max(expectedWith(repeats, 'x'), expectedWith(repeats, 'y')) <= wantedShare
  const tries = Array.from({ length: MOST_REPEATS - LEAST_REPEATS + 1 }, (_, i) => i + LEAST_REPEATS)
  // Where the wish is beyond reach, more readings stop where the instrument's own scale blurs more than they do.
  const fair = (repeats: number): boolean => expectedWith(repeats, 'x') <= 1.3 * byInstrument
  const repeats = tries.find(enough) ?? tries.find(fair) ?? MOST_REPEATS
  const shape: RunShape = { origin, ticks, repeats, corner: cornerOf(reach, room, ticks) }
  const expected = { x: expectedWith(repeats, 'x'), y: expectedWith(repeats, 'y'), byInstrument }
  const decides = enough(repeats)
  return accepted({ shape, expected, decides, why: reasons(wish, shape, expected, { room, reach, decides }) })
}

/** ± of the slope to be expected, as a share: scatter of the readings with Student's t, and the instrument's scale. */
function expectedShare(
  { short, middle, long }: RunShape['ticks']['x'],
  repeats: number,
  { u, uScale }: RunWish['instrument'],
): number {
  const like = [...Array<number>(repeats).fill(short), middle, ...Array<number>(repeats).fill(long)]
  const spread = (values: readonly number[]): number => {
    const mean = values.reduce((sum, it) => sum + it, 0) / values.length
    return values.reduce((sum, it) => sum + (it - mean) ** 2, 0)
  }
  const scatter = u / Math.sqrt(spread(like) + spread([short, long]))
  // Both axes' readings give one scatter: each has its spans less one slope and three intercepts.
  const dof = 2 * (like.length + 3 - 4)
  const parts = [
    { c: scatter, dof },
    { c: uScale, dof: Infinity },
  ]
  return coverageFactor(effectiveDof(parts)) * Math.hypot(scatter, uScale)
}

/** Corners as far apart as the instrument reads diagonally, clear of the ticks. */
function cornerOf(reach: number, room: { x: number; y: number }, ticks: RunShape['ticks']): { x: number; y: number } {
  const diagonal = reach / Math.SQRT2
  const clear = (wanted: number, { short, middle, long }: RunShape['ticks']['x']): number => {
    const free = (at: number): boolean => [0, short, middle, long].every((it) => Math.abs(it - at) >= APART)
    let at = Math.floor(wanted)
    while (at > APART && !free(at)) at--
    return at
  }
  return { x: clear(Math.min(diagonal, room.x), ticks.x), y: clear(Math.min(diagonal, room.y), ticks.y) }
}

function reasons(
  { instrument, step, wantedShare, system }: RunWish,
  { ticks, repeats }: RunShape,
  expected: RunPlan['expected'],
  { room, reach, decides }: { room: { x: number; y: number }; reach: number; decides: boolean },
): string[] {
  const length = (mm: number): string => sayQuantity(mm, null, system === 'metric' ? 'mm' : 'in')
  const held = (axis: 'x' | 'y'): string => (room[axis] < reach ? 'the travel' : `“${instrument.name}”`)
  return [
    `X is read over ${length(ticks.x.short)} to ${length(ticks.x.long)}, Y over ${length(ticks.y.short)} to ${length(ticks.y.long)}: ${
      held('x') === held('y') ? `${held('x')} ends both` : `${held('x')} ends X, ${held('y')} ends Y`
    }, with 3.5% left for a machine that is too large.`,
    `The short and the long span are read ${repeats} times. Size then comes out to about ± ${sayShare(Math.max(expected.x, expected.y))}; the instrument’s own scale brings ± ${sayShare(expected.byInstrument)} of it.`,
    decides
      ? `That can decide the wanted ${sayShare(wantedShare)}.`
      : `That cannot decide the wanted ${sayShare(wantedShare)}. A longer or better instrument would, or a known scale error of this one: compare it with a gauge block.`,
    `The longest spans are ${Math.round(Math.min(ticks.x.long / step.x, ticks.y.long / step.y))
      .toLocaleString('en')
      .replaceAll(',', '\u00a0')} steps and more, so rounding to a step does not count.`,
  ]
}
