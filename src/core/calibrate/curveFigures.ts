import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { fitCurve, LEAST_LIT, shareForLight, type CurvePoint, type PowerCurve } from './powerCurve'
import type { OpticsBench } from '../optics'
import type { CalibrateBench } from './slice'
import { wedgePoints } from './wedgeFigures'

type CurveBench = CalibrateBench & OpticsBench
const figure = figureOf<CurveBench>()
const SOURCE = 'Least squares over the readings with light; the threshold is where the line meets the axis.'

/** What is known of the curve: the meter's readings, or where there are not enough of them the newest step wedge. */
function pointsOf(view: View<CurveBench>): readonly CurvePoint[] {
  const read = meteredOf(view)
  if (read.length >= LEAST_LIT) return read
  const { trials } = view.bench.calibrate
  // Without a wedge the optical power is not asked for.
  if (Object.keys(trials.wedge).length === 0) return read
  const wedge = wedgePoints(trials, view.bench.optics.power)
  return wedge.length > 0 ? wedge : read
}

/** The readings of a meter that are entered. */
function meteredOf(view: View<CurveBench>): readonly CurvePoint[] {
  const { curve } = view.bench.calibrate
  return Object.keys(curve).flatMap((id) => {
    const isRead = !Number.isNaN(view.asEntered.calibrate.curve[id]?.light ?? Number.NaN)
    const point = isRead ? curve[id] : undefined
    return point === undefined ? [] : [{ share: point.percent / 100, watts: Math.max(0, point.light) }]
  })
}

function fitOf(view: View<CurveBench>): PowerCurve {
  const fit = fitCurve(pointsOf(view))
  if (fit === null) throw new NotYet(`read the light at ${LEAST_LIT} powers or more that give some`)
  return fit
}

export const curvePoints = figure({
  id: 'calibrate.curvePoints',
  label: 'What is known of the power curve',
  quantity: 'power',
  formula: '(s_i, P_i)',
  symbols: {},
  source: 'Readings of a meter, else of the newest step wedge times the optical power.',
  doubt: { none: 'A list; each number that is shown is a figure of its own.' },
  work: (view): readonly CurvePoint[] => pointsOf(view),
})

export const curveFit = figure({
  id: 'calibrate.curveFit',
  label: 'The power curve, fitted',
  quantity: 'power',
  formula: 'P = a + b\\,s',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'A line with its ends; each number that is shown is a figure of its own.' },
  work: (view): PowerCurve => fitOf(view),
})

export const curveThreshold = figure({
  id: 'calibrate.curveThreshold',
  label: 'Power from which there is light',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's_0 = -a/b,\\quad P = a + b\\,s',
  symbols: {},
  source: SOURCE,
  doubt: 'nudge',
  work: (view): number => fitOf(view).threshold,
})

export const curveMost = figure({
  id: 'calibrate.curveMost',
  label: 'Most light that was read',
  quantity: 'power',
  formula: 'P_m = \\max P_i',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work: (view): number => fitOf(view).most,
})

export const curveOff = figure({
  id: 'calibrate.curveOff',
  label: 'Furthest off a straight line, of the most light',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'e = \\max |P_i - a - b\\,s_i| / P_m',
  symbols: {},
  source: SOURCE,
  doubt: 'nudge',
  work: (view): number => fitOf(view).off,
})

/** Off a straight line by more is worth a table in place of a line. (common practice) */
const STRAIGHT = 0.05

export const straightRoom = figure({
  id: 'calibrate.straightRoom',
  label: 'Off a straight line by less than 5 %, by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.05 - \\v{e}',
  symbols: { e: '=calibrate.curveOff' },
  source: 'Five per cent of tone are just seen beside one another (common practice).',
  doubt: 'nudge',
  work: (view): number => STRAIGHT - view.figure(curveOff),
})

export const curveBends = figure({
  id: 'calibrate.curveBends',
  label: 'Power from which the light stays behind',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's_1 = \\min s_i\\ \\text{with}\\ a + b\\,s_i - P_i > 0.03\\,P_m',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'One of the powers that were read.' },
  work(view): number {
    const { bends } = fitOf(view)
    if (bends === null) throw new NotYet('nothing: no reading stays behind the line')
    return bends
  },
})

/** Light below which eyes are not at risk in a glance, W: class 2. Source: IEC 60825-1 (from memory). */
const CLASS_2 = 0.001

export const zeroRoom = figure({
  id: 'calibrate.zeroRoom',
  label: 'Light at 0 % below 1 mW by',
  quantity: 'power',
  show: { metric: 'mW', inch: 'mW' },
  formula: 'm = 0.001 - P(0)',
  symbols: {},
  source: 'IEC 60825-1, class 2 (from memory); only for visible light, and only in a glance.',
  doubt: 'nudge',
  work(view): number {
    const zero = meteredOf(view).find((it) => it.share === 0)
    if (zero === undefined) throw new NotYet('read the light at 0 %')
    return CLASS_2 - zero.watts
  },
})

export const sightSeen = figure({
  id: 'calibrate.sightSeen',
  label: 'Sighting power above what is seen by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\v{s} - \\v{v}',
  symbols: { s: 'calibrate.sightPower', v: 'calibrate.visibleFrom' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view): number => view.bench.calibrate.sightPower - view.bench.calibrate.visibleFrom,
})

export const sightUnmarked = figure({
  id: 'calibrate.sightUnmarked',
  label: 'Sighting power below half of what marks by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\tfrac12\\v{k} - \\v{s}',
  symbols: { s: 'calibrate.sightPower', k: 'calibrate.marksFrom' },
  source: 'Half of it leaves room for darker material and a warm diode (common practice).',
  doubt: 'nudge',
  work: (view): number => view.bench.calibrate.marksFrom / 2 - view.bench.calibrate.sightPower,
})

/** Shares of the most light that the table gives powers for, in percent. */
export const LIGHTS = ['10', '20', '30', '40', '50', '60', '70', '80', '90', '100'] as const
const aLight = subjectOf<CurveBench>()('share of light', ({ calibrate }): [percent: string][] =>
  Object.keys(calibrate.curve).length < LEAST_LIT && Object.keys(calibrate.trials.wedge).length === 0
    ? []
    : LIGHTS.map((it) => [it]),
)

export const powerForLight = figure({
  id: 'calibrate.powerForLight',
  of: aLight,
  label: 'Power to command for this share of light',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 's = P^{-1}(p\\,P_m)',
  symbols: {},
  source: 'Readings made to rise, straight lines between them.',
  doubt: 'nudge',
  work(view, percent: string): number {
    const share = shareForLight(pointsOf(view), Number(percent) / 100)
    if (share === null) throw new NotYet('read the light at more powers, lower ones too')
    return share
  },
})
