import { figureOf, NotYet, subjectOf, type OwnDoubt, type Plain, type View } from '../bench'
import { fitLine, type LineFit } from '../calibrate'
import { aTurned } from './heightFigures'
import type { RotaryView } from './objectFigures'
import { stepsAfterOverrun } from './oneTurn'
import { fitRoundness, type RoundnessFit } from './roundness'
import type { RotaryBench, TurnRun } from './slice'

const figure = figureOf<RotaryView>()
const subject = subjectOf<RotaryBench>()

/** Every run of turns. */
export const aTurnRun = subject('turn run', ({ rotary }): [runId: string][] => Object.keys(rotary.turnRuns).map((id) => [id]))

/** Every round of dial readings. */
export const aDialRun = subject('dial run', ({ rotary }): [runId: string][] => Object.keys(rotary.dialRuns).map((id) => [id]))

/** Turns that a reading is named by, with its repeat. @param name Such as `5x2`. @throws {RangeError} for another name. Valid: such names. Source: by definition. @example turnsOf('5x2') // 5 */
export function turnsOf(name: string): number {
  const turns = Number(/^(\d+)x\d+$/.exec(name)?.[1])
  if (!(turns > 0)) throw new RangeError(`${name} names no turns`)
  return turns
}

function runOf(view: View<RotaryView>, id: string): Plain<TurnRun> {
  const run = view.bench.rotary.turnRuns[id]
  if (run === undefined) throw new NotYet('turn it once and several times, and read the overrun')
  return run
}

export const turnLine = figure({
  id: 'rotary.turnLine',
  of: aTurnRun,
  label: 'Line through the overruns',
  quantity: 'length',
  formula: '\\delta = c + a\\,n',
  symbols: {},
  source: 'JCGM 100:2008, H.3: least squares of the overrun on the turns that were commanded in one go.',
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view, runId: string): LineFit {
    const { readings } = runOf(view, runId)
    const spans = Object.keys(readings).map((name) => ({ commanded: turnsOf(name), measured: readings[name] ?? Number.NaN }))
    if (new Set(spans.map((it) => it.commanded)).size < 2) throw new NotYet('read the overrun of one turn and of several')
    return fitLine(spans)
  },
})

/** With fewer degrees of freedom than this the instrument's own uncertainty stands for the scatter. */
const LEAST_DOF = 3

export const turnScatter = figure({
  id: 'rotary.turnScatter',
  of: aTurnRun,
  label: 'Scatter of the overruns',
  quantity: 'length',
  formula: 's = \\sqrt{\\dfrac{\\sum e^2}{\\nu}}',
  symbols: {},
  source: 'JCGM 100:2008, 4.2 and H.3; u of s is s/√(2ν) (E.4.3).',
  doubt: { own: 'It is itself what the readings’ doubt is worked from.' },
  work(view, runId: string): OwnDoubt {
    const { scatter, dof } = view.figure(turnLine, runId)
    if (scatter === null || dof < LEAST_DOF) throw new NotYet('turn it more often, so that the scatter is known')
    return { value: scatter, u: scatter / Math.sqrt(2 * dof), dof }
  },
})

export const overrunATurn = figure({
  id: 'rotary.overrunATurn',
  of: aTurnRun,
  label: 'Overrun for each turn',
  quantity: 'length',
  signs: { above: 'past itself by', below: 'short of itself by' },
  formula: 'a = \\dfrac{\\sum (n - \\bar n)(\\delta - \\bar\\delta)}{\\sum (n - \\bar n)^2}',
  symbols: {},
  source: 'Slope of the line: it grows with the turns, as a wrong ratio does.',
  doubt: 'nudge',
  work: (view, runId: string): number => view.figure(turnLine, runId).slope,
})

export const slip = figure({
  id: 'rotary.slip',
  of: aTurnRun,
  label: 'Lost at each start',
  quantity: 'length',
  formula: 's = -c',
  symbols: {},
  source: 'Intercept of the line: what is lost once, however many turns: slip, or play of the drive.',
  doubt: 'nudge',
  work: (view, runId: string): number => -view.figure(turnLine, runId).intercept,
})

export const ratioError = figure({
  id: 'rotary.ratioError',
  of: aTurnRun,
  label: 'Each turn goes',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  signs: { above: 'too far by', below: 'too short by' },
  formula: 'e = \\dfrac{\\v{a}}{\\pi\\,\\v{D}}',
  symbols: { a: '=rotary.overrunATurn|{0}', D: 'rotary.turnRuns.{0}.diameter' },
  source: 'By definition; D under the mark.',
  doubt: 'nudge',
  work: (view, runId: string): number => view.figure(overrunATurn, runId) / (Math.PI * runOf(view, runId).diameter),
})

export const turnStepsOf = figure({
  id: 'rotary.turnStepsOf',
  of: aTurnRun,
  label: 'Steps for a turn by this run',
  quantity: 'ratio',
  formula: 'N = N_0\\,\\dfrac{\\pi D}{\\pi D + \\v{a}}',
  symbols: { a: '=rotary.overrunATurn|{0}' },
  source: 'new = old × C/(C + δ) (handbook of the trade); N₀ commanded for a turn.',
  doubt: 'nudge',
  work(view, runId: string): number {
    const { steps, diameter } = runOf(view, runId)
    const overrun = view.figure(overrunATurn, runId)
    return Number.isNaN(diameter + overrun) ? Number.NaN : stepsAfterOverrun(steps, Math.PI * diameter, overrun)
  },
})

export const turnFactor = figure({
  id: 'rotary.turnFactor',
  label: 'Steps for a turn, against those of the drive alone',
  quantity: 'ratio',
  formula: 'k = \\dfrac{N_r}{N_0}',
  symbols: {},
  source: 'Steps by the run that is followed over those of the drive then; 1 where none is followed.',
  doubt: 'nudge',
  work(view): number {
    const id = view.bench.rotary.turnBy
    if (id === '' || !Object.keys(view.bench.rotary.turnRuns).includes(id)) return 1
    return view.figure(turnStepsOf, id) / runOf(view, id).nominal
  },
})

export const roundness = figure({
  id: 'rotary.roundness',
  of: aDialRun,
  label: 'What the dial says',
  quantity: 'length',
  formula: 'r = m + e\\cos(\\varphi - \\varphi_1) + o\\cos 2(\\varphi - \\varphi_2)',
  symbols: {},
  source: 'Least squares: the first harmonic is eccentricity, the second ovality (common practice).',
  doubt: { none: 'A set of numbers; each that is shown is a figure of its own.' },
  work(view, runId: string): RoundnessFit {
    const run = view.bench.rotary.dialRuns[runId]
    const names = Object.keys(run?.readings ?? {})
    if (run === undefined || names.length < LEAST_DIAL) throw new NotYet('read the dial at eight places round the turn or more')
    const angles = names.map(Number)
    const gaps = [...angles].sort((p, q) => p - q).map((it, k, all) => (all[k + 1] ?? (all[0] as number) + 360) - it)
    if (Math.max(...gaps) > 120) throw new NotYet('read the dial all round: a third of the turn has no reading')
    return fitRoundness(names.map((it) => ({ angle: (Number(it) * Math.PI) / 180, reading: run.readings[it] ?? Number.NaN })))
  },
})
const LEAST_DIAL = 8

export const eccentricity = figure({
  id: 'rotary.eccentricity',
  of: aDialRun,
  label: 'Off centre by',
  quantity: 'length',
  formula: 'e = \\sqrt{a^2 + b^2}',
  symbols: {},
  source: 'First harmonic of the dial readings; its u from what the fit leaves.',
  doubt: { own: 'Its scatter is that of the fit, not of one reading.' },
  work: (view, runId: string): OwnDoubt => sized(view, runId, 'eccentricity', 'uEccentricity'),
})

export const ovality = figure({
  id: 'rotary.ovality',
  of: aDialRun,
  label: 'Oval by',
  quantity: 'length',
  formula: 'o = \\sqrt{c^2 + d^2}',
  symbols: {},
  source: 'Second harmonic of the dial readings: half of what the longest radius has more than the shortest.',
  doubt: { own: 'Its scatter is that of the fit, not of one reading.' },
  work: (view, runId: string): OwnDoubt => sized(view, runId, 'ovality', 'uOvality'),
})

function sized(
  view: View<RotaryView>,
  runId: string,
  what: 'eccentricity' | 'ovality',
  u: 'uEccentricity' | 'uOvality',
): OwnDoubt {
  const fit = view.figure(roundness, runId)
  return { value: fit[what], u: fit[u], dof: fit.dof }
}

/** Id of the run that was made last; null where there is none. */
export function newestRun(runs: Readonly<Record<string, { readonly order: number }>>): string | null {
  return Object.entries(runs).sort(([, p], [, q]) => q.order - p.order)[0]?.[0] ?? null
}

/** The newest round of dial readings, for the object that is turned. */
export const newestDial = subject('newest dial run', (bench): [objectId: string, runId: string][] => {
  const newest = newestRun(bench.rotary.dialRuns)
  return newest === null ? [] : aTurned.each(bench).map(([id]) => [id, newest])
})

/** The newest run of turns. */
export const newestTurns = subject('newest turn run', ({ rotary }): [runId: string][] => {
  const newest = newestRun(rotary.turnRuns)
  return newest === null ? [] : [[newest]]
})
