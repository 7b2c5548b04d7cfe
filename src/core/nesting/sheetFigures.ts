import { figureOf, NotYet, subjectOf, type View } from '../bench'
import {
  begunBox,
  braceLeg,
  braceMaterial,
  enclosureIn,
  framedBox,
  frameLevel,
  frameUpright,
  insideSize,
  panelMaterial,
  SHEET_DENSITY,
  type Enclosure,
  type EnclosurePanel,
  type HousingBench,
  type HousingView,
} from '../housing'
import type { Outcome } from '../units'
import { pilotHole, type Board } from '../fasteners'
import { cutBars } from './bars'
import { cutSheets, type SheetPanel, type SheetPlan } from './guillotine'

const figure = figureOf<HousingView>()

/** Every sheet that could be bought, once there is a box. */
export const aSheet = subjectOf<HousingBench>()('sheet', ({ housing }): [sheetId: string][] =>
  begunBox.each({ housing }).length === 0 ? [] : Object.keys(housing.sheets).map((id) => [id]),
)

/** The sheet that is in use. */
export const usedSheet = subjectOf<HousingBench>()('sheet in use', ({ housing }): [sheetId: string][] =>
  begunBox.each({ housing }).length === 0 || housing.sheets[housing.sheet] === undefined ? [] : [[housing.sheet]],
)

/** What each panel is called. */
export const PANEL_WORDS: Readonly<Record<EnclosurePanel['name'], string>> = {
  left: 'left side',
  right: 'right side',
  front: 'front',
  back: 'back',
  roof: 'roof',
  floor: 'floor',
  lid: 'lid',
}

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new NotYet(outcome.findings[0]?.message ?? 'look at the sizes of the box')
  return outcome.value
}

const sheetOf = (view: View<HousingView>, id: string) => {
  const found = view.bench.housing.sheets[id]
  if (found === undefined) throw new NotYet('this sheet is no longer on the list')
  return found
}

/** The box as it would be of a sheet; null where something of it is missing. */
function boxOf(view: View<HousingView>, id: string): Enclosure | null {
  const { thickness } = sheetOf(view, id)
  const sizes = [thickness, view.figure(insideSize, 'x'), view.figure(insideSize, 'y'), view.figure(insideSize, 'z')]
  if (sizes.some(Number.isNaN)) return null
  return valueOf(enclosureIn(view, thickness))
}

/** Panels as they are sawn: what is sloped is sawn as a rectangle first. */
export function sheetPanels({ panels }: Enclosure, mayTurn: boolean): readonly SheetPanel[] {
  return panels.map(({ name, along, across }) => ({ id: name, name: PANEL_WORDS[name], along, across, count: 1, mayTurn }))
}

export const sheetPlan = figure({
  id: 'nesting.sheetPlan',
  of: aSheet,
  label: 'Panels on their sheets',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'All ways of sawing from edge to edge, to nine panels; the fewest sheets (branch and bound).',
  doubt: { none: 'a plan; its sizes are those of the box' },
  work(view, id: string): SheetPlan | null {
    const box = boxOf(view, id)
    const { along, across } = sheetOf(view, id)
    const { kerf, trim, grain } = view.bench.housing.make
    const offcuts = Object.values(view.bench.housing.offcuts).map((it) => ({ along: it.along, across: it.across }))
    if (box === null || Number.isNaN(along + across + kerf + trim)) return null
    if (Math.min(along, across) <= 2 * trim + 1) throw new NotYet('the sheet is no larger than what is trimmed off its edges')
    const whole = offcuts.filter((it) => !Number.isNaN(it.along + it.across))
    const brace = view.figure(braceLeg)
    const corners: readonly SheetPanel[] =
      brace > 0 ? [{ id: 'brace', name: 'two braces', along: brace, across: brace, count: 4, mayTurn: true }] : []
    const panels = [...sheetPanels(box, grain === 'free'), ...corners]
    return valueOf(cutSheets(panels, { along, across }, { kerf, trim }, whole))
  },
})

export const sheetsToBuy = figure({
  id: 'nesting.sheetsToBuy',
  of: aSheet,
  label: 'Sheets to buy',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'The fewest that all panels are sawn from, offcuts first.',
  doubt: { none: 'a whole number; an edge more or less rarely changes it' },
  work: (view, id: string): number => view.figure(sheetPlan, id)?.toBuy ?? Number.NaN,
})

export const sheetCost = figure({
  id: 'nesting.sheetCost',
  of: aSheet,
  label: 'Price of its sheets',
  quantity: 'money',
  formula: 'c = \\v{n}\\,\\v{p}',
  symbols: { n: '=nesting.sheetsToBuy|{0}', p: 'housing.sheets.{0}.price' },
  source: 'By definition.',
  doubt: { none: 'a whole number of sheets at a price' },
  work: (view, id: string): number => view.figure(sheetsToBuy, id) * sheetOf(view, id).price,
})

export const sheetMass = figure({
  id: 'nesting.sheetMass',
  of: aSheet,
  label: 'Mass of the box of it',
  quantity: 'mass',
  formula: 'm = \\rho\\sum l\\,b\\,t',
  symbols: {},
  source: 'Panels less what joints take out; densities of sheets (from memory).',
  doubt: 'nudge',
  work(view, id: string): number {
    const box = boxOf(view, id)
    const { kind, thickness } = sheetOf(view, id)
    if (box === null) return Number.NaN
    const corners = braceMaterial(view.figure(braceLeg), thickness)
    return ((panelMaterial(box.panels, thickness) + corners) * SHEET_DENSITY[kind]) / 1e9
  },
})

/** What a screw is driven into, by the sheet. */
const BOARD_OF: Readonly<Record<string, Board>> = {
  birch: 'ply',
  poplar: 'ply',
  mdf: 'fibre',
  aluminium: 'sheet',
  steel: 'sheet',
}

export const pilotOfBox = figure({
  id: 'nesting.pilot',
  of: usedSheet,
  label: 'Pilot holes of its screws',
  quantity: 'length',
  formula: 'd_p = k\\,\\v{d}',
  symbols: { d: 'housing.make.screw' },
  source: 'A share of the screw: 0.7 in plywood, 0.75 in fibre board, 0.8 in thin metal (common practice).',
  doubt: 'nudge',
  work(view, id: string): number {
    const board = BOARD_OF[sheetOf(view, id).kind]
    if (board === undefined) throw new NotYet('glass and plastics take a nut, or a thread of their own: no pilot hole')
    return pilotHole(view.bench.housing.make.screw, board)
  },
})

export const frameBars = figure({
  id: 'nesting.frameBars',
  of: framedBox,
  label: 'Bars to buy for the frame',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'Two upright and two level bars, cut from bars of one length (branch and bound).',
  doubt: { none: 'a whole number of bars' },
  work(view): number {
    const { bar, kerf } = view.bench.housing.make
    const [upright, level] = [view.figure(frameUpright), view.figure(frameLevel)]
    if (Number.isNaN(upright + level + bar)) return Number.NaN
    const parts = [
      { id: 'upright', name: 'upright bar of the frame', lengthMm: upright, count: 2 },
      { id: 'level', name: 'level bar of the frame', lengthMm: level, count: 2 },
    ]
    return valueOf(cutBars(parts, { lengthMm: bar, trimMm: 0, kerfMm: kerf })).toBuy
  },
})

/** Rows of the cut list: rough cuts first, then detail cuts. */
export interface CutRow {
  readonly sheet: number
  readonly depth: number
  readonly words: string
}

/** The cuts of a plan as an ordered list. Valid: a plan of `cutSheets`. Source: by definition: through the sheet first, then within its pieces. */
export function cutRows(plan: SheetPlan): readonly CutRow[] {
  return plan.sheets.flatMap(({ cuts }, k) =>
    [...cuts]
      .sort((p, q) => p.depth - q.depth)
      .map(({ piece, way, at, depth }) => ({
        sheet: k + 1,
        depth,
        words: `${depth === 0 ? 'Through the sheet' : `In the piece of ${say(piece.along)} × ${say(piece.across)} mm`}, ${way === 'along' ? 'along the grain' : 'across the grain'}, ${say(at)} mm from its low edge`,
      })),
  )
}

const say = (mm: number): string => String(Math.round(mm * 10) / 10)
