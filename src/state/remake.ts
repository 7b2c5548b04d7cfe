import { cardOf, machineLimits, type Bench } from '../core/document'
import type { OutputCard } from '../core/gcode'
import type { Limits } from '../core/planner'
import { refused, type Outcome } from '../core/units'
import type {
  CompareSummary,
  JoinAsk,
  JoinSummary,
  MakeAsk,
  MendAsk,
  MendSummary,
  PartAsk,
  PartSummary,
} from '../workers/programTypes'
import { engineOf } from './evaluate'
import { programWorker } from './program'

// What is made of the program that is open: through the bench's output card, and timed for its machine.

/** Parted into islands and joined again. @returns It, or what stands in the way. */
export function partProgram(bench: Bench, ask: Omit<PartAsk, keyof MakeAsk>): Promise<Outcome<PartSummary>> {
  return made(bench, (about) => programWorker()?.part({ ...ask, ...about }))
}

/** Put right. @returns It, or what stands in the way. */
export function mendProgram(bench: Bench, ask: Omit<MendAsk, keyof MakeAsk>): Promise<Outcome<MendSummary>> {
  return made(bench, (about) => programWorker()?.mend({ ...ask, ...about }))
}

/** One program of several. @returns It, or what stands in the way. */
export function joinProgram(bench: Bench, ask: Omit<JoinAsk, keyof MakeAsk>): Promise<Outcome<JoinSummary>> {
  return made(bench, (about) => programWorker()?.join({ ...ask, ...about }))
}

/** Held against another program. @returns How they differ, or why that one cannot be read. */
export function compareProgram(bench: Bench, file: File, fullS: readonly [number, number]): Promise<Outcome<CompareSummary>> {
  return made(bench, ({ limits }) => programWorker()?.compare(file, limits, fullS))
}

async function made<T>(
  bench: Bench,
  make: (about: { readonly card: OutputCard; readonly limits: Limits | null }) => Promise<Outcome<T>> | undefined,
): Promise<Outcome<T>> {
  const card = cardOf(bench)
  if (card === null) {
    return refused('no-full-power', 'The full power word is not known: enter it on Power. Every power is a share of it.', {
      path: 'electrical.fullPower',
    })
  }
  try {
    return (await make({ card, limits: machineLimits(engineOf(bench)) })) ?? NONE_OPEN
  } catch {
    return refused('unmade', 'It could not be made: the memory of this browser may be full. The file is unharmed.')
  }
}

const NONE_OPEN = refused('no-program', 'No program is open. Choose one first.')
