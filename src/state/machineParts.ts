import { useMemo } from 'react'
import { setAt } from '../core/bench'
import { wantedParts, type Bench, type WantedPart } from '../core/document'
import type { PlanPart } from '../core/schedule'
import { editBench } from './benchStore'
import { engineOf } from './evaluate'
import { useJudgedBench } from './judging'
import { newId } from '../data/ids'
import { type Told } from './told'

/** What the machine's own lengths ask for and the parts list does not have. */
export function machineParts(bench: Bench): readonly WantedPart[] {
  return wantedParts(engineOf(bench))
}

/** The same of the open bench, worked when the sheet is drawn. */
export function useMachineParts(): readonly WantedPart[] {
  const bench = useJudgedBench()
  return useMemo(() => (bench === null ? [] : machineParts(bench)), [bench])
}

/** Puts them behind the parts that are there, not ordered, without a price; one undo step. */
export function addMachineParts(wanted: readonly WantedPart[]): Told {
  return editBench('what the machine asks for', (bench) => {
    const first = Math.max(0, ...Object.values(bench.plan.parts).map((it) => it.order))
    const added = wanted.map((it, i): [string, PlanPart] => [newId(), { ...it, order: first + i + 1 }])
    return setAt(bench, 'plan.parts', { ...bench.plan.parts, ...Object.fromEntries(added) })
  })
}
