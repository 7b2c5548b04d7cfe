import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialReading, type TrialShape } from './trial'

/** Places along the board at which lines are burnt. */
export const FOCUS_PLACES = 9
/** By how much slower than the faint mark the lines of each set are: their energies. */
export const FOCUS_SETS = [3, 8, 20] as const
const NAMES = ['thin', 'middling', 'heavy'] as const
const UPRIGHT = 8
const DASH = 6
const APART = 2.5
/** Board beyond its first and its last place, mm. */
const EDGE = 8

/** One burnt line of a focus ramp: where along the board it lies and how much slower it was. */
export interface FocusLine {
  /** Name of its reading. */
  readonly id: string
  /** mm from the low edge of the board. */
  readonly along: number
  /** Energy as a multiple of the faint mark's. */
  readonly energy: number
}

/**
 * Lines that lie along an axis, in the order of burning: those along Y show the spot across X.
 * @param across Axis across which they are read. @throws {RangeError} where the trial lacks a number. Source: by definition.
 */
export function focusLines(shape: Pick<TrialShape, 'numbers'>, across: 'x' | 'y'): readonly FocusLine[] {
  const run = numberIn(shape, 'run')
  const apart = (run - 2 * EDGE - DASH) / (FOCUS_PLACES - 1)
  return Array.from({ length: FOCUS_PLACES }, (_, place) =>
    FOCUS_SETS.map((energy, set) => ({
      id: `${across}-${set + 1}-${place + 1}`,
      along: EDGE + DASH / 2 + place * apart + (across === 'x' ? (set - 1) * APART : 0),
      energy,
    })),
  ).flat()
}

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const out = new TrialWriter('Focus ramp')
  const readings: TrialReading[] = [
    board('gap', 'Gap from the head to the board’s low edge'),
    board('lift', 'Block under the high end'),
    board('run', 'Low edge to where the board lies on the block'),
  ]
  for (const across of ['x', 'y'] as const) {
    focusLines(shape, across).forEach(({ id, along, energy }, i) => {
      const set = i % FOCUS_SETS.length
      const place = Math.floor(i / FOCUS_SETS.length) + 1
      const x = origin.x + along
      const y = origin.y + (set - 1) * APART
      const way: [number, number][] =
        across === 'x'
          ? [
              [x, origin.y + 3 * APART],
              [x, origin.y + 3 * APART + UPRIGHT],
            ]
          : [
              [x - DASH / 2, y],
              [x + DASH / 2, y],
            ]
      const [[x0, y0] = [0, 0]] = way
      out.approach(x0, y0)
      const width = out.burn(across === 'y' && set === 1 ? String(place) : '', way, speed / energy, power)
      readings.push({
        id,
        group: `Width of the ${NAMES[set] ?? ''} ${across === 'x' ? 'uprights' : 'dashes'}`,
        words: `Place ${place}`,
        span: { width },
        commanded: null,
      })
    })
  }
  const order = [...new Set(readings.map((it) => it.group))]
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: order.flatMap((group) => readings.filter((it) => it.group === group)),
    picks: [],
  }
}

function board(what: 'gap' | 'lift' | 'run', words: string): TrialReading {
  return { id: what, group: 'The board', words, span: { board: what }, commanded: null }
}

/** Lines of three energies on a tilted board: how their widths change with the height says where focus is, and how the beam runs. */
export const focusTrial: TrialKind = {
  id: 'focus',
  part: 'focus',
  name: 'Focus ramp',
  facts: { lift: 'calibrate.focusLift', run: 'calibrate.focusRun' },
  lies: ({ origin, numbers }) => ({ kind: 'tilted', from: origin.x, run: numbers['run'] ?? 1, lift: numbers['lift'] ?? 0 }),
  layout,
}
