import { figureOf, subjectOf, type View } from '../bench'
import type { ControllerBench } from '../controller'
import { anAxis, type MotionBench } from '../motion'
import type { CalibrateBench } from './slice'

export type TryBench = CalibrateBench & ControllerBench & MotionBench
const figure = figureOf<TryBench>()

/** What is stopped by: the emergency stop, and the lid. */
const aStop = subjectOf<TryBench>()('way to stop', ({ calibrate }): [way: string][] =>
  Object.keys(calibrate.stops).map((id) => [id]),
)

function stopOf(view: View<TryBench>, way: string) {
  const stop = view.bench.calibrate.stops[way]
  if (stop === undefined) throw new RangeError(`there is no way to stop ${way}`)
  return stop
}

function axisOf(view: View<TryBench>, id: string) {
  const axis = view.bench.controller.axes[id]
  if (axis === undefined) throw new RangeError(`there is no axis ${id} on this bench`)
  return axis
}

/** How fast a hand comes near, mm/s. Source: ISO 13855, 2000 mm/s below half a metre (from memory). */
const HAND = 2000

export const handTime = figure({
  id: 'calibrate.handTime',
  of: aStop,
  label: 'Time that a hand takes to the beam',
  quantity: 'time',
  show: { metric: 'ms', inch: 'ms' },
  formula: 't = \\v{s} / 2',
  symbols: { s: 'calibrate.stops.{0}.reach' },
  source: 'ISO 13855: a hand comes at 2 m/s (from memory).',
  doubt: 'nudge',
  work: (view, way: string): number => stopOf(view, way).reach / HAND,
})

/** Seconds by which a beam that stayed on is out too late. */
const NEVER = 3600

export const stopRoom = figure({
  id: 'calibrate.stopRoom',
  of: aStop,
  label: 'The beam is out before a hand is there, by',
  quantity: 'time',
  show: { metric: 'ms', inch: 'ms' },
  formula: 'r = \\v{h} - \\v{t}',
  symbols: { h: '=calibrate.handTime|{0}', t: 'calibrate.stops.{0}.seconds' },
  source: 'ISO 13855: the distance covers the approach while the machine stops (from memory).',
  doubt: 'nudge',
  work(view, way: string): number {
    const stop = stopOf(view, way)
    return stop.went === 'lit' ? -NEVER : view.figure(handTime, way) - stop.seconds
  },
})

/** Yes and no as a margin: half a step to either side. */
const yes = (it: boolean): number => (it ? 0.5 : -0.5)

export const goesRight = figure({
  id: 'calibrate.goesRight',
  of: anAxis,
  label: 'Goes the right way',
  quantity: 'ratio',
  formula: 'm = \\pm\\tfrac12',
  symbols: {},
  source: 'As it was tried: a half where it goes plus, else minus a half.',
  doubt: { none: 'Tried, and seen.' },
  work: (view, id: string): number => yes(view.bench.controller.axes[id]?.tried.plus === 'plus'),
})

export const switchRight = figure({
  id: 'calibrate.switchRight',
  of: anAxis,
  label: 'Its switch says what it does',
  quantity: 'ratio',
  formula: 'm = \\pm\\tfrac12',
  symbols: {},
  source: 'As it was tried: not pressed while it is free, pressed while it is, and found when the origin is looked for.',
  doubt: { none: 'Tried, and seen.' },
  work(view, id: string): number {
    const tried = view.bench.controller.axes[id]?.tried
    return yes(tried?.free === 'no' && tried.pressed === 'yes' && tried.found === 'found')
  },
})

export const reachRoom = figure({
  id: 'calibrate.reachRoom',
  of: anAxis,
  label: 'The travel set in the machine ends before the axis does, by',
  quantity: 'length',
  formula: 'r = \\v{e} - \\v{t}',
  symbols: { e: 'controller.axes.{0}.tried.reach', t: 'controller.axes.{0}.travel' },
  source: 'By definition; below 0 it runs against its end.',
  doubt: 'nudge',
  work: (view, id: string): number => axisOf(view, id).tried.reach - axisOf(view, id).travel,
})

export const originRoom = figure({
  id: 'calibrate.originRoom',
  of: anAxis,
  label: 'The origin comes back within the accepted gap by',
  quantity: 'length',
  formula: 'r = \\v{g} - \\v{d}',
  symbols: { g: 'calibrate.gapAllowed', d: 'controller.axes.{0}.tried.repeats' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - axisOf(view, id).tried.repeats,
})

/** Off a switch by less than this, its own scatter may press it again, mm. (common practice) */
const LEAST_PULL_OFF = 0.5

export const pullOffRoom = figure({
  id: 'calibrate.pullOffRoom',
  of: anAxis,
  label: 'Stands off its switch by more than half a millimetre, by',
  quantity: 'length',
  formula: 'r = \\v{p} - 0.5\\,\\mathrm{mm}',
  symbols: { p: 'controller.axes.{0}.tried.pullOff' },
  source: 'So that its scatter does not press it again (common practice).',
  doubt: 'nudge',
  work: (view, id: string): number => axisOf(view, id).tried.pullOff - LEAST_PULL_OFF,
})
