import { figureOf, NotYet, type View } from '../bench'
import { newestTrial, onDelay, waist } from '../calibrate'
import { lightFollows, periodsPerDot, type ElectricalBench } from '../electrical'
import type { BenchCard } from '../gcode'
import { evenSpeed, lightAtEnd, SEEN } from './evenness'
import { aBurntWay, lettersOf, settingOfWay, wayOf, waysThat, type WorkBench } from './figures'

/** What says how even lines come out. */
export type EvenBench = WorkBench & ElectricalBench & { readonly output: { readonly card: BenchCard } }
const figure = figureOf<EvenBench>()

const aLineWay = waysThat('cut', 'part', 'mark')
/** Whether light follows the speed on this bench. */
export function followsOnBench({ output, electrical }: Pick<EvenBench, 'output' | 'electrical'>): boolean {
  return lightFollows(output.card.manner, electrical.followsSpeed.chosen)
}

/** What is seen is known by half at best; beside that the ± of a spot that was fitted does not matter, and takes long to work. */
const NONE = { none: 'What is seen is known by half at best: the ± of the spot does not matter beside it.' } as const

/** Mean radius of the spot, and the lower acceleration of X and Y. */
function spotAndMotion(view: View<EvenBench>): { readonly radius: number; readonly acceleration: number } {
  const radius = (view.figure(waist, 'x') + view.figure(waist, 'y')) / 2
  const axes = lettersOf(view)
  const ids = Object.keys(axes).filter((id) => axes[id] === 'X' || axes[id] === 'Y')
  return { radius, acceleration: Math.min(...ids.map((id) => view.bench.motion.axes[id]?.acceleration ?? Infinity)) }
}

export const endLight = figure({
  id: 'work.endLight',
  of: aLineWay,
  label: 'Light where its lines begin and end, against along them',
  quantity: 'ratio',
  formula: 'r = v\\,\\max_s \\left(t_0\\,g(s) + \\int g(s - x)/u(x)\\,dx\\right)',
  symbols: {},
  source:
    'At constant power, from rest: u = √(2·a·x) up to v (uniformly accelerated motion), g the profile of the spot (ISO 11146-1); t₀ that the output card waits with the beam on, less the delay of the light.',
  doubt: NONE,
  work(view, pieceId: string, wayId: string): number {
    const { speed } = settingOfWay(view, wayOf(view, pieceId, wayId).way)
    const afterOn = view.bench.output.card.afterOn
    const waits = afterOn > 0 ? Math.max(0, afterOn - delayOf(view)) : 0
    return lightAtEnd({ speed, waits, ...spotAndMotion(view) })
  },
})

/** How late the light comes, s; 0 where nobody measured. */
function delayOf(view: View<EvenBench>): number {
  const delay = view.rows(({ calibrate }) => calibrate.trials.delay)
  const trial = newestTrial({ delay } as unknown as EvenBench['calibrate']['trials'], 'delay')
  if (trial === null) return 0
  try {
    return Math.max(0, view.figure(onDelay, trial))
  } catch (error) {
    if (error instanceof NotYet) return 0
    throw error
  }
}

export const endLightRoom = figure({
  id: 'work.endLightRoom',
  of: aLineWay,
  label: 'Below twice the light of a line by',
  quantity: 'ratio',
  formula: 'm = 2 - \\v{r}',
  symbols: { r: '=work.endLight|{0}|{1}' },
  source: 'Twice the light of a line is seen (common practice).',
  doubt: NONE,
  work: (view, pieceId: string, wayId: string): number => SEEN - view.figure(endLight, pieceId, wayId),
})

export const evenUpTo = figure({
  id: 'work.evenUpTo',
  label: 'Speed up to which lines begin evenly',
  quantity: 'speed',
  formula: 'v = 1.96\\,\\sqrt{a\\,w}',
  symbols: {},
  source:
    'Light at a line’s beginning, solved for the speed at twice that of the line; a the lower of X and Y, w the mean radius.',
  doubt: NONE,
  work(view): number {
    const { acceleration, radius } = spotAndMotion(view)
    return evenSpeed(acceleration, radius)
  },
})

export const signalPeriods = figure({
  id: 'work.signalPeriods',
  of: aBurntWay,
  label: 'Signal periods for each dot at its speed',
  quantity: 'ratio',
  formula: 'n = \\dfrac{2\\,w\\,f}{v}',
  symbols: {},
  source: 'By definition, w the smaller radius of the spot; 4 or more good, under 2 bands (common practice).',
  doubt: NONE,
  work(view, pieceId: string, wayId: string): number {
    const { speed } = settingOfWay(view, wayOf(view, pieceId, wayId).way)
    const dot = 2 * Math.min(view.figure(waist, 'x'), view.figure(waist, 'y'))
    return periodsPerDot(view.bench.electrical.pwmFrequency, dot, speed)
  },
})
