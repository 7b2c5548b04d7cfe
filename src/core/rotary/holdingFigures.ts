import { figureOf, subjectOf, type View } from '../bench'
import { depthOfFocus } from '../calibrate'
import { radiusAt } from './focus'
import { bow, objectOf, sectionsOf, straightStretch, theObject, workAngle, type RotaryView } from './objectFigures'
import { HOLDINGS, type Holding, type RotaryBench } from './slice'

const figure = figureOf<RotaryView>()

/** What each way of holding is judged by. */
export const REASONS = {
  rollers: ['carries', 'pressed', 'lies', 'taper', 'handle', 'drift'],
  chuck: ['carries', 'jaws', 'overhang', 'brittle'],
  centres: ['carries', 'between', 'seat'],
  plate: ['flat', 'handle'],
} as const satisfies Readonly<Record<Holding, readonly string[]>>
export type Reason = (typeof REASONS)[Holding][number]

/** Every way to hold the object in hand, by everything that speaks for or against it. */
export const aReason = subjectOf<RotaryBench>()('reason', (bench): [objectId: string, holding: string, reason: string][] =>
  theObject
    .each(bench)
    .flatMap(([id]) => HOLDINGS.flatMap((holding) => REASONS[holding].map((it): [string, string, string] => [id, holding, it]))),
)

/** Where something is good, and where it must not be. Between the two it is worth a look. */
interface Limits {
  readonly good: number
  readonly stop: number
}
/** Share of what it carries; what lies on rollers, kg: lighter things hop. (common practice) */
const CARRIED: Limits = { good: 0.8, stop: 1 }
const PRESSED: Limits = { good: 0.25, stop: 0.08 }
/** Sum of both diameters over the distance of the rollers: at 1 it falls through, far above it lies on one of them. */
const LIES: Limits = { good: 1.3, stop: 1.05 }
/** Share of its length that must be straight to lie on rollers. (common practice) */
const STRAIGHT_SHARE: Limits = { good: 0.5, stop: 0.1 }
/** Half angle of a taper on rollers, rad: it drifts, and then runs off. (common practice) */
const TAPER: Limits = { good: 0.002, stop: 0.03 }
/** Angle that a handle keeps from a roller, rad. */
const HANDLE: Limits = { good: 0.35, stop: 0 }
/** Length over the length that jaws hold. (common practice) */
const OVERHANG: Limits = { good: 5, stop: 10 }
/** Within the range of jaws or centres by, mm. */
const WITHIN: Limits = { good: 1, stop: 0 }
/** Bow over the depth of focus. */
const FLAT: Limits = { good: 0.8, stop: 1 }

/** 1 where it is good, 0 where it begins to be a stop; more or less beyond them. */
const room = (value: number, { good, stop }: Limits): number => (value - stop) / (good - stop)

/** The nearest that a handle comes to where a roller touches, rad; below 0 it runs into it. */
function handleFromRoller(view: View<RotaryView>, id: string): number {
  const { rollerDiameter, rollerGap } = view.bench.rotary.holder
  const { handleFrom, handleTo, handleAt } = objectOf(view, id)
  const diameter = 2 * radiusAt(sectionsOf(view, id), (handleFrom + handleTo) / 2)
  const touches = Math.PI - Math.asin(Math.min(1, rollerGap / (rollerDiameter + diameter)))
  const half = view.figure(workAngle, id) / 2
  const [low, high] = [Math.max(0, handleAt - half), Math.min(Math.PI, handleAt + half)]
  return Math.max(touches - high, low - touches)
}

const ROOMS: Readonly<Record<Reason, (view: View<RotaryView>, id: string, holding: string) => number>> = {
  carries: (view, id) => room(objectOf(view, id).mass / view.bench.rotary.holder.heaviest, CARRIED),
  pressed: (view, id) => room(objectOf(view, id).mass, PRESSED),
  lies(view, id) {
    const { rollerDiameter, rollerGap, rollerLength } = view.bench.rotary.holder
    const { from, to } = view.figure(straightStretch, id)
    const sections = sectionsOf(view, id)
    const narrow = 2 * Math.min(radiusAt(sections, from), radiusAt(sections, to))
    const share = (to - from) / Math.min(rollerLength, objectOf(view, id).length)
    return Math.min(room((narrow + rollerDiameter) / rollerGap, LIES), room(share, STRAIGHT_SHARE))
  },
  taper: (view, id) => room(Math.abs(view.figure(straightStretch, id).slope), TAPER),
  handle(view, id, holding) {
    if (objectOf(view, id).handle !== 'one') return 1
    return holding === 'plate' ? -1 : room(handleFromRoller(view, id), HANDLE)
  },
  drift: (view) => (view.bench.rotary.holder.againstDrift === 'yes' ? 1 : 0.5),
  jaws(view, id) {
    const { holder } = view.bench.rotary
    const it = objectOf(view, id)
    const end = 2 * radiusAt(sectionsOf(view, id), 0)
    const outside = Math.min(end - holder.jawLeast, holder.jawMost - end)
    // Jaws that nobody has measured from inside hold from outside alone.
    const fromInside = view.asEntered.rotary.holder
    if (it.hollow !== 'driven' || Number.isNaN(fromInside.insideLeast + fromInside.insideMost)) return room(outside, WITHIN)
    return room(Math.max(outside, Math.min(it.bore - holder.insideLeast, holder.insideMost - it.bore)), WITHIN)
  },
  overhang: (view, id) => room(objectOf(view, id).length / view.bench.rotary.holder.jawLength, OVERHANG),
  brittle: (view, id) => (['glass', 'ceramic', 'enamel'].includes(objectOf(view, id).madeOf) ? 0.5 : 1),
  between: (view, id) => room(view.bench.rotary.holder.centresMost - objectOf(view, id).length, WITHIN),
  seat: (view, id) => (objectOf(view, id).hollow === 'driven' ? 1 : 0.5),
  flat: (view, id) => room(view.figure(bow, id) / view.figure(depthOfFocus), FLAT),
}

export const holdingRoom = figure({
  id: 'rotary.holdingRoom',
  of: aReason,
  label: 'Room by one reason',
  quantity: 'ratio',
  formula: 'm = \\dfrac{x - x_0}{x_1 - x_0}',
  symbols: {},
  source:
    'x₁ where it is good, x₀ where it is a stop (common practice; rollers, chucks and centres by the handbook of the trade).',
  doubt: 'nudge',
  work: (view, id: string, holding: string, reason: string): number => ROOMS[reason as Reason](view, id, holding),
})
