import { stage } from '../../ui/stage'

export const work = stage({
  id: 'work',
  name: 'Work',
  question: 'What will it look like, and how long will it take?',
  parts: [
    {
      id: 'program',
      name: 'Program',
      about: 'A program from elsewhere, looked at before the beam is on.',
    },
  ],
  domains: ['motion'],
  load: async () => (await import('./sheets')).sheets,
})
