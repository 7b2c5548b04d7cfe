import { verdictOf } from '../bench'
import { exposureDose, exposureRatio, exposureRoom } from './exposureFigures'
import type { CutBench } from './figures'
import { maskChance, maskNext, maskRoom, maskSpeed } from './maskFigures'

const verdict = verdictOf<CutBench>()

export const maskHolds = verdict({
  id: 'burn.maskHolds',
  stage: 'burns',
  part: 'mask',
  margin: maskRoom,
  when: ({ burns }, id) => Object.keys(burns.materials[id]?.maskTries ?? {}).length > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`burns.materials.${id}.name`)
    const next = { words: `Try the mask on ${name}`, part: 'burns/mask', thing: `burns.materials.${id}` }
    if (mark === 'unknown') {
      return {
        head: `Does a mask on ${name} come off clean?`,
        why: `Not known yet. The next try: ${figure(maskNext, id)}.`,
        next,
      }
    }
    const why = `${figure(maskChance, id)} of lines at ${figure(maskSpeed, id)} cut the tape and leave what lies beneath alone.`
    if (mark === 'good') return { head: `A mask on ${name} is cut at ${figure(maskSpeed, id)}`, why }
    return {
      head: `The window of a mask on ${name} is narrow`,
      why: `${why} A try at ${figure(maskNext, id)} would tell most.`,
      next,
    }
  },
})

export const exposureRight = verdict({
  id: 'burn.exposureRight',
  stage: 'burns',
  part: 'expose',
  margin: exposureRoom,
  when: ({ burns }) => burns.exposure.board.value !== null,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, margin, figure }) => {
    const why = `It gives ${figure(exposureDose)}, ${figure(exposureRatio)} times what the board is said to want.`
    const next = { words: 'Enter the speed of the exposure', path: 'burns.exposure.speed' }
    if (mark === 'good') return { head: 'The exposure gives the board its dose', why }
    if (mark === 'unknown') return { head: 'Does the exposure give the board its dose?', why: 'Not known yet.', next }
    // More than a whole dose away from once there is too much of it: too little is never further away than that.
    return { head: margin < -1 ? 'The exposure gives the board too much' : 'The exposure misses the board’s dose', why, next }
  },
})
