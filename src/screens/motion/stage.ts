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
    {
      id: 'machine',
      name: 'Machine',
      about: 'Point at an axis to bring its drive out; press in the frame to move the head; drag a dimension to change it.',
      aboutFor: ({ motion }) =>
        motion.kinematics.chosen === 'mirrors' ? 'How fine the field is where, and how it bends; the numbers are steps.' : null,
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
      when: (bench) => beltsSomewhere(bench),
      about: 'Pluck the free span of a belt: its tone says how hard it pulls.',
      domains: ['mechanics'],
    },
    {
      id: 'square',
      name: 'Square and level',
      about: 'Corners, gantry, play and bed: what slants, and by how much.',
      domains: ['mechanics'],
    },
    {
      id: 'wheels',
      name: 'Wheels and cables',
      about: 'Does the carriage roll as it should, and do the cables reach every corner?',
      domains: ['mechanics'],
      when: ({ motion }) => motion.kinematics.chosen !== 'mirrors',
    },
  ],
  domains: ['motion', 'optics'],
  load: async () => (await import('./sheets')).sheets,
})
