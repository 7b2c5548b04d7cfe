import {
  consequences,
  type Consequence,
  type Engine,
  type FigureDef,
  type Mark,
  type Verdict,
  type WithDoubt,
  worstMark,
} from '../core/bench'
import { engineFor, judgeAll, STAGE_IDS, type Bench } from '../core/document'
import { shownBench, useBenchStore } from './benchStore'

/** One engine a bench: it remembers, so it is kept between renders. */
let current: Engine<Bench> | null = null

/** The engine, brought to a document. Cheap where the document is the one it has. */
export function engineOf(bench: Bench): Engine<Bench> {
  if (current?.bench.id !== bench.id) current = engineFor(bench)
  current.update(bench)
  return current
}

/** A figure of the open bench with its ±; null where no bench is open. The ± of what is dragged rests until it is let go. */
export function useFigure<A extends readonly string[], T>(def: FigureDef<Bench, A, T>, ...args: A): WithDoubt<T> | null {
  return useBenchStore((state) => {
    const bench = shownBench(state)
    if (bench === null) return null
    const engine = engineOf(bench)
    const evaluation = engine.value(def, ...args)
    const dragged = state.overlay !== null && evaluation.leaves.has(state.overlay.path)
    return dragged ? withoutDoubt(evaluation) : engine.withDoubt(def, ...args)
  })
}

const bare = new WeakMap<object, WithDoubt>()

function withoutDoubt<T>(evaluation: Omit<WithDoubt<T>, 'doubt'>): WithDoubt<T> {
  const known = bare.get(evaluation)
  if (known !== undefined) return known as WithDoubt<T>
  const made = { ...evaluation, doubt: null }
  bare.set(evaluation, made)
  return made
}

const judged = new WeakMap<Bench, Map<string, readonly Verdict[]>>()

/** The verdicts of a bench at rest, of one stage or all. */
export function verdictsOf(bench: Bench, stage?: string): readonly Verdict[] {
  const byStage = judged.get(bench) ?? new Map<string, readonly Verdict[]>()
  judged.set(bench, byStage)
  const known = byStage.get(stage ?? '')
  if (known !== undefined) return known
  const made = judgeAll(engineOf(bench), stage)
  byStage.set(stage ?? '', made)
  return made
}

/** Verdicts of the open bench, at rest: a drag does not judge. */
export function useVerdicts(stage?: string): readonly Verdict[] {
  return useBenchStore(({ bench, overlay }) =>
    bench === null ? NONE : overlay === null ? verdictsOf(bench, stage) : (judged.get(bench)?.get(stage ?? '') ?? NONE),
  )
}

const NONE: readonly never[] = []

/** The mark of every stage: its worst verdict. */
export function marksOf(bench: Bench): Readonly<Record<string, Mark | null>> {
  const verdicts = verdictsOf(bench)
  return Object.fromEntries(
    STAGE_IDS.map((id) => [id, worstMark(verdicts.filter((it) => it.def.stage === id).map((it) => it.mark))]),
  )
}

let lastConsequences: { bench: Bench; records: readonly unknown[]; found: readonly Consequence[] } | null = null

/** Records that the present bench has touched or made stale, in the order in which to redo them. */
export function useConsequences(): readonly Consequence[] {
  return useBenchStore(({ bench, records, overlay }) => {
    if (bench === null) return NONE
    if (overlay !== null) return lastConsequences?.found ?? NONE
    if (lastConsequences?.bench !== bench || lastConsequences.records !== records) {
      lastConsequences = { bench, records, found: consequences(engineOf(bench), records, STAGE_IDS) }
    }
    return lastConsequences.found
  })
}
