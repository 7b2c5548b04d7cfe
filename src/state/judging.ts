import { useEffect } from 'react'
import { create } from 'zustand'
import type { BenchRecord, Consequence, Mark, Path, Verdict } from '../core/bench'
import { assumedByStage, type Bench } from '../core/document'
import { useBenchStore } from './benchStore'
import { onDomain } from './domains'
import { consequencesOf, judgingOf, marksOf, shownDoubts, verdictsOf } from './evaluate'
import { inSlices } from './slices'

// What is judged, counted and compared follows an edit in turns after the figures are drawn, each worked in slices, so that
// a large bench answers the next key at once. A bench that has just been opened is worked whole: nothing stood before.

interface Turns {
  /** The document whose open stage is judged. */
  readonly judged: Bench | null
  /** The document of which every stage is judged, and guesses are counted. */
  readonly counted: Bench | null
  /** The document that records are compared with, and those records. */
  readonly compared: { readonly bench: Bench; readonly records: readonly BenchRecord[] } | null
  /** Goes up when a domain comes, for then there is more to judge. */
  readonly round: number
}

const useTurns = create<Turns>()(() => ({ judged: null, counted: null, compared: null, round: 0 }))

/** The document that the verdicts on the sheet are of. */
export function useJudgedBench(): Bench | null {
  return useTurns((it) => it.judged)
}

/** Verdicts of the open bench, of one stage or all, at rest: a drag does not judge. */
export function useVerdicts(stage?: string): readonly Verdict[] {
  useEffect(() => {
    if (stage === undefined) return
    asked.set(stage, (asked.get(stage) ?? 0) + 1)
    return () => void asked.set(stage, (asked.get(stage) ?? 0) - 1)
  }, [stage])
  return useTurns(({ judged, counted }) => {
    const bench = stage === undefined ? counted : judged
    return bench === null ? NONE : verdictsOf(bench, stage)
  })
}

/** The mark of every stage. */
export function useMarks(): Readonly<Record<string, Mark | null>> {
  const bench = useTurns((it) => it.counted)
  useTurns((it) => it.round)
  return bench === null ? {} : marksOf(bench)
}

/** Facts that nobody has checked, by stage. */
export function useAssumed(): ReadonlyMap<string, readonly Path[]> {
  const bench = useTurns((it) => it.counted)
  return bench === null ? NOTHING : assumedByStage(bench)
}

/** Records that the present bench has touched or made stale, in the order in which to redo them. */
export function useConsequences(): readonly Consequence[] {
  // Whether a record still holds is known when every figure is here that one may name.
  const worked = useBenchStore((it) => it.worked)
  return useTurns(({ compared }) => (compared === null || !worked ? NONE : consequencesOf(compared.bench, compared.records)))
}

/** The document that records were compared with. */
export function useComparedBench(): Bench | null {
  return useTurns((it) => it.compared?.bench ?? null)
}

const NONE: readonly never[] = []
const NOTHING: ReadonlyMap<string, readonly Path[]> = new Map()

interface Turn {
  /** What is worked beforehand, in slices. */
  readonly jobs: (bench: Bench) => Iterable<() => void>
  /** What is shown then: it finds everything worked. */
  readonly show: (bench: Bench) => void
}

const TURNS: readonly Turn[] = [
  {
    jobs: (bench) => (useBenchStore.getState().letGo === null ? [] : shownDoubts(bench)),
    show: () => useBenchStore.getState().letGo !== null && useBenchStore.setState({ letGo: null }),
  },
  { jobs: openStagesOf, show: (judged) => useTurns.setState({ judged }) },
  { jobs: (bench) => judgingOf(bench), show: (counted) => useTurns.setState({ counted }) },
  { jobs: () => [], show: () => useTurns.setState({ compared: toCompare() }) },
]

/** How many lists on the page show the verdicts of a stage. */
const asked = new Map<string, number>()

function* openStagesOf(bench: Bench): Generator<() => void> {
  for (const [stage, lists] of asked) if (lists > 0) yield* judgingOf(bench, stage)
}

function toCompare(): Turns['compared'] {
  const { bench, records } = useBenchStore.getState()
  return bench === null ? null : { bench, records }
}

/** Goes up with every change: turns of an edit that another has overtaken are not taken. */
let wave = 0

function follow(bench: Bench, from: number, turn = 0): void {
  const next = TURNS[turn]
  if (next === undefined) return
  const jobs = next.jobs(bench)[Symbol.iterator]()
  const isOvertaken = (): boolean => from !== wave
  inSlices(jobs, isOvertaken, () => {
    next.show(bench)
    follow(bench, from, turn + 1)
  })
}

useBenchStore.subscribe(({ bench, records }, before) => {
  if (bench === before.bench && records === before.records) return
  wave++
  if (bench !== null && bench.id === before.bench?.id) follow(bench, wave)
  else useTurns.setState({ judged: bench, counted: bench, compared: toCompare() })
})

onDomain(() => useTurns.setState(({ round }) => ({ round: round + 1 })))
