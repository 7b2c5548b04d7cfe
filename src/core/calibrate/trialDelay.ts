import { evenly, numberIn, runUp, powerAt, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const ROWS = 6
const APART = 4
const LENGTH = 30

/** Speeds of the lines of a delay pattern, mm/s. Source: by definition. @throws {RangeError} where it lacks a number. */
export function delaySpeeds(shape: Pick<TrialShape, 'numbers'>): readonly number[] {
  return evenly(numberIn(shape, 'slowest'), numberIn(shape, 'fastest'), ROWS)
}

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const acceleration = numberIn(shape, 'acceleration')
  const speeds = delaySpeeds(shape)
  const out = new TrialWriter('Delay pattern')
  const most = runUp(Math.max(...speeds), acceleration)
  const [left, top] = [origin.x + most, origin.y + (ROWS - 1) * APART]
  const right = left + LENGTH
  const uprights = [['A', left] as const, ['B', right] as const].map(([label, x]) => {
    out.approach(x, origin.y - 2)
    return out.burn(
      label,
      [
        [x, origin.y - 2],
        [x, top + 2],
      ],
      speed,
      power,
    )
  })
  const rows = speeds.map((at, i) => {
    const y = origin.y + i * APART
    out.remark(`Line ${i + 1}`)
    return out.fly(String(i + 1), left, right, y, { feed: at, power: powerAt(shape, at), run: runUp(at, acceleration) })
  })
  const [a = 0, b = 1] = uprights
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: [
      ...rows.map((line, i) => ({
        id: `start-${i + 1}`,
        group: 'Line A to where the line begins',
        words: `Line ${i + 1} begins right of A`,
        span: { beyond: a, end: { line, at: 'start' } } as const,
        commanded: null,
      })),
      ...rows.map((line, i) => ({
        id: `end-${i + 1}`,
        group: 'Line B to where the line ends',
        words: `Line ${i + 1} ends right of B`,
        span: { beyond: b, end: { line, at: 'end' } } as const,
        commanded: null,
      })),
    ],
    picks: [],
  }
}

/** Lines at rising speeds between two uprights: how late they begin and end says how late the light comes and goes. */
export const delayTrial: TrialKind = {
  id: 'delay',
  part: 'delay',
  name: 'Delay pattern',
  facts: { slowest: 'calibrate.delaySlowest', fastest: 'calibrate.delayFastest' },
  withoutWait: true,
  layout,
}
