import { figureOf, subjectOf, type View } from '../bench'
import { depthOfFocus, gapAtFocus } from '../calibrate'
import { travelOf } from '../motion'
import { handleTop, heightOnRollers } from './clearing'
import { levellingTilt, radiusAt, type Section, type Zone } from './focus'
import { objectOf, sectionsOf, theObject, workAngle, workOf, type RotaryView } from './objectFigures'
import type { RotaryBench } from './slice'

const figure = figureOf<RotaryView>()

/** What may stand in the head's way, or the bed in its own. */
export const OBSTACLES = ['drive', 'tail', 'object', 'handle'] as const
export type Obstacle = (typeof OBSTACLES)[number]

const STANDING: Readonly<Record<string, readonly Obstacle[]>> = {
  rollers: ['object', 'handle'],
  chuck: ['drive', 'object', 'handle'],
  centres: ['drive', 'tail', 'object', 'handle'],
  plate: ['object'],
}

/** All that may stand in the head's way, as the object in hand is held. */
export const anObstacle = subjectOf<RotaryBench>()('obstacle', (bench): [objectId: string, obstacle: string][] =>
  theObject
    .each(bench)
    .flatMap(([id]) =>
      (STANDING[bench.rotary.holding.chosen ?? ''] ?? [])
        .filter((it) => it !== 'handle' || bench.rotary.objects[id]?.handle.chosen === 'one')
        .map((it): [string, string] => [id, it]),
    ),
)

/** The object in hand, where something turns it; flat on a plate it lies still. */
export const aTurned = subjectOf<RotaryBench>()('turned object', (bench): readonly [objectId: string][] =>
  bench.rotary.holding.chosen === 'plate' ? [] : theObject.each(bench),
)

/** Radius where an object is highest over a stretch, mm. */
function highest(sections: readonly Section[], { from, to }: Zone): number {
  const places = [from, to, ...sections.map((it) => it.at).filter((it) => it > from && it < to)]
  return Math.max(...places.map((at) => radiusAt(sections, at)))
}

export const axisAt = figure({
  id: 'rotary.axisAt',
  of: theObject,
  label: 'Its axis over the bed',
  quantity: 'length',
  formula: 'h_a',
  symbols: {},
  source:
    'As measured; on rollers their height and √((R + r)² − (g/2)²) more, on a plate its top less the slot and the radius more.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { holding, holder, stack } = view.bench.rotary
    if (holding === 'chuck' || holding === 'centres') return stack.axisHeight
    const { from, to } = workOf(view, id)
    const radius = radiusAt(sectionsOf(view, id), (from + to) / 2)
    if (holding === 'plate') return stack.plateTop - stack.slotDepth + radius
    return stack.rollerHeight + heightOnRollers(2 * radius, holder.rollerDiameter, holder.rollerGap)
  },
})

export const topOver = figure({
  id: 'rotary.topOver',
  of: theObject,
  label: 'Top of the work over the bed',
  quantity: 'length',
  formula: 'h_t = \\v{h_a} + R',
  symbols: { h_a: '=rotary.axisAt|{0}' },
  source: 'R the radius where the work is highest.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(axisAt, id) + highest(sectionsOf(view, id), workOf(view, id)),
})

export const headAt = figure({
  id: 'rotary.headAt',
  of: theObject,
  label: 'Head over the bed when it is in focus',
  quantity: 'length',
  formula: 'h = \\v{h_t} + \\v{g}',
  symbols: { h_t: '=rotary.topOver|{0}', g: '=calibrate.gapAtFocus' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(topOver, id) + view.figure(gapAtFocus),
})

/** The highest that the head stands over the bed, with feet under the frame and the floor let down. */
function headMost(view: View<RotaryView>): number {
  const { headHigh, feet, trap } = view.bench.rotary.stack
  return headHigh + feet + trap
}

export const heightRoom = figure({
  id: 'rotary.heightRoom',
  of: theObject,
  label: 'Under the head',
  quantity: 'length',
  signs: { above: 'room to spare', below: 'missing' },
  formula: 'm = \\v{h_h} + \\v{f} + \\v{t} - \\v{h}',
  symbols: { h_h: 'rotary.stack.headHigh', f: 'rotary.stack.feet', t: 'rotary.stack.trap', h: '=rotary.headAt|{0}' },
  source: 'By definition: feet raise the frame, a floor that is let down lowers the rotary.',
  doubt: 'nudge',
  work: (view, id: string): number => headMost(view) - view.figure(headAt, id),
})

export const lowRoom = figure({
  id: 'rotary.lowRoom',
  of: theObject,
  label: 'Head further down',
  quantity: 'length',
  signs: { above: 'it could go', below: 'it would have to go' },
  formula: 'm = \\v{h} - \\left(\\v{h_h} + \\v{f} + \\v{t} - \\v{l}\\right)',
  symbols: {
    h: '=rotary.headAt|{0}',
    h_h: 'rotary.stack.headHigh',
    f: 'rotary.stack.feet',
    t: 'rotary.stack.trap',
    l: 'rotary.stack.headLow',
  },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(headAt, id) - (headMost(view) - view.bench.rotary.stack.headLow),
})

/** The stretch along the object that the head's body passes over, mm. */
function passedOver(view: View<RotaryView>, id: string): Zone {
  const { from, to } = workOf(view, id)
  const { headAlong } = view.bench.rotary.stack
  return { from: from - headAlong, to: to + headAlong }
}

/** How high each stands above the axis where the head passes over, mm; −∞: it does not. */
const TOPS: Readonly<Record<Obstacle, (view: View<RotaryView>, id: string) => number>> = {
  drive(view, id) {
    const { holding, holder } = view.bench.rotary
    const reaches = holding === 'chuck' ? holder.jawLength : 0
    const { from } = passedOver(view, id)
    return from < reaches ? holder.discDiameter / 2 : Number.isNaN(from + reaches) ? Number.NaN : -Infinity
  },
  tail(view, id) {
    const { to } = passedOver(view, id)
    return to > objectOf(view, id).length ? view.bench.rotary.holder.tailDiameter / 2 : Number.isNaN(to) ? Number.NaN : -Infinity
  },
  object(view, id) {
    const { length } = objectOf(view, id)
    const { from, to } = passedOver(view, id)
    return highest(sectionsOf(view, id), { from: Math.max(0, from), to: Math.min(length, to) })
  },
  handle(view, id) {
    const { handleFrom, handleTo, handleOut, handleAt } = objectOf(view, id)
    const { from, to } = passedOver(view, id)
    if (handleTo < from || handleFrom > to) return -Infinity
    const radius = radiusAt(sectionsOf(view, id), (handleFrom + handleTo) / 2)
    const turn = view.figure(workAngle, id) / 2
    const { headAcross } = view.bench.rotary.stack
    if (Number.isNaN(radius + turn + handleOut + handleAt + headAcross)) return Number.NaN
    return handleTop({ radius, out: handleOut, at: handleAt, turn }, headAcross)
  },
}

export const clearance = figure({
  id: 'rotary.clearance',
  of: anObstacle,
  label: 'The head over it',
  quantity: 'length',
  signs: { above: 'clear by', below: 'hits by' },
  formula: 'c = R + \\v{g} - t - \\v{f}',
  symbols: { g: '=calibrate.gapAtFocus', f: 'rotary.stack.free' },
  source:
    'R the highest of the work over the axis, t the highest of what stands there under the head’s body, through the whole turn and travel; what does not come under it is clear by the gap.',
  doubt: 'nudge',
  work(view, id: string, obstacle: string): number {
    const under = highest(sectionsOf(view, id), workOf(view, id)) + view.figure(gapAtFocus)
    const top = TOPS[obstacle as Obstacle](view, id)
    // What never comes under the head stands no higher than the work itself.
    const counts = top === -Infinity ? under - view.figure(gapAtFocus) : top
    return under - counts - view.bench.rotary.stack.free
  },
})

export const floorRoom = figure({
  id: 'rotary.floorRoom',
  of: aTurned,
  label: 'Over the bed as it turns',
  quantity: 'length',
  signs: { above: 'clear by', below: 'hits by' },
  formula: 'm = \\v{h_a} - r_{\\max}',
  symbols: { h_a: '=rotary.axisAt|{0}' },
  source: 'r the furthest that it reaches below its axis within the turn: its widest place, a handle, the disc or jaws.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { holding, holder } = view.bench.rotary
    const it = objectOf(view, id)
    const sections = sectionsOf(view, id)
    const widest = highest(sections, { from: 0, to: it.length })
    const disc = holding === 'chuck' || holding === 'centres' ? holder.discDiameter / 2 : 0
    return view.figure(axisAt, id) - Math.max(widest, disc, it.handle === 'one' ? handleBelow(view, id) : 0)
  },
})

/** How far a handle reaches below the axis within the turn, mm. */
function handleBelow(view: View<RotaryView>, id: string): number {
  const { handleFrom, handleTo, handleOut, handleAt } = objectOf(view, id)
  const reach = radiusAt(sectionsOf(view, id), (handleFrom + handleTo) / 2) + handleOut
  const lowest = Math.min(Math.PI, handleAt + view.figure(workAngle, id) / 2)
  return -reach * Math.cos(lowest)
}

export const alongRoom = figure({
  id: 'rotary.alongRoom',
  of: theObject,
  label: 'Travel left along the work',
  quantity: 'length',
  formula: 'm = T - (x_2 - x_1)',
  symbols: {},
  source: 'By definition; T the travel of the axis that it lies along.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { from, to } = workOf(view, id)
    return view.figure(travelOf, view.bench.rotary.stack.axisLies === 'x' ? 'X' : 'Y') - (to - from)
  },
})

/** The object in hand, once somebody has begun to measure how level it lies. */
export const aLevelled = subjectOf<RotaryBench>()('levelled object', (bench): readonly [objectId: string][] =>
  bench.rotary.stack.levelApart.value === null ? [] : theObject.each(bench),
)

export const tiltLeft = figure({
  id: 'rotary.tiltLeft',
  of: aLevelled,
  label: 'Its top line leans by',
  quantity: 'angle',
  signs: { above: 'driven end high by', below: 'driven end low by' },
  formula: '\\varphi = \\arctan\\dfrac{\\v{h_1} - \\v{h_2}}{\\v{a}}',
  symbols: { h_1: 'rotary.stack.heightDriven', h_2: 'rotary.stack.heightFar', a: 'rotary.stack.levelApart' },
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { heightDriven, heightFar, levelApart } = view.bench.rotary.stack
    return Number.isNaN(heightDriven + heightFar + levelApart)
      ? Number.NaN
      : levellingTilt(2 * heightDriven, 2 * heightFar, levelApart)
  },
})

export const levelShim = figure({
  id: 'rotary.levelShim',
  of: aLevelled,
  label: 'Under its low end, over its whole length',
  quantity: 'length',
  formula: 's = \\left|\\v{L}\\tan\\v{\\varphi}\\right|',
  symbols: { L: 'rotary.objects.{0}.length', '\\varphi': '=rotary.tiltLeft|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, id: string): number => objectOf(view, id).length * Math.tan(Math.abs(view.figure(tiltLeft, id))),
})

export const levelRoom = figure({
  id: 'rotary.levelRoom',
  of: aLevelled,
  label: 'Lean over the work within the depth of focus by',
  quantity: 'length',
  formula: 'm = \\v{d} - (x_2 - x_1)\\tan|\\v{\\varphi}|',
  symbols: { d: '=calibrate.depthOfFocus', '\\varphi': '=rotary.tiltLeft|{0}' },
  source: 'By definition, focused half-way.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { from, to } = workOf(view, id)
    return view.figure(depthOfFocus) - (to - from) * Math.tan(Math.abs(view.figure(tiltLeft, id)))
  },
})
