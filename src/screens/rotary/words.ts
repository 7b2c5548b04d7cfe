import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  object: {
    question: 'What shape is it, and where does it stay in focus?',
    about:
      'From the side, its lower half cut open, and from the end. What is burnt on it is in ember; drag a dimension to move it.',
  },
  holding: {
    question: 'How is it best held?',
    about: 'The object in its holder, to scale. Every way to hold it is judged for this object.',
  },
  height: {
    question: 'Will it go in under the head, and will the head clear it?',
    about: 'The bed below, the head above at both ends of the work; a cross stands where it would hit.',
  },
  turning: {
    question: 'Does it turn finely, fast and strongly enough?',
    about: 'From the motor to the object, and the torque it takes beside the torque there is.',
  },
  holders: {
    question: 'Which disc fits, and which must be cut?',
    about: 'The sheets as they will be cut, the kerf counted and every part marked with its size.',
  },
  unrolled: {
    question: 'How does the order lie on the object, and does it close?',
    about: 'The object as it turns, with what the order burns on it, each line in its place on the surface.',
  },
  plate: {
    question: 'How many fit round the plate, and how long do they take?',
    about: 'The plate as it will be cut: stations clockwise from the line of station 1, three holes for pins.',
  },
  run: {
    question: 'Is one turn one turn?',
    about:
      'What the mark overran, over the turns: its slope is the ratio, what it begins with is slip. Beside it the dial round a turn.',
  },
} satisfies Readonly<Record<string, PartWords>>
