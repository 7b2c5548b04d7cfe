import { figureOf, NotYet } from '../bench'
import { KERF_PIECES } from './trialKerf'
import { ofKind, ofKindAlong, readOf, trialOf, type TrialBench } from './trialView'

const figure = figureOf<TrialBench>()
const aKerf = ofKindAlong('kerf')
const aPointer = ofKind('pointer')

export const kerf = figure({
  id: 'calibrate.kerf',
  of: aKerf,
  label: 'Kerf of a cut across this axis',
  quantity: 'length',
  formula: 'k = \\dfrac{o - s}{n + 1}',
  symbols: {},
  source:
    'Opening o and stack s of n pieces differ by n + 1 kerfs, whatever the scale of the axis: by definition. Jaws meet where the cuts are narrowest.',
  doubt: 'nudge',
  work(view, id: string, across: string): number {
    const read = new Map(
      readOf(trialOf(view, 'kerf', id), [`${across}-stack`, `${across}-opening`]).map((it) => [it.id, it.value]),
    )
    const [stack, opening] = [read.get(`${across}-stack`), read.get(`${across}-opening`)]
    if (stack === undefined || opening === undefined) {
      throw new NotYet('take all pieces out and read both: the pieces pressed together, and the opening that they left')
    }
    return (opening - stack) / (KERF_PIECES + 1)
  },
})

export const kerfTaper = figure({
  id: 'calibrate.kerfTaper',
  of: aKerf,
  label: 'Cut wider at the top face by',
  quantity: 'length',
  formula: 't = k_t - k_b',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view, id: string, across: string): number {
    const read = readOf(trialOf(view, 'kerf', id), [`${across}-top`, `${across}-bottom`])
    const [top, bottom] = read
    if (top === undefined || bottom === undefined) throw new NotYet('read one cut at its top face and at its bottom face')
    return top.value - bottom.value
  },
})

export const pointerX = figure({
  id: 'calibrate.pointerX',
  of: aPointer,
  label: 'Pointer off the beam along X',
  quantity: 'length',
  formula: 'p_x',
  symbols: {},
  source: 'By definition; right is plus.',
  doubt: 'nudge',
  work: (view, id: string): number => pointerOf(readOf(trialOf(view, 'pointer', id), ['x'])[0]?.value),
})

export const pointerY = figure({
  id: 'calibrate.pointerY',
  of: aPointer,
  label: 'Pointer off the beam along Y',
  quantity: 'length',
  formula: 'p_y',
  symbols: {},
  source: 'By definition; up is plus.',
  doubt: 'nudge',
  work: (view, id: string): number => pointerOf(readOf(trialOf(view, 'pointer', id), ['y'])[0]?.value),
})

function pointerOf(value: number | undefined): number {
  if (value === undefined) throw new NotYet('read where the pointer lies beside the cross, with the head over it')
  return value
}
