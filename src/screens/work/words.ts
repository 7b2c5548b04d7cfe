import type { PartWords } from '../../ui/stage'

/** What each part asks, and what to do with its plate; fetched with what it shows. */
export const words = {
  program: { about: 'A program from elsewhere, looked at before the beam is on.' },
} satisfies Readonly<Record<string, PartWords>>
