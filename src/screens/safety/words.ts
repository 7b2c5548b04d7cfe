import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  reach: {
    about:
      'To scale, from above and from the front: rings are how far light is above the limit. Drag a place to move it; marks are judged.',
    question: 'How far does the beam hurt, and is anybody within it?',
  },
  round: {
    question: 'What is still open before this burn, and what comes after it?',
    about: 'Worked from this bench: what it does not have is not asked for. Tick each at the machine; print it to hang there.',
  },
  eyewear: {
    about: 'What the beam asks for, and what is certified, on one scale: each whole step lets a tenth through.',
    question: 'Is the eyewear dense enough at this wavelength?',
  },
} satisfies Readonly<Record<string, PartWords>>
