import { assumedIn, hasFieldIn, isTold, labelIn, placeAt, type Path, type Place } from '../bench'
import { benchShape, type Bench } from './bench'

/** Where a fact of a bench is entered; null for a path that holds none. */
export function placeOf(path: Path): Place | null {
  return placeAt(benchShape, path)
}

/** Facts of a bench that were entered but that nobody has checked, by stage; what is not read as the machine stands is left out. */
export function assumedByStage(bench: Bench): ReadonlyMap<string, readonly Path[]> {
  const known = counted.get(bench)
  if (known !== undefined) return known
  const found = assumedIn(benchShape, bench)
  if (isTold(benchShape)) counted.set(bench, found)
  return found
}

const counted = new WeakMap<Bench, ReadonlyMap<string, readonly Path[]>>()

/** The same for one stage. */
export function assumedFacts(bench: Bench, stage: string): readonly Path[] {
  return assumedByStage(bench).get(stage) ?? []
}

/** Whether a fact has a field on its sheet: kinematics, drives and stock that a machine has not are kept, not shown. */
export function hasField(bench: Bench, path: Path): boolean {
  return hasFieldIn(benchShape, bench, path)
}

/** Label of the fact or choice at a path, with what it belongs to: “Travel, X”. */
export function labelAt(bench: Bench, path: Path): string {
  return labelIn(benchShape, bench, path)
}
