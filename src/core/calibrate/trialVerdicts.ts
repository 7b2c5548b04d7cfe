import { verdictOf } from '../bench'
import { gapRoom, worstGap } from './closureFigures'
import { lateLength, lateRoom, onDelay } from './delayFigures'
import { daysLeft, hoursLeft } from './dueFigures'
import { accelerationTried, accelerationWise, bandFree, bandRoom, frequencyWise, lostRoom, lostWay } from './limitFigures'
import {
  alternatePlay,
  alternateRoom,
  circleRoom,
  circleScale,
  circleSkew,
  circleSquareRoom,
  rectangleRoom,
  rectangleSkew,
} from './shapeFigures'
import { isNewest, type TrialBench } from './trialView'

const verdict = verdictOf<TrialBench>()
const of = (part: string) => ({ stage: 'controller', part, goodFrom: 0, stopBelow: 0, short: 'look' }) as const
const see = (part: string, words: string) => ({ words, part: `controller/${part}` })

export const lightInTime = verdict({
  id: 'calibrate.lightInTime',
  ...of('delay'),
  margin: lateRoom,
  when: isNewest('delay'),
  say: ({ mark, args: [id], figure }) => {
    const late = `Light comes ${figure(onDelay, id)} late; at the marking speed ${figure(lateLength, id)} of a line are missing`
    if (mark === 'good' || mark === 'look') return { head: 'Lines begin where they should', why: `${late}.` }
    return {
      head: mark === 'unknown' ? 'Do lines begin where they should?' : 'Lines begin late',
      why: `${late}. Let the output card wait as long behind “on” where lines begin from rest; where the beam goes on in full motion, begin as much earlier instead.`,
      next: see('delay', 'Put it on the output card'),
    }
  },
})

export const outlinesClose = verdict({
  id: 'calibrate.outlinesClose',
  ...of('closure'),
  margin: gapRoom,
  when: isNewest('outline'),
  say: ({ mark, args: [id], figure }) => {
    const gap = `The ends stand ${figure(worstGap, id)} off the starts on average`
    if (mark === 'good' || mark === 'look') return { head: 'Outlines close', why: `${gap}.` }
    return {
      head: mark === 'unknown' ? 'Do outlines close?' : 'Outlines do not close',
      why: `${gap}. The list says what it is likely to be, and what would decide.`,
      next: see('closure', 'See the likely causes'),
    }
  },
})

export const circlesRound = verdict({
  id: 'calibrate.circlesRound',
  ...of('shape'),
  margin: circleRoom,
  when: isNewest('circle'),
  say: ({ mark, args: [id], figure }) => {
    const both = `X moves ${figure(circleScale, id, 'x')}, Y ${figure(circleScale, id, 'y')} for one commanded`
    if (mark === 'good' || mark === 'look') return { head: 'Circles are round', why: `${both}.` }
    return {
      head: mark === 'unknown' ? 'Are circles round?' : 'Circles are egg-shaped',
      why: `${both}: a scale run corrects it.`,
      next: see('run', 'Burn a scale run'),
    }
  },
})

export const circlesSquare = verdict({
  id: 'calibrate.circlesSquare',
  ...of('shape'),
  margin: circleSquareRoom,
  when: isNewest('circle'),
  say: ({ mark, args: [id], figure }) => {
    const out = `${figure(circleSkew, id)} out of square by the circles`
    if (mark === 'good' || mark === 'look') return { head: 'Square by the circles', why: `${out}.` }
    return {
      head: mark === 'unknown' ? 'Square by the circles?' : 'Out of square by the circles',
      why: `${out}. Loosen one end of the gantry, push it square, tighten, burn them again.`,
      next: { words: 'See what is accepted', path: 'motion.squareWithin' },
    }
  },
})

export const rectangleSquare = verdict({
  id: 'calibrate.rectangleSquare',
  ...of('shape'),
  margin: rectangleRoom,
  when: isNewest('rectangle'),
  say: ({ mark, args: [id], figure }) => {
    const out = `${figure(rectangleSkew, id)} out of square by the rectangle`
    if (mark === 'good' || mark === 'look') return { head: 'Square by the rectangle', why: `${out}.` }
    return {
      head: mark === 'unknown' ? 'Square by the rectangle?' : 'Out of square by the rectangle',
      why: `${out}. Loosen one end of the gantry, push it square, tighten, burn it again.`,
      next: { words: 'See what is accepted', path: 'motion.squareWithin' },
    }
  },
})

export const playSmall = verdict({
  id: 'calibrate.playSmall',
  ...of('shape'),
  margin: alternateRoom,
  when: isNewest('alternate'),
  say: ({ mark, args: [id], figure }) => {
    const play = `${figure(alternatePlay, id)} of play along X by alternate lines`
    if (mark === 'good' || mark === 'look') return { head: 'Alternate lines lie together', why: `${play}.` }
    return {
      head: mark === 'unknown' ? 'Do alternate lines lie together?' : 'Alternate lines part',
      why: `${play}: look at belt, pulley screws and wheels before anything is set.`,
      next: see('closure', 'Burn outlines to see what it is'),
    }
  },
})

export const stepsHeld = verdict({
  id: 'calibrate.stepsHeld',
  ...of('limits'),
  margin: lostRoom,
  when: isNewest('moves'),
  say: ({ mark, args: [id], figure }) => {
    const lost = `${figure(lostWay, id)} lost over a thousand moves`
    if (mark === 'good' || mark === 'look')
      return {
        head: 'The motors hold',
        why: `${lost}; up to ${figure(accelerationTried)} nothing was lost, ${figure(accelerationWise)} leave room.`,
      }
    return {
      head: mark === 'unknown' ? 'Do the motors hold?' : 'The motors miss steps',
      why: `${lost}: set a lower acceleration, then burn it again. If it stays, look at the current of the drivers and at what binds.`,
      next: see('settings', 'Set a lower acceleration'),
    }
  },
})

export const linesEven = verdict({
  id: 'calibrate.linesEven',
  ...of('limits'),
  margin: bandRoom,
  when: isNewest('bands'),
  say: ({ mark, args: [id], figure }) => {
    const free = `Lines are whole up to ${figure(bandFree, id)}`
    if (mark === 'good' || mark === 'look')
      return {
        head: 'Lines are whole at the marking speed',
        why: `${free}. For the fastest scan take ${figure(frequencyWise, id)} or more.`,
      }
    return {
      head: mark === 'unknown' ? 'Are lines whole at the marking speed?' : 'Lines fall apart into dots',
      why: `${free}: raise the frequency of the power signal, or go slower.`,
      next: { words: 'See the frequency', path: 'electrical.pwmFrequency' },
    }
  },
})

export const runInDate = verdict({
  id: 'calibrate.runInDate',
  ...of('run'),
  margin: daysLeft,
  when: ({ calibrate }) => Object.keys(calibrate.runs).length > 0,
  say: ({ mark, figure }) =>
    mark === 'good' || mark === 'look'
      ? { head: 'The scale run is in date', why: `Due again in ${figure(daysLeft)}, or when something that it rests on changes.` }
      : {
          head: mark === 'unknown' ? 'Is the scale run in date?' : 'The scale run is due again',
          why: `It was good until ${figure(daysLeft)} from now.`,
          next: see('run', 'Burn the next run'),
        },
})

export const trialsInHours = verdict({
  id: 'calibrate.trialsInHours',
  ...of('run'),
  margin: hoursLeft,
  when: ({ calibrate }) =>
    calibrate.hours.value !== null &&
    Object.values(calibrate.trials).some((kind) => Object.values(kind).some((it) => it.hours !== null)),
  say: ({ mark, figure }) =>
    mark === 'good' || mark === 'look'
      ? { head: 'The patterns are within their hours', why: `${figure(hoursLeft)} of work are left.` }
      : {
          head: mark === 'unknown' ? 'Are the patterns within their hours?' : 'The patterns are due again by hours',
          why: `${figure(hoursLeft)} of work are left.`,
          next: see('delay', 'Burn them again'),
        },
})
