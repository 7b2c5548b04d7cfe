import { stage } from '../../ui/stage'

export const power = stage({
  id: 'power',
  name: 'Power',
  question: 'Will the supplies, driver and signal carry the diode, cool?',
  parts: [
    {
      id: 'signal',
      name: 'Signal',
      question: 'Will the signal carry the power?',
      about: 'The power signal along one dot at the wanted speed, to scale: each pulse is beam on.',
    },
  ],
  domains: ['electrical', 'optics'],
  load: async () => (await import('./sheets')).sheets,
})
