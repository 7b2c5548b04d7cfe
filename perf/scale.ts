import { argsOfFigure, consequences, recordOf, setAt, type BenchRecord, type Engine } from '../src/core/bench'
import { assumedByStage, axisTemplate, engineFor, FIGURES, judgeAll, STAGE_IDS, type Bench } from '../src/core/document'
import { heron } from '../src/data/heron'
import { median } from './engine'

const AXES = 60
const RECORDS = 1000

/** The demo, five times: as many axes as make sixty axes' worth of facts, all driven alike. */
export function largeBench(): Bench {
  const { bench } = heron()
  const { x, y } = bench.motion.axes
  const more = Array.from({ length: AXES - 2 }, (_, i) => {
    const axis = { ...axisTemplate('X', i + 3), ...x, order: i + 3 }
    return [`axis${i}`, axis] as const
  })
  return setAt(bench, 'motion.axes', { x, y, ...Object.fromEntries(more) })
}

/** Figures of each axis that a sheet shows, with their ±. */
const SHOWN = FIGURES.filter((it) => it.of?.id === 'axis').slice(0, 10)

function showAll(engine: Engine<Bench>): number {
  let shown = 0
  for (const def of SHOWN) {
    for (const args of argsOfFigure(def, engine.bench)) {
      engine.byId(def.id, args)
      shown++
    }
  }
  return shown
}

function recordsOf(engine: Engine<Bench>, count: number): readonly BenchRecord[] {
  const one = recordOf(
    engine,
    { id: 'r', benchId: 'b', at: '2026-11-01T08:00:00.000Z', stage: 'motion', title: 'r', note: '', redo: '', beneath: [] },
    [{ id: 'motion.stepsPerMm', args: ['x'], same: 0.05 }],
  )
  return Array.from({ length: count }, (_, i) => ({ ...one, id: `r${i}`, beneath: i === 0 ? [] : [`r${i - 1}`] }))
}

export interface Scale {
  /** One edit of a large bench: figures with their ±, all verdicts, what is assumed, what is stale; ms, median. */
  readonly editMs: number
  /** What ten times the records cost, to one. */
  readonly tenfold: number
  readonly figures: number
  readonly facts: number
}

export function timeScale(runs: number): Scale {
  const bench = largeBench()
  const engine = engineFor(bench)
  const figures = showAll(engine)
  judgeAll(engine)
  const records = recordsOf(engine, RECORDS)
  const many = recordsOf(engine, 10 * RECORDS)
  const edits: number[] = []
  const ratios: number[] = []
  for (let run = 0; run < runs; run++) {
    const teeth = bench.motion.axes['axis7']!.pulleyTeeth
    const next = setAt(bench, 'motion.axes.axis7.pulleyTeeth', { ...teeth, value: 21 + run, typed: String(21 + run) })
    const start = performance.now()
    engine.update(next)
    showAll(engine)
    judgeAll(engine)
    assumedByStage(next)
    consequences(engine, records, STAGE_IDS)
    edits.push(performance.now() - start)
    const [few, more] = [records, many].map((it) => {
      const from = performance.now()
      // Another list each time, for the order of a list is kept.
      consequences(engine, [...it], STAGE_IDS)
      return performance.now() - from
    })
    ratios.push(more! / few!)
  }
  const facts = JSON.stringify(bench).split('"typedUnit"').length - 1
  return { editMs: median(edits), tenfold: median(ratios), figures, facts }
}
