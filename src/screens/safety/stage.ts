import { stage } from '../../ui/stage'

export const safety = stage({
  id: 'safety',
  name: 'Safety',
  question: 'What can hurt someone, and what is still open?',
  parts: [{ id: 'eyewear', name: 'Eyewear' }],
  domains: ['safety'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
