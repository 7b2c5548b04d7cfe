import { stage } from '../../ui/stage'

export const safety = stage({
  id: 'safety',
  name: 'Safety',
  question: 'What can hurt someone, and what is still open?',
  parts: [
    { id: 'reach', name: 'Reach of the beam' },
    { id: 'eyewear', name: 'Eyewear and labels' },
    { id: 'round', name: 'The round' },
  ],
  domains: [
    'motion',
    'optics',
    'rotary',
    'housing',
    'window',
    'safety',
    'reach',
    'electrical',
    'round',
    'air',
    'book',
    'burn',
    'calibrate',
    'beam',
    'trials',
  ],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
