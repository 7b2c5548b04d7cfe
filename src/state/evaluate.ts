import { useEffect, useId } from 'react'
import {
  consequences,
  createEngine,
  judge,
  type BenchRecord,
  type Consequence,
  type Engine,
  type FigureDef,
  type Mark,
  type Verdict,
  type WithDoubt,
  worstMark,
} from '../core/bench'
import { scatter } from '../core/calibrate'
import { benchFactSpec, judgeDomains, questionsOf, RENAMED_FIGURES, STAGE_IDS, type Bench } from '../core/document'
import { doubtWaits, shownBench, useBenchStore } from './benchStore'
import { areAllHere, loadDomains, loadedDomains, onDomain } from './domains'

/** One engine a bench: it remembers, so it is kept between renders. Readings name their scatter, so it is always listed. */
let current: Engine<Bench> | null = null

/** The engine, brought to a document. Cheap where the document is the one it has. */
export function engineOf(bench: Bench): Engine<Bench> {
  if (current?.bench.id !== bench.id) {
    const figures = loadedDomains().flatMap((it) => it.figures)
    current = createEngine(bench, {
      figures: [scatter, ...figures.filter((it) => it !== scatter)],
      specAt: benchFactSpec,
      renamed: RENAMED_FIGURES,
    })
  }
  current.update(bench)
  // To the hour: what is due by the day need not be worked again with every look.
  current.setNow(Math.floor(Date.now() / HOUR) * HOUR)
  return current
}

const HOUR = 3_600_000

onDomain(({ figures }) => {
  current?.add(figures)
  judged = new WeakMap()
  compared = null
})

/** A figure of the open bench with its ±; null where no bench is open. The ± of what is dragged waits until it is let go. */
export function useFigure<A extends readonly string[], T>(def: FigureDef<Bench, A, T>, ...args: A): WithDoubt<T> | null {
  const id = useId()
  useEffect(() => {
    shown.set(id, (engine) => engine.withDoubt(def, ...args))
    return () => void shown.delete(id)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- arguments are compared one by one
  }, [id, def, ...args])
  return useBenchStore((state) => {
    const bench = shownBench(state)
    if (bench === null) return null
    const engine = engineOf(bench)
    const evaluation = engine.value(def, ...args)
    return doubtWaits(state, evaluation.leaves) ? withoutDoubt(evaluation) : engine.withDoubt(def, ...args)
  })
}

/** What works the ± of every figure on the page. */
const shown = new Map<string, (engine: Engine<Bench>) => void>()

/** Jobs that work the ± of every figure on the page, so that drawing them again finds it done. */
export function* shownDoubts(bench: Bench): Generator<() => void> {
  for (const work of [...shown.values()]) yield () => work(engineOf(bench))
}

const bare = new WeakMap<object, WithDoubt>()

function withoutDoubt<T>(evaluation: Omit<WithDoubt<T>, 'doubt'>): WithDoubt<T> {
  const known = bare.get(evaluation)
  if (known !== undefined) return known as WithDoubt<T>
  const made = { ...evaluation, doubt: null }
  bare.set(evaluation, made)
  return made
}

let judged = new WeakMap<Bench, Map<string, readonly Verdict[]>>()

/** The verdicts of a bench at rest, of one stage or all; of the domains that are here. */
export function verdictsOf(bench: Bench, stage?: string): readonly Verdict[] {
  const byStage = judged.get(bench) ?? new Map<string, readonly Verdict[]>()
  judged.set(bench, byStage)
  const known = byStage.get(stage ?? '')
  if (known !== undefined) return known
  const made = judgeDomains(engineOf(bench), loadedDomains(), stage)
  byStage.set(stage ?? '', made)
  return made
}

/** Jobs that judge them one by one, so that `verdictsOf` finds them done. */
export function* judgingOf(bench: Bench, stage?: string): Generator<() => void> {
  for (const { def, args } of questionsOf(bench, loadedDomains(), stage)) yield () => judge(engineOf(bench), def, args)
}

/** The same of all domains, which are fetched for it. */
export async function allMarksOf(bench: Bench): Promise<Readonly<Record<string, Mark | null>>> {
  if (!areAllHere()) await loadDomains().catch(() => undefined)
  const marks = marksOf(bench)
  if (areAllHere()) return marks
  // What cannot be judged just now keeps the mark that it was last saved with.
  const known = Object.entries(marks).filter(([, mark]) => mark !== null)
  return { ...useBenchStore.getState().savedMarks, ...Object.fromEntries(known) }
}

/** The mark of every stage: its worst verdict, of the domains that are here. */
export function marksOf(bench: Bench): Readonly<Record<string, Mark | null>> {
  const verdicts = verdictsOf(bench)
  return Object.fromEntries(
    STAGE_IDS.map((id) => [id, worstMark(verdicts.filter((it) => it.def.stage === id).map((it) => it.mark))]),
  )
}

let compared: { bench: Bench; records: readonly unknown[]; found: readonly Consequence[] } | null = null

/** Records that a bench has touched or made stale, in the order in which to redo them. */
export function consequencesOf(bench: Bench, records: readonly BenchRecord[]): readonly Consequence[] {
  if (compared?.bench !== bench || compared.records !== records) {
    compared = { bench, records, found: consequences(engineOf(bench), records, STAGE_IDS) }
  }
  return compared.found
}
