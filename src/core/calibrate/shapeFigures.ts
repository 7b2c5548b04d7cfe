import { figureOf, NotYet, type Plain } from '../bench'
import { outOfSquare } from '../motion'
import { fitCircles, type CircleFit } from './circleFit'
import { fitLine } from './fit'
import { alternateSpeeds } from './trialAlternate'
import { circleReadingsOf } from './trialCircle'
import type { Trial } from './trialSlice'
import { LEAST_SQUARES, MS, ofKind, ofKindAlong, PERCENT, readOf, trialOf, type TrialBench } from './trialView'

const figure = figureOf<TrialBench>()
const aCircle = ofKind('circle')
const aCircleAlong = ofKindAlong('circle')
const aRectangle = ofKind('rectangle')
const anAlternate = ofKind('alternate')

export const circleFit = figure({
  id: 'calibrate.circleFit',
  of: aCircle,
  label: 'Ellipses through the readings',
  quantity: 'length',
  formula: 'd(u) = D\\,|A^{\\mathsf T}u| + \\text{play} \\pm w',
  symbols: {},
  source: `Width of the image of a circle under a linear map; ${LEAST_SQUARES}`,
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view, id: string): CircleFit {
    const trial = trialOf(view, 'circle', id)
    const defs = circleReadingsOf(trial)
    const read = readOf(
      trial,
      defs.map((it) => it.id),
    ).flatMap(({ at, value }) => {
      const def = defs[at]
      return def === undefined ? [] : [{ ...def, measured: value }]
    })
    const fit = fitCircles(read)
    if (fit === null) throw new NotYet('read both sizes, both ways round, outside and inside')
    return fit
  },
})

const CIRCLE_SOURCE = `Least squares over all diameters; ${LEAST_SQUARES}`
const along = (axis: string): 'X' | 'Y' => (axis === 'x' ? 'X' : 'Y')

export const circleScale = figure({
  id: 'calibrate.circleScale',
  of: aCircleAlong,
  label: 'Millimetres moved for one commanded, by circles',
  quantity: 'ratio',
  formula: 'b',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string, axis: string): number => view.figure(circleFit, id)[`scale${along(axis)}`],
})

export const circlePlay = figure({
  id: 'calibrate.circlePlay',
  of: aCircleAlong,
  label: 'Backlash, by circles',
  quantity: 'length',
  formula: 'k',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string, axis: string): number => view.figure(circleFit, id)[`play${along(axis)}`],
})

export const circleSkew = figure({
  id: 'calibrate.circleSkew',
  of: aCircle,
  label: 'Out of square, by circles',
  quantity: 'angle',
  formula: '\\delta',
  symbols: {},
  source: CIRCLE_SOURCE,
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(circleFit, id).skewRad,
})

export const circleSquareRoom = figure({
  id: 'calibrate.circleSquareRoom',
  of: aCircle,
  label: 'Angle left within the accepted one, by circles',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=calibrate.circleSkew|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.motion.squareWithin - Math.abs(view.figure(circleSkew, id)),
})

export const circleRoom = figure({
  id: 'calibrate.circleRoom',
  of: aCircle,
  label: 'Circles rounder than the wanted accuracy by',
  quantity: 'ratio',
  show: PERCENT,
  formula: 'm = \\v{w} - |\\v{b_x} - \\v{b_y}|',
  symbols: { w: 'calibrate.wantedShare', b_x: '=calibrate.circleScale|{0}|x', b_y: '=calibrate.circleScale|{0}|y' },
  source: 'By definition: the calipers’ own scale cancels.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.bench.calibrate.wantedShare - Math.abs(view.figure(circleScale, id, 'x') - view.figure(circleScale, id, 'y')),
})

export const rectangleSkew = figure({
  id: 'calibrate.rectangleSkew',
  of: aRectangle,
  label: 'Out of square, by the rectangle',
  quantity: 'angle',
  formula: '\\delta = \\arcsin\\dfrac{p^2 - q^2}{4ab}',
  symbols: {},
  source: 'Law of cosines on both diagonals; the scale of the calipers cancels.',
  doubt: 'nudge',
  work(view, id: string): number {
    const read = readOf(trialOf(view, 'rectangle', id), ['width', 'depth', 'from', 'across'])
    if (read.length < 4) throw new NotYet('read both sides and both diagonals')
    const [a, b, p, q] = read.map((it) => it.value) as [number, number, number, number]
    return outOfSquare({ widthMm: a, depthMm: b, fromOriginMm: p, acrossMm: q })
  },
})

export const rectangleRoom = figure({
  id: 'calibrate.rectangleRoom',
  of: aRectangle,
  label: 'Angle left within the accepted one, by the rectangle',
  quantity: 'angle',
  formula: 'm = \\v{\\ell} - |\\v{\\delta}|',
  symbols: { '\\ell': 'motion.squareWithin', '\\delta': '=calibrate.rectangleSkew|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.motion.squareWithin - Math.abs(view.figure(rectangleSkew, id)),
})

function alternateFit(trial: Plain<Trial>) {
  const speeds = alternateSpeeds(trial)
  const spans = speeds.flatMap((commanded, i) =>
    readOf(trial, [`${i + 1}-left`, `${i + 1}-right`]).map(({ value }) => ({ commanded, measured: value })),
  )
  if (new Set(spans.map((it) => it.commanded)).size < 2 || spans.length < 3)
    throw new NotYet('read the alternate lines at two speeds or more')
  return fitLine(spans)
}

export const alternatePlay = figure({
  id: 'calibrate.alternatePlay',
  of: anAlternate,
  label: 'Backlash of X, by alternate lines',
  quantity: 'length',
  formula: 'k = \\bar\\ell - s\\,\\bar v',
  symbols: {},
  source: `What alternate lines would be apart at no speed; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number => alternateFit(trialOf(view, 'alternate', id)).intercept,
})

export const alternateDelay = figure({
  id: 'calibrate.alternateDelay',
  of: anAlternate,
  label: 'Delay on and off together, by alternate lines',
  quantity: 'time',
  show: MS,
  formula: '\\tau = -\\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Alternate lines part by speed times both delays; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number => -alternateFit(trialOf(view, 'alternate', id)).slope,
})

export const alternateRoom = figure({
  id: 'calibrate.alternateRoom',
  of: anAlternate,
  label: 'Backlash within the accepted gap by',
  quantity: 'length',
  formula: 'r = \\v{g} - |\\v{k}|',
  symbols: { g: 'calibrate.gapAllowed', k: '=calibrate.alternatePlay|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - Math.abs(view.figure(alternatePlay, id)),
})
