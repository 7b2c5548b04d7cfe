import { figureOf } from '../bench'
import { delaySpeeds } from './trialDelay'
import { LEAST_SQUARES, MS, ofKind, overSpeed, trialOf, type TrialBench } from './trialView'

const figure = figureOf<TrialBench>()
const aDelay = ofKind('delay')

export const onDelay = figure({
  id: 'calibrate.onDelay',
  of: aDelay,
  label: 'Light comes behind the word “on” by',
  quantity: 'time',
  show: MS,
  formula: '\\tau = \\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Missing length is speed times delay; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number =>
    overSpeed(trialOf(view, 'delay', id), delaySpeeds(trialOf(view, 'delay', id)), (n) => `start-${n}`, 'where lines begin')
      .slope,
})

export const offDelay = figure({
  id: 'calibrate.offDelay',
  of: aDelay,
  label: 'Light goes behind the word “off” by',
  quantity: 'time',
  show: MS,
  formula: '\\tau = \\dfrac{\\sum (v - \\bar v)(\\ell - \\bar\\ell)}{\\sum (v - \\bar v)^2}',
  symbols: {},
  source: `Extra length is speed times delay; ${LEAST_SQUARES}`,
  doubt: 'nudge',
  work: (view, id: string): number =>
    overSpeed(trialOf(view, 'delay', id), delaySpeeds(trialOf(view, 'delay', id)), (n) => `end-${n}`, 'where lines end').slope,
})

export const lateLength = figure({
  id: 'calibrate.lateLength',
  of: aDelay,
  label: 'Missing at the start of a line',
  quantity: 'length',
  formula: 'm = \\v{v}\\cdot(\\v{\\tau} - t_w)',
  symbols: { v: 'calibrate.markSpeed', '\\tau': '=calibrate.onDelay|{0}' },
  source: 'Speed times delay, less what the output card waits behind “on”.',
  doubt: 'nudge',
  work: (view, id: string): number =>
    view.bench.calibrate.markSpeed * Math.max(0, view.figure(onDelay, id) - view.rows((it) => it.output.card.afterOn)),
})

export const lateRoom = figure({
  id: 'calibrate.lateRoom',
  of: aDelay,
  label: 'Missing length within the accepted gap by',
  quantity: 'length',
  formula: 'r = \\v{g} - \\v{m}',
  symbols: { g: 'calibrate.gapAllowed', m: '=calibrate.lateLength|{0}' },
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.bench.calibrate.gapAllowed - view.figure(lateLength, id),
})
