import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const OVER = 3

function layout(shape: TrialShape): TrialLayout {
  const { origin, power, speed } = shape
  const [w, d] = [numberIn(shape, 'width'), numberIn(shape, 'depth')]
  const [x0, y0] = [origin.x + OVER, origin.y + OVER]
  const out = new TrialWriter('Rectangle')
  const line = (label: string, from: readonly [number, number], to: readonly [number, number]): number => {
    out.remark(label)
    out.approach(...from)
    return out.burn(label, [from, to], speed, power)
  }
  const bottom = line('bottom', [x0 - OVER, y0], [x0 + w + OVER, y0])
  const top = line('top', [x0 - OVER, y0 + d], [x0 + w + OVER, y0 + d])
  const left = line('left', [x0, y0 - OVER], [x0, y0 + d + OVER])
  const right = line('right', [x0 + w, y0 - OVER], [x0 + w, y0 + d + OVER])
  const corner = { nearLeft: [left, bottom], nearRight: [right, bottom], farLeft: [left, top], farRight: [right, top] } as const
  const read = (id: string, words: string, from: readonly number[], to: readonly number[], commanded: number) => ({
    id,
    group: 'Crossing to crossing, the middles of the lines',
    words,
    span: { from, to, over: false },
    commanded,
  })
  const diagonal = Math.hypot(w, d)
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: [
      read('width', 'Near left to near right', corner.nearLeft, corner.nearRight, w),
      read('depth', 'Near left to far left', corner.nearLeft, corner.farLeft, d),
      read('from', 'Near left to far right', corner.nearLeft, corner.farRight, diagonal),
      read('across', 'Near right to far left', corner.nearRight, corner.farLeft, diagonal),
    ],
    picks: [],
  }
}

/** A rectangle whose lines cross at its corners: squareness from two sides and two diagonals. */
export const rectangleTrial: TrialKind = {
  id: 'rectangle',
  part: 'shape',
  name: 'Rectangle',
  facts: { width: 'calibrate.rectangleWidth', depth: 'calibrate.rectangleDepth' },
  layout,
}
