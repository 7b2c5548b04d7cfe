import { bare, choice, fact, group, many, moment, text, word, type Act, type Of } from '../bench'

/** What is tried in the round: it must darken the beam. */
export const TRIED = ['interlock', 'stop', 'key'] as const
export type Tried = (typeof TRIED)[number]

const ROUND: Act = { id: 'round', words: 'Look at extinguisher and switches, and say who watches' }

/** A try of a switch that darkens the beam: what came of it. */
export const tryShape = group({
  order: bare(),
  what: word(TRIED, 'interlock'),
  at: moment('instant'),
  /** Whether the beam went dark, and stayed dark until somebody reset it. */
  went: word(['dark', 'lit', 'back'] as const, 'dark'),
  note: text(0, 400, ''),
})
export type Try = Of<typeof tryShape>

/** The round before a burn and after it. */
export const roundShape = group(
  {
    every: fact({
      label: 'Days until switches are tried again',
      quantity: 'count',
      min: 1,
      max: 366,
      whole: true,
      exact: true,
      assume: { value: 30, halfWidth: 0 },
    }),
    tries: many(tryShape, { placed: { part: 'round' } }),
    extinguisher: choice({
      label: 'At hand against fire',
      options: {
        co2: 'a CO₂ extinguisher',
        mist: 'a water mist extinguisher',
        blanket: 'a fire blanket only',
        powder: 'a powder extinguisher',
        none: 'nothing',
      },
    }),
    watch: fact({
      label: 'Time that somebody watches after the burn',
      quantity: 'time',
      min: 0,
      max: 86_400,
      unit: 'min',
      exact: true,
      assume: { value: 30, halfWidth: 0, unit: 'min' },
    }),
    room: choice({
      label: 'Others in the room while it burns',
      options: { none: 'nobody', worn: 'only who wears eyewear', free: 'whoever comes in' },
    }),
  },
  { stage: 'safety', part: 'round', act: ROUND },
)
export type Round = Of<typeof roundShape>

/** What this domain reads of a bench. */
export interface RoundBench {
  readonly round: Round
}
