import { useMemo } from 'react'
import { setAt, shownNumber, templateOf, type Mark } from '../core/bench'
import type { Bench } from '../core/document'
import {
  chancesOf,
  cycleOf,
  evidenceOf,
  faultsShape,
  nextReadings,
  priorsOf,
  proofOf,
  ranked,
  type Culprit,
  type NextReading,
  type Proof,
  type Symptom,
} from '../core/faults'
import { steps } from '../core/motion'
import { editBench, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { useVerdicts } from './judging'
import { scanIds } from './scaleRun'
import type { Told } from './told'

/** What is likely to be wrong, and what to read next. */
export interface Found {
  readonly proof: Proof
  readonly list: readonly (readonly [culprit: Culprit, chance: number])[]
  readonly next: readonly NextReading[]
  /** Whether anything was answered yet. */
  readonly isAsked: boolean
}

/** What a motor of X falls behind by at once, mm. */
function cycleOfX(bench: Bench): number {
  const { x } = scanIds(bench)
  const perMm = shownNumber(engineOf(bench).value(steps, x).result)
  return cycleOf(bench.motion.axes[x]?.microsteps.value ?? null, perMm)
}

/** What the open bench says of a burn that came out badly. */
export function useFound(): Found | null {
  const bench = useBenchStore((it) => it.bench)
  const verdicts = useVerdicts()
  return useMemo(() => {
    if (bench === null) return null
    const worst = new Map<string, Mark>()
    const rank: readonly Mark[] = ['unknown', 'good', 'look', 'stop']
    for (const { def, mark } of verdicts)
      if (rank.indexOf(mark) > rank.indexOf(worst.get(def.id) ?? 'unknown')) worst.set(def.id, mark)
    const turns = bench.rotary.objects[bench.rotary.inHand] !== undefined
    const proof = proofOf(bench.faults, cycleOfX(bench), turns)
    const priors = priorsOf((id) => worst.get(id) ?? null, turns)
    const evidence = evidenceOf(bench.faults)
    const isAsked = Object.keys(evidence.seen).length + Object.keys(evidence.read).length > 0
    return {
      proof,
      isAsked,
      list: ranked(chancesOf(priors, evidence, proof)),
      next: nextReadings(priors, evidence, proof),
    }
  }, [bench, verdicts])
}

/** Says whether a symptom is there; null: nobody looked. */
export function saySeen(symptom: Symptom, answer: 'yes' | 'no' | null): Told {
  return editBench('what is seen of the burn', (it) =>
    setAt(it, `faults.seen.${symptom}`, {
      chosen: answer,
      origin: answer === null ? 'assumed' : 'measured',
      doubt: { kind: 'exact' },
    }),
  )
}

/** Begins anew with another burn. */
export function forgetFaults(): Told {
  return editBench('another burn', (it) => ({ ...it, faults: templateOf(faultsShape) }))
}
