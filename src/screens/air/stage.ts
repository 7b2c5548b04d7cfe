import { stage } from '../../ui/stage'

export const air = stage({
  id: 'air',
  name: 'Air',
  question: 'Will the smoke leave, and where does fresh air come in?',
  parts: [
    { id: 'duct', name: 'Fan and duct' },
    { id: 'box', name: 'Box and room' },
    { id: 'measure', name: 'Measured' },
    { id: 'print', name: 'Parts to print' },
  ],
  domains: ['motion', 'optics', 'beam', 'rotary', 'housing', 'air'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
