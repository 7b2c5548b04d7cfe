import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  duct: {
    about:
      'Above, the fan’s curve and the duct’s: the air settles where they meet. Below, the way as it runs; drag the end of a duct or the turn of a bend, and the point moves.',
  },
  box: {
    question: 'Where does air come in, how fast, and when is it clear?',
    about: 'Arrows as wide as the air that goes there. Below, how much of the smoke is left over time.',
  },
  measure: {
    question: 'What leaks, and what does the fan really give?',
    about: 'What was read, beside the label’s curve: its line is the true fan.',
  },
  print: {
    question: 'Which adapter fits what was measured?',
    about: 'In section, to scale: where each end sits, and how it prints without supports.',
  },
} satisfies Readonly<Record<string, PartWords>>
