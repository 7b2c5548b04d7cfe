import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  settings: { about: 'Read what is in the machine, look at what differs, write what the bench says.' },
  ramp: {
    about: 'Find a power that marks without burning deep: lines from the sighting power upwards. Press the first good one.',
  },
  run: { about: 'Burn ticks and crosses, read them like edge to like edge, and let the readings say the steps.' },
  shape: {
    question: 'Are circles round, corners square, and lines there and back together?',
    about: 'Circles, a rectangle, alternate lines: scale, squareness and play told apart by a few readings with calipers.',
  },
  closure: {
    question: 'Does an outline end where it began, and if not, why?',
    about: 'Squares of two sizes, both ways round: read where each ends, and see what it is likely to be.',
  },
  delay: {
    question: 'How late does the light come and go?',
    about: 'Lines at rising speeds between two uprights: what is missing grows with the speed.',
  },
  limits: {
    question: 'How hard and how fast may it go?',
    about: 'A thousand moves between two ticks, and lines that rise in speed until dots show.',
  },
  practice: {
    question: 'How near to the ideal did it come?',
    about: 'Find what is hidden, put it right, prove it; then see the truth beside what you found.',
  },
  homing: {
    question: 'Do the axes go right, and does stop stop the beam?',
    about: 'Try each axis and each way to stop, and write down what happened.',
  },
  wedge: {
    question: 'What does a commanded power really give, without a meter?',
    about: 'Rows that get faster: each fades where its light no longer marks, and that speed is as its light.',
  },
  focus: {
    question: 'Where is focus, where does the pointer point, how wide is a cut?',
    about: 'A ramp of lines on a tilted board, a cross beside the pointing aid, two combs that are cut out and measured.',
  },
  curve: {
    question: 'What does a commanded power really give?',
    about: 'Light read over power commanded: where it begins, how straight it rises, what to command for an even grey.',
  },
} satisfies Readonly<Record<string, PartWords>>
