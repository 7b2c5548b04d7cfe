import { stage } from '../../ui/stage'

export const power = stage({
  id: 'power',
  name: 'Power',
  question: 'Will the supplies, driver and signal carry the diode, cool?',
  parts: [
    { id: 'wiring', name: 'Wiring' },
    { id: 'chain', name: 'Safety chain' },
    { id: 'driver', name: 'Driver' },
    { id: 'signal', name: 'Signal' },
    { id: 'cooling', name: 'Cooling' },
    { id: 'bringUp', name: 'First power' },
  ],
  domains: ['electrical', 'optics', 'light', 'motion'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
