import { getAt, isFact, setAt, shownNumber, templateOf, type BenchRecord, type Fact } from '../core/bench'
import type { Bench } from '../core/document'
import {
  doneShape,
  dueIn,
  entryShape,
  upkeepShape,
  USUAL_UPKEEP,
  type Entry,
  type EntryKind,
  type Happening,
  type Upkeep,
  type UpkeepKind,
} from '../core/log'
import type { Tried } from '../core/round'
import { writeCalendarFile } from '../core/schedule'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { nextOrder } from './rotary'
import { isDone, NO_BENCH, told, type Told } from './told'

const TRIED_WORDS: Readonly<Record<Tried, string>> = {
  interlock: 'The lid’s switch tried',
  stop: 'The stop button tried',
  key: 'The key tried',
}

/** Titles of records that say that a program left or was burnt. */
const BURNT = /^(Burnt|Program handed out|Stopped at|Lost at|Not begun)\b/

/** Everything that happened on a bench, from wherever it was written down, in no order. */
export function happenings(bench: Bench, records: readonly BenchRecord[]): readonly Happening[] {
  const { entries, upkeep } = bench.log
  return [
    ...records
      .filter((it) => entries[it.id] === undefined)
      .map(({ id, at, title, note, stage }): Happening => ({
        id,
        at,
        lane: BURNT.test(title) ? 'burn' : 'record',
        title,
        text: note,
        stage,
        run: null,
      })),
    ...Object.entries(entries).map(([id, it]): Happening => ({
      id,
      at: it.at,
      lane: it.kind === 'job' ? 'burn' : it.kind,
      stage: '',
      title: it.title,
      text: [it.text, it.touched === '' ? '' : `Touched: ${it.touched}.`].filter((text) => text !== '').join(' '),
      run: it.run,
    })),
    ...Object.values(upkeep).flatMap(({ name, done }) =>
      Object.entries(done).map(([id, it]): Happening => ({
        id,
        at: it.at,
        lane: 'upkeep',
        stage: '',
        title: name,
        text: it.note,
        run: it.run,
      })),
    ),
    ...Object.entries(bench.round.tries).map(([id, it]): Happening => ({
      id,
      at: it.at,
      lane: 'upkeep',
      stage: 'safety',
      title: TRIED_WORDS[it.what],
      text: it.went === 'dark' ? it.note : `It did not stay dark. ${it.note}`,
      run: null,
    })),
  ]
}

/** What somebody writes down of something that happened. */
export interface EntryDraft {
  readonly kind: EntryKind
  readonly title: string
  readonly text: string
  readonly touched: string
  readonly minutes: number | null
  readonly cost: number | null
  readonly pictures: readonly File[]
}

/** What an entry holds at most, and what to do about more. */
const LONGEST = [
  ['title', 120, 'say it in a line, and the rest below it.'],
  ['text', 4000, 'part it into two entries.'],
  ['touched', 1000, 'name fewer wires and parts, and the rest in the text.'],
] as const

/** Writes an entry into the log; its pictures are kept with a record of the same id. @returns What stands in the way. */
export async function addEntry({ pictures, ...draft }: EntryDraft): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  if (draft.title.trim() === '') return told('Say in a line what happened: by that it is found again.')
  // Refused before its pictures are kept: what is append-only would stand there without it.
  const long = LONGEST.find(([key, most]) => draft[key].length > most)
  if (long !== undefined) return told(`That is ${draft[long[0]].length - long[1]} signs too long: ${long[2]}`)
  const id = newId()
  if (pictures.length > 0) {
    const about = { stage: 'log', title: draft.title.trim(), note: draft.text, redo: '', beneath: [] }
    const kept = await keepRecord(about, [], pictures, id)
    if (!isDone(kept)) return kept
  }
  return editBench(`an entry: ${draft.title.trim()}`, (it) => {
    const entry: Entry = templateOf(entryShape, {
      ...draft,
      title: draft.title.trim(),
      order: nextOrder(it.log.entries),
      at: new Date().toISOString(),
      run: it.calibrate.hours.value,
    })
    return setAt(it, `log.entries.${id}`, entry)
  })
}

/** Takes an entry out of the log; the record with its pictures stays. */
export function removeEntry(id: string): Told {
  return editBench('an entry taken away', (it) => setAt(it, `log.entries.${id}`, undefined))
}

const stated = (value: number, typed: string, typedUnit: Fact['typedUnit']): Fact => ({
  value,
  typed,
  typedUnit,
  origin: 'stated',
  doubt: { kind: 'exact' },
})

function upkeepOf(kind: UpkeepKind, name: string, order: number, hours: number | null, days: number | null): Upkeep {
  return templateOf(upkeepShape, {
    order,
    kind,
    name,
    since: new Date().toISOString(),
    ...(hours === null ? {} : { every: stated(hours * 3600, String(hours), 'h') }),
    ...(days === null ? {} : { days: stated(days * 86_400, String(days), 'd') }),
  })
}

/** Puts what is usually looked after onto the list, all open to change. */
export function addUsualUpkeep(): Told {
  return editBench('usual upkeep', (it) => {
    const first = nextOrder(it.log.upkeep)
    const there = new Set(Object.values(it.log.upkeep).map(({ kind }) => kind))
    const made = USUAL_UPKEEP.filter(({ kind }) => !there.has(kind)).map(
      ({ kind, name, hours, days }, k) => [newId(), upkeepOf(kind, name, first + k, hours, days)] as const,
    )
    return made.length === 0 ? it : setAt(it, 'log.upkeep', { ...it.log.upkeep, ...Object.fromEntries(made) })
  })
}

/** Adds something to look after. */
export function addUpkeep(kind: UpkeepKind, name: string): Told {
  if (name.trim() === '') return told('It needs a name.')
  return editBench('something to look after', (it) =>
    setAt(it, `log.upkeep.${newId()}`, upkeepOf(kind, name.trim(), nextOrder(it.log.upkeep), null, null)),
  )
}

export function renameUpkeep(id: string, name: string): Told {
  if (name.trim() === '') return told('It needs a name.')
  return editBench('its name', (it) => {
    const upkeep = it.log.upkeep[id]
    return upkeep === undefined ? it : setAt(it, `log.upkeep.${id}`, { ...upkeep, name: name.trim() })
  })
}

/** Writes down that something was looked after just now. */
export function doUpkeep(id: string, note: string): Told {
  return editBench('upkeep done', (it) => {
    const upkeep = it.log.upkeep[id]
    if (upkeep === undefined) return it
    const done = templateOf(doneShape, {
      order: nextOrder(upkeep.done),
      at: new Date().toISOString(),
      run: it.calibrate.hours.value,
      note,
    })
    return setAt(it, `log.upkeep.${id}.done.${newId()}`, done)
  })
}

/** Takes something of the log away. @param at Its path. */
export function removeOfLog(at: string, words: string): Told {
  return editBench(words, (it) => setAt(it, at, undefined))
}

/** What is due, as a calendar file: an hour at nine on the day; null where no day is known. */
export function upkeepCalendar(bench: Bench, now: number): string | null {
  const engine = engineOf(bench)
  const stamp = (at: number): string => `${new Date(at).toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`
  const events = Object.entries(bench.log.upkeep).flatMap(([id, it]) => {
    const left = shownNumber(engine.value(dueIn, id).result)
    if (left === null || !Number.isFinite(left)) return []
    const day = new Date(now + Math.max(0, left) * 1000)
    const plain = `${day.getFullYear()}${String(day.getMonth() + 1).padStart(2, '0')}${String(day.getDate()).padStart(2, '0')}`
    return [
      {
        id: `${bench.id}-${id}`,
        title: `${bench.name}: ${it.name}`,
        note: 'Then write it down in the log.',
        start: `${plain}T090000`,
        end: `${plain}T100000`,
      },
    ]
  })
  return events.length === 0 ? null : writeCalendarFile(events, stamp(now))
}

/** Wires and parts by name, to be named in a repair. */
export function touchables(bench: Bench): readonly string[] {
  const { blocks, wires } = bench.electrical
  const nameOf = (id: string): string => blocks[id]?.name ?? id
  return [
    ...Object.values(wires).map((it) => `wire ${nameOf(it.from)} to ${nameOf(it.to)}${it.colour === '' ? '' : `, ${it.colour}`}`),
    ...Object.values(blocks).map((it) => it.name),
    ...Object.values(bench.plan.parts).map((it) => it.name),
  ]
}

/** The fact that Hours run stands in. */
export const HOURS_RUN = 'calibrate.hours'

/** Hours run, s; null where nobody read them. */
export function hoursRun(bench: Bench): number | null {
  const fact = getAt(bench, HOURS_RUN)
  return isFact(fact) ? fact.value : null
}

/** Reckons the job with the time that an order takes. @param seconds Of the program, walked through with the machine's own speeds. */
export function reckonJob(seconds: number): Told {
  const typed = (seconds / 60).toFixed(2)
  return editBench('the time of a job', (it) => setAt(it, 'log.job.beam', stated(Number(typed) * 60, typed, 'min')))
}
