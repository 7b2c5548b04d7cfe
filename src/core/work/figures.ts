import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { learnCut, lightByPower, triesOfMaterial, type CutBench } from '../burn'
import { curveThreshold, kerfByTrial } from '../calibrate'
import type { MotionBench } from '../motion'
import { boxOfWay, countOf } from './placing'
import { burningOf } from './burning'
import { cornerFacts, placesOf } from './fence'
import type { Piece, Way, WorkSlice } from './slice'

export type WorkBench = CutBench & MotionBench & WorkSlice
const figure = figureOf<WorkBench>()

/** A way of a piece that is burnt, and what it is burnt with. */
interface Burnt {
  readonly pieceId: string
  readonly wayId: string
  readonly piece: Piece
  readonly way: Way
}

/** All that is burnt this time. @throws {NotYet} while there is nothing. */
function burntOf(view: View<WorkBench>): readonly Burnt[] {
  const pieces = view.rows(({ work }) => work.pieces)
  const all = Object.entries(pieces).flatMap(([pieceId, piece]) =>
    piece.isIn === 'no'
      ? []
      : Object.entries(piece.ways).flatMap(([wayId, way]) => (way.does === 'leave' ? [] : [{ pieceId, wayId, piece, way }])),
  )
  if (all.length === 0) throw new NotYet('take in artwork, and say what is to be done with it')
  return all
}

/** Ways that are burnt, of one kind. */
export const waysThat = (...does: readonly Way['does'][]) =>
  subjectOf<WorkBench>()(`way that is burnt (${does.join(', ')})`, ({ work }): [pieceId: string, wayId: string][] =>
    Object.entries(work.pieces).flatMap(([pieceId, { ways, isIn }]) =>
      isIn === 'no'
        ? []
        : Object.entries(ways)
            .filter(([, it]) => does.includes(it.does))
            .map(([wayId]): [string, string] => [pieceId, wayId]),
    ),
  )
export const aCutWay = waysThat('cut')
export const aBurntWay = waysThat('cut', 'part', 'mark', 'fill')

/** A way with its piece. @throws {NotYet} where it was taken out. */
export function wayOf(view: View<WorkBench>, pieceId: string, wayId: string): Pick<Burnt, 'piece' | 'way'> {
  const piece = view.rows(({ work }) => work.pieces[pieceId])
  const way = piece?.ways[wayId]
  if (piece === undefined || way === undefined) throw new NotYet('it was taken out of the work order')
  return { piece, way }
}

/** What it is burnt with, as the book has it now. */
export function settingOfWay(view: View<WorkBench>, way: Way) {
  const material = view.rows(({ work }) => work.material)
  const settings = view.rows(({ burns }) => burns.materials[material]?.settings ?? {})
  return burningOf({ material }, { [material]: { settings } }, way)
}

/** Whether there is an order; what is judged only then. */
export const anOrder = subjectOf<WorkBench>()('work order', ({ work }): [][] => (Object.keys(work.pieces).length > 0 ? [[]] : []))

export const kerfNow = figure({
  id: 'work.kerfNow',
  of: anOrder,
  label: 'Kerf that is counted',
  quantity: 'length',
  formula: 'k',
  symbols: {},
  source: 'The mean of both axes of the newest kerf trial; without one, as entered here.',
  doubt: 'nudge',
  work(view): number {
    return kerfByTrial(view) ?? view.bench.work.kerf
  },
})

/** Edges of all that is burnt on the sheet, mm. @throws {NotYet} while there is nothing. */
export function burntBox(view: View<WorkBench>) {
  const boxes = burntOf(view).map(({ piece, way }) => boxOfWay(piece, way))
  return {
    left: Math.min(...boxes.map((it) => it.left)),
    bottom: Math.min(...boxes.map((it) => it.bottom)),
    right: Math.max(...boxes.map((it) => it.right)),
    top: Math.max(...boxes.map((it) => it.top)),
  }
}

export const edgeRoom = figure({
  id: 'work.edgeRoom',
  of: anOrder,
  label: 'From what is burnt to the nearest edge of the sheet',
  quantity: 'length',
  formula: 'e = \\min(x_1,\\ y_1,\\ w - x_2,\\ h - y_2)',
  symbols: {},
  source: 'By definition: the box around all that is burnt, in all its copies, on a sheet of width w and height h.',
  doubt: 'nudge',
  work(view): number {
    const { left, bottom, right, top } = burntBox(view)
    const { sheetWidth, sheetHeight } = view.bench.work
    return Math.min(left, bottom, sheetWidth - right, sheetHeight - top)
  },
})

export const sheetRoom = figure({
  id: 'work.sheetRoom',
  of: anOrder,
  label: 'Room on the sheet',
  signs: { above: 'room of', below: 'short by' },
  quantity: 'length',
  formula: 'r = \\v{e} - \\v{m} - \\v{k}/2',
  symbols: { e: '=work.edgeRoom', m: 'work.margin', k: '=work.kerfNow' },
  source: 'By definition: what is left beyond the margin, half a kerf counted.',
  doubt: 'nudge',
  work(view): number {
    return view.figure(edgeRoom) - view.bench.work.margin - view.figure(kerfNow) / 2
  },
})

/** X and Y of the machine. */
const anAxisOfWork = subjectOf<WorkBench>()('axis of the work', ({ work }): [letter: string][] =>
  Object.keys(work.pieces).length > 0 ? [['X'], ['Y']] : [],
)

/** Run-out that scan lines of all that is filled want along an axis, mm; quickest directions may lie along either. */
function runOutOf(view: View<WorkBench>, burnt: readonly Burnt[], axisId: string): number {
  const fills = burnt.filter(({ way }) => way.does === 'fill')
  if (fills.length === 0) return 0
  const acceleration = view.bench.motion.axes[axisId]?.acceleration ?? null
  if (acceleration === null) return 0
  return Math.max(...fills.map(({ way }) => settingOfWay(view, way).speed ** 2 / (2 * acceleration)))
}

/** Letters of the axes, by id. */
export function lettersOf(view: View<WorkBench>): Readonly<Record<string, string>> {
  const { axes } = view.bench.motion
  return Object.fromEntries(Object.keys(axes).map((id) => [id, axes[id]?.letter ?? '']))
}

export const travelRoom = figure({
  id: 'work.travelRoom',
  of: anAxisOfWork,
  label: 'Room within the travel',
  signs: { above: 'room of', below: 'short by' },
  quantity: 'length',
  formula: 'r = \\min(l,\\ T - h)',
  symbols: {},
  source: 'Lowest and highest place that is burnt, run-out of scan lines (v²/2a) counted, within 0 and the travel.',
  doubt: 'nudge',
  work(view, letter: string): number {
    const burnt = burntOf(view)
    const box = burntBox(view)
    const axes = lettersOf(view)
    const axisId = Object.keys(axes).find((id) => axes[id] === letter)
    if (axisId === undefined) throw new NotYet(`enter the axis ${letter} on Motion`)
    const travel = view.bench.motion.axes[axisId]?.travel
    if (travel === undefined) throw new NotYet(`enter the travel of ${letter}`)
    const places = placesOf(view.bench.work).filter((it) => it.isIn)
    if (places.length === 0) throw new NotYet('say which places have a blank')
    const facts = cornerFacts(view.bench.work.placedBy)
    const along = letter === 'X' ? ('x' as const) : ('y' as const)
    const [corner, ends] = [view.bench.work[facts[along]], places.map((it) => it[along])]
    const [near, far] = along === 'x' ? [box.left, box.right] : [box.bottom, box.top]
    const [low, high] = [near + corner + Math.min(...ends), far + corner + Math.max(...ends)]
    const beyond = runOutOf(view, burnt, axisId) + view.figure(kerfNow) / 2
    return Math.min(low - beyond, travel - high - beyond)
  },
})

export const cutChanceOfWay = figure({
  id: 'work.cutChance',
  of: aCutWay,
  label: 'Chance that it comes through',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'p(n\\,P/v)',
  symbols: {},
  source: 'What is learnt of this material, at the power, speed and passes of the order (burn.settingChance).',
  doubt: { none: 'It is a chance itself.' },
  work(view, pieceId: string, wayId: string): number {
    const { way } = wayOf(view, pieceId, wayId)
    const { power, speed, passes } = settingOfWay(view, way)
    const material = view.rows(({ work }) => work.material)
    if (material === '') throw new NotYet('say which material of the book it is')
    const learnt = learnCut(triesOfMaterial(view, material))
    if (learnt === null) throw new NotYet('try a line that comes through, and one that does not')
    return learnt.chance((lightByPower(view).at(power) * passes) / speed)
  },
})

export const cutRoomOfWay = figure({
  id: 'work.cutRoom',
  of: aCutWay,
  label: 'Chance above 95 of 100',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'r = \\v{p} - 0.95',
  symbols: { p: '=work.cutChance|{0}|{1}' },
  source: 'A cut that fails once in twenty is tried again (common practice).',
  doubt: { none: 'It is a chance itself.' },
  work: (view, pieceId: string, wayId: string): number => view.figure(cutChanceOfWay, pieceId, wayId) - 0.95,
})

export const underMargin = figure({
  id: 'work.underMargin',
  of: anOrder,
  label: 'Against what the sheet lies on',
  quantity: 'count',
  formula: 'm = -1\\ \\text{where a cut goes into something closed, else}\\ 0',
  symbols: {},
  source: 'A cut needs an open bed below: smoke and heat leave there (common practice). 0 is the limit.',
  doubt: { none: 'A count.' },
  work(view): number {
    const isCut = burntOf(view).some(({ way }) => way.does === 'cut')
    const under = view.rows(({ work }) => work.under)
    return isCut && (under === 'table' || under === 'plate') ? -1 : 0
  },
})

export const lightRoom = figure({
  id: 'work.lightRoom',
  of: aBurntWay,
  label: 'Power against where the light begins',
  signs: { above: 'more by', below: 'less by' },
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'r = s - s_0',
  symbols: {},
  source: 'Of the power curve: below its threshold there is no light (calibrate.curveThreshold).',
  doubt: 'nudge',
  work(view, pieceId: string, wayId: string): number {
    const { way } = wayOf(view, pieceId, wayId)
    return settingOfWay(view, way).power - view.figure(curveThreshold)
  },
})

export const burningSeconds = figure({
  id: 'work.burningSeconds',
  of: anOrder,
  label: 'No less time than',
  quantity: 'time',
  formula: 't \\ge \\sum n\\,L/v + \\sum n\\,A/(v\\,p)',
  symbols: {},
  source: 'Handbook of the trade: length over speed, area over speed and pitch, over all copies and passes.',
  doubt: { none: 'Lengths of a drawing, and speeds as they are commanded.' },
  work(view): number {
    return burntOf(view).reduce((sum, { piece, way }) => {
      const { speed, pitch, passes } = settingOfWay(view, way)
      const size = piece.unit * piece.scale
      const copies = countOf(piece) * placesOf(view.bench.work).filter((it) => it.isIn).length
      const long = way.does === 'fill' ? (way.area * size * size) / pitch : way.length * size
      return sum + (copies * passes * long) / speed
    }, 0)
  },
})
