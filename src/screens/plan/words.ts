import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  schedule: { about: 'Work, drying and parcels in your own free time; what has no float is heavy.' },
  parts: { about: 'Bars, rails, plates and belts that the machine itself asks for, cut from stock; and everything else.' },
  fasteners: { about: 'What each joint takes, and which joints the screws in the bag belong to.' },
  kit: {
    about: 'Tip it out, sort it by these kinds and count; the joints follow from the kind of frame.',
    question: 'What is in the bag, what is missing, and what goes where?',
  },
  build: {
    about: 'What the machine is and what it is for: guesses, tasks and travel follow from it, and can be set again.',
    question: 'What is built, and what is it for?',
  },
  bench: { about: 'One step after the other, each with the check that closes it.' },
} satisfies Readonly<Record<string, PartWords>>
