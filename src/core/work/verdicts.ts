import { verdictOf } from '../bench'
import { cornerFacts } from './fence'
import { cutChanceOfWay, cutRoomOfWay, lightRoom, sheetRoom, travelRoom, underMargin, type WorkBench } from './figures'

const verdict = verdictOf<WorkBench>()

export const fitsSheet = verdict({
  id: 'work.fitsSheet',
  stage: 'work',
  part: 'order',
  margin: sheetRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    if (mark === 'good') return { head: 'It fits the sheet', why: `There is ${figure(sheetRoom)} beyond the margin.` }
    if (mark === 'unknown') {
      return {
        head: 'Does it fit the sheet?',
        why: 'Not known yet: what is burnt, or the size of the sheet, is not said.',
        next: { words: 'Measure the sheet', part: 'work/order', fact: 'work.sheetWidth' },
      }
    }
    return {
      head: 'It does not fit the sheet',
      why: `It is ${figure(sheetRoom)} at its worst edge, margin counted: the beam would leave the sheet.`,
      next: { words: 'Move it, or take a larger sheet', part: 'work/order', fact: 'work.sheetWidth' },
    }
  },
})

/** The fact that says where sheets lie along an axis. */
function placeFact(letter: string, word: (path: string) => string): string {
  const { x, y } = cornerFacts(word('work.placedBy') === 'fence' ? 'fence' : 'measured')
  return `work.${letter === 'X' ? x : y}`
}

export const fitsTravel = verdict({
  id: 'work.fitsTravel',
  stage: 'work',
  part: 'order',
  margin: travelRoom,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, args: [letter], figure, word }) => {
    if (mark === 'good')
      return { head: `Within the travel of ${letter}`, why: `There is ${figure(travelRoom, letter)}, run-out counted.` }
    if (mark === 'unknown') {
      return {
        head: `Within the travel of ${letter}?`,
        why: 'Not known yet, or too close to tell.',
        next: { words: 'Say where the sheet lies', part: 'work/order', fact: placeFact(letter, word) },
      }
    }
    return {
      head: `Leaves the travel of ${letter}`,
      why: `It is ${figure(travelRoom, letter)} at its worst end: scan lines run out beyond what they burn.`,
      next: {
        words: 'Move the sheet, or scan slower',
        part: 'work/order',
        fact: placeFact(letter, word),
      },
    }
  },
})

export const openBelow = verdict({
  id: 'work.openBelow',
  stage: 'work',
  part: 'order',
  margin: underMargin,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, word }) => {
    const next = { words: 'Lay it on bars or a honeycomb', part: 'work/order' }
    if (mark === 'good') return { head: 'What it lies on suits', why: 'Cuts, where there are any, go into the open.' }
    if (mark === 'unknown') {
      return {
        head: 'Does what it lies on suit?',
        why: 'Not known yet: nothing is said to be burnt.',
        next: { words: 'Take in artwork', part: 'work/order' },
      }
    }
    const why =
      word('work.under') === 'plate'
        ? 'A plate of metal throws the beam back into the cut and the optics, and smoke stays below: char on the underside.'
        : 'A closed table is burnt with the part, and smoke stays below: char on the underside.'
    return { head: 'A cut goes into something closed', why, next }
  },
})

export const cutsThrough = verdict({
  id: 'work.cutsThrough',
  stage: 'work',
  part: 'order',
  margin: cutRoomOfWay,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [pieceId, wayId], figure, word }) => {
    const name = word(`work.pieces.${pieceId}.name`)
    const thing = `work.pieces.${pieceId}`
    if (mark === 'good')
      return { head: `${name} is cut through`, why: `${figure(cutChanceOfWay, pieceId, wayId)} of such cuts come through.` }
    if (mark === 'unknown') {
      return {
        head: `Is ${name} cut through?`,
        why: 'Not known yet: nothing was tried of this material, or it is not said which it is.',
        next: { words: 'Try the material', part: 'burns/cut' },
      }
    }
    return {
      head: `${name} may not be cut through`,
      why: `${figure(cutChanceOfWay, pieceId, wayId)} of such cuts come through.`,
      next: { words: 'Cut it slower, or with one more pass', part: 'work/order', thing },
    }
  },
})

export const litEnough = verdict({
  id: 'work.litEnough',
  stage: 'work',
  part: 'order',
  margin: lightRoom,
  when: ({ calibrate, work }, pieceId, wayId) =>
    work.pieces[pieceId]?.ways[wayId] !== undefined && Object.keys(calibrate.curve).length > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [pieceId, wayId], figure, word }) => {
    const name = word(`work.pieces.${pieceId}.name`)
    const way = word(`work.pieces.${pieceId}.ways.${wayId}.drawn`)
    if (mark === 'good')
      return {
        head: `${name}, ${way}: light enough`,
        why: `Against where the light begins its power is ${figure(lightRoom, pieceId, wayId)}.`,
      }
    if (mark === 'unknown') {
      return {
        head: `Is there light for ${name}, ${way}?`,
        why: 'Not known yet: the power curve does not say where the light begins.',
        next: { words: 'Read the power curve', part: 'beam/power' },
      }
    }
    return {
      head: `No light for ${name}, ${way}`,
      why: `Against where the light begins its power is ${figure(lightRoom, pieceId, wayId)}.`,
      next: { words: 'Give it more power', part: 'work/order', thing: `work.pieces.${pieceId}` },
    }
  },
})
