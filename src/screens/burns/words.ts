import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  cut: {
    question: 'How fast may this material be cut?',
    about:
      'Each try says whether a line came through: from one that did and one that did not follow the limit, and the speed to use.',
  },
} satisfies Readonly<Record<string, PartWords>>
