import type { Engine } from './engine'
import { isFact, type Fact, type FactSpec } from './fact'
import { bestInstrument, type Instrument, type Instruments } from './instrument'
import { getAt, setAt, type Path } from './path'
import { judge, type Verdict } from './verdict'

/** A fact worth measuring, and what with. */
export interface Candidate {
  readonly path: Path
  /** Share of the margin's variance that this fact brings, 0…1. */
  readonly share: number
  readonly instrument: { readonly id: string; readonly name: string; readonly u: number } | null
}

/** What to measure so that a verdict is known (T14). */
export type Advice =
  | { readonly kind: 'one' | 'pair'; readonly measure: readonly Candidate[]; readonly ranking: readonly Candidate[] }
  | { readonly kind: 'none'; readonly ranking: readonly Candidate[] }

/** Pairs are tried among this many of the most blurring facts. */
const TRIED = 6

/**
 * Ranks the facts by how much each blurs a straddling verdict and says whether one of them, or two together, read
 * with the best instrument at hand at their present values, would decide it. Worked on a copy, correlations included.
 */
export function measureNext<B extends { readonly instruments: Instruments }>(
  engine: Engine<B>,
  verdict: Verdict,
  specAt: (path: Path) => FactSpec | undefined,
): Advice {
  const ranking = rank(engine, verdict, specAt)
  const usable = ranking.filter((it) => it.instrument !== null).slice(0, TRIED)
  const decides = (measured: readonly Candidate[]): boolean => {
    const scratch = engine.over(measured.reduce(measuredBench, engine.bench))
    return !judge(scratch, verdict.def, verdict.args).straddles
  }
  const one = usable.find((it) => decides([it]))
  if (one !== undefined) return { kind: 'one', measure: [one], ranking }
  for (const [i, first] of usable.entries()) {
    const second = usable.slice(i + 1).find((it) => decides([first, it]))
    if (second !== undefined) return { kind: 'pair', measure: [first, second], ranking }
  }
  return { kind: 'none', ranking }
}

function rank<B extends { readonly instruments: Instruments }>(
  engine: Engine<B>,
  verdict: Verdict,
  specAt: (path: Path) => FactSpec | undefined,
): Candidate[] {
  const contributions = verdict.margin.doubt?.contributions ?? []
  const total = contributions.reduce((sum, { c }) => sum + c * c, 0)
  return contributions
    .filter(({ c }) => c > 0)
    .map(({ path, c }) => {
      const value = (getAt(engine.bench, path) as Fact).value ?? Number.NaN
      const best = bestInstrument(engine.bench.instruments, specAt(path)?.quantity ?? '', value)
      return { path, share: (c * c) / total, instrument: best === null ? null : { id: best.id, ...pick(best.instrument) } }
    })
}

function pick({ name, u }: Instrument): { name: string; u: number } {
  return { name, u }
}

function measuredBench<B>(bench: B, { path, instrument }: Candidate): B {
  const fact = getAt(bench, path)
  if (!isFact(fact) || instrument === null) return bench
  return setAt(bench, path, {
    ...fact,
    origin: 'measured',
    doubt: { kind: 'standard', u: instrument.u },
    instrument: instrument.id,
  })
}
