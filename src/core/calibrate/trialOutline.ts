import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

/** One outline of a closure trial. */
export interface OutlineDef {
  /** Its number, from 1. */
  readonly id: string
  /** Side of the square, mm. */
  readonly side: number
  /** Whether its first side goes along X or along Y. */
  readonly first: 'x' | 'y'
}

const STEP = 10

/** The eight outlines: two sizes, both ways round, each twice. Source: by definition. @throws {RangeError} where it lacks a number. */
export function outlinesOf(shape: Pick<TrialShape, 'numbers'>): readonly OutlineDef[] {
  const sides = [numberIn(shape, 'small'), numberIn(shape, 'large')]
  return sides.flatMap((side, size) =>
    ([0, 1] as const).flatMap((again) =>
      (['x', 'y'] as const).map((first, way) => ({ id: String(1 + size * 4 + again * 2 + way), side, first })),
    ),
  )
}

/** What tells an outline from the others, in words without a unit. */
export function sayOutline({ side, first }: Pick<OutlineDef, 'side' | 'first'>, small: number): string {
  return `${side > small ? 'large' : 'small'}, ${first.toUpperCase()} first`
}

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const small = numberIn(shape, 'small')
  const out = new TrialWriter('Closure outlines')
  const outlines = outlinesOf(shape)
  const firsts = outlines.map(({ id, side, first }, i) => {
    const isSmall = i < 4
    const x = origin.x + (isSmall ? i * (small + STEP / 2) : (i - 4) * STEP)
    const y = origin.y + (isSmall ? 0 : small + STEP + (i - 4) * STEP)
    const corners =
      first === 'x'
        ? [
            [side, 0],
            [side, side],
            [0, side],
            [0, 0],
          ]
        : [
            [0, side],
            [side, side],
            [side, 0],
            [0, 0],
          ]
    out.remark(`Outline ${id}`)
    out.approach(x, y)
    const way = [[x, y], ...corners.map(([dx = 0, dy = 0]) => [x + dx, y + dy])] as [number, number][]
    return out.burn(id, way, speed, power)
  })
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: outlines.flatMap(({ id, side, first }, i) => {
      const start = firsts[i] ?? 0
      return (['x', 'y'] as const).map((axis) => ({
        id: `${id}-${axis}`,
        group: `Outline ${id}, ${sayOutline({ side, first }, small)}`,
        words: `End beyond start along ${axis.toUpperCase()}`,
        span: { first: { line: start, at: 'start' }, last: { line: start + 3, at: 'end' }, axis } as const,
        commanded: null,
      }))
    }),
    picks: [],
  }
}

/** Squares of two sizes, both ways round, twice: where their ends miss their starts says what is wrong. */
export const outlineTrial: TrialKind = {
  id: 'outline',
  part: 'closure',
  name: 'Closure outlines',
  facts: { small: 'calibrate.outlineSmall', large: 'calibrate.outlineLarge' },
  layout,
}
