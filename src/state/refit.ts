import { create } from 'zustand'
import { cardOf, machineLimits, type Bench } from '../core/document'
import type { BeamWish, CutterProgram } from '../core/refit'
import { refused, type Finding } from '../core/units'
import type { RefitSummary } from '../workers/programTypes'
import { engineOf } from './evaluate'
import { programFile, programWorker } from './program'

/** What cannot be told of a program for a cutter, and is asked. */
export type Asked = 'level' | 'rapids' | 'still'

/** A program for a cutter that is made one for a beam: what is wanted, what it is like, what came of it. */
interface RefitState {
  readonly wish: BeamWish
  readonly answered: readonly Asked[]
  readonly cutter: CutterProgram | null
  readonly made: RefitSummary | null
  readonly findings: readonly Finding[]
  readonly isWorking: boolean
  /** The file that all this is said of. */
  readonly of: File | null
}

const USUAL: BeamWish = {
  level: 0,
  rapids: 'dark',
  still: 'lit',
  power: { depths: [0], powers: [0.8] },
  feed: null,
  dotSeconds: 0.1,
  passes: 'once',
  times: 1,
}

const NOTHING: RefitState = { wish: USUAL, answered: [], cutter: null, made: null, findings: [], isWorking: false, of: null }

export const useRefit = create<RefitState>()(() => NOTHING)

/** Counts what was asked for: an answer to anything but the last is thrown away. */
let latest = 0

/** Begins anew with another program; of the same one, what was said of it stays, and it is made again. */
export async function beginRefit(bench: Bench): Promise<void> {
  const of = programFile()
  useRefit.setState((was) => (was.of === of ? { isWorking: true } : { ...NOTHING, isWorking: true, of }))
  await remake(bench)
}

/** Changes what is wanted; what was asked is answered with it. */
export async function setRefit(bench: Bench, part: Partial<BeamWish>): Promise<void> {
  useRefit.setState(({ wish, answered }) => ({
    wish: { ...wish, ...part },
    answered: [...answered, ...ASKED.filter((it) => it in part && !answered.includes(it))],
  }))
  await remake(bench)
}

const ASKED: readonly Asked[] = ['level', 'rapids', 'still']

/** What is still to be answered before the program may leave. */
export function openQuestions({ cutter, answered }: Pick<RefitState, 'cutter' | 'answered'>): readonly Asked[] {
  if (cutter === null) return []
  const asked: Asked[] = [
    ...(cutter.hasZero ? [] : ['level' as const]),
    ...(cutter.rapidBelow > 0 ? ['rapids' as const] : []),
    ...(cutter.stillBelow > 0 ? ['still' as const] : []),
  ]
  return asked.filter((it) => !answered.includes(it))
}

async function remake(bench: Bench): Promise<void> {
  const mine = ++latest
  const worker = programWorker()
  const card = cardOf(bench)
  if (worker === null) {
    useRefit.setState(NOTHING)
    return
  }
  if (card === null) {
    const none = refused('no-full-power', 'The full power word is not known: enter it on Power. Every power is a share of it.', {
      path: 'electrical.fullPower',
    })
    useRefit.setState({ made: null, findings: none.findings, isWorking: false })
    return
  }
  useRefit.setState({ isWorking: true })
  const { wish } = useRefit.getState()
  try {
    const cutter = await worker.cutter(wish.level)
    const made = await worker.refit({ wish, card, limits: machineLimits(engineOf(bench)) })
    if (mine !== latest) return
    useRefit.setState(
      made.ok
        ? { cutter, made: made.value, findings: made.value.findings, isWorking: false }
        : { cutter, made: null, findings: made.findings, isWorking: false },
    )
  } catch {
    const none = refused('unmade', 'It could not be made: the memory of this browser may be full. The file is unharmed.')
    if (mine === latest) useRefit.setState({ made: null, findings: none.findings, isWorking: false })
  }
}
