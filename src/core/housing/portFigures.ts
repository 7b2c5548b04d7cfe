import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { travelOf } from '../motion'
import { headAt } from '../rotary'
import { begunBox, enclosure, insideSize, sheetThickness, type HousingView } from './boxFigures'
import type { Enclosure } from './enclosure'
import { sightByMirror, sightOut, type LineOut, type Rect, type Sight, type WayOut } from './sight'
import type { HousingBench, Wall } from './slice'
import { innerFaces, slotThrough, wayThrough } from './ways'

const figure = figureOf<HousingView>()

/** Where light could get out: openings that are not filled, the window until its certificate is there, the lid's gap, the foot of a hood. */
export const aLightWay = subjectOf<HousingBench>()('way of the light', ({ housing }): [way: string][] => {
  if (begunBox.each({ housing }).length === 0) return []
  const { ports, lid, size } = housing
  const open = Object.entries(ports).filter(([, it]) => it.filled.chosen !== 'yes')
  return [
    ...open.map(([id]): [string] => [id]),
    ...(lid.seal.chosen === 'gap' ? [['lid'] as [string]] : []),
    ...(size.floor.chosen === 'no' && size.foot.chosen === 'gap' ? [['foot'] as [string]] : []),
  ]
})

/** Every port that is placed. */
export const aPort = subjectOf<HousingBench>()('port', ({ housing }): [portId: string][] =>
  Object.keys(housing.ports).map((id) => [id]),
)

function boxOf(view: View<HousingView>): Enclosure {
  const found = view.figure(enclosure)
  if (found === null) throw new NotYet('say first how large the box is')
  return found
}

/** Where beam and glint can come from: the reach of the spot on the bed, and on what is turned. Places from the inner corner, mm. */
export const workPatches = figure({
  id: 'housing.workPatches',
  of: begunBox,
  label: 'Where light comes from',
  quantity: 'length',
  formula: 'x, y, z',
  symbols: {},
  source: 'Travel of the head, in the middle of the machine, at the height of the bed and of what is turned.',
  doubt: { none: 'places on a drawing' },
  work(view): readonly Rect[] {
    const { needs } = view.bench.housing
    const { feet } = view.bench.rotary.stack
    const [x, y] = [view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')]
    // Where the box is larger than it needs to be, the machine stands in its middle.
    const spareX = (view.figure(insideSize, 'x') - needs.machineX) / 2
    const spareY = view.figure(insideSize, 'y') - needs.machineY - needs.loopBehind
    const left = spareX + (needs.machineX - x) / 2
    const front = spareY + (needs.machineY - y) / 2
    const at = (z: number): Rect => ({ axis: 2, at: z, low: [left, front], high: [left + x, front + y] })
    const bed = needs.bedOver + feet
    const { objects, inHand } = view.bench.rotary
    return objects[inHand] === undefined ? [at(bed)] : [at(bed), at(bed + view.figure(headAt, inHand))]
  },
})

/** Walls that a slot under a lid or a hood runs along. */
const UPRIGHT: readonly Wall[] = ['left', 'right', 'front', 'back']

function waysOf(view: View<HousingView>, id: string): readonly WayOut[] {
  const box = boxOf(view)
  const t = view.figure(sheetThickness)
  if (id === 'lid') {
    const { gap, form } = view.bench.housing.lid
    if (form !== 'top')
      throw new NotYet('lines past a front lid are looked at by eye: darken the room, and look for light round it')
    return UPRIGHT.map((wall) => slotThrough(wall, box.outside.z - t, box.outside.z - t + gap, box, t))
  }
  if (id === 'foot') return UPRIGHT.map((wall) => slotThrough(wall, -view.bench.housing.size.footGap, 0, box, t))
  const port = view.bench.housing.ports[id]
  if (port === undefined) throw new NotYet('this opening is no longer there')
  if (Number.isNaN(port.x + port.y + port.width + (port.round === 'yes' ? 0 : port.height))) return []
  return [wayThrough(port, box, t)]
}

/** What is seen of a way out: straight, or by way of a wall. */
export interface WaySeen {
  readonly kind: Sight['kind']
  readonly line: LineOut | null
  /** Whether by way of a bright wall only. */
  readonly byWall: boolean
}

const worse = (p: WaySeen, q: WaySeen): WaySeen => (RANK[q.kind] > RANK[p.kind] ? q : p)
const RANK: Readonly<Record<Sight['kind'], number>> = { shut: 0, narrow: 1, seen: 2 }

export const wayOfLight = figure({
  id: 'housing.wayOfLight',
  of: aLightWay,
  label: 'Lines out',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source:
    'Branch and bound over all straight lines from the work; by way of walls that are not matt black, by their mirror images.',
  doubt: { none: 'openings are taken 1 mm wider and baffles 1 mm smaller than they are; what cannot be told counts as a line' },
  work(view, id: string): WaySeen {
    const ways = waysOf(view, id)
    const patches = view.figure(workPatches)
    const { inside } = view.bench.housing.size
    // A number that is missing makes all of it unknown; the engine names it.
    if (JSON.stringify([ways, patches]).includes('null')) return { kind: 'shut', line: null, byWall: false }
    let found: WaySeen = { kind: 'shut', line: null, byWall: false }
    for (const way of ways)
      for (const work of patches) {
        found = worse(found, seenOf(sightOut(work, way), false))
        if (found.kind === 'seen') return found
      }
    if (inside === 'black') return found
    const faces = innerFaces(boxOf(view))
    for (const way of ways)
      for (const work of patches)
        for (const face of faces) {
          // A wall is no mirror of what lies in it, nor of an opening in itself.
          if (face.axis === work.axis && face.at === work.at) continue
          if (way.edges.some((it) => it.axis === face.axis && it.at === face.at)) continue
          found = worse(found, seenOf(sightByMirror(work, way, face, WALL_FINE), true))
          if (found.kind === 'seen') return found
        }
    return found
  },
})

/** Lines by way of a wall are told apart down to this, mm: what is narrower counts as one. */
const WALL_FINE = 4

const seenOf = (sight: Sight, byWall: boolean): WaySeen => ({
  kind: sight.kind,
  line: sight.kind === 'shut' ? null : sight.line,
  byWall,
})

export const lightRoom = figure({
  id: 'housing.lightRoom',
  of: aLightWay,
  label: 'Straight lines out',
  quantity: 'ratio',
  formula: 'm',
  symbols: {},
  source: '1 where no straight line leads out, −1 where one does or cannot be ruled out.',
  doubt: 'alternatives',
  work(view, id: string): number {
    const isKnown = [view.figure(insideSize, 'x'), view.figure(insideSize, 'y'), view.figure(insideSize, 'z')].every(
      (it) => !Number.isNaN(it),
    )
    if (!isKnown) return Number.NaN
    return view.figure(wayOfLight, id).kind === 'shut' ? 1 : -1
  },
})

/** Whether any straight line leads out: what is thrown back inside may follow it. */
export const linesOut = figure({
  id: 'housing.linesOut',
  of: begunBox,
  label: 'Ways that the light leads out by',
  quantity: 'count',
  formula: 'n',
  symbols: {},
  source: 'Counted over openings, lid and foot; what cannot be told counts as one.',
  doubt: 'alternatives',
  work(view): number {
    const { ports, lid, size } = view.bench.housing
    const ways = Object.keys(ports).filter((id) => ports[id]?.filled !== 'yes')
    if (lid.seal === 'gap') ways.push('lid')
    if (size.floor === 'no' && size.foot === 'gap') ways.push('foot')
    if (Number.isNaN(view.figure(insideSize, 'x') + view.figure(insideSize, 'y') + view.figure(insideSize, 'z')))
      return Number.NaN
    return ways.filter((id) => view.figure(wayOfLight, id).kind !== 'shut').length
  },
})

export const portRoom = figure({
  id: 'housing.portRoom',
  of: aPort,
  label: 'Left of the wall round it',
  quantity: 'length',
  signs: { above: 'there is', below: 'missing' },
  formula: 'm = \\min(x - \\tfrac{b}{2},\\ w - x - \\tfrac{b}{2},\\ \\dots)',
  symbols: {},
  source: 'By definition; to the edges of the wall outside.',
  doubt: 'nudge',
  work(view, id: string): number {
    const port = view.bench.housing.ports[id]
    if (port === undefined) throw new NotYet('this opening is no longer there')
    const { outside } = boxOf(view)
    const [wide, high] =
      port.wall === 'left' || port.wall === 'right'
        ? [outside.y, outside.z]
        : port.wall === 'front' || port.wall === 'back'
          ? [outside.x, outside.z]
          : [outside.x, outside.y]
    const [a, b] = [port.width / 2, (port.round === 'yes' ? port.width : port.height) / 2]
    return Math.min(port.x - a, wide - port.x - a, port.y - b, high - port.y - b)
  },
})
