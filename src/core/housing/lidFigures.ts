import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { begunBox, lidCentre, lidMass, type HousingView } from './boxFigures'
import { forceToHold, gasForce, hingeLoad, lidWeight, springAt, type GasSpring, type Lid } from './lid'
import { mountsThatHold, type Mount } from './mounts'
import type { HousingBench } from './slice'

const figure = figureOf<HousingView>()

/** A lid that springs hold. */
export const sprungLid = subjectOf<HousingBench>()('lid on springs', ({ housing }): readonly [][] =>
  housing.lid.springs.chosen === 'gas' || housing.lid.springs.chosen === 'coil' ? [[]] : [],
)

/** Angles that are looked at. */
const ANGLES = 25

function lidOf(view: View<HousingView>): Lid {
  const { count, onLid, boxOut, boxDown } = view.bench.housing.lid
  return {
    mass: view.figure(lidMass),
    centre: view.figure(lidCentre),
    above: 0,
    onLid,
    onLidAbove: 0,
    boxX: boxOut,
    boxY: -boxDown,
    count,
  }
}

function springOf(view: View<HousingView>): GasSpring {
  const { force, progression, stretched, stroke } = view.bench.housing.lid
  return { force, progression, stretched, stroke }
}

/** Where a spring pushes as its label says, °C; a coil of steel does so at any temperature. */
const AS_LABELLED = 20

/** Temperatures that the lid must hold at. */
function climateOf(view: View<HousingView>): { readonly coldest: number; readonly warmest: number } {
  const { lid } = view.bench.housing
  return lid.springs === 'gas' ? { coldest: lid.coldest, warmest: lid.warmest } : { coldest: AS_LABELLED, warmest: AS_LABELLED }
}

const isKnown = (...all: readonly number[]): boolean => !all.some(Number.isNaN)

function anglesOf(view: View<HousingView>): readonly number[] {
  const { opensTo } = view.bench.housing.lid
  return Array.from({ length: ANGLES }, (_, k) => (opensTo * k) / (ANGLES - 1))
}

export const holdForce = figure({
  id: 'housing.holdForce',
  of: sprungLid,
  label: 'Force that each spring needs, where it needs most',
  quantity: 'force',
  formula: 'F = \\max_\\theta\\dfrac{m g\\,x\\cos\\theta}{n\\,r}',
  symbols: {},
  source: 'Moments about the hinge; r the arm of the spring.',
  doubt: 'nudge',
  work(view): number {
    const lid = lidOf(view)
    if (!isKnown(lid.onLid, lid.boxX, lid.boxY, lid.mass)) return Number.NaN
    return Math.max(...anglesOf(view).map((it) => forceToHold(lid, it)))
  },
})

/** Spare at the coldest. (common practice) */
const SPARE = 1.1
const PER_KELVIN = 0.0034

export const labelForce = figure({
  id: 'housing.labelForce',
  of: sprungLid,
  label: 'Force to look for on a label',
  quantity: 'force',
  formula: 'F_l = \\dfrac{1.1\\,\\v{F}}{1 + 0.0034\\,(\\v{T} - 20)}',
  symbols: { F: '=housing.holdForce', T: 'housing.lid.coldest' },
  source: 'A tenth more, at the coldest; gas loses 0.34 % a kelvin, a coil nothing (common practice).',
  doubt: 'nudge',
  work: (view): number => (SPARE * view.figure(holdForce)) / (1 + PER_KELVIN * (climateOf(view).coldest - AS_LABELLED)),
})

export const strokeRoom = figure({
  id: 'housing.strokeRoom',
  of: sprungLid,
  label: 'Stroke left at its tighter end',
  quantity: 'length',
  formula: 'm = \\min_\\theta(L_0 - L,\\ L - L_0 + h)',
  symbols: {},
  source: 'Distance between its ends through the travel.',
  doubt: 'nudge',
  work(view): number {
    const lid = lidOf(view)
    const { stretched, stroke } = springOf(view)
    if (!isKnown(lid.onLid, lid.boxX, lid.boxY, stretched, stroke)) return Number.NaN
    const lengths = anglesOf(view).map((it) => springAt(lid, it).length)
    return Math.min(stretched - Math.max(...lengths), Math.min(...lengths) - (stretched - stroke))
  },
})

/** Moment that opens the lid, N·m, at an angle and a temperature; past the end of its stroke a spring pushes as at its end. */
function moment(lid: Lid, spring: GasSpring, angle: number, celsius: number): number {
  const { length, arm } = springAt(lid, angle)
  const within = Math.min(spring.stretched, Math.max(spring.stretched - spring.stroke, length))
  return (lid.count * gasForce(spring, within, celsius) * arm) / 1000 - lidWeight(lid, angle)
}

function momentIn(view: View<HousingView>, angle: number, celsius: number): number {
  const [lid, spring] = [lidOf(view), springOf(view)]
  if (!isKnown(lid.onLid, lid.boxX, lid.boxY, lid.mass, spring.force, spring.stretched, spring.stroke)) return Number.NaN
  return moment(lid, spring, angle, celsius)
}

export const staysUp = figure({
  id: 'housing.staysUp',
  of: sprungLid,
  label: 'Wide open and cold, the springs hold it',
  quantity: 'torque',
  signs: { above: 'up by', below: 'not, short by' },
  formula: 'M = n F r - m g\\,x\\cos\\theta',
  symbols: {},
  source: 'Moments about the hinge at the coldest.',
  doubt: 'nudge',
  work: (view): number => momentIn(view, view.bench.housing.lid.opensTo, climateOf(view).coldest),
})

export const staysShut = figure({
  id: 'housing.staysShut',
  of: sprungLid,
  label: 'Shut and warm, its weight and friction hold it',
  quantity: 'torque',
  signs: { above: 'shut by', below: 'not, short by' },
  formula: 'M = m g\\,x + \\v{f} - n F r',
  symbols: { f: 'housing.lid.friction' },
  source: 'Moments about the hinge at the warmest.',
  doubt: 'nudge',
  work: (view): number => view.bench.housing.lid.friction - momentIn(view, 0, climateOf(view).warmest),
})

export const handForce = figure({
  id: 'housing.handForce',
  of: begunBox,
  label: 'Most that a hand lifts or holds at its edge',
  quantity: 'force',
  formula: 'F_h = \\max_\\theta\\dfrac{|M|}{l}',
  symbols: {},
  source: 'Moments about the hinge, cold and warm; without springs the weight alone.',
  doubt: 'nudge',
  work(view): number {
    const { lid } = view.bench.housing
    const edge = 2 * view.figure(lidCentre)
    if (lid.springs === 'none')
      return (1000 * lidWeight({ ...NO_SPRING, mass: view.figure(lidMass), centre: view.figure(lidCentre) }, 0)) / edge
    const all = anglesOf(view).flatMap((it) =>
      Object.values(climateOf(view)).map((celsius) => Math.abs(momentIn(view, it, celsius))),
    )
    return (1000 * Math.max(...all)) / edge
  },
})

const NO_SPRING = { above: 0, onLid: 1, onLidAbove: 0, boxX: 0, boxY: -1, count: 1 } as const

/** What a hand lifts with ease, N. (ISO 14738, one hand, now and then, from memory) */
const EASY = 60

export const handRoom = figure({
  id: 'housing.handRoom',
  of: begunBox,
  label: 'Against what a hand lifts with ease',
  quantity: 'force',
  signs: { above: 'lighter by', below: 'heavier by' },
  formula: 'm = 60\\,\\text{N} - \\v{F}',
  symbols: { F: '=housing.handForce' },
  source: '60 N with one hand, now and then (from memory).',
  doubt: 'nudge',
  work: (view): number => EASY - view.figure(handForce),
})

export const hingeRoom = figure({
  id: 'housing.hingeRoom',
  of: begunBox,
  label: 'Against the load that the hinge carries',
  quantity: 'force',
  signs: { above: 'less by', below: 'more by' },
  formula: 'm = \\v{F_h} - \\max_\\theta\\left|\\vec F_s + \\vec W\\right|',
  symbols: { F_h: 'housing.lid.hinge' },
  source: 'What the springs push and what the weight pulls, together.',
  doubt: 'nudge',
  work(view): number {
    const { lid: facts } = view.bench.housing
    if (facts.springs === 'none') return facts.hinge - view.figure(lidMass) * 9.80665
    const [lid, spring] = [lidOf(view), springOf(view)]
    if (!isKnown(lid.onLid, lid.boxX, lid.boxY, spring.force, spring.stretched, spring.stroke)) return Number.NaN
    const loads = anglesOf(view).map((it) => {
      const { length } = springAt(lid, it)
      const within = Math.min(spring.stretched, Math.max(spring.stretched - spring.stroke, length))
      return hingeLoad(lid, it, gasForce(spring, within, climateOf(view).warmest))
    })
    return facts.hinge - Math.max(...loads)
  },
})

/** What a lid does at an angle, cold and warm. */
export interface LidAt {
  readonly angle: number
  /** N·m that open it; less than 0 where they shut it. */
  readonly cold: number
  readonly warm: number
  /** Force that each spring needs to hold it, N. */
  readonly holds: number
}

export const lidThrough = figure({
  id: 'housing.lidThrough',
  of: sprungLid,
  label: 'The lid through its travel',
  quantity: 'torque',
  formula: 'M(\\theta)',
  symbols: {},
  source: 'Moments about the hinge, cold and warm.',
  doubt: { none: 'a picture; what counts of it has its own ±' },
  work(view): readonly LidAt[] {
    const [lid, spring] = [lidOf(view), springOf(view)]
    const { coldest, warmest } = climateOf(view)
    if (!isKnown(lid.onLid, lid.boxX, lid.boxY, lid.mass, spring.force, spring.stretched, spring.stroke)) return []
    return anglesOf(view).map((angle) => ({
      angle,
      cold: moment(lid, spring, angle, coldest),
      warm: moment(lid, spring, angle, warmest),
      holds: forceToHold(lid, angle),
    }))
  },
})

export const mountPlaces = figure({
  id: 'housing.mountPlaces',
  of: sprungLid,
  label: 'Where these springs hold it best',
  quantity: 'length',
  formula: 'A, B',
  symbols: {},
  source: 'Moments about the hinge over a grid of places within lid and wall.',
  doubt: { none: 'a list in its order, at the present values' },
  work(view): readonly Mount[] {
    const [lid, spring] = [lidOf(view), springOf(view)]
    const { opensTo } = view.bench.housing.lid
    const { coldest, warmest } = climateOf(view)
    if (!isKnown(lid.mass, spring.force, spring.stretched, spring.stroke)) return []
    const edge = 2 * lid.centre
    const found = mountsThatHold(lid, spring, {
      onLid: [0.15 * edge, 0.75 * edge],
      boxX: [20, 0.5 * edge],
      boxY: [-0.8 * spring.stretched, -60],
      to: opensTo,
      coldest,
      warmest,
    })
    if (found.length === 0)
      throw new NotYet('no place holds the lid with these springs: take longer ones, or stronger ones, or open it less')
    return found
  },
})
