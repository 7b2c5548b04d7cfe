import { evenly, numberIn, runUp, powerAt, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const BLOCKS = 4
const ROWS = 4
const PITCH = 1
const LENGTH = 25
const APART = 3

/** Speeds of the blocks of alternate lines, mm/s. Source: by definition. @throws {RangeError} where it lacks a number. */
export function alternateSpeeds(shape: Pick<TrialShape, 'numbers'>): readonly number[] {
  const fastest = numberIn(shape, 'fastest')
  return evenly(fastest / BLOCKS, fastest, BLOCKS)
}

function layout(shape: TrialShape): TrialLayout {
  const { origin } = shape
  const acceleration = numberIn(shape, 'acceleration')
  const speeds = alternateSpeeds(shape)
  const left = origin.x + runUp(Math.max(...speeds), acceleration)
  const right = left + LENGTH
  const out = new TrialWriter('Alternate lines')
  const firsts = speeds.map((at, block) => {
    const line = { feed: at, power: powerAt(shape, at), run: runUp(at, acceleration) }
    const rows = Array.from({ length: ROWS }, (_, row) => {
      const y = origin.y + block * (ROWS * PITCH + APART) + row * PITCH
      const [from, to] = row % 2 === 0 ? [left, right] : [right, left]
      return out.fly(row === 0 ? String(block + 1) : '', from, to, y, line)
    })
    return rows[0] ?? 0
  })
  const ends = [
    { id: 'left', first: 'start', last: 'end' },
    { id: 'right', first: 'end', last: 'start' },
  ] as const
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: firsts.flatMap((line, block) =>
      ends.map(({ id, first, last }) => ({
        id: `${block + 1}-${id}`,
        group: `Block ${block + 1}${block === 0 ? ', the slowest' : block === BLOCKS - 1 ? ', the fastest' : ''}`,
        words: `At the ${id}: second line right of the first`,
        span: { first: { line, at: first }, last: { line: line + 1, at: last }, axis: 'x' } as const,
        commanded: null,
      })),
    ),
    picks: [],
  }
}

/** Lines there and back at four speeds: what they are apart at rest is play, what grows with speed is delay. */
export const alternateTrial: TrialKind = {
  id: 'alternate',
  part: 'shape',
  name: 'Alternate lines',
  facts: { fastest: 'calibrate.scanFastest' },
  withoutWait: true,
  layout,
}
