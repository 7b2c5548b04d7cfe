import { stage } from '../../ui/stage'

export const work = stage({
  id: 'work',
  name: 'Work',
  question: 'What will it look like, and how long will it take?',
  parts: [{ id: 'program', name: 'Program' }],
  domains: ['motion'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
