import { stage } from '../../ui/stage'

export const burns = stage({
  id: 'burns',
  name: 'Burns',
  question: 'What power and speed for this material?',
  parts: [{ id: 'cut', name: 'Cut through' }],
  domains: ['calibrate', 'optics', 'beam', 'burn', 'book'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
