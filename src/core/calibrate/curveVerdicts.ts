import { verdictOf } from '../bench'
import { curveOff, curveThreshold, straightRoom, zeroRoom } from './curveFigures'
import type { CalibrateBench } from './slice'

const verdict = verdictOf<CalibrateBench>()
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
