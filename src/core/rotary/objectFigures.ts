import { figureOf, NotYet, subjectOf, type Plain, type View } from '../bench'
import { depthOfFocus, type FocusBench } from '../calibrate'
import { bowOf, focusedZones, levellingTilt, radiusAt, widestScan, type Section, type Zone } from './focus'
import { massSpread, straightOf, topLineSpread, type Straight } from './profile'
import type { RotaryBench, RoundObject } from './slice'

export type RotaryView = RotaryBench & FocusBench
const figure = figureOf<RotaryView>()

/** The object in hand, where there is one. */
export const theObject = subjectOf<RotaryBench>()('object in hand', ({ rotary }): [objectId: string][] =>
  rotary.objects[rotary.inHand] === undefined ? [] : [[rotary.inHand]],
)

/** An object. @throws {NotYet} where it is not there. */
export function objectOf(view: View<RotaryBench>, id: string): Plain<RoundObject> {
  const found = view.bench.rotary.objects[id]
  if (found === undefined) throw new NotYet('say what is to be turned')
  return found
}

/** Its sections by their places. @throws {NotYet} where there are less than two. */
export function sectionsOf(view: View<RotaryBench>, id: string): readonly Section[] {
  const sections = Object.values(objectOf(view, id).sections)
    .map(({ at, diameter }) => ({ at, diameter }))
    .sort((p, q) => p.at - q.at)
  if (sections.length < 2) throw new NotYet('measure the object’s diameter at two places or more')
  const same = sections.find((it, k) => k > 0 && it.at === sections[k - 1]?.at)
  if (same !== undefined)
    throw new NotYet(`two diameters are entered at ${same.at} mm: take one away, or say where it was measured`)
  return sections
}

/** Where its work lies, mm along it. @throws {NotYet} where it ends before it begins. */
export function workOf(view: View<RotaryBench>, id: string): Zone {
  const { workFrom: from, workTo: to } = objectOf(view, id)
  if (to <= from) throw new NotYet('the work ends where it begins, or before: say from where to where it goes')
  return { from, to }
}

/** Where the bottom of a hollow thing is, mm; null: it is solid. */
export function bottomOf({ hollow, length }: Plain<RoundObject>): number | null {
  return hollow === 'no' ? null : hollow === 'far' ? 0 : length
}

const middleOf = ({ from, to }: Zone): number => (from + to) / 2

export const diameterOfWork = figure({
  id: 'rotary.diameter',
  of: theObject,
  label: 'Diameter in the middle of the work',
  quantity: 'length',
  formula: 'D',
  symbols: {},
  source: 'Straight between the two sections beside it.',
  doubt: 'nudge',
  work: (view, id: string): number => 2 * radiusAt(sectionsOf(view, id), middleOf(workOf(view, id))),
})

export const circumference = figure({
  id: 'rotary.circumference',
  of: theObject,
  label: 'Once round, in the middle of the work',
  quantity: 'length',
  formula: 'C = \\pi\\,\\v{D}',
  symbols: { D: '=rotary.diameter|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => Math.PI * view.figure(diameterOfWork, id),
})

export const levelTilt = figure({
  id: 'rotary.levelTilt',
  of: theObject,
  label: 'Tilt that levels its top line over the work',
  quantity: 'angle',
  signs: { above: 'driven end up by', below: 'driven end down by' },
  formula: '\\varphi = \\arctan\\dfrac{D_2 - D_1}{2L}',
  symbols: {},
  source: 'D₁ and D₂ at both ends of the work, L its length: half the taper (handbook of the trade).',
  doubt: 'nudge',
  work(view, id: string): number {
    const [sections, { from, to }] = [sectionsOf(view, id), workOf(view, id)]
    return levellingTilt(2 * radiusAt(sections, to), 2 * radiusAt(sections, from), to - from)
  },
})

export const endLift = figure({
  id: 'rotary.endLift',
  of: theObject,
  label: 'Over the whole object that is',
  quantity: 'length',
  signs: { above: 'driven end up by', below: 'far end up by' },
  formula: 'h = \\v{L}\\tan\\v{\\varphi}',
  symbols: { L: 'rotary.objects.{0}.length', '\\varphi': '=rotary.levelTilt|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => objectOf(view, id).length * Math.tan(view.figure(levelTilt, id)),
})

/** What is smaller than any length that anybody measures is none: a straight side rises by nothing. */
const rounded = (mm: number): number => Math.round(mm * 1e9) / 1e9

export const topLine = figure({
  id: 'rotary.topLine',
  of: theObject,
  label: 'Rise and fall of its levelled top line over the work',
  quantity: 'length',
  formula: 'h = \\max_x t - \\min_x t,\\quad t = r\\cos\\varphi - x\\sin\\varphi',
  symbols: {},
  source: 'By definition; straight between sections.',
  doubt: 'nudge',
  work: (view, id: string): number => rounded(topLineSpread(sectionsOf(view, id), workOf(view, id), -view.figure(levelTilt, id))),
})

export const focusRoom = figure({
  id: 'rotary.focusRoom',
  of: theObject,
  label: 'Within the depth of focus by',
  quantity: 'length',
  formula: 'm = \\v{d} - \\v{h}',
  symbols: { d: '=calibrate.depthOfFocus', h: '=rotary.topLine|{0}' },
  source: 'Focused half-way between its highest and its lowest.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(depthOfFocus) - view.figure(topLine, id),
})

export const focusedLength = figure({
  id: 'rotary.focusedLength',
  of: theObject,
  label: 'Longest stretch in focus, tilted for the work',
  quantity: 'length',
  formula: '\\ell',
  symbols: {},
  source: 'Stretches whose top line stays within the depth of focus.',
  doubt: { none: 'Where a stretch ends jumps from section to section: its two ends are drawn.' },
  work(view, id: string): number {
    const zone = focusZones(view, id)[0]
    return zone === undefined ? 0 : zone.to - zone.from
  },
})

/** Share of the length below which a stretch in focus is none that anybody would use. */
const LEAST_ZONE = 0.05

/** Stretches of the object in hand that stay in focus when it is tilted for its work, the longest first. */
function focusZones(view: View<RotaryView>, id: string): readonly Zone[] {
  const zones = focusedZones(sectionsOf(view, id), -view.figure(levelTilt, id), view.figure(depthOfFocus) / 2, 0)
  return zones.filter(({ from, to }) => to - from >= LEAST_ZONE * objectOf(view, id).length)
}

export const focusStretches = figure({
  id: 'rotary.focusStretches',
  of: theObject,
  label: 'Stretches in focus',
  quantity: 'length',
  formula: '[x_1, x_2]',
  symbols: {},
  source: 'Stretches whose top line stays within the depth of focus.',
  doubt: { none: 'Stretches for the drawing.' },
  work: (view, id: string) => focusZones(view, id),
})

/** How far a side may lie from a straight line, mm. (common practice) */
const STRAIGHT = 0.2

export const straightStretch = figure({
  id: 'rotary.straightStretch',
  of: theObject,
  label: 'Straight stretch',
  quantity: 'length',
  formula: '[x_1, x_2]',
  symbols: {},
  source: 'The longest stretch whose radii lie within 0.2 mm of a line (common practice).',
  doubt: { none: 'A stretch for the drawing.' },
  work: (view, id: string): Straight => straightOf(sectionsOf(view, id), STRAIGHT),
})

export const straightLength = figure({
  id: 'rotary.straightLength',
  of: theObject,
  label: 'Its straight stretch is',
  quantity: 'length',
  formula: '\\ell',
  symbols: {},
  source: 'The longest stretch whose radii lie within 0.2 mm of a line (common practice).',
  doubt: { none: 'It jumps from section to section: its two ends are drawn.' },
  work(view, id: string): number {
    const { from, to } = view.figure(straightStretch, id)
    return to - from
  },
})

export const bow = figure({
  id: 'rotary.bow',
  of: theObject,
  label: 'Out of focus at its sides, if it were burnt without turning',
  quantity: 'length',
  formula: 'b = \\tfrac12\\v{D} - \\tfrac12\\sqrt{\\v{D}^2 - \\v{w}^2}',
  symbols: { D: '=rotary.diameter|{0}', w: 'rotary.objects.{0}.workAround' },
  source: 'R − √(R² − (w/2)²) (handbook of the trade); at most the radius.',
  doubt: 'nudge',
  work(view, id: string): number {
    const diameter = view.figure(diameterOfWork, id)
    const width = objectOf(view, id).workAround
    return Number.isNaN(width + diameter) ? Number.NaN : bowOf(diameter, Math.min(width, diameter))
  },
})

export const flatWidest = figure({
  id: 'rotary.flatWidest',
  of: theObject,
  label: 'Widest work in focus without turning',
  quantity: 'length',
  formula: 'w = \\sqrt{\\v{D}^2 - \\left(\\v{D} - 2\\,\\v{d}\\right)^2}',
  symbols: { D: '=rotary.diameter|{0}', d: '=calibrate.depthOfFocus' },
  source: 'The bow, solved for the width; focused half-way down.',
  doubt: 'nudge',
  work(view, id: string): number {
    const [diameter, depth] = [view.figure(diameterOfWork, id), view.figure(depthOfFocus)]
    return Number.isNaN(depth + diameter) ? Number.NaN : widestScan(diameter, depth)
  },
})

export const workAngle = figure({
  id: 'rotary.workAngle',
  of: theObject,
  label: 'It turns for the work by',
  quantity: 'angle',
  formula: '\\theta = \\dfrac{2\\,\\v{w}}{\\v{D}}',
  symbols: { w: 'rotary.objects.{0}.workAround', D: '=rotary.diameter|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => (2 * objectOf(view, id).workAround) / view.figure(diameterOfWork, id),
})

export const aroundRoom = figure({
  id: 'rotary.aroundRoom',
  of: theObject,
  label: 'The work',
  quantity: 'length',
  signs: { above: 'short of once round by', below: 'over its own beginning by' },
  formula: 'm = \\v{C} - \\v{w}',
  symbols: { C: '=rotary.circumference|{0}', w: 'rotary.objects.{0}.workAround' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(circumference, id) - objectOf(view, id).workAround,
})

export const massAlong = figure({
  id: 'rotary.massAlong',
  of: theObject,
  label: 'Centre of mass from its driven end',
  quantity: 'length',
  formula: '\\bar x',
  symbols: {},
  source: 'Of a solid of revolution, or of a thin shell with a bottom opposite its mouth; the handle where it sits.',
  doubt: { none: 'It takes one material and one wall all over: good for balance by eye.' },
  work(view, id: string): number {
    const it = objectOf(view, id)
    const body = massSpread(sectionsOf(view, id), it.length, bottomOf(it)).along
    if (it.handle !== 'one') return body
    const share = it.handleMass / it.mass
    return body * (1 - share) + (share * (it.handleFrom + it.handleTo)) / 2
  },
})

export const massOff = figure({
  id: 'rotary.massOff',
  of: theObject,
  label: 'Centre of mass off its axis, by its handle',
  quantity: 'length',
  formula: 'e = \\dfrac{m_h}{m}\\left(r + \\tfrac12 o\\right)',
  symbols: {},
  source: 'The handle’s mass in the middle of what stands out (common practice); r the radius where it sits.',
  doubt: 'nudge',
  work(view, id: string): number {
    const it = objectOf(view, id)
    if (it.handle !== 'one') return 0
    const radius = radiusAt(sectionsOf(view, id), (it.handleFrom + it.handleTo) / 2)
    return (it.handleMass / it.mass) * (radius + it.handleOut / 2)
  },
})

/** The object in hand, where it is hollow. */
export const aHollow = subjectOf<RotaryBench>()('hollow object', (bench): readonly [objectId: string][] =>
  theObject.each(bench).filter(([id]) => ['driven', 'far'].includes(bench.rotary.objects[id]?.hollow.chosen ?? '')),
)

export const wall = figure({
  id: 'rotary.wall',
  of: aHollow,
  label: 'Wall at its mouth',
  quantity: 'length',
  formula: 's = \\tfrac12\\left(D - b\\right)',
  symbols: {},
  source: 'By definition; D at the end where its mouth is.',
  doubt: 'nudge',
  work(view, id: string): number {
    const it = objectOf(view, id)
    return radiusAt(sectionsOf(view, id), it.hollow === 'driven' ? 0 : it.length) - it.bore / 2
  },
})

/** Rooms that a work must have on its object: to its ends and to what is kept off. */
export const workRoom = figure({
  id: 'rotary.workRoom',
  of: theObject,
  label: 'Between the work and what is kept off, or an end',
  quantity: 'length',
  formula: 'm = \\min\\left(x_1,\\ L - x_2,\\ \\text{gaps}\\right)',
  symbols: {},
  source: 'By definition; below 0 it lies over it.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { from, to } = workOf(view, id)
    const { length, keepOff } = objectOf(view, id)
    const gaps = Object.values(keepOff).map((it) => Math.max(from - Math.max(it.from, it.to), Math.min(it.from, it.to) - to))
    return Math.min(from, length - to, ...gaps)
  },
})

export const sectionsRoom = figure({
  id: 'rotary.sectionsRoom',
  of: theObject,
  label: 'Sections within its length by',
  quantity: 'length',
  formula: 'm = \\v{L} - \\max x_i',
  symbols: { L: 'rotary.objects.{0}.length' },
  source: 'By definition.',
  doubt: { none: 'Places along the object are read off the same rule as its length.' },
  work(view, id: string): number {
    const sections = sectionsOf(view, id)
    return objectOf(view, id).length - Math.max(...sections.map((it) => it.at))
  },
})
