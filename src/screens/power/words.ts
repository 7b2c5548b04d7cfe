import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  wiring: {
    about:
      'What feeds what: volts, amps and what each pair of wires loses, at the worst moment. Drag a block, or the numbers of a wire to try another length; the arrow keys do the same.',
  },
  chain: {
    about: 'The wiring in one state of its contacts: pick a line of the table, or a fault in it, and see it on the drawing.',
    question: 'With which contact, and which fault, can the head still be on?',
  },
  driver: {
    about: 'What the output gives and the input wants, and the light over the power with its ±.',
    question: 'Does the signal drive the diode, and what light comes of it?',
  },
  signal: {
    about: 'The power signal along one dot at the wanted speed, to scale: each pulse is beam on.',
    question: 'Will the signal carry the power?',
  },
  cooling: {
    about: 'The way of the heat from the air to the case of the diode, beam full on.',
    question: 'How hot does the diode get, and for how long does it last?',
  },
  bringUp: {
    about: 'Each block with what should reach it and what was read; the steps stand beneath.',
    question: 'In which order is it powered, and what should the meter read?',
  },
} satisfies Readonly<Record<string, PartWords>>
