import type { Bench } from '../../core/document'
import { stage } from '../../ui/stage'

/** Something is pulled by a belt that can be plucked. */
function beltsSomewhere({ motion }: Bench): boolean {
  const isBelt = (drive: string | null): boolean => drive === 'belt' || drive === 'reducedBelt'
  return motion.kinematics.chosen !== 'mirrors' && Object.values(motion.axes).some((it) => isBelt(it.drive.chosen))
}

export const motion = stage({
  id: 'motion',
  name: 'Motion',
  question: 'Will it move truly?',
  parts: [
    { id: 'machine', name: 'Machine' },
    {
      id: 'drive',
      name: 'Drive train',
      domains: ['mechanics'],
    },
    {
      id: 'belts',
      name: 'Belts by ear',
      when: (bench) => beltsSomewhere(bench),
      domains: ['mechanics'],
    },
    {
      id: 'square',
      name: 'Square and level',
      domains: ['mechanics'],
    },
    {
      id: 'wheels',
      name: 'Wheels and cables',
      domains: ['mechanics'],
      when: ({ motion }) => motion.kinematics.chosen !== 'mirrors',
    },
  ],
  domains: ['motion', 'optics'],
  words: async () => (await import('./words')).words,
  load: async () => (await import('./sheets')).sheets,
})
