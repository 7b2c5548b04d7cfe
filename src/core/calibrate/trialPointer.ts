import { TrialWriter, type TrialKind, type TrialLayout, type TrialShape } from './trial'

const ARM = 12

function layout({ origin, power, speed }: TrialShape): TrialLayout {
  const out = new TrialWriter('Pointer cross')
  const [x, y] = [origin.x + ARM, origin.y + ARM]
  out.approach(x, y - ARM)
  const upright = out.burn(
    'A',
    [
      [x, y - ARM],
      [x, y + ARM],
    ],
    speed,
    power,
  )
  out.approach(x - ARM, y)
  const level = out.burn(
    'B',
    [
      [x - ARM, y],
      [x + ARM, y],
    ],
    speed,
    power,
  )
  const group = 'The pointing aid, with the head over the cross'
  return {
    strokes: out.strokes,
    // The head ends where the lines cross, so that the pointer can be read.
    steps: [...out.steps, { kind: 'rapid', x: x - ARM, y: y - ARM }, { kind: 'rapid', x, y }],
    readings: [
      { id: 'x', group, words: 'Pointer right of line A', span: { pointer: 'x', beside: upright }, commanded: null },
      { id: 'y', group, words: 'Pointer above line B', span: { pointer: 'y', beside: level }, commanded: null },
    ],
    picks: [],
  }
}

/** A cross: with the head over it, where the pointing aid lies beside it is how far it points off. */
export const pointerTrial: TrialKind = { id: 'pointer', part: 'focus', name: 'Pointer cross', facts: {}, layout }
