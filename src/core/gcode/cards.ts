import { PLAIN_CARD, type OutputCard } from './card'

/** Cards to begin from, each described by what it does; the words are the standard's where it has them (common practice). */
export const CARDS: readonly OutputCard[] = [
  PLAIN_CARD,
  {
    ...PLAIN_CARD,
    name: 'Power that follows the speed',
    about: 'The beam as the spindle counter-clockwise: the controller lowers the power with the speed in corners.',
    manner: 'follows',
    timing: 'queued',
    beamOn: 'M4 S{power}',
  },
  {
    ...PLAIN_CARD,
    name: 'Power in each move',
    about: 'The power word stands in the move itself, so that an output synchronised with the motion changes with it.',
    manner: 'inMove',
    timing: 'queued',
    beamOn: 'M3 S0',
    inMove: 'S{power}',
  },
  {
    ...PLAIN_CARD,
    name: 'On and off only',
    about: 'A switched output: full power or none. What is to be grey is refused.',
    manner: 'switched',
    timing: 'queued',
    beamOn: 'M3 S1000',
    arcs: 'lines',
  },
]
