import { stage } from '../../ui/stage'

export const rotary = stage({
  id: 'rotary',
  name: 'Rotary',
  question: 'How does it hold, turn, and stay in focus?',
  parts: [
    { id: 'object', name: 'Object' },
    { id: 'holding', name: 'Holding' },
    { id: 'height', name: 'Height' },
    { id: 'turning', name: 'Turning' },
    { id: 'run', name: 'One turn' },
    { id: 'holders', name: 'Parts' },
    { id: 'unrolled', name: 'Unrolled', domains: ['burn', 'testcard', 'calibrate', 'trials', 'work', 'turned'] },
    {
      id: 'plate',
      name: 'Plate',
      domains: ['burn', 'testcard', 'calibrate', 'trials', 'work', 'turned'],
      when: ({ rotary }) => rotary.holding.chosen === 'plate',
    },
  ],
  domains: ['optics', 'motion', 'beam', 'rotary'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
