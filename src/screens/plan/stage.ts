import { stage } from '../../ui/stage'

export const plan = stage({
  id: 'plan',
  name: 'Plan',
  question: 'What do I build or buy, what does it cost, what can I do today?',
  parts: [
    { id: 'schedule', name: 'Schedule' },
    { id: 'parts', name: 'Parts and cuts' },
    { id: 'fasteners', name: 'Fasteners' },
    {
      id: 'kit',
      name: 'What is in the bag',
      when: ({ plan: { build, counted } }) => build.chosen === 'kit' || Object.keys(counted).length > 0,
    },
    { id: 'build', name: 'What is built' },
    { id: 'bench', name: 'At the bench' },
  ],
  domains: ['schedule'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
