import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  settings: { about: 'Read what is in the machine, look at what differs, write what the bench says.' },
  ramp: {
    about: 'Find a power that marks without burning deep: lines from the sighting power upwards. Press the first good one.',
  },
  run: { about: 'Burn ticks and crosses, read them like edge to like edge, and let the readings say the steps.' },
  curve: {
    question: 'What does a commanded power really give?',
    about: 'Light read over power commanded: where it begins, how straight it rises, what to command for an even grey.',
  },
} satisfies Readonly<Record<string, PartWords>>
