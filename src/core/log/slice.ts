import { bare, fact, group, many, moment, orNull, text, word, type Act, type FactSpec, type Of } from '../bench'

/** What is looked after. */
export const UPKEEP_KINDS = ['lens', 'rails', 'belts', 'fan', 'filter', 'tray', 'wires', 'window', 'spare', 'other'] as const
export type UpkeepKind = (typeof UPKEEP_KINDS)[number]

/** What an entry of the log tells of. */
export const ENTRY_KINDS = ['note', 'repair', 'bought', 'job'] as const
export type EntryKind = (typeof ENTRY_KINDS)[number]

const UPKEEP: Act = { id: 'upkeep', words: 'Say how often each thing is looked after' }
const JOB: Act = { id: 'job', words: 'Time a job, and weigh what it used up' }

type More = Partial<FactSpec>
const time = (label: string, unit: 'h' | 'min' | 'd', max: number, more: More = {}) =>
  fact({ label, quantity: 'time', min: 0, max, unit, ...more })
const money = (label: string, more: More = {}) => fact({ label, quantity: 'money', min: 0, max: 1e6, exact: true, ...more })

/** Once that something was looked after. */
export const doneShape = group({
  order: bare(),
  at: moment('instant'),
  /** Hours run by then, s; null where nobody read them. */
  run: orNull(bare({ min: 0 })),
  note: text(0, 1000, ''),
})
export type Done = Of<typeof doneShape>

/** Something that is looked after again and again, or once: by hours run, by days, by what the lens has let through, whichever comes first. */
export const upkeepShape = group(
  {
    order: bare(),
    kind: word(UPKEEP_KINDS, 'other'),
    name: text(1, 80, undefined, 'It needs a name.'),
    every: time('Every so many hours of work', 'h', 3600 * 1e5, { exact: true, begun: () => false }),
    days: time('Every so many days', 'd', 86_400 * 3650, { exact: true, begun: () => false }),
    dose: fact({
      label: 'After so much light through it',
      quantity: 'energy',
      min: 0,
      max: 1e12,
      exact: true,
      unit: 'MJ',
      begun: () => false,
    }),
    since: moment('instant'),
    done: many(doneShape),
  },
  { act: UPKEEP },
)
export type Upkeep = Of<typeof upkeepShape>

/** Something that happened. Its pictures are kept with the record of the same id. */
export const entryShape = group({
  order: bare(),
  kind: word(ENTRY_KINDS, 'note'),
  at: moment('instant'),
  title: text(1, 120, undefined, 'An entry needs a title.'),
  text: text(0, 4000, ''),
  /** Wires and parts that were touched, in the words of the bench, by a comma. */
  touched: text(0, 1000, ''),
  /** Own time, min. */
  minutes: orNull(bare({ min: 0, max: 100_000 })),
  /** What it cost, in the bench's money. */
  cost: orNull(bare({ min: 0, max: 1e6 })),
  /** Hours run by then, s. */
  run: orNull(bare({ min: 0 })),
})
export type Entry = Of<typeof entryShape>

/** What happened, what is due, what it cost. */
export const logShape = group(
  {
    entries: many(entryShape),
    upkeep: many(upkeepShape, { placed: { part: 'upkeep' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
    job: group(
      {
        beam: time('Beam and motion of a job', 'min', 86_400 * 30, { exact: true }),
        hands: time('Own hands for it', 'min', 86_400 * 30, { exact: true }),
        material: money('Material of a job'),
        spoilt: fact({
          label: 'Spoilt work',
          quantity: 'ratio',
          min: 0,
          max: 0.9,
          unit: 'percent',
          assume: { value: 10, halfWidth: 5, unit: 'percent' },
        }),
        hour: money('An hour of own work'),
        draws: fact({
          label: 'Power from the wall while it burns',
          quantity: 'power',
          min: 0,
          max: 5000,
          assume: { value: 120, halfWidth: 50, unit: 'W' },
        }),
        kilowattHour: money('A kilowatt hour', { assume: { value: 0.3, halfWidth: 0 } }),
        headPrice: money('A new diode head'),
        headLife: time('A diode lasts', 'h', 3600 * 1e5, { assume: { value: 5000, halfWidth: 3000, unit: 'h' } }),
        filterPrice: money('A new filter'),
        filterLife: time('A filter lasts', 'h', 3600 * 1e5, { assume: { value: 100, halfWidth: 50, unit: 'h' } }),
        profit: fact({
          label: 'On top of what it costs',
          quantity: 'ratio',
          min: 0,
          max: 10,
          unit: 'percent',
          exact: true,
          assume: { value: 20, halfWidth: 0, unit: 'percent' },
        }),
      },
      { part: 'money', act: JOB },
    ),
  },
  { stage: 'log' },
)
export type Log = Of<typeof logShape>

/** What this domain reads of a bench. */
export interface LogBench {
  readonly log: Log
  readonly createdAt: string
}
