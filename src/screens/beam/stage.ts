import { stage } from '../../ui/stage'

export const beam = stage({
  id: 'beam',
  name: 'Beam',
  question: 'Where is focus, how big is the spot, what does 40 % really give?',
  parts: [
    { id: 'focus', name: 'Focus' },
    { id: 'bed', name: 'Bed' },
    { id: 'light', name: 'Light', domains: ['calibrate', 'trials', 'light'] },
  ],
  domains: ['optics', 'motion', 'mechanics', 'beam'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
