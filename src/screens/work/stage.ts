import { stage } from '../../ui/stage'

export const work = stage({
  id: 'work',
  name: 'Work',
  question: 'What will it look like, and how long will it take?',
  parts: [
    { id: 'order', name: 'Work order' },
    { id: 'program', name: 'Program' },
    { id: 'refit', name: 'From a cutter' },
  ],
  domains: ['motion', 'optics', 'calibrate', 'trials', 'beam', 'burn', 'testcard', 'work', 'turned'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
