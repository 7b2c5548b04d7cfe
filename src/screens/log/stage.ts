import { stage } from '../../ui/stage'

export const log = stage({
  id: 'log',
  name: 'Log',
  question: 'What happened, what is due, what did it cost?',
  parts: [
    { id: 'line', name: 'Time line' },
    { id: 'upkeep', name: 'Upkeep' },
    { id: 'repairs', name: 'Repairs' },
    { id: 'money', name: 'Money' },
    { id: 'passport', name: 'Passport' },
  ],
  domains: ['motion', 'optics', 'calibrate', 'schedule', 'log'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
