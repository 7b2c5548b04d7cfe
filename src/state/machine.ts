import * as Comlink from 'comlink'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import { shownNumber } from '../core/bench'
import { createSession, type Answer, type Session, type StateReport } from '../core/controller'
import { axisIds, type Bench } from '../core/document'
import { steps } from '../core/motion'
import type { Finding } from '../core/units'
import type { Mark, Reading, ReadOut, StandInFault, StandInSpec } from '../core/workshop'
import type { ClockRate, WorkshopWorker } from '../workers/workshop.worker'
import { HERON_SETTINGS, HERON_STAND_IN } from '../data'
import { useBenchStore } from './benchStore'
import { engineOf } from './evaluate'

export type { ClockRate } from '../workers/workshop.worker'

/** The link to a machine, and what it last said. Nothing of it is saved with the bench. */
interface MachineState {
  readonly link: 'none' | 'opening' | 'open' | 'faulted'
  readonly report: StateReport | null
  readonly running: boolean
  /** What went wrong, until the next connection. */
  readonly finding: Finding | null
  /** Lines of the link, both ways, the last ones. */
  readonly lines: readonly { readonly way: 'out' | 'in'; readonly line: string }[]
  /** What lies burnt on the stand-in's sheet. */
  readonly marks: readonly (Mark | null)[]
  /** What was burnt on that sheet: a scale run by its id, or the ramp. */
  readonly burnt: string | null
  readonly rate: ClockRate
}

const NONE: MachineState = {
  link: 'none',
  report: null,
  running: false,
  finding: null,
  lines: [],
  marks: [],
  burnt: null,
  rate: 10,
}

export const useMachine = create<MachineState>()(() => NONE)

/** The stand-ins of this browser: which machine a bench practises on, and what was set in it, as a real one would keep. */
interface StandIns {
  readonly byBench: Readonly<Record<string, { readonly number: number; readonly settings: Readonly<Record<string, string>> }>>
}
/** The demo's machine, as its bench says it was left. */
const DEMO: StandIns = { byBench: { heron: { number: HERON_STAND_IN, settings: HERON_SETTINGS } } }

export const useStandIns = create<StandIns>()(persist((): StandIns => DEMO, { name: 'fine-kerf.stand-ins' }))

/** The number of the stand-in that a bench has, or is offered. */
export function standInNumber(benchId: string): number {
  return useStandIns.getState().byBench[benchId]?.number ?? 1
}

/** Lines of the link that are shown. */
const KEPT_LINES = 200

let open: {
  readonly worker: Worker
  readonly remote: Comlink.Remote<WorkshopWorker>
  readonly session: Session
  readonly benchId: string
  readonly number: number
  /** Ends the watch for another bench being opened. */
  readonly unwatch: () => void
} | null = null
let ended: (() => void) | null = null

/** What the stand-in is built as: the open bench's nominal drive train, travel and power. */
function specOf(bench: Bench): StandInSpec | string {
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

/**
 * Connects the stand-in of a number. The same number hides the same machine; what was set in it stays set.
 * @returns What stands in the way, or null.
 */
export async function connectStandIn(number: number, rate: ClockRate, fault: StandInFault | null): Promise<string | null> {
  disconnect()
  const { bench } = useBenchStore.getState()
  if (bench === null) return 'No bench is open.'
  const spec = specOf(bench)
  if (typeof spec === 'string') return spec
  const worker = new Worker(new URL('../workers/workshop.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<WorkshopWorker>(worker)
  useMachine.setState({ ...NONE, link: 'opening', rate })
  let hear: (line: string | null) => void = () => undefined
  const link = {
    send: (line: string) => void remote.receive(line),
    listen: (listener: (line: string | null) => void) => {
      hear = listener
    },
    close: () => worker.terminate(),
  }
  const session = createSession(link, after, events)
  const unwatch = useBenchStore.subscribe((state) => {
    if (state.bench?.id !== bench.id) disconnect()
  })
  open = { worker, remote, session, benchId: bench.id, number, unwatch }
  const kept = useStandIns.getState().byBench[bench.id]
  const settings = kept?.number === number ? kept.settings : {}
  // The same machine and the same work give the same noise; the next reading gets other noise.
  const taken = Object.values(bench.calibrate.runs).reduce((sum, run) => sum + Object.keys(run.readings).length, 0)
  const noise = number + 7919 * (taken + 1)
  await remote.start(
    { spec, number, settings, fault, rate, noise },
    Comlink.proxy((line: string) => hear(line)),
  )
  keepSettings(number, bench.id, settings)
  useMachine.setState({ link: 'open' })
  return null
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
  onEnded: () => finish(),
  onStopped: () => finish(),
  onFault: (finding: Finding) => {
    useMachine.setState({ link: 'faulted', finding })
    finish()
  },
  onLine: (line: string, way: 'out' | 'in') =>
    useMachine.setState(({ lines }) => ({ lines: [...lines.slice(1 - KEPT_LINES), { way, line }] })),
}

function finish(): void {
  useMachine.setState(({ report }) => ({
    running: false,
    report: report === null ? null : { ...report, running: false, power: 0 },
  }))
  void showMarks()
  ended?.()
  ended = null
}

/** The demo is connected to its stand-in as soon as it is open; any other bench is when it is asked for. */
export async function connectDemo(): Promise<void> {
  const { bench } = useBenchStore.getState()
  if (bench?.id === 'heron' && useMachine.getState().link === 'none') {
    await connectStandIn(standInNumber('heron'), 10, null)
  }
}

/** Forgets what was set in the demo's machine since. */
export function resetDemoMachine(): void {
  disconnect()
  useStandIns.setState(({ byBench }) => ({ byBench: { ...byBench, ...DEMO.byBench } }))
}

/** Ends the link; a running program is stopped first. */
export function disconnect(): void {
  open?.unwatch()
  open?.session.stop()
  open?.session.close()
  open = null
  ended = null
  useMachine.setState(NONE)
}

/** Beam off and still, at once. */
export function stopMachine(): void {
  open?.session.stop()
}

/** Lets the stand-in's clock run slower or faster. */
export function setClockRate(rate: ClockRate): void {
  useMachine.setState({ rate })
  void open?.remote.setRate(rate)
}

const NO_LINK: Answer = {
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
  if (answer.ok && open !== null) keepSettings(open.number, open.benchId, await open.remote.settings())
  return answer
}

function keepSettings(number: number, benchId: string, settings: Readonly<Record<string, string>>): void {
  useStandIns.setState(({ byBench }) => ({ byBench: { ...byBench, [benchId]: { number, settings } } }))
}

/**
 * Puts a fresh sheet in, sends a program and runs it to its end.
 * @param burnt What the program burns, so that its marks are known again.
 * @returns What stood in the way, or null when it has ended or was stopped.
 */
export async function runProgram(text: string, burnt: string): Promise<Finding | null> {
  useMachine.setState({ finding: null, running: true, marks: [], burnt })
  const done = new Promise<void>((resolve) => {
    ended = resolve
  })
  const lines = text.split('\n').filter((it) => it !== '')
  for (const words of ['sheet', ...lines.map((line) => `load ${line}`), 'run']) {
    const answer = await askMachine(words)
    if (answer.ok) continue
    stopMachine()
    finish()
    return answer.finding
  }
  await done
  return useMachine.getState().finding
}

async function showMarks(): Promise<void> {
  const marks = await open?.remote.marks()
  if (marks !== undefined) useMachine.setState({ marks })
}

/** The sound of one of the stand-in's belts; null without a stand-in. */
export async function pluckStandIn(
  belt: 'xA' | 'yA' | 'yB',
  massPerMetreKg: number,
  spanMm: number,
): Promise<{ readonly samples: Float32Array; readonly sampleRateHz: number } | null> {
  return (await open?.remote.pluck(belt, massPerMetreKg, spanMm)) ?? null
}

/** Reads between two marks with the stand-in's calipers. */
export async function readStandIn(reading: Reading): Promise<ReadOut> {
  return (await open?.remote.read(reading)) ?? { ok: false, why: 'No stand-in is connected.' }
}
