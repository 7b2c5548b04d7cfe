import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  focus: {
    question: 'Where is focus, and how big is the spot on the material?',
    about:
      'The beam through focus from both sides, heights to scale. Drag the material up and down to see what the spot becomes.',
  },
  bed: {
    question: 'Is the whole bed in focus?',
    about: 'Heights of the bed against the depth of focus: where the spot grows, and which foot to put something under.',
  },
  light: {
    question: 'What does a commanded power really give?',
    about: 'Light over power commanded, as a meter or a step wedge read it: where it begins, how straight it rises.',
  },
} satisfies Readonly<Record<string, PartWords>>
