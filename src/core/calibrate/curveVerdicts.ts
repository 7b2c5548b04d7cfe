import { verdictOf } from '../bench'
import { curveOff, curveThreshold, sightSeen, sightUnmarked, straightRoom, zeroRoom } from './curveFigures'
import type { OpticsBench } from '../optics'
import type { CalibrateBench } from './slice'

const verdict = verdictOf<CalibrateBench & OpticsBench>()
const readAt = ({ calibrate }: CalibrateBench, percent?: number): number =>
  Object.values(calibrate.curve).filter((it) => it.light.value !== null && (percent === undefined || it.percent === percent))
    .length
const NEXT = { words: 'See the readings', part: 'controller/curve' }

export const powerStraight = verdict({
  id: 'calibrate.powerStraight',
  stage: 'controller',
  part: 'curve',
  margin: straightRoom,
  when: (bench) => readAt(bench) >= 3,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) => {
    const off = `${figure(curveOff)} of the most light off a straight line, light from ${figure(curveThreshold)} on`
    if (mark === 'good') return { head: 'Light rises in proportion above its threshold', why: `${off}.` }
    return {
      head: mark === 'unknown' ? 'Does the light rise in proportion?' : 'The light does not rise in proportion',
      why: `${off}: take the powers of the table in place of plain percents.`,
      next: NEXT,
    }
  },
})

export const darkAtZero = verdict({
  id: 'calibrate.darkAtZero',
  stage: 'controller',
  part: 'curve',
  margin: zeroRoom,
  when: (bench) => readAt(bench, 0) > 0,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure }) =>
    mark === 'good' || mark === 'look'
      ? { head: 'Dark at 0 %, by the meter', why: `${figure(zeroRoom)} of room to 1 mW.` }
      : {
          head: mark === 'unknown' ? 'Dark at 0 %, by the meter?' : 'There is a beam at 0 %',
          why: `${figure(zeroRoom)} of room to 1 mW: eyewear on whenever the head has power, and mend its driver’s zero.`,
          next: NEXT,
        },
})

export const sightIsSeen = verdict({
  id: 'calibrate.sightIsSeen',
  stage: 'controller',
  part: 'curve',
  margin: sightSeen,
  when: ({ calibrate }) => calibrate.visibleFrom.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, fact }) => {
    const both = `${fact('calibrate.sightPower')} for sighting, seen from ${fact('calibrate.visibleFrom')} on`
    if (mark === 'good' || mark === 'look')
      return { head: 'The sighting spot is seen', why: `${both}. Through eyewear it is not: that is no reason to take it off.` }
    return {
      head: mark === 'unknown' ? 'Is the sighting spot seen?' : 'The sighting spot is not seen',
      why: `${both}: raise it, or find places with a camera.`,
      next: { words: 'See the sighting power', path: 'calibrate.sightPower' },
    }
  },
})

export const sightLeavesNoMark = verdict({
  id: 'calibrate.sightLeavesNoMark',
  stage: 'controller',
  part: 'curve',
  margin: sightUnmarked,
  when: ({ calibrate }) => calibrate.marksFrom.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, fact }) => {
    const both = `${fact('calibrate.sightPower')} for sighting; standing still it marks from ${fact('calibrate.marksFrom')} on`
    if (mark === 'good' || mark === 'look')
      return { head: 'Sighting leaves no mark', why: `${both}. It is a beam all the same: eyewear on.` }
    return {
      head: mark === 'unknown' ? 'Does sighting leave a mark?' : 'Sighting marks the work',
      why: `${both}: less than half of that leaves room for darker material.`,
      next: { words: 'Lower the sighting power', path: 'calibrate.sightPower' },
    }
  },
})
