import * as Comlink from 'comlink'
import { create } from 'zustand'
import { createJSONStorage, persist, type StateStorage } from 'zustand/middleware'
import { shownNumber } from '../core/bench'
import {
  createCableLink,
  createSession,
  impossible,
  linkCardFindings,
  runLines,
  type Answer,
  type BeamState,
  type RunEnd,
  type Session,
  type StateReport,
  type StopState,
} from '../core/controller'
import { axisIds, practiceOf, type Bench } from '../core/document'
import { steps } from '../core/motion'
import type { Finding } from '../core/units'
import { faultsOfLesson, lessonOf } from '../core/course'
import {
  drawFans,
  type AirAsked,
  type AirSaid,
  type FromAbove,
  type MeterCircuit,
  type Reading,
  type ReadOut,
  type StandInFault,
  type StandInSpec,
  type Turning,
} from '../core/workshop'
import type { BedBox, ClockRate, Metered, StandInStart, WorkshopWorker } from '../workers/workshop.worker'
import { openSerialPort } from '../devices'
import { HERON_SETTINGS, HERON_STAND_IN } from '../data/standIn'
import { useBenchStore } from './benchStore'
import { mendsOf } from './mends'
import { holdSession, mayBeLit, NOT_CONNECTED, useMachine } from './machineStore'
import { engineOf } from './evaluate'
import { useSession } from './session'
import { DONE, NO_BENCH, told, type Told } from './told'

/** The stand-ins of this browser: which machine a bench practises on, and what was set in it, as a real one would keep. */
interface StandIns {
  readonly byBench: Readonly<Record<string, { readonly number: number; readonly settings: Readonly<Record<string, string>> }>>
}
/** The demo's machine, as its bench says it was left. */
const DEMO: StandIns = { byBench: { heron: { number: HERON_STAND_IN, settings: HERON_SETTINGS } } }

/**
 * Each window has its own machines: what is set in one is kept in that window, and is where the next new window begins.
 * Two windows at one bench would else set each other's machine behind its back.
 */
const ownWindowFirst: StateStorage = {
  getItem: (name) => sessionStorage.getItem(name) ?? localStorage.getItem(name),
  setItem(name, value) {
    sessionStorage.setItem(name, value)
    localStorage.setItem(name, value)
  },
  removeItem: (name) => sessionStorage.removeItem(name),
}

export const useStandIns = create<StandIns>()(
  persist((): StandIns => DEMO, { name: 'fine-kerf.stand-ins', storage: createJSONStorage(() => ownWindowFirst) }),
)

/** The number of the stand-in that a bench has, or is offered. */
export function standInNumber(benchId: string): number {
  return useStandIns.getState().byBench[benchId]?.number ?? 1
}

/** Lines of the link that are shown. */
const KEPT_LINES = 200

let open: {
  readonly session: Session
  readonly benchId: string
  /** The stand-in behind it; null where a real machine is. */
  readonly standIn: { readonly remote: Comlink.Remote<WorkshopWorker>; readonly number: number } | null
  /** Ends the watch for another bench being opened. */
  readonly unwatch: () => void
} | null = null

/** What was set in the stand-in of a bench; nothing where none was connected. */
export function standInSettings(benchId: string): Readonly<Record<string, string>> {
  return useStandIns.getState().byBench[benchId]?.settings ?? {}
}

/** What the stand-in is built as: the open bench's nominal drive train, travel and power. */
export function specOf(bench: Bench): StandInSpec | string {
  const engine = engineOf(bench)
  const of = (letter: string): { steps: number; travel: number } | null => {
    const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter)
    const nominal = id === undefined ? null : shownNumber(engine.value(steps, id).result)
    const travel = id === undefined ? null : (bench.motion.axes[id]?.travel.value ?? null)
    return nominal === null || travel === null ? null : { steps: nominal, travel }
  }
  const [x, y] = [of('X'), of('Y')]
  if (x === null || y === null) {
    return 'The stand-in is built after the bench: enter drive and travel of X and Y on Motion first.'
  }
  return {
    nominalSteps: { x: x.steps, y: y.steps },
    travel: { x: x.travel, y: y.travel },
    power: bench.optics.power.value ?? 5,
  }
}

/** Which machine a bench practises on, and what is given to it. @param asked Its number where the bench has none of its own. */
function practisedBy(benchId: string, asked: number): Pick<StandInStart, 'number' | 'practice' | 'air'> {
  const lesson = lessonOf(benchId)
  const grade = lesson === null ? practiceOf(benchId)?.grade : 1
  const number = lesson?.number ?? practiceOf(benchId)?.number ?? asked
  if (grade === undefined) return { number, practice: null, air: null }
  const given = lesson === null ? null : faultsOfLesson(lesson.lesson)
  return {
    number,
    practice: { grade, given, mends: mendsOf(benchId) },
    air: lesson?.lesson === 'fan' ? drawFans(number).air : null,
  }
}

/** How long the stand-in's code may take to come and start, ms. */
const START_PATIENCE = 10_000

/**
 * Connects the stand-in of a number, its clock as it is chosen. The same number hides the same machine; what was set in it stays set.
 * @returns What stands in the way.
 */
export async function connectStandIn(asked: number, fault: StandInFault | null): Promise<Told> {
  if (!(await leaveMachine())) return told(NOT_STOPPED)
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const spec = specOf(bench)
  if (typeof spec === 'string') return told(spec)
  const { number, practice, air } = practisedBy(bench.id, asked)
  const worker = new Worker(new URL('../workers/workshop.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<WorkshopWorker>(worker)
  useMachine.setState({ ...NOT_CONNECTED, link: 'opening' })
  const { rate } = useMachine.getState()
  let hear: (line: string | null) => void = () => undefined
  const link = {
    send: (line: string) => void remote.receive(line).catch(() => hear(null)),
    listen: (listener: (line: string | null) => void) => {
      hear = listener
    },
    close: () => worker.terminate(),
  }
  const doubt = (report: StateReport): string | null => impossible(report, { x: spec.travel.x, y: spec.travel.y })
  const session = createSession(link, after, events, { doubt })
  const unwatch = useBenchStore.subscribe((state) => {
    if (state.bench?.id !== bench.id) void leaveMachine()
  })
  const mine = { session, benchId: bench.id, standIn: { remote, number }, unwatch }
  open = mine
  holdSession(session)
  const kept = useStandIns.getState().byBench[bench.id]
  const settings = kept?.number === number ? kept.settings : {}
  // The same machine and the same work give the same noise; the next reading gets other noise.
  const taken = Object.values(bench.calibrate.runs).reduce((sum, run) => sum + Object.keys(run.readings).length, 0)
  const noise = number + 7919 * (taken + 1)
  const begun = await startedOr(
    worker,
    remote.start(
      { spec, number, settings, fault, rate, noise, practice, air },
      Comlink.proxy((line: string) => hear(line)),
    ),
  )
  if (open !== mine) return told('Another connection was made meanwhile.')
  if (begun !== null) {
    disconnect()
    return told(begun)
  }
  worker.onerror = () => hear(null)
  // Chosen anew while its code was on the way.
  if (useMachine.getState().rate !== rate) await remote.setRate(useMachine.getState().rate)
  keepSettings(number, bench.id, await remote.settings())
  if (open !== mine) return told('Another connection was made meanwhile.')
  useMachine.setState({ link: 'open' })
  return DONE
}

/**
 * Connects a machine on a cable. The person chooses the port; what it is spoken with is the link card of the bench.
 * @returns What stands in the way.
 */
export async function connectCable(): Promise<Told> {
  if (!(await leaveMachine())) return told(NOT_STOPPED)
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const faults = linkCardFindings(bench.output.link).filter((it) => it.severity === 'error')
  if (faults.length > 0) return faults
  useMachine.setState({ ...NOT_CONNECTED, link: 'opening', isCable: true })
  const port = await openSerialPort(bench.output.link.baud)
  if (typeof port === 'string') {
    useMachine.setState(NOT_CONNECTED)
    return told(port)
  }
  const link = createCableLink(port, bench.output.link, bench.controller.line, after)
  const travel = { x: travelOf(bench, 'X'), y: travelOf(bench, 'Y') }
  const session = createSession(link, after, events, { doubt: (report) => impossible(report, travel) })
  const unwatch = useBenchStore.subscribe((state) => {
    if (state.bench?.id !== bench.id) void leaveMachine()
  })
  open = { session, benchId: bench.id, standIn: null, unwatch }
  holdSession(session)
  useMachine.setState({ link: 'open' })
  return DONE
}

function travelOf(bench: Bench, letter: string): number | null {
  const id = axisIds(bench).find((it) => bench.motion.axes[it]?.letter === letter)
  return id === undefined ? null : (bench.motion.axes[id]?.travel.value ?? null)
}

/** Tells the machine to stop, and waits two seconds at most for it to say that it has. */
export async function machineStops(): Promise<boolean> {
  const { session } = open ?? {}
  if (session === undefined) return false
  const over = session.whenOver()
  session.stop()
  const tooLate = new Promise<'late'>((resolve) => after(2000, () => resolve('late')))
  return (await Promise.race([over, tooLate])) === 'stopped'
}

/** Holds the program that runs, beam off, or lets it go on. @returns Why not. */
export async function pauseMachine(isPaused: boolean): Promise<Told> {
  const answer = await askMachine(isPaused ? 'pause' : 'resume')
  if (!answer.ok) return [answer.finding]
  useMachine.setState({ isPaused })
  return DONE
}

const NOT_STOPPED =
  'The machine that is connected has not confirmed that it has stopped. Cut its supply, say so in the bar above, then connect again.'

/** Waits for a worker to answer for the first time; says so where its code does not come. */
function startedOr(worker: Worker, begin: Promise<unknown>): Promise<string | null> {
  return new Promise((resolve) => {
    const gone = (why: string) => resolve(`The stand-in could not be started: ${why}. Reload the page, then connect again.`)
    const callOff = after(START_PATIENCE, () => gone('its code did not come within 10 s'))
    worker.onerror = () => gone('its code could not be fetched')
    begin
      .then(
        () => resolve(null),
        (error: unknown) => gone(error instanceof Error ? error.message : String(error)),
      )
      .finally(callOff)
  })
}

function after(ms: number, act: () => void): () => void {
  const timer = setTimeout(act, ms)
  return () => clearTimeout(timer)
}

const events = {
  onState: (report: StateReport) => {
    useMachine.setState({ report, running: report.running })
    if (report.running) void showMarks()
  },
  onEnded: () => atRest(),
  onStopped: () => atRest(),
  onFault: (finding: Finding) => useMachine.setState({ link: 'faulted', finding, running: false }),
  onBeam: (beam: BeamState) => useMachine.setState({ beam }),
  onStop: (stop: StopState) => useMachine.setState({ stop }),
  onLine: (line: string, way: 'out' | 'in') =>
    useMachine.setState(({ lines }) => ({ lines: [...lines.slice(1 - KEPT_LINES), { way, line }] })),
}

/** The machine itself has said that it has ended or stopped. */
function atRest(): void {
  useMachine.setState(({ report }) => ({
    running: false,
    report: report === null ? null : { ...report, running: false, power: 0 },
  }))
  void showMarks()
}

/** Forgets what was set in the demo's machine since. */
export function resetDemoMachine(): void {
  disconnect()
  useStandIns.setState(({ byBench }) => ({ byBench: { ...byBench, ...DEMO.byBench } }))
}

/** Ends the link at once; for a machine that is dark. A running program is told to stop first. */
export function disconnect(): void {
  open?.unwatch()
  if (open?.session.beam !== 'off') open?.session.stop()
  open?.session.close()
  open = null
  holdSession(null)
  useMachine.setState(NOT_CONNECTED)
}

/** How long a machine that is left may take to confirm that it has stopped, ms. */
const LEAVE_PATIENCE = 1500

/**
 * Lets go of the machine: where its beam may be on it is told to stop, and let go of only when it has confirmed that.
 * @returns Whether it was let go; if not, the stop goes on being sent and the person is told to cut the supply.
 */
export async function leaveMachine(): Promise<boolean> {
  const mine = open
  if (mine !== null && mine.session.beam !== 'off') {
    const over = new Promise<void>((resolve) => {
      const callOff = useMachine.subscribe(({ beam }) => beam === 'off' && resolve())
      after(LEAVE_PATIENCE, () => {
        callOff()
        resolve()
      })
    })
    mine.session.stop()
    await over
    if (open !== mine) return true
    if (mayBeLit()) return false
  }
  disconnect()
  return true
}

/** Lets the stand-in's clock run slower or faster. */
export function setClockRate(rate: ClockRate): void {
  useMachine.setState({ rate })
  void open?.standIn?.remote.setRate(rate)
}

const NO_LINK: Extract<Answer, { readonly ok: false }> = {
  ok: false,
  finding: { code: 'no-link', severity: 'error', message: 'No machine is connected.' },
}

/** Asks the machine one thing. */
export async function askMachine(words: string): Promise<Answer> {
  const answer = (await open?.session.ask(words)) ?? NO_LINK
  if (!answer.ok && answer.finding.code === 'refused') useMachine.setState({ finding: answer.finding })
  return answer
}

/** Sets one setting in the machine; the stand-in keeps it. */
export async function setInMachine(key: string, value: string): Promise<Answer> {
  const answer = await askMachine(`set ${key} ${value}`)
  const standIn = open?.standIn ?? null
  if (answer.ok && standIn !== null) keepSettings(standIn.number, open?.benchId ?? '', await standIn.remote.settings())
  return answer
}

function keepSettings(number: number, benchId: string, settings: Readonly<Record<string, string>>): void {
  useStandIns.setState(({ byBench }) => ({ byBench: { ...byBench, [benchId]: { number, settings } } }))
}

const NO_CAUTIONS: Finding = {
  code: 'no-cautions',
  severity: 'error',
  message: 'The checks before the beam is on were not made: nothing was sent.',
}

/** Lines that a stand-in is sent before its answers are waited for. */
const AHEAD = 64

/**
 * Puts a fresh sheet in, sends a program and runs it to its end.
 * @param burnt What the program burns, so that its marks are known again. @param sheet How the stand-in's sheet lies.
 * @returns How it came out.
 */
export async function runProgram(text: string, burnt: string, sheet?: string): Promise<RunEnd> {
  if (open === null) return { kind: 'not begun', finding: NO_LINK.finding }
  if (useSession.getState().cautions !== 'taken') return { kind: 'not begun', finding: NO_CAUTIONS }
  useMachine.setState({ finding: null, running: true, marks: [], burnt, report: null })
  const lines = text.split('\n').filter((it) => it !== '')
  // A stand-in takes a line in no time; a machine is sent one when it has taken the last.
  const end = await runLines(open.session, lines, sheet, open.standIn === null ? 1 : AHEAD)
  useMachine.setState({ running: false, isPaused: false })
  void showMarks()
  if ('finding' in end && end.finding.code !== 'closed') useMachine.setState({ finding: end.finding })
  return end
}

async function showMarks(): Promise<void> {
  const marks = await open?.standIn?.remote.marks()
  if (marks !== undefined) useMachine.setState({ marks })
}

/** The sound of one of the stand-in's belts; null without a stand-in. */
export async function pluckStandIn(
  belt: 'xA' | 'yA' | 'yB',
  massPerMetreKg: number,
  spanMm: number,
): Promise<{ readonly samples: Float32Array; readonly sampleRateHz: number } | null> {
  return (await open?.standIn?.remote.pluck(belt, massPerMetreKg, spanMm)) ?? null
}

/** Volts at a block of the stand-in's bench by its multimeter; null without a stand-in. */
export async function meterStandIn(circuit: MeterCircuit, block: string): Promise<Metered | null> {
  return (await open?.standIn?.remote.volts(circuit, block)) ?? null
}

/** Light of the stand-in's head by its power meter; null without a stand-in. */
export async function lightStandIn(watts: number, share: number | null = null): Promise<Metered | null> {
  return (await open?.standIn?.remote.light(watts, share)) ?? null
}

/** How far a mark on the stand-in's rotary stands past itself after turning. */
export async function overrunStandIn(turning: Turning): Promise<Metered | null> {
  return (await open?.standIn?.remote.overrun(turning)) ?? null
}

/** What a dial against what the stand-in's rotary turns shows. */
export async function dialStandIn(angle: number): Promise<Metered | null> {
  return (await open?.standIn?.remote.dial(angle)) ?? null
}

/** What anemometer and water column say of the stand-in's air. */
export async function airStandIn(asked: AirAsked): Promise<AirSaid | null> {
  return (await open?.standIn?.remote.air(asked)) ?? null
}

/** Reads between two marks with the stand-in's calipers. */
export async function readStandIn(reading: Reading): Promise<ReadOut> {
  return (await open?.standIn?.remote.read(reading)) ?? { ok: false, why: 'No stand-in is connected.' }
}

/** A picture of the stand-in's sheet by its camera; null without one, or where nothing was burnt. */
export async function photographStandIn(): Promise<Awaited<ReturnType<WorkshopWorker['photo']>>> {
  return (await open?.standIn?.remote.photo()) ?? null
}

/** Tones of places of the stand-in's sheet as the eye guesses them; null where nothing was burnt. */
export async function lookAtStandIn(
  places: readonly { readonly x: number; readonly y: number; readonly side: number }[],
): Promise<readonly number[] | null> {
  return (await open?.standIn?.remote.look(places)) ?? null
}

/** A box of the stand-in's bed as a camera straight above sees it; null without a stand-in. */
export async function bedFromAbove(box: BedBox, pitch: number): Promise<FromAbove | null> {
  return (await open?.standIn?.remote.above(box, pitch)) ?? null
}

/** How light the stand-in's sheet is where nothing was burnt; null without a stand-in. */
export async function bareOfStandIn(): Promise<Metered | null> {
  return (await open?.standIn?.remote.bare()) ?? null
}
