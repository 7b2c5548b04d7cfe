import { isPracticeId } from '../../core/document'
import { stage } from '../../ui/stage'

export const controller = stage({
  id: 'controller',
  name: 'Controller',
  question: 'Do the settings in the machine say what the bench says?',
  parts: [
    { id: 'settings', name: 'Settings' },
    { id: 'ramp', name: 'Mark' },
    { id: 'run', name: 'Scale run', domains: ['trials'] },
    { id: 'shape', name: 'Shape', domains: ['trials'] },
    { id: 'closure', name: 'Closure', domains: ['trials'] },
    { id: 'delay', name: 'Delay', domains: ['trials'] },
    { id: 'curve', name: 'Power' },
    { id: 'wedge', name: 'Wedge', domains: ['trials'] },
    { id: 'focus', name: 'Beam', domains: ['trials', 'beam'] },
    { id: 'limits', name: 'Limits', domains: ['trials'] },
    { id: 'homing', name: 'Homing', domains: ['trials'] },
    { id: 'practice', name: 'Practice', domains: ['trials'], when: ({ id }) => isPracticeId(id) },
  ],
  domains: ['calibrate', 'motion', 'electrical'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
