import { isFact, type Choice, type Fact } from './fact'
import { BY, getAt, KEYS, type Path } from './path'
import type { Tap } from './view'

/** Facts and choices moved, by place; everything else as it is. */
export type Shift = ReadonlyMap<Path, number | string>

/** Hears what a figure reads; facts that nobody entered are collected, so that all of them can be named. */
export interface Recorder extends Tap {
  readonly missing: Path[]
}

/** Thrown where a figure cannot go on without a choice, or did so with facts missing. */
export class Missing extends Error {
  constructor(readonly facts: readonly Path[]) {
    super('missing')
  }
}

/**
 * Records the reads of one run over a bench. A missing number reads as NaN and the run goes on; a missing choice
 * ends it.
 * @param reads What was read, by place, as it stood. @param leaf Hears each fact and choice.
 * @throws {Missing} from within, at a choice nobody made.
 */
export function recorder(bench: object, reads: Map<Path, unknown>, leaf: (path: Path) => void, shift: Shift | null): Recorder {
  const missing: Path[] = []
  const readFact = (path: Path, fact: Fact): number => {
    reads.set(path, fact.value)
    reads.set(path + BY, fact.instrument)
    leaf(path)
    if (fact.value === null) missing.push(path)
    const moved = shift?.get(path)
    const value = moved === undefined ? (fact.value ?? Number.NaN) : Number(moved)
    return fact.instrument === undefined ? value : corrected(value, fact.instrument)
  }
  /** A reading of an instrument shares its scale and zero errors with all its other readings (T7). */
  const corrected = (value: number, id: string): number => {
    const share = (key: string, otherwise: number): number => {
      const path = `instruments.${id}.${key}`
      const fact = getAt(bench, path)
      if (isFact(fact)) return readFact(path, fact)
      reads.set(path, undefined)
      return otherwise
    }
    return value * (1 + share('scale', 0)) + share('zero', 0)
  }
  return {
    missing,
    fact: readFact,
    choice: (path: Path, choice: Choice) => {
      reads.set(path, choice.chosen)
      leaf(path)
      const moved = shift?.get(path)
      if (moved !== undefined) return String(moved)
      if (choice.chosen === null) throw new Missing([...missing, path])
      return choice.chosen
    },
    plain: (path, value) => void reads.set(path, value),
    keys: (path, keys) => void reads.set(path + KEYS, keys.join('\n')),
  }
}

/** Records what is read as it was entered: it can make a figure work again, but nothing of it is nudged or missing. */
export function entered(reads: Map<Path, unknown>): Tap {
  return {
    fact: (path, fact) => {
      reads.set(path, fact.value)
      return fact.value ?? Number.NaN
    },
    choice: (path, choice) => {
      reads.set(path, choice.chosen)
      return choice.chosen ?? ''
    },
    plain: (path, value) => void reads.set(path, value),
    keys: (path, keys) => void reads.set(path + KEYS, keys.join('\n')),
  }
}
