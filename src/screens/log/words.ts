import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  line: {
    question: 'What happened on this machine, and when?',
    about: 'All that was written down anywhere, along time. Search it, or leave kinds out; the drawing follows.',
  },
  upkeep: {
    question: 'What is due now, and what comes next?',
    about: 'How much of each interval is used up: by hours run, by days or by light, whichever comes first.',
  },
  repairs: {
    question: 'What was done to it, and which wire was it?',
    about: 'What was repaired before stands below as soon as its words are typed.',
  },
  money: {
    question: 'What did it cost, and what is a job worth?',
    about: 'Spent against the bought thing; what a good piece costs, what is spoilt counted in.',
  },
  passport: {
    question: 'What would somebody need to know who takes this machine over?',
    about: 'Everything measured or stated, calibrations with their days, wires and parts. Guesses are left out.',
  },
} satisfies Readonly<Record<string, PartWords>>
