import { stage } from '../../ui/stage'

export const burns = stage({
  id: 'burns',
  name: 'Burns',
  question: 'What power and speed for this material?',
  parts: [
    { id: 'tone', name: 'Test card' },
    { id: 'cut', name: 'Cut through' },
    { id: 'depth', name: 'Depth' },
    { id: 'mask', name: 'Mask' },
    { id: 'expose', name: 'Exposure' },
    { id: 'wrong', name: 'What is wrong', domains: ['motion', 'mechanics'] },
  ],
  domains: ['calibrate', 'optics', 'beam', 'burn', 'testcard', 'book'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
