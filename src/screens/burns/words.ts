import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  tone: {
    question: 'What power and speed for this tone?',
    about:
      'A card of burns is read from a picture or by eye: how the material darkens follows, the setting for a tone, and the small card that would tell most.',
  },
  depth: {
    question: 'How many passes for this depth?',
    about: 'Depths of a card’s cells say how much each pass takes away.',
  },
  mask: {
    question: 'What cuts the tape and leaves what lies beneath alone?',
    about: 'Between two limits lies a window: its middle, and the chance that both hold there.',
  },
  expose: {
    question: 'What dose does the board get?',
    about: 'A step wedge says what the board wants; the speed that gives it follows.',
  },
  wrong: {
    question: 'What is wrong with this burn?',
    about:
      'Say what it looks like, then read the one thing that tells most: causes are ranked, each leads to what mends it and what proves it.',
  },
  cut: {
    question: 'How fast may this material be cut?',
    about:
      'Each try says whether a line came through: from one that did and one that did not follow the limit, and the speed to use.',
  },
} satisfies Readonly<Record<string, PartWords>>
