import { verdictOf } from '../bench'
import { dueIn, upkeepLeft, type LogView } from './figures'

const verdict = verdictOf<LogView>()

export const upkeepDone = verdict({
  id: 'log.upkeepDone',
  stage: 'log',
  part: 'upkeep',
  margin: upkeepLeft,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`log.upkeep.${id}.name`)
    const next = { words: 'Do it, and write it down', part: 'log/upkeep' }
    if (mark === 'unknown') return { head: `${name}: when?`, why: 'Not known yet: how often, or the hours run.', next }
    return mark === 'good'
      ? { head: `${name}: not due yet`, why: `Due ${figure(dueIn, id)} at this pace.` }
      : { head: `${name} is due`, why: `Of its interval: ${figure(upkeepLeft, id)}.`, next }
  },
})
