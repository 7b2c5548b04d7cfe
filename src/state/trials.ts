import { enterFact, getAt, setAt, shownNumber, standardUncertainty, type Fact, type Path } from '../core/bench'
import {
  curveThreshold,
  layoutOf,
  LIGHT_FROM,
  newestTrial,
  onDelay,
  readingOfMarks,
  sheetWords,
  TRIALS,
  type Trial,
  type TrialKindId,
  type TrialLayout,
  type TrialReading,
  type TrialShape,
} from '../core/calibrate'
import { benchFactSpec, type Bench } from '../core/document'
import { asCommanded } from '../core/gcode'
import { smallestStep } from '../core/motion'
import { LOUPE } from '../core/workshop'
import { refused, type Outcome } from '../core/units'
import { newId } from '../data/ids'
import { editBench, setFact, useBenchStore } from './benchStore'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { readStandIn } from './machine'
import { useMachine } from './machineStore'
import { scanIds, type RunDraft } from './scaleRun'
import { DONE, isDone, NO_BENCH, reasonOf, told, type Told } from './told'

/** A trial of a kind laid out for the open bench, with what is given now. */
export function planTrial(bench: Bench, kind: TrialKindId): Outcome<TrialShape> {
  const { x } = scanIds(bench)
  const { startX, startY, markPower, markSpeed } = bench.calibrate
  const isOwn = TRIALS[kind].ownPower === true
  if (!isOwn && (markPower.value === null || markSpeed.value === null)) {
    return refused('no-power', 'The marking power is not known: burn the faint mark first, or enter it.', {
      path: 'calibrate.markPower',
    })
  }
  if (startX.value === null || startY.value === null) return refused('not-known', 'Enter where the marks begin.')
  const numbers: Record<string, number> = {}
  for (const [name, path] of Object.entries(TRIALS[kind].facts)) {
    const fact = getAt(bench, path) as { readonly value: number | null } | undefined
    if (fact?.value == null) return refused('not-known', 'Enter what the pattern is laid out with.', { path })
    numbers[name] = fact.value
  }
  const order = orderFinding(kind, numbers)
  if (order !== null) return refused('order', order)
  const acceleration = bench.controller.axes[x]?.acceleration.value ?? bench.motion.axes[x]?.acceleration.value ?? null
  if (acceleration === null) {
    return refused(
      'no-acceleration',
      'The acceleration of X is not known: read the settings of the machine, or enter it on Motion. The pattern needs the way to come up to speed.',
      {
        path: `controller.axes.${x}.acceleration`,
      },
    )
  }
  const lightFrom = shownNumber(engineOf(bench).value(curveThreshold).result)
  const frequency = bench.controller.beam.pwmFrequency.value ?? bench.electrical.pwmFrequency.value ?? 0
  const round = (mm: number): number => asCommanded(mm, bench.output.card)
  return {
    ok: true,
    value: {
      origin: { x: round(startX.value), y: round(startY.value) },
      power: markPower.value ?? 1,
      speed: markSpeed.value ?? USUAL_SPEED,
      numbers: { ...numbers, acceleration, frequency, ...(lightFrom === null ? {} : { [LIGHT_FROM]: lightFrom }) },
    },
    findings: [],
  }
}

/** mm/s, for a pattern that brings its own. */
const USUAL_SPEED = 20

/** What of the numbers of a kind is the wrong way round, or null. */
function orderFinding(kind: TrialKindId, numbers: Readonly<Record<string, number>>): string | null {
  const { slowest = 0, fastest = Infinity, small = 0, large = Infinity } = numbers
  if ((kind === 'delay' || kind === 'wedge') && !(fastest > slowest)) return 'The fastest must be faster than the slowest.'
  return large > small ? null : 'The large ones must be larger than the small ones.'
}

/** Lays a trial out with what is in force now; it becomes part of the bench once it is burnt, or handed out. */
export function draftTrial(kind: TrialKindId, instrument: string): Outcome<RunDraft> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return refused('closed', 'No bench is open.')
  const plan = planTrial(bench, kind)
  if (!plan.ok) return plan
  const trial: Trial = {
    ...plan.value,
    order: 1 + Math.max(0, ...Object.values(bench.calibrate.trials[kind]).map((it) => it.order)),
    at: new Date().toISOString(),
    axes: scanIds(bench),
    instrument,
    hours: bench.calibrate.hours.value,
    readings: {},
    picks: {},
  }
  const id = newId()
  const keep = (): Told => editBench('a new trial', (it) => setAt(it, `calibrate.trials.${kind}.${id}`, trial))
  return { ok: true, value: { id, keep, ...sheetOf(kind, trial) }, findings: [] }
}

/** How the stand-in's sheet has to lie for a trial. */
export function sheetOf(kind: TrialKindId, shape: TrialShape): Pick<RunDraft, 'sheet'> {
  const lies = TRIALS[kind].lies?.(shape)
  return lies === undefined ? {} : { sheet: sheetWords(lies) }
}

/** The trial of a kind that is looked at: the one chosen, else the newest. */
export function trialShown(bench: Bench, kind: TrialKindId, chosen: string | null): string | null {
  return chosen !== null && bench.calibrate.trials[kind][chosen] !== undefined
    ? chosen
    : newestTrial(bench.calibrate.trials, kind)
}

/** A trial laid out, as it was burnt. */
export function trialLayout(bench: Bench, kind: TrialKindId, id: string): TrialLayout | null {
  const trial = bench.calibrate.trials[kind][id]
  return trial === undefined ? null : layoutOf(kind, trial)
}

/** Throws a trial away; undo brings it back. */
export function dropTrial(kind: TrialKindId, id: string): Told {
  return editBench('a trial thrown away', (it) => setAt(it, `calibrate.trials.${kind}.${id}`, undefined))
}

export function trialReadingPath(kind: TrialKindId, id: string, readingId: string): Path {
  return `calibrate.trials.${kind}.${id}.readings.${readingId}`
}

/** Enters one reading as typed; nothing typed takes it back. @returns What stands in the way; empty when it stands. */
export function enterTrialReading(kind: TrialKindId, id: string, def: TrialReading, typed: string): Told {
  const { bench } = useBenchStore.getState()
  const trial = bench?.calibrate.trials[kind][id]
  const path = trialReadingPath(kind, id, def.id)
  const spec = benchFactSpec(path)
  if (bench === null || trial === undefined || spec === undefined) return []
  if (typed.trim() === '') {
    if (getAt(bench, path) !== undefined) editBench(`${def.words}, taken back`, (it) => setAt(it, path, undefined))
    return []
  }
  const read = readingFact(bench, trial, path, def, typed)
  return read.ok ? [...read.findings, ...setFact(path, read.value, def.words)] : read.findings
}

/** A reading as it was typed, with the doubt of its instrument and of where the marks lie. */
function readingFact(bench: Bench, trial: Trial, path: Path, def: TrialReading, typed: string): Outcome<Fact> {
  const spec = benchFactSpec(path)
  if (spec === undefined) return refused('not-known', 'There is no such reading.')
  const instrument = bench.instruments[trial.instrument]
  const known = instrument === undefined ? null : { id: trial.instrument, ...instrument, min: -instrument.max }
  const read = enterFact({ typed, origin: 'measured', instrument: known, at: new Date().toISOString() }, spec, bench.units)
  if (!read.ok) return read
  const own = standardUncertainty(read.value.doubt)
  const step = shownNumber(engineOf(bench).value(smallestStep, trial.axes.x).result) ?? 0
  const itself = own > 0 ? own : USUAL_U
  // A width, or how the board lies, does not depend on where the motors' steps fall.
  const isOfSteps = !['width', 'board', 'pointer', 'stack', 'opening', 'cut'].some((it) => it in def.span)
  const u = Math.hypot(isOfSteps ? readingOfMarks(itself, step) : itself, def.moreU ?? 0)
  return { ...read, value: { ...read.value, doubt: { kind: 'standard', u } } }
}

/** Standard uncertainty of a reading whose instrument does not say, mm. (common practice) */
const USUAL_U = 0.03

/** Picks a line out of a trial by its number from 1; 0: none of them; null takes it back. */
export function pickTrial(kind: TrialKindId, id: string, pickId: string, picked: number | null): Told {
  return editBench('a line that was picked', (it) =>
    setAt(it, `calibrate.trials.${kind}.${id}.picks.${pickId}`, picked ?? undefined),
  )
}

/** A reading of the stand-in's as it is typed: widths by its loupe, with the loupe's own ±. */
function typedOf({ span }: TrialReading, value: number): string {
  const loupe = Math.hypot(LOUPE.noise, LOUPE.division / Math.sqrt(12))
  return 'width' in span ? `${value.toFixed(3)} ± ${(2 * loupe).toFixed(4)} mm` : `${value.toFixed(2)} mm`
}

/** Takes what is missing of a trial with the stand-in's instruments. @returns Why one could not be taken. */
export async function readTrial(kind: TrialKindId, id: string): Promise<Told> {
  const { bench } = useBenchStore.getState()
  const trial = bench?.calibrate.trials[kind][id]
  if (bench === null || trial === undefined) return told('This trial is gone.')
  const layout = layoutOf(kind, trial)
  const taken: (readonly [Path, Fact])[] = []
  let wrong: Told = DONE
  for (const def of layout.readings.filter((it) => trial.readings[it.id] === undefined)) {
    const out = await readStandIn(def.span)
    const path = trialReadingPath(kind, id, def.id)
    const fact = out.ok ? readingFact(bench, trial, path, def, typedOf(def, out.value)) : null
    if (fact?.ok === true) taken.push([path, fact.value])
    else {
      wrong = told(`${def.group}, ${def.words}: ${out.ok ? reasonOf(fact?.findings ?? []) : out.why}`)
      break
    }
  }
  // What could be read is kept, as one step.
  const kept =
    taken.length === 0
      ? DONE
      : editBench('readings of a pattern', (it) => taken.reduce((next, [path, fact]) => setAt(next, path, fact), it))
  if (!isDone(wrong) || !isDone(kept)) return [...wrong, ...kept]
  const { marks } = useMachine.getState()
  for (const pick of layout.picks.filter((it) => trial.picks[it.id] === undefined)) {
    const first = pick.strokes.findIndex((it) => marks[it]?.dotted === true)
    if (first < 0 && pick.strokes.some((it) => (marks[it] ?? null) === null)) {
      return told(
        'The faster lines left no mark, so that nothing is known of them. Burn the pattern with more power, or with a slower fastest line.',
      )
    }
    pickTrial(kind, id, pick.id, first + 1)
  }
  return DONE
}

/** Lets the output card wait behind “on” as long as the light is late, with its record. @returns What stands in the way. */
export async function applyDelay(id: string): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const late = engineOf(bench).withDoubt(onDelay, id)
  const seconds = shownNumber(late.result)
  if (seconds === null) return told('The delay is not known yet: read where lines begin at three speeds or more.')
  const wait = Math.max(0, Number(seconds.toFixed(4)))
  const edited = editBench('the wait behind “on”', (it) => setAt(it, 'output.card.afterOn', wait))
  if (!isDone(edited)) return edited
  return keepRecord(
    {
      stage: 'controller',
      title: `The output card waits ${Number((wait * 1000).toFixed(1))} ms behind “on”`,
      note: 'By the delay pattern.',
      redo: 'Burn the delay pattern again and put its delay on the output card.',
      beneath: [],
    },
    [{ id: late.def.id, args: [id], same: late.doubt?.expanded ?? 0 }],
    [],
  )
}
