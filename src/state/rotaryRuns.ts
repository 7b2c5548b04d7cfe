import { enterFact, getAt, setAt, shownNumber, standardUncertainty, templateOf, type Fact, type Path } from '../core/bench'
import { benchFactSpec, type Bench } from '../core/document'
import { diameterOfWork, dialRunShape, turnRunShape } from '../core/rotary'
import { newId } from '../data/ids'
import { editBench, setFact, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { dialStandIn, overrunStandIn } from './machine'
import { nextOrder, stepsInForce, stepsOfDrive } from './rotary'
import { DONE, isDone, NO_BENCH, told, type Told } from './told'

/** How often each is turned, so that its scatter is known. */
export const REPEATS = 4
/** Angles at which the dial is read, degrees. */
export const DIAL_ANGLES = Array.from({ length: 12 }, (_, k) => 30 * k)

/** Begins a run of turns with the steps that are in force. @returns What stands in the way. */
export function addTurnRun(instrument: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const [steps, nominal] = [stepsInForce(bench), stepsOfDrive(bench)]
  if (steps === null || nominal === null)
    return told('The steps for a turn are not known yet: measure the object, and say on “Turning” how it is driven.')
  const run = templateOf(turnRunShape, {
    order: nextOrder(bench.rotary.turnRuns),
    at: new Date().toISOString(),
    instrument,
    steps,
    nominal,
    diameter: diameterNow(bench),
  })
  return editBench('a run of turns', (it) => setAt(it, `rotary.turnRuns.${newId()}`, run))
}

/** The diameter under the work as a reading of today, with what is known of it. */
function diameterNow(bench: Bench): Fact {
  const { result, doubt } = engineOf(bench).withDoubt(diameterOfWork, bench.rotary.inHand)
  const value = shownNumber(result)
  const blank: Fact = { value: null, typed: '', typedUnit: 'mm', origin: 'assumed', doubt: { kind: 'exact' } }
  if (value === null) return blank
  const u = (doubt?.expanded ?? 0) / 2
  return { value, typed: value.toFixed(2), typedUnit: 'mm', origin: 'measured', doubt: { kind: 'standard', u } }
}

/** Begins a round of dial readings at a place along the object. @returns What stands in the way. */
export function addDialRun(instrument: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const object = bench.rotary.objects[bench.rotary.inHand]
  if (object === undefined) return told('Say first what is to be turned.')
  const place = ((object.workFrom.value ?? 0) + (object.workTo.value ?? object.length.value ?? 0)) / 2
  const run = templateOf(dialRunShape, {
    order: nextOrder(bench.rotary.dialRuns),
    at: new Date().toISOString(),
    instrument,
    place,
  })
  return editBench('a round of dial readings', (it) => setAt(it, `rotary.dialRuns.${newId()}`, run))
}

/** Enters an overrun as typed; nothing typed takes it back. @param name Turns and repeat: `5x2`. @returns What stands in the way. */
export function enterOverrun(runId: string, name: string, typed: string): Told {
  return entered(`rotary.turnRuns.${runId}`, name, typed, 'an overrun', (fact) => ({
    ...fact,
    doubt: { kind: 'pooled', u: standardUncertainty(fact.doubt), figure: 'rotary.turnScatter', args: [runId] },
  }))
}

/** Enters what the dial shows. @param name Its angle in degrees. @returns What stands in the way. */
export function enterDial(runId: string, name: string, typed: string): Told {
  return entered(`rotary.dialRuns.${runId}`, name, typed, 'a dial reading', (fact) => fact)
}

function entered(run: Path, name: string, typed: string, words: string, finish: (fact: Fact) => Fact): Told {
  const { bench } = useBenchStore.getState()
  const path = `${run}.readings.${name}`
  const spec = benchFactSpec(path)
  if (bench === null || spec === undefined) return NO_BENCH
  if (typed.trim() === '') {
    if (getAt(bench, path) !== undefined) editBench(`${words} taken back`, (it) => setAt(it, path, undefined))
    return []
  }
  const by = getAt(bench, `${run}.instrument`)
  const instrument = typeof by === 'string' ? bench.instruments[by] : undefined
  // An overrun may lie to either side: the instrument reads its size.
  const known = instrument === undefined ? null : { id: by as string, ...instrument, min: -instrument.max }
  const read = enterFact({ typed, origin: 'measured', instrument: known, at: new Date().toISOString() }, spec, bench.units)
  if (!read.ok) return read.findings
  return [...read.findings, ...setFact(path, finish(read.value), words)]
}

const NOT_THERE = 'The stand-in is not connected.'

/** Takes the overruns of a run that are missing on the stand-in's rotary. @param several How many turns in one go, beside one. */
export async function readTurnsByStandIn(runId: string, several: number): Promise<Told> {
  const run = useBenchStore.getState().bench?.rotary.turnRuns[runId]
  if (run === undefined) return told('This run is gone.')
  const names = [1, several].flatMap((turns) => Array.from({ length: REPEATS }, (_, k) => [turns, `${turns}x${k + 1}`] as const))
  for (const [turns, name] of names.filter(([, it]) => run.readings[it] === undefined)) {
    const { steps, nominal, diameter } = run
    const read = await overrunStandIn({ steps, turns, drive: nominal, diameter: diameter.value ?? 0 })
    if (read === null) return told(NOT_THERE)
    const said = enterOverrun(runId, name, `${read.value.toFixed(2)} ± ${(2 * read.u).toFixed(2)} mm`)
    if (!isDone(said)) return said
  }
  return DONE
}

/** The same with a dial round the turn. */
export async function readDialByStandIn(runId: string): Promise<Told> {
  const run = useBenchStore.getState().bench?.rotary.dialRuns[runId]
  if (run === undefined) return told('This round is gone.')
  for (const angle of DIAL_ANGLES.filter((it) => run.readings[String(it)] === undefined)) {
    const read = await dialStandIn((angle * Math.PI) / 180)
    if (read === null) return told(NOT_THERE)
    const said = enterDial(runId, String(angle), `${read.value.toFixed(3)} ± ${(2 * read.u).toFixed(3)} mm`)
    if (!isDone(said)) return said
  }
  return DONE
}
