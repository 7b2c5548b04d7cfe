import { stage } from '../../ui/stage'

export const plan = stage({
  id: 'plan',
  name: 'Plan',
  question: 'What do I build or buy, what does it cost, what can I do today?',
  parts: [
    {
      id: 'schedule',
      name: 'Schedule',
      about: 'Work, drying and parcels in your own free time; what has no float is heavy.',
    },
    {
      id: 'parts',
      name: 'Parts and cuts',
      about: 'Bars, rails, plates and belts that the machine itself asks for, cut from stock; and everything else.',
    },
    {
      id: 'fasteners',
      name: 'Fasteners',
      about: 'What each joint takes, and which joints the screws in the bag belong to.',
    },
    {
      id: 'kit',
      name: 'What is in the bag',
      question: 'What is in the bag, what is missing, and what goes where?',
      about: 'Tip it out, sort it by these kinds and count; the joints follow from the kind of frame.',
      when: ({ plan: { build, counted } }) => build.chosen === 'kit' || Object.keys(counted).length > 0,
    },
    {
      id: 'build',
      name: 'What is built',
      question: 'What is built, and what is it for?',
      about: 'What the machine is and what it is for: guesses, tasks and travel follow from it, and can be set again.',
    },
    {
      id: 'bench',
      name: 'At the bench',
      about: 'One step after the other, each with the check that closes it.',
    },
  ],
  domains: ['schedule'],
  load: async () => (await import('./sheets')).sheets,
})
