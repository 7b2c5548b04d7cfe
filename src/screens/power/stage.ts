import { stage } from '../../ui/stage'

export const power = stage({
  id: 'power',
  name: 'Power',
  question: 'Will the supplies, driver and signal carry the diode, cool?',
  parts: [
    {
      id: 'wiring',
      name: 'Wiring',
      about:
        'What feeds what: volts, amps and what each pair of wires loses, at the worst moment. Drag a block, or move it by the arrow keys.',
    },
    {
      id: 'signal',
      name: 'Signal',
      question: 'Will the signal carry the power?',
      about: 'The power signal along one dot at the wanted speed, to scale: each pulse is beam on.',
    },
  ],
  domains: ['electrical', 'optics', 'motion'],
  load: async () => (await import('./sheets')).sheets,
})
