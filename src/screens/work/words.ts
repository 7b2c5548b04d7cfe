import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  order: {
    about:
      'Artwork on the sheet as it will be burnt. Drag a piece, or type where it lies; say below what is cut, marked and filled.',
  },
  program: { about: 'A program from elsewhere, looked at before the beam is on.' },
  refit: { about: 'A program for a cutter, made one for the beam.' },
} satisfies Readonly<Record<string, PartWords>>
