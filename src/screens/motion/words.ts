import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  machine: {
    about: 'Point at an axis to bring its drive out; press in the frame to move the head; drag a dimension to change it.',
    aboutFor: ({ motion }) =>
      motion.kinematics.chosen === 'mirrors' ? 'How fine the field is where, and how it bends; the numbers are steps.' : null,
  },
  drive: { about: 'Where torque, supply and step rate give out, on one chart.' },
  belts: { about: 'Pluck the free span of a belt: its tone says how hard it pulls.' },
  square: { about: 'Corners, gantry, play and bed: what slants, and by how much.' },
  wheels: { about: 'Does the carriage roll as it should, and do the cables reach every corner?' },
} satisfies Readonly<Record<string, PartWords>>
