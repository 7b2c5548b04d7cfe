import { stage } from '../../ui/stage'

export const safety = stage({
  id: 'safety',
  name: 'Safety',
  question: 'What can hurt someone, and what is still open?',
  parts: [
    {
      id: 'eyewear',
      name: 'Eyewear',
      question: 'Is the eyewear dense enough at this wavelength?',
      about: 'What the beam asks for, and what is certified, on one scale: each whole step lets a tenth through.',
    },
  ],
  domains: ['safety'],
  load: async () => (await import('./sheets')).sheets,
})
