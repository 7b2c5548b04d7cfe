import { create } from 'zustand'
import { cardOf, machineLimits, type Bench } from '../core/document'
import { curvePoints, shareForLight } from '../core/calibrate'
import { beamForDepth, beamForTone, type BeamWish, type CutterProgram } from '../core/refit'
import { depthLaw, toneLaw } from '../core/testcard'
import { accepted, refused, type Finding, type Outcome } from '../core/units'
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

/**
 * Power, speed and passes by the depths, or by the tones, that are learnt of a material, for a program that goes so deep, mm.
 * @param feed As wished, mm/s; null: the fastest that reaches the depth. @returns What is wanted, or what is not known yet.
 */
export function wishByDepth(
  bench: Bench,
  materialId: string,
  by: 'depth' | 'tone',
  deepest: number,
  feed: number | null,
): Outcome<Pick<BeamWish, 'power' | 'feed' | 'times'>> {
  const material = bench.burns.materials[materialId]
  const engine = engineOf(bench)
  if (material === undefined) return refused('no-material', 'Say which material of the book it is burnt in.')
  const tones = engine.value(toneLaw, materialId).result
  if (by === 'tone' && !tones.known) {
    const message = `How dark ${material.name} becomes is not learnt yet: burn a card of it on Burns and read it, or give the powers by hand.`
    return refused('no-tones', message)
  }
  if (by === 'tone' && feed === null) return refused('no-speed', 'Say how fast it is burnt first: tones are learnt for a speed.')
  const law = engine.value(depthLaw, materialId).result
  if (by === 'depth' && !law.known) {
    const message = `How deep a pass goes in ${material.name} is not learnt yet: enter the depth of three cells of a card on Burns, or give the powers by hand.`
    return refused('no-depths', message)
  }
  const { power: watts, spotX, spotY } = bench.optics
  if (watts.value === null || spotX.value === null || spotY.value === null)
    return refused('no-light', 'Enter the optical power and the spot first: they say what dose a line gets.')
  const curve = engine.value(curvePoints).result
  // Where no curve was read, light is as commanded; where it was, and not so far down, the least that was read.
  const shareFor = (light: number): number =>
    light >= 1 || !curve.known ? Math.min(1, light) : (shareForLight(curve.value, light) ?? light)
  const width = Math.sqrt(spotX.value * spotY.value)
  const light = { watts: watts.value, width, shareFor }
  if (by === 'tone' && tones.known && feed !== null) return accepted(beamForTone(tones.value.law, { ...light, feed }, deepest))
  return law.known ? accepted(beamForDepth(law.value, { ...light, feed }, deepest)) : refused('no-depths', 'Nothing is learnt.')
}
