import { enterFact, getAt, setAt, shownNumber, standardUncertainty, type Path } from '../core/bench'
import {
  calibratedStepsOf,
  planScaleRun,
  rampPowers,
  rampSteps,
  readingDefs,
  roundedRun,
  scaleRunSteps,
  type ReadingDef,
  type RunPlan,
  type RunShape,
  type ScaleRun,
} from '../core/calibrate'
import { axisIds, benchFactSpec, cardOf, type Bench } from '../core/document'
import { asCommanded, writeProgram, type Step } from '../core/gcode'
import { smallestStep, steps } from '../core/motion'
import { refused, type Finding, type Outcome } from '../core/units'
import type { RunEnd } from '../core/controller'
import { editBench, setFact, useBenchStore } from './benchStore'
import { calibrationRedo } from './controller'
import { engineOf } from './evaluate'
import { newId } from '../data/ids'
import { keepRecord } from './library'
import { readStandIn } from './machine'
import { DONE, isDone, NO_BENCH, reasonOf, told, type Told } from './told'

/** Ids of the axes that scan. */
export function scanIds(bench: Bench): { readonly x: string; readonly y: string } {
  const of = (letter: string): string => axisIds(bench).find((id) => bench.motion.axes[id]?.letter === letter) ?? ''
  return { x: of('X'), y: of('Y') }
}

/** A scale run planned for the open bench and one of its instruments. */
export function planRun(bench: Bench, instrumentId: string): Outcome<RunPlan> {
  const engine = engineOf(bench)
  const { x, y } = scanIds(bench)
  const { startX, startY, wantedShare } = bench.calibrate
  const instrument = bench.instruments[instrumentId]
  if (instrument === undefined) return refused('no-instrument', 'Choose the instrument that the spans will be read with.')
  const numbers = {
    travelX: bench.motion.axes[x]?.travel.value ?? null,
    travelY: bench.motion.axes[y]?.travel.value ?? null,
    stepX: shownNumber(engine.value(smallestStep, x).result),
    stepY: shownNumber(engine.value(smallestStep, y).result),
    startX: startX.value,
    startY: startY.value,
    wanted: wantedShare.value,
  }
  const { travelX, travelY, stepX, stepY, wanted } = numbers
  if (travelX === null || travelY === null || stepX === null || stepY === null) {
    return refused('not-known', 'Enter drive and travel of X and Y on Motion first: the run is laid out in them.')
  }
  if (numbers.startX === null || numbers.startY === null || wanted === null) {
    return refused('not-known', 'Enter where the marks begin and how true the size is wanted.')
  }
  const plan = planScaleRun({
    origin: { x: numbers.startX, y: numbers.startY },
    travel: { x: travelX, y: travelY },
    step: { x: stepX, y: stepY },
    wantedShare: wanted,
    instrument: { ...instrument, uScale: standardUncertainty(instrument.scale.doubt) },
    system: bench.units,
  })
  return plan.ok ? { ...plan, value: { ...plan.value, shape: asPrinted(plan.value.shape, bench) } } : plan
}

/** A run with its marks where the output card's decimals put them. */
function asPrinted(shape: RunShape, bench: Bench): RunShape {
  return roundedRun(shape, (mm) => asCommanded(mm, bench.output.card))
}

/** Why a run can no longer be burnt as it is laid out, or null: the output card rounds its marks to other places now. */
export function roundedAway(run: RunShape, bench: Bench): Finding | null {
  const now = asPrinted(run, bench)
  const places = ({ origin, ticks, corner }: RunShape): readonly number[] =>
    [origin, ticks.x, ticks.y, corner].flatMap((it: Readonly<Record<string, number>>) => Object.values(it))
  const then = places(run)
  if (places(now).every((it, i) => Math.abs(it - (then[i] ?? Number.NaN)) < 1e-6)) return null
  const message = `The output card now writes ${bench.output.card.decimals} decimals in ${bench.output.card.units}, and this run's marks do not lie on them. Burn a new run; its marks are laid out for the card.`
  return { code: 'rounded-away', severity: 'error', message }
}

/** A run that is laid out, and becomes part of the bench once it is burnt, or handed out. */
export interface RunDraft {
  readonly id: string
  /** How the stand-in's sheet lies, in its words; flat where nothing is said. */
  readonly sheet?: string
  /** Takes it onto the bench. @returns Why not. */
  readonly keep: () => Told
}

/** Makes a run as planned, with what is in force now. @returns Its id, or what stands in the way. */
export function makeRun(instrumentId: string): Outcome<string> {
  const draft = draftRun(instrumentId)
  if (!draft.ok) return draft
  const findings = draft.value.keep()
  return isDone(findings) ? { ok: true, value: draft.value.id, findings } : { ok: false, findings }
}

/** Lays a run out as planned, with what is in force now. @returns It, or what stands in the way. */
export function draftRun(instrumentId: string): Outcome<RunDraft> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return refused('closed', 'No bench is open.')
  const plan = planRun(bench, instrumentId)
  if (!plan.ok) return plan
  const axes = scanIds(bench)
  const engine = engineOf(bench)
  const inForce = {
    x: bench.controller.axes[axes.x]?.steps.value ?? null,
    y: bench.controller.axes[axes.y]?.steps.value ?? null,
  }
  const nominal = {
    x: shownNumber(engine.value(steps, axes.x).result),
    y: shownNumber(engine.value(steps, axes.y).result),
  }
  const { markPower, markSpeed, runs } = bench.calibrate
  if (inForce.x === null || inForce.y === null) {
    return refused(
      'steps-not-read',
      'The steps in the machine are not known: read its settings first. They are what the run corrects.',
    )
  }
  if (markPower.value === null || markSpeed.value === null) {
    return refused('no-power', 'The marking power is not known: burn the faint ramp first, or enter it.')
  }
  if (nominal.x === null || nominal.y === null) return refused('not-known', 'Enter the drive of X and Y on Motion first.')
  const run: ScaleRun = {
    order: 1 + Math.max(0, ...Object.values(runs).map((it) => it.order)),
    at: new Date().toISOString(),
    axes,
    instrument: instrumentId,
    inForce: { x: inForce.x, y: inForce.y },
    nominal: { x: nominal.x, y: nominal.y },
    power: markPower.value,
    speed: markSpeed.value,
    ...plan.value.shape,
    readings: {},
  }
  const id = newId()
  const keep = (): Told => editBench('a new scale run', (it) => setAt(it, `calibrate.runs.${id}`, run))
  return { ok: true, value: { id, keep }, findings: [] }
}

/** Throws a run away; one that is applied stays. Undo brings it back. */
export function dropRun(runId: string): Told {
  return editBench('a scale run thrown away', (it) =>
    Object.values(it.calibrate.applied).includes(runId) ? it : setAt(it, `calibrate.runs.${runId}`, undefined),
  )
}

export function readingPath(runId: string, readingId: string): Path {
  return `calibrate.runs.${runId}.readings.${readingId}`
}

/** Enters one reading as typed; nothing typed takes it back. @returns What stands in the way; empty when it stands. */
export function enterReading(runId: string, def: ReadingDef, typed: string): Told {
  const { bench } = useBenchStore.getState()
  const run = bench?.calibrate.runs[runId]
  const path = readingPath(runId, def.id)
  const spec = benchFactSpec(path)
  if (bench === null || run === undefined || spec === undefined) return []
  if (typed.trim() === '') {
    if (getAt(bench, path) !== undefined) editBench(`${def.words}, taken back`, (it) => setAt(it, path, undefined))
    return []
  }
  const instrument = bench.instruments[run.instrument]
  const at = new Date().toISOString()
  const known = instrument === undefined ? null : { id: run.instrument, ...instrument }
  const read = enterFact({ typed, origin: 'measured', instrument: known, at }, spec, bench.units)
  if (!read.ok) return read.findings
  const u = standardUncertainty(read.value.doubt)
  const doubt = { kind: 'pooled', u, figure: 'calibrate.scatter', args: [runId] } as const
  return [...read.findings, ...setFact(path, { ...read.value, doubt }, def.words)]
}

/** Takes the readings that are missing with the stand-in's calipers. @returns Why one could not be taken. */
export async function readRun(runId: string): Promise<Told> {
  const { bench } = useBenchStore.getState()
  const run = bench?.calibrate.runs[runId]
  if (run === undefined) return told('This run is gone.')
  for (const def of readingDefs(run).filter((it) => run.readings[it.id] === undefined)) {
    const out = await readStandIn({ from: def.from, to: def.to, over: def.edges === 'over' })
    if (!out.ok) return told(`${def.words}: ${out.why}`)
    const entered = enterReading(runId, def, `${out.value.toFixed(2)} mm`)
    if (!isDone(entered)) return told(`${def.words}: ${reasonOf(entered)}`)
  }
  return DONE
}

/** Lets an axis's steps follow a run, with its record. @returns What stands in the way. */
export async function applyRun(runId: string, axisId: string): Promise<Told> {
  const edited = editBench('a scale run applied', (it) => setAt(it, `calibrate.applied.${axisId}`, runId))
  if (!isDone(edited)) return edited
  const { bench, records } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const letter = bench.motion.axes[axisId]?.letter ?? ''
  const figure = engineOf(bench).withDoubt(calibratedStepsOf, axisId)
  const program = records.filter((it) => it.redo === programRedo('scale run')).at(-1)
  return keepRecord(
    {
      stage: 'controller',
      title: `Scale run applied to ${letter}`,
      note: '',
      redo: calibrationRedo(`${letter} steps`),
      beneath: program === undefined ? [] : [program.id],
    },
    [{ id: figure.def.id, args: [axisId], same: figure.doubt?.expanded ?? 0 }],
    [],
  )
}

/** Takes an axis off its run again: its steps are those of the drive train. */
export function unapplyRun(axisId: string): Told {
  return editBench('a scale run no longer applied', (it) => setAt(it, `calibrate.applied.${axisId}`, undefined))
}

/** Steps of a run's program. */
export function runSteps(run: ScaleRun): readonly Step[] {
  return scaleRunSteps(run, run.power, run.speed)
}

/** The faint ramp of the open bench: its powers and its steps; null while something is missing. */
export function rampOf(bench: Bench): { readonly powers: readonly number[]; readonly steps: readonly Step[] } | null {
  const { sightPower, rampTo, markSpeed, startX, startY } = bench.calibrate
  const given = [sightPower.value, rampTo.value, markSpeed.value, startX.value, startY.value]
  const [from, to, speed, x, y] = given
  if (from == null || to == null || speed == null || x == null || y == null || to < from) return null
  const powers = rampPowers(from, to)
  return { powers, steps: rampSteps({ x, y }, powers, speed) }
}

/**
 * A program through the bench's output card.
 * @returns The text, or what stands in the way: above all a full power word that nobody has read or typed, for a share of
 * a guess may be full power.
 */
export function writeThroughCard(bench: Bench, program: readonly Step[]): Outcome<string> {
  const card = cardOf(bench)
  if (card === null) {
    return refused('no-full-power', 'The full power word is not known: enter it on Power. Every power is a share of it.', {
      path: FULL_POWER,
    })
  }
  const doubtful = doubtOfFullPower(bench)
  return doubtful === null ? writeProgram(program, card) : { ok: false, findings: [doubtful] }
}

const FULL_POWER: Path = 'electrical.fullPower'

/** Why no share of the full power word may leave, or null: it is a guess, or the machine says another. */
export function doubtOfFullPower({ electrical, controller }: Bench): Finding | null {
  const [word, inMachine] = [electrical.fullPower, controller.beam.fullPower.value]
  const say = (code: string, message: string): Finding => ({ code, severity: 'error', path: FULL_POWER, message })
  if (inMachine !== null && inMachine !== word.value) {
    return say(
      'full-power-differs',
      `The full power word is ${word.value ?? 'not known'} by the bench and ${inMachine} in the machine: a small share of one may be full power of the other. Make them agree first.`,
    )
  }
  if (word.origin === 'assumed' && inMachine === null) {
    return say(
      'full-power-assumed',
      `The full power word ${word.value ?? ''} is a guess; where it is really 255, S300 is full power. Read the settings of the machine, or type the word, before a program leaves.`,
    )
  }
  return null
}

/** What to redo when a program that was handed out is stale. */
export function programRedo(name: string): string {
  return `Write the program again: ${name}.`
}

/** Where a program that left is written down, and whether it is kept itself. */
export interface KeptProgram {
  readonly stage?: string
  readonly program?: string
  /** What it does, for the note: how long it takes, how much it burns. */
  readonly words?: string
  /** The file that the program was made of; it is kept with it where it is not too large. */
  readonly madeOf?: File | null
}

/** Larger files are not kept with a record, bytes. */
const MOST_KEPT = 8_000_000

/** What the file of a program is called. */
export function programFileName(name: string): string {
  return `${name.replace(/\W+/g, '-')}.nc`
}

/** Writes down that a program left: it was laid out for the drive train of now. @returns Why not. */
export function recordHandOut(name: string, how: string, kept: KeptProgram = {}): Promise<Told> {
  return recordProgram(`Program handed out: ${name}`, how, name, kept)
}

/** Writes down how a program that was sent over the link came out: burnt, or how far it came. @returns Why not. */
export function recordBurn(name: string, end: RunEnd, kept: KeptProgram = {}): Promise<Told> {
  const share = (done: number): string => `${Math.floor(done * 100)} %`
  switch (end.kind) {
    case 'burnt':
      return recordProgram(`Burnt: ${name}`, 'Burnt over the link, to its end.', name, kept)
    case 'stopped':
      return recordEvent(`Stopped at ${share(end.done)}: ${name}`, 'Stopped while it was burnt over the link.', kept.stage)
    case 'lost':
      return recordEvent(
        `Lost at ${share(end.done)} or later: ${name}`,
        `The link went bad while it was burnt. ${end.finding.message}`,
        kept.stage,
      )
    case 'not begun':
      return recordEvent(`Not begun: ${name}`, `Nothing was burnt. ${end.finding.message}`, kept.stage)
  }
}

/** A program that is out there rests on the drive train. */
function recordProgram(
  title: string,
  note: string,
  name: string,
  { stage = 'controller', program, madeOf, words = '' }: KeptProgram,
): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return Promise.resolve(NO_BENCH)
  const { x, y } = scanIds(bench)
  const figures = [x, y].map((id) => {
    const value = shownNumber(engineOf(bench).value(steps, id).result) ?? 0
    return { id: steps.id, args: [id], same: value * 0.0005 }
  })
  const before = madeOf == null || madeOf.size > MOST_KEPT ? [] : [new File([madeOf], madeOf.name, { type: 'text/plain' })]
  const files = program === undefined ? [] : [...before, new File([program], programFileName(name), { type: 'text/plain' })]
  return keepRecord({ stage, title, note: `${note} ${words}`.trim(), redo: programRedo(name), beneath: [] }, figures, files)
}

/** Something that happened and that nothing rests on. */
function recordEvent(title: string, note: string, stage = 'controller'): Promise<Told> {
  return keepRecord({ stage, title, note: note.slice(0, 4000), redo: '', beneath: [] }, [], [])
}
