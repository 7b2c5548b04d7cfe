import { useEffect, useState } from 'react'
import { create } from 'zustand'
import { shownNumber } from '../core/bench'
import { axisIds, cardOf, machineLimits, wrappedOrder, type Bench } from '../core/document'
import type { ProgramsApart } from '../core/gcode'
import { refused, type Finding, type Outcome } from '../core/units'
import type { FileRow } from '../data'
import { burningOf, cornerOf, followsOnBench, kerfNow, pictureTones, sheetsOf, type Saving } from '../core/work'
import { waist } from '../core/calibrate'
import type { PlanAsk, PlannedProgram } from '../workers/work.worker'
import { delaysOf } from './cards'
import { engineOf } from './evaluate'
import { endWorkWorker, openFiles, useWorkFiles, workWorker } from './workFiles'

/** The work order as a program, as far as it is planned. */
interface Planned {
  readonly program: PlannedProgram | null
  readonly findings: readonly Finding[]
  /** Whether it is not the present order's: a newer one is being planned, or about to be. Nothing leaves meanwhile. */
  readonly isPlanning: boolean
  /** What it was planned of: another one is another program. */
  readonly of: string
}

const NOTHING: Planned = { program: null, findings: [], isPlanning: false, of: '' }

export const useWorkPlan = create<Planned>()(() => NOTHING)

/** Wait before an order is planned that is still being changed, ms. */
const SETTLES = 250

/** Keeps the plan of the open order up to date while a component shows it. */
export function useKeptPlan(bench: Bench | null): void {
  const taken = useWorkFiles((it) => it.taken)
  useEffect(() => {
    if (bench === null) return undefined
    // From the edit on the program that is shown is not the order's any more.
    expectPlan(bench.id)
    void openFiles(bench)
    const timer = setTimeout(() => void planNow(bench), SETTLES)
    return () => clearTimeout(timer)
  }, [bench, taken])
}

/** How a program differs from one that was kept, worked in the worker; null while it is not known. */
export function useProgramsApart(file: FileRow | null, text: string): ProgramsApart | null {
  const [known, setKnown] = useState<{ readonly file: FileRow; readonly text: string; readonly apart: ProgramsApart } | null>(
    null,
  )
  useEffect(() => {
    if (file === null) return undefined
    let isWanted = true
    void workWorker()
      .apart(file.bytes, text)
      .then((apart) => isWanted && setKnown({ file, text, apart }))
      .catch(() => undefined)
    return () => {
      isWanted = false
    }
  }, [file, text])
  return known !== null && known.file === file && known.text === text ? known.apart : null
}

/** The changes to an order that would save most time. @returns Them, or what stands in the way. */
export async function findSavings(bench: Bench): Promise<Outcome<readonly Saving[]>> {
  const ask = askOf(bench)
  if (!ask.ok) return ask
  const prints = Object.fromEntries(Object.entries(bench.work.pieces).map(([id, it]) => [id, it.print]))
  return workWorker()
    .savings(ask.value, prints)
    .catch(() => refused('unplanned', 'It could not be worked out: the memory of this browser may be full.'))
}

/** Counts what was asked for: an answer to anything but the last is thrown away. */
let latest = 0
/** The bench that the plan belongs to. */
let planOf = ''

/** What is shown is not known to be the order's until it was planned anew; another bench's is not shown at all. */
function expectPlan(benchId: string): void {
  latest++
  useWorkPlan.setState(benchId === planOf ? { isPlanning: true } : { ...NOTHING, isPlanning: true })
  planOf = benchId
}

/** Plans the order of a bench, unless it is the one that is planned. */
export async function planNow(bench: Bench): Promise<void> {
  const mine = ++latest
  const prints = Object.fromEntries(Object.entries(bench.work.pieces).map(([id, it]) => [id, it.print]))
  const ask = askOf(bench)
  if (!ask.ok) {
    useWorkPlan.setState({ ...NOTHING, findings: ask.findings })
    return
  }
  const of = JSON.stringify([ask.value, prints])
  if (of === useWorkPlan.getState().of) {
    useWorkPlan.setState({ isPlanning: false })
    return
  }
  useWorkPlan.setState({ isPlanning: true })
  await openFiles(bench)
  if (mine !== latest) return
  if (ask.value.pieces.some((it) => useWorkFiles.getState().taken[it.piece.print] === undefined)) {
    useWorkPlan.setState({ ...NOTHING, findings: lostOf(bench) })
    return
  }
  const planned = await workWorker()
    .plan(ask.value, prints)
    .catch((): Outcome<PlannedProgram> =>
      refused('unplanned', 'The order could not be planned: the memory of this browser may be full. Make it smaller.'),
    )
  if (mine !== latest) return
  useWorkPlan.setState(
    planned.ok
      ? { program: planned.value, findings: planned.value.findings, isPlanning: false, of }
      : { program: null, findings: planned.findings, isPlanning: false, of },
  )
}

/** Ends the planning that is under way; nothing leaves until the order is planned. */
export function giveUpPlan(): void {
  latest++
  endWorkWorker()
  const message = 'Planning was given up. Nothing leaves until the order is planned: change it, or plan it again.'
  useWorkPlan.setState({ ...NOTHING, findings: [{ code: 'given-up', severity: 'warning', message }] })
}

/** Files that cannot be had any more. */
function lostOf(bench: Bench): readonly Finding[] {
  const { lost } = useWorkFiles.getState()
  return Object.values(bench.work.pieces).flatMap((it): Finding[] => {
    const why = lost[it.print]
    return why === undefined ? [] : [{ code: 'no-file', severity: 'error', message: why }]
  })
}

/** How late the light comes and goes, s; 0 where nobody measured. */
function lateness(bench: Bench): Pick<PlanAsk['machine'], 'onDelay' | 'offDelay'> {
  const { onDelay, offDelay } = delaysOf(bench)
  return { onDelay: onDelay ?? 0, offDelay: offDelay ?? 0 }
}

/** Travel along an axis, mm; null while it is not known. */
function travelOn({ motion }: Bench, letter: string): number | null {
  return Object.values(motion.axes).find((it) => it.letter === letter)?.travel.value ?? null
}

/** Mean radius of the spot, mm; null while it is not known. */
function spotRadius(engine: ReturnType<typeof engineOf>): number | null {
  const [x, y] = (['x', 'y'] as const).map((axis) => shownNumber(engine.value(waist, axis).result))
  return x == null || y == null ? null : (x + y) / 2
}

/** What the worker has to know of an order. @returns What is missing, with where it is entered. */
function askOf(bench: Bench): Outcome<PlanAsk> {
  const { work, burns } = bench
  const pieces = Object.entries(work.pieces)
    .filter(([, it]) => it.isIn === 'yes' && Object.values(it.ways).some((way) => way.does !== 'leave'))
    .sort(([, p], [, q]) => p.order - q.order)
  if (pieces.length === 0) return { ok: false, findings: [] }
  const sheets = sheetsOf(work)
  if (sheets.length === 0)
    return refused('no-blank', 'All places are left out: say under the drawing which of them have a blank.')
  const engine = engineOf(bench)
  const limits = machineLimits(engine)
  if (limits === null) {
    return refused(
      'no-limits',
      'Speeds and accelerations of the machine are not known: enter them on Motion. Without them nothing can be timed.',
      {
        path: `motion.axes.${axisIds(bench)[0] ?? 'x'}.acceleration`,
      },
    )
  }
  const card = cardOf(bench)
  if (card === null) {
    return refused('no-full-power', 'The full power word is not known: enter it on Power. Every power is a share of it.', {
      path: 'electrical.fullPower',
    })
  }
  const wrapped = wrappedOrder(engine)
  if (!wrapped.ok) return wrapped
  const kerf = shownNumber(engine.value(kerfNow).result) ?? work.kerf.value ?? 0
  const toningOf = (pieceId: string, wayId: string) => {
    const { result } = engine.value(pictureTones, pieceId, wayId)
    return result.known ? result.value.toning : null
  }
  return {
    ok: true,
    findings: [],
    value: {
      pieces: pieces.map(([id, piece]) => ({
        id,
        piece,
        ways: Object.entries(piece.ways)
          .sort(([, p], [, q]) => p.order - q.order)
          .map(([wayId, way]) => ({
            way,
            setting: burningOf(work, burns.materials, way),
            toning: piece.kind === 'picture' ? toningOf(id, wayId) : null,
          })),
      })),
      wrapped: wrapped.value,
      sheet: cornerOf(work),
      sheets,
      sequence: work.sequence,
      apart: work.apart,
      machine: { limits, ...lateness(bench), bothWays: work.scans === 'both', backShift: 0 },
      kerf: Math.max(0, kerf),
      within: work.tolerance.value ?? 0.01,
      hasZ: axisIds(bench).some((id) => bench.motion.axes[id]?.letter === 'Z'),
      bars:
        work.under === 'bars'
          ? { along: work.barsAlong, first: work.barsFirst, step: work.barsStep, width: work.barsWidth }
          : null,
      clamps: Object.values(work.clamps).sort((p, q) => p.order - q.order),
      travel: { x: travelOn(bench, 'X'), y: travelOn(bench, 'Y') },
      card,
      unevenBelow: followsOnBench(bench) ? null : spotRadius(engine),
    },
  }
}
