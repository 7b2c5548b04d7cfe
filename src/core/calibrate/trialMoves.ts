import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const MOVES = 1000
const TICK = 6
const APART = 8

/** Places that jump about within a field, the same ones every time. Each is a share of its side, 0…1. */
function jump(i: number): readonly [number, number] {
  // Multiples of the golden ratio and of the square root of two spread evenly (common practice).
  return [(i * 0.6180339887) % 1, (i * 0.4142135624) % 1]
}

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const field = numberIn(shape, 'field')
  const out = new TrialWriter('A thousand moves')
  const ticks = (label: string, by: number): readonly [number, number] => {
    const upright: [number, number] = [origin.x, origin.y + by]
    const level: [number, number] = [origin.x + by, origin.y]
    out.approach(...upright)
    const first = out.burn(label, [upright, [origin.x, origin.y + by + TICK]], speed, power)
    out.approach(...level)
    return [first, out.burn('', [level, [origin.x + by + TICK, origin.y]], speed, power)]
  }
  const before = ticks('before', 2)
  for (let i = 1; i <= MOVES; i++) {
    const [sx, sy] = jump(i)
    out.steps.push({ kind: 'rapid', x: origin.x + sx * field, y: origin.y + sy * field })
  }
  const after = ticks('after', 2 + APART)
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: [
      {
        id: 'x',
        group: 'Ticks before and after',
        words: 'Later upright right of the first',
        span: { beyond: before[0], end: { line: after[0], at: 'start' } },
        commanded: null,
      },
      {
        id: 'y',
        group: 'Ticks before and after',
        words: 'Later level line above the first',
        span: { beyond: before[1], end: { line: after[1], at: 'start' } },
        commanded: null,
      },
    ],
    picks: [],
  }
}

/** A tick, a thousand fast moves, a tick: whether the motors hold the acceleration that is set. */
export const movesTrial: TrialKind = {
  id: 'moves',
  part: 'limits',
  name: 'A thousand moves',
  facts: { field: 'calibrate.movesField' },
  layout,
}
