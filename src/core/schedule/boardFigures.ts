import { figureOf } from '../bench'
import { leastEdge, pilotHole, screwsApart } from '../fasteners'
import type { PlanBench } from './slice'

const figure = figureOf<PlanBench>()

export const boardSpacing = figure({
  id: 'plan.boardSpacing',
  label: 'Screws along the edge, apart',
  quantity: 'length',
  formula: 's = \\dfrac{\\v{l} - 2\\cdot \\v{e}}{\\v{n} - 1}',
  symbols: { l: 'plan.boards.edge', e: 'plan.boards.fromEnd', n: 'plan.boards.screws' },
  source: 'By definition: evenly spread, the outer ones at a distance from the ends.',
  doubt: 'nudge',
  work(view): number {
    const { edge, fromEnd, screws } = view.bench.plan.boards
    return Number.isNaN(edge) ? Number.NaN : screwsApart(edge, screws, Math.min(fromEnd, edge / 2))
  },
})

export const boardPilot = figure({
  id: 'plan.boardPilot',
  label: 'Pilot hole',
  quantity: 'length',
  formula: 'd_p = k\\cdot d,\\ k \\text{ after what it is driven into}',
  symbols: {},
  source: 'Share of the diameter by material (common practice).',
  doubt: 'nudge',
  work(view): number {
    const { screw, into } = view.bench.plan.boards
    return pilotHole(screw, into)
  },
})

export const edgeMargin = figure({
  id: 'plan.edgeMargin',
  label: 'Outer screws from the ends, beyond the least',
  quantity: 'length',
  formula: 'm = e - k\\cdot d,\\ k \\text{ after what they are driven into}',
  symbols: {},
  source: 'EN 1995-1-1 8.3.1.2, predrilled, unloaded edge (from memory); sheet (common practice); 0 is the limit.',
  doubt: 'nudge',
  work(view): number {
    const { fromEnd, screw, into } = view.bench.plan.boards
    return fromEnd - leastEdge(screw, into)
  },
})

export const mountGap = figure({
  id: 'plan.mountGap',
  label: 'Spacer that brings both mounts into line',
  quantity: 'length',
  formula: 'g = \\v{h} - \\v{l}',
  symbols: { h: 'plan.mounts.high', l: 'plan.mounts.low' },
  source: 'By definition; both read over one base by one instrument.',
  doubt: 'nudge',
  work: (view): number => view.bench.plan.mounts.high - view.bench.plan.mounts.low,
})

export const headRoom = figure({
  id: 'plan.headRoom',
  label: 'Head-room left above the machine',
  quantity: 'length',
  formula: 'm = \\v{f} - \\v{h} - \\v{a}',
  symbols: { f: 'plan.room.free', h: 'plan.room.machine', a: 'plan.room.above' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work(view): number {
    const { free, machine, above } = view.bench.plan.room
    return free - machine - above
  },
})
