import { stage } from '../../ui/stage'

export const motion = stage({
  id: 'motion',
  name: 'Motion',
  question: 'Will it move truly?',
  parts: [
    {
      id: 'machine',
      name: 'Machine',
      about: 'Point at an axis to bring its drive out; press in the frame to move the head; drag a dimension to change it.',
    },
    {
      id: 'drive',
      name: 'Drive train',
      about: 'Where torque, supply and step rate give out, on one chart.',
      domains: ['mechanics'],
    },
    {
      id: 'belts',
      name: 'Belts by ear',
      about: 'Pluck the free span of a belt: its tone says how hard it pulls.',
      domains: ['mechanics'],
    },
    {
      id: 'square',
      name: 'Square and level',
      about: 'Corners, gantry, play and bed: what slants, and by how much.',
      domains: ['mechanics'],
    },
  ],
  domains: ['motion', 'optics'],
  load: async () => (await import('./sheets')).sheets,
})
