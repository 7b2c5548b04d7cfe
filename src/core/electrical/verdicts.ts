import { verdictOf } from '../bench'
import { powerStepsOfTimer, stepsForEachWord } from './figures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench>()

export const wordsTellApart = verdict({
  id: 'electrical.wordsTellApart',
  stage: 'power',
  part: 'signal',
  margin: stepsForEachWord,
  goodFrom: 1,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const steps = figure(powerStepsOfTimer)
    const words = fact('electrical.fullPower')
    if (mark === 'good') return { head: 'Every power word counts', why: `The timer makes ${steps} steps for ${words} words.` }
    return {
      head: mark === 'unknown' ? 'Every power word counts?' : 'Some power words are alike',
      why: `The timer makes ${steps} steps in a period, but there are ${words} words. A lower frequency gives more steps.`,
      next: { words: 'Change the frequency', path: 'electrical.pwmFrequency' },
    }
  },
})
