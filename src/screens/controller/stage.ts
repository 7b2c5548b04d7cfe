import { stage } from '../../ui/stage'

export const controller = stage({
  id: 'controller',
  name: 'Controller',
  question: 'Do the settings in the machine say what the bench says?',
  parts: [
    { id: 'settings', name: 'Settings' },
    { id: 'ramp', name: 'Faint mark' },
    { id: 'run', name: 'Scale run' },
    { id: 'curve', name: 'Power curve' },
  ],
  domains: ['calibrate', 'motion', 'electrical'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
