import { stage } from '../../ui/stage'

export const housing = stage({
  id: 'housing',
  name: 'Housing',
  question: 'What box, what panels, what window, from which sheets?',
  parts: [
    { id: 'box', name: 'Box' },
    { id: 'panels', name: 'Panels and sheets' },
    { id: 'lid', name: 'Lid' },
    { id: 'ports', name: 'Openings and sight' },
    { id: 'drawing', name: 'Drawings' },
  ],
  domains: ['motion', 'optics', 'beam', 'rotary', 'housing', 'sheets', 'window', 'safety'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
