import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  box: {
    question: 'How large must the box be, and what decides it?',
    about:
      'From the front and from the left, to scale; dashed is the machine with its head at every end. Drag a size to change it.',
  },
  panels: {
    question: 'Which sheet, how many, and in what order is it sawn?',
    about: 'Every sheet as it is sawn from edge to edge, its grain lying along it. What stays whole is kept as an offcut.',
  },
  lid: {
    question: 'Does the lid stay up, cold too, and come down on nobody?',
    about: 'From the left, as it moves: drag the lid. Beside it what turns it, cold and warm; above the line it opens by itself.',
  },
  ports: {
    question: 'What goes through the walls, and can the beam look out?',
    about:
      'From above and from the front. From every place of the work every straight line is looked at; one that leads out is drawn.',
  },
  drawing: {
    question: 'What is cut, and how does it go together?',
    about: 'Drag to turn it, and pull it apart with the slider. Below, three views with their sizes; all goes out as files.',
  },
} satisfies Readonly<Record<string, PartWords>>
