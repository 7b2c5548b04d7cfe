import { numberIn, TrialWriter, type TrialKind, type TrialLayout, type TrialReading, type TrialShape } from './trial'

/** Pieces that each comb is cut into. */
export const KERF_PIECES = 9
const APART = 8

function layout(shape: TrialShape): TrialLayout {
  const { origin } = shape
  const [wide, speed, power] = [numberIn(shape, 'piece'), numberIn(shape, 'cutSpeed'), Math.min(1, numberIn(shape, 'cutPower'))]
  const deep = 2 * wide
  const out = new TrialWriter('Kerf combs')
  const comb = (across: 'x' | 'y', left: number, bottom: number): readonly TrialReading[] => {
    const long = KERF_PIECES * wide
    const at = (along: number, off: number): [number, number] =>
      across === 'x' ? [left + along, bottom + off] : [left + off, bottom + along]
    const cut = (label: string, from: [number, number], to: [number, number]): number => {
      out.approach(...from)
      return out.burn(label, [from, to], speed, power)
    }
    out.remark(`Comb along ${across.toUpperCase()}`)
    const teeth = Array.from({ length: KERF_PIECES + 1 }, (_, i) =>
      cut(i === 0 ? across.toUpperCase() : '', at(i * wide, 0), at(i * wide, deep)),
    )
    cut('', at(0, 0), at(long, 0))
    cut('', at(0, deep), at(long, deep))
    const [first = 0, last = 0] = [teeth[0], teeth.at(-1)]
    const group = `Comb along ${across.toUpperCase()}, all pieces out`
    return [
      {
        id: `${across}-stack`,
        group,
        words: `All ${KERF_PIECES} pieces pressed together`,
        span: { stack: [first, last] },
        commanded: KERF_PIECES * wide,
      },
      {
        id: `${across}-opening`,
        group,
        words: 'Opening that they left, between its ends',
        span: { opening: [first, last] },
        commanded: KERF_PIECES * wide,
      },
      { id: `${across}-top`, group, words: 'One cut, at the top face', span: { cut: first, face: 'top' }, commanded: null },
      {
        id: `${across}-bottom`,
        group,
        words: 'The same, at the bottom face',
        span: { cut: first, face: 'bottom' },
        commanded: null,
      },
    ]
  }
  const x = comb('x', origin.x, origin.y)
  const y = comb('y', origin.x, origin.y + deep + APART)
  return {
    strokes: out.strokes,
    steps: [...out.steps, { kind: 'rapid', x: origin.x, y: origin.y }],
    readings: [...x, ...y],
    picks: [],
  }
}

/** Two combs cut into equal pieces: what the pieces are short of the opening that they left is what the cuts took. */
export const kerfTrial: TrialKind = {
  id: 'kerf',
  part: 'focus',
  name: 'Kerf combs',
  facts: { piece: 'calibrate.kerfPiece', cutSpeed: 'calibrate.kerfSpeed', cutPower: 'calibrate.kerfPower' },
  ownPower: true,
  layout,
}
