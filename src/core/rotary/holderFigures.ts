import { figureOf, subjectOf, type Fact, type Plain, type View } from '../bench'
import { kerfByTrial } from '../calibrate'
import { radiusAt } from './focus'
import { objectOf, sectionsOf, theObject, type RotaryView } from './objectFigures'
import type { HolderFacts, RotaryBench } from './slice'

/** Parts are cut with the kerf of the material book, else with that of the work order. */
type HolderView = RotaryView & { readonly work: { readonly kerf: Fact } }
const figure = figureOf<HolderView>()

/** What sits in a bore, and what takes an object from outside. */
const INSIDE = ['centring', 'stepped']

/** Every part that could take the object in hand. */
export const aSeat = subjectOf<RotaryBench>()('seat', (bench): [objectId: string, holderId: string][] =>
  theObject.each(bench).flatMap(([id]) =>
    Object.entries(bench.rotary.holders)
      .filter(([, it]) => it.kind === 'cup' || INSIDE.includes(it.kind))
      .map(([holder]): [string, string] => [id, holder]),
  ),
)

/** The part that the object in hand sits on. */
export const theSeat = subjectOf<RotaryBench>()('seat in use', (bench): [objectId: string, holderId: string][] =>
  aSeat
    .each(bench)
    .filter(([, holder]) => holder === bench.rotary.seat)
    .map(([id, holder]) => [id, holder]),
)

function holderOf(view: View<HolderView>, id: string): Plain<HolderFacts> {
  const found = view.bench.rotary.holders[id]
  if (found === undefined) throw new RangeError(`there is no part ${id} on this bench`)
  return found
}

export const kerfOfHolders = figure({
  id: 'rotary.kerf',
  label: 'Kerf that parts are cut with',
  quantity: 'length',
  formula: 'k',
  symbols: {},
  source: 'The mean of both axes of the newest kerf trial; without one, that of the work order.',
  doubt: 'nudge',
  work: (view): number => kerfByTrial(view) ?? view.bench.work.kerf,
})

export const wantedDisc = figure({
  id: 'rotary.wantedDisc',
  of: theObject,
  label: 'A disc for its bore',
  quantity: 'length',
  formula: 'd = \\v{b} - \\v{c}',
  symbols: { b: 'rotary.objects.{0}.bore', c: 'rotary.make.clearance' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => objectOf(view, id).bore - view.bench.rotary.make.clearance,
})

export const wantedCup = figure({
  id: 'rotary.wantedCup',
  of: theObject,
  label: 'A cup for its driven end',
  quantity: 'length',
  formula: 'd = D + \\v{c}',
  symbols: { c: 'rotary.make.clearance' },
  source: 'D its outside at the driven end.',
  doubt: 'nudge',
  work: (view, id: string): number => 2 * radiusAt(sectionsOf(view, id), 0) + view.bench.rotary.make.clearance,
})

export const drawnDisc = figure({
  id: 'rotary.drawnDisc',
  of: theObject,
  label: 'That disc as the beam follows it',
  quantity: 'length',
  formula: 'd_z = \\v{d} + \\v{k}',
  symbols: { d: '=rotary.wantedDisc|{0}', k: '=rotary.kerf' },
  source: 'Drawn disc = wanted + kerf (handbook of the trade).',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(wantedDisc, id) + view.figure(kerfOfHolders),
})

export const drawnCup = figure({
  id: 'rotary.drawnCup',
  of: theObject,
  label: 'The hole of that cup as the beam follows it',
  quantity: 'length',
  formula: 'd_z = \\v{d} - \\v{k}',
  symbols: { d: '=rotary.wantedCup|{0}', k: '=rotary.kerf' },
  source: 'Drawn hole = wanted − kerf (handbook of the trade).',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(wantedCup, id) - view.figure(kerfOfHolders),
})

export const spare = figure({
  id: 'rotary.spare',
  of: aSeat,
  label: 'On this part',
  quantity: 'length',
  signs: { above: 'loose by', below: 'tight by' },
  formula: 's = D_i - D_a',
  symbols: {},
  source:
    'By definition, the hole less what goes into it: a disc in the bore, a cup over the driven end; of stepped discs the largest that goes in.',
  doubt: 'nudge',
  work(view, id: string, holderId: string): number {
    const holder = holderOf(view, holderId)
    if (holder.kind === 'cup') return holder.outer - 2 * radiusAt(sectionsOf(view, id), 0)
    const { bore } = objectOf(view, id)
    if (holder.kind !== 'stepped') return bore - holder.outer
    const { least, outer, steps } = holder
    const sizes = Array.from({ length: steps }, (_, k) => least + ((outer - least) * k) / Math.max(1, steps - 1))
    const inside = sizes.filter((it) => it <= bore)
    return bore - (inside.length === 0 ? least : Math.max(...inside))
  },
})

/** More than this is loose, mm: the object runs out by half of it. (common practice) */
export const LOOSE = 0.8

export const seatRoom = figure({
  id: 'rotary.seatRoom',
  of: theSeat,
  label: 'Less loose than 0.8 mm by',
  quantity: 'length',
  formula: 'm = 0.8\\,\\text{mm} - \\v{s}',
  symbols: { s: '=rotary.spare|{0}|{1}' },
  source: 'It runs out by half of what it has to spare (common practice).',
  doubt: 'nudge',
  work: (view, id: string, holderId: string): number => LOOSE - view.figure(spare, id, holderId),
})

export const seatSpare = figure({
  id: 'rotary.seatSpare',
  of: theSeat,
  label: 'To spare on the part it sits on',
  quantity: 'length',
  formula: 'm = \\v{s}',
  symbols: { s: '=rotary.spare|{0}|{1}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string, holderId: string): number => view.figure(spare, id, holderId),
})
