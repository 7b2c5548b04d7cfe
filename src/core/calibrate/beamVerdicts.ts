import { verdictOf } from '../bench'
import {
  bedGrowth,
  bedRoom,
  depthOfFocus,
  focusRoom,
  gapAtFocus,
  gaugeOff,
  gaugeRoom,
  outOfFocus,
  spotNow,
  touchRoom,
  touchTravel,
} from './beamFigures'
import type { FocusBench } from './focusFigures'

const verdict = verdictOf<FocusBench>()
const FOCUS = { stage: 'beam', part: 'focus', goodFrom: 0, stopBelow: 0, short: 'look' } as const
const isGood = (mark: string): boolean => mark === 'good' || mark === 'look'
const RAMP = { words: 'Burn a focus ramp', part: 'controller/focus' }

export const inFocus = verdict({
  id: 'calibrate.inFocus',
  ...FOCUS,
  margin: focusRoom,
  say: ({ mark, figure, margin }) => {
    const off = `${figure(outOfFocus)} off focus, where ${figure(depthOfFocus)} in all still count as focus`
    if (isGood(mark)) {
      return { head: 'The material is in focus', why: `${off}: a spot of ${figure(spotNow, 'x')} by ${figure(spotNow, 'y')}.` }
    }
    if (mark === 'unknown') return { head: 'Is the material in focus?', why: `Not known yet: ${off}.`, next: RAMP }
    return {
      head: margin < 0 ? 'The material is out of focus' : 'The material may be out of focus',
      why: `${off}: the spot is ${figure(spotNow, 'x')} by ${figure(spotNow, 'y')}. Set the gap to ${figure(gapAtFocus)}.`,
      next: { words: 'Set the head and enter its gap', path: 'optics.gap' },
    }
  },
})

export const gaugeRight = verdict({
  id: 'calibrate.gaugeRight',
  ...FOCUS,
  margin: gaugeRoom,
  when: ({ optics }) => optics.gauge.value !== null,
  say: ({ mark, figure }) => {
    const off = `It stands ${figure(gaugeOff)} off the gap at focus, ${figure(gapAtFocus)}`
    if (isGood(mark)) return { head: 'The gauge block stands for focus', why: `${off}.` }
    return {
      head: mark === 'unknown' ? 'Does the gauge block stand for focus?' : 'The gauge block is the wrong one',
      why: `${off}. Make one as thick as the gap, or burn a ramp to know the gap better.`,
      next: mark === 'unknown' ? RAMP : { words: 'Enter another block', path: 'optics.gauge' },
    }
  },
})

export const touchFinds = verdict({
  id: 'calibrate.touchFinds',
  ...FOCUS,
  margin: touchRoom,
  when: ({ optics }) => optics.plate.value !== null,
  say: ({ mark, figure }) => {
    const way = `From the touch go ${figure(touchTravel)} down`
    if (isGood(mark)) return { head: 'The touch plate finds focus', why: `${way}; a touch repeats better than the beam is deep.` }
    return {
      head: mark === 'unknown' ? 'Does the touch plate find focus?' : 'The beam is shallower than a touch repeats',
      why: `${way}. Touch three times and take the middle, or find focus by a ramp.`,
      next: RAMP,
    }
  },
})

export const bedInFocus = verdict({
  id: 'calibrate.bedInFocus',
  ...FOCUS,
  part: 'bed',
  margin: bedRoom,
  when: ({ motion }) => Object.keys(motion.heights).length > 0,
  say: ({ mark, figure }) => {
    const grows = `Across X the spot grows by ${figure(bedGrowth, 'x')}, across Y by ${figure(bedGrowth, 'y')}, with the head set for the middle`
    if (isGood(mark)) return { head: 'The whole bed is in focus', why: `${grows}.` }
    return {
      head: mark === 'unknown' ? 'Is the whole bed in focus?' : 'The bed runs out of focus',
      why: `${grows}: shim its feet.`,
      next: { words: 'See what to put under each foot', part: 'motion/square' },
    }
  },
})
