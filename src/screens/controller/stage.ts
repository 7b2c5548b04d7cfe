import { stage } from '../../ui/stage'

export const controller = stage({
  id: 'controller',
  name: 'Controller',
  question: 'Do the settings in the machine say what the bench says?',
  parts: [
    {
      id: 'settings',
      name: 'Settings',
      about: 'Read what is in the machine, look at what differs, write what the bench says.',
    },
    {
      id: 'ramp',
      name: 'Faint mark',
      about: 'Find a power that marks without burning deep: lines from the sighting power upwards. Press the first good one.',
    },
    {
      id: 'run',
      name: 'Scale run',
      about: 'Burn ticks and crosses, read them like edge to like edge, and let the readings say the steps.',
    },
  ],
  domains: ['calibrate', 'motion', 'electrical'],
  load: async () => (await import('./sheets')).sheets,
})
