import { numberIn, runUp, powerAt, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const ROWS = 10
const APART = 3
const LENGTH = 30

/** Speeds of the lines of a banding pattern, mm/s: each the same share faster. Source: by definition. @throws {RangeError} where it lacks a number. */
export function bandSpeeds(shape: Pick<TrialShape, 'numbers'>): readonly number[] {
  const fastest = numberIn(shape, 'fastest')
  return Array.from({ length: ROWS }, (_, i) => fastest * 0.7 ** (ROWS - 1 - i))
}

function layout(shape: TrialShape): TrialLayout {
  const { origin } = shape
  const acceleration = numberIn(shape, 'acceleration')
  const speeds = bandSpeeds(shape)
  const left = origin.x + runUp(Math.max(...speeds), acceleration)
  const out = new TrialWriter('Banding pattern')
  const rows = speeds.map((at, i) => {
    const y = origin.y + i * APART
    out.remark(`Line ${i + 1}`)
    const line = { feed: at, power: Math.min(0.9, powerAt(shape, at)), run: runUp(at, acceleration) }
    return out.fly(String(i + 1), left, left + LENGTH, y, line)
  })
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: [],
    picks: [
      {
        id: 'dotted',
        words: 'The first line in which dots can be told apart',
        none: 'none of them, and all can be seen',
        strokes: rows,
      },
    ],
  }
}

/** Lines at rising speeds: the first that falls apart into dots says how fast the power signal must be. */
export const bandsTrial: TrialKind = {
  id: 'bands',
  part: 'limits',
  name: 'Banding pattern',
  facts: { fastest: 'calibrate.bandsFastest' },
  withoutWait: true,
  layout,
}
