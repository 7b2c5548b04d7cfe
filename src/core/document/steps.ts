import type { Bench } from './bench'
import { axisIds } from './axes'

/** What stands in a step at the bench beside its words: what is entered there, what is judged, where all of it is. */
export interface StepAid {
  /** Facts that are read in this step, in their order. */
  readonly facts: readonly string[]
  /** Verdicts that say whether it is done well, by their id. */
  readonly verdicts: readonly string[]
  /** Stage and part where all of it stands, with its picture. */
  readonly at: { readonly part: string; readonly words: string } | null
  /** Lists that the step works through. */
  readonly lists: readonly StepList[]
}

/** What a step may have to work through, one by one. */
export type StepList = 'screws' | 'plugs' | 'settings to put back' | 'cuts'

interface AidDef {
  readonly facts?: (bench: Bench) => readonly string[]
  readonly verdicts?: readonly string[]
  readonly at?: readonly [part: string, words: string]
  readonly lists?: readonly StepList[]
}

const CORNERS = ['width', 'depth', 'fromOrigin', 'across'].map((it) => `motion.corners.${it}`)
const square: AidDef = {
  facts: () => CORNERS,
  verdicts: ['motion.squareEnough'],
  at: ['motion/square', 'See it drawn under Square and level'],
}

/** By the kind of a usual task. */
const AIDS: Readonly<Record<string, AidDef>> = {
  cut: { lists: ['cuts'], at: ['plan/parts', 'See the cut plan'], verdicts: ['plan.stockEnough'] },
  tip: {
    verdicts: ['plan.kitComplete', 'plan.bagEnough'],
    at: ['plan/kit', 'Count it under What is in the bag'],
  },
  lay: { at: ['plan/kit', 'See the frame laid out under What is in the bag'] },
  nuts: { lists: ['screws'], at: ['plan/fasteners', 'See the list of fasteners'] },
  corners: { lists: ['screws'], at: ['plan/fasteners', 'See the list of fasteners'], verdicts: ['plan.screwsFit'] },
  square,
  tighten: square,
  gantry: {
    facts: () => [
      'motion.racking.left',
      'motion.racking.right',
      'motion.wheels.rock',
      'motion.wheels.roll',
      'motion.wheels.turn',
    ],
    verdicts: ['motion.gantrySquare', 'motion.wheelsSet'],
    at: ['motion/square', 'See it drawn under Square and level'],
  },
  belts: {
    facts: tones,
    verdicts: ['motion.beltTight', 'motion.beltsAlike', 'motion.crossedBeltsAlike'],
    at: ['motion/belts', 'Listen to them under Belts by ear'],
  },
  chain: {
    facts: () => ['motion.cables.controllerX', 'motion.cables.controllerY', 'motion.cables.length'],
    verdicts: ['motion.cableReaches'],
    at: ['motion/wheels', 'See how far they reach'],
  },
  wire: { at: ['power/signal', 'See the signal and what it drives'] },
  column: { facts: () => ['motion.mirrors.height'], verdicts: ['motion.fieldInFocus'], at: ['motion/machine', 'See the field'] },
  mirrors: { facts: () => ['motion.mirrors.apart'], at: ['motion/machine', 'See the field'] },
  panels: { at: ['plan/parts', 'See the parts list'] },
  glaze: {
    facts: () => ['safety.beamAtEyewear'],
    verdicts: ['safety.eyewearDense'],
    at: ['safety/eyewear', 'See the density that is asked for'],
  },
  carry: square,
  commission: {
    verdicts: ['calibrate.stepsAgree', 'calibrate.sizeTrue'],
    at: ['controller/run', 'Write the settings, burn the run'],
  },
  spindle: { lists: ['screws'], at: ['plan/fasteners', 'See the screws'] },
  head: {
    facts: () => ['motion.retrofit.asideX', 'motion.retrofit.asideY'],
    lists: ['screws'],
    at: ['motion/machine', 'See what both reach'],
  },
  plugs: { lists: ['plugs'] },
  settings: { at: ['controller/settings', 'Read, compare and write them'] },
  'back-plugs': { lists: ['plugs'] },
  'back-head': { lists: ['screws'], at: ['plan/fasteners', 'See the screws'] },
  'back-spindle': { lists: ['screws'], at: ['plan/fasteners', 'See the screws'] },
  'back-settings': { lists: ['settings to put back'], at: ['controller/settings', 'Write and read them back'] },
}

/** Free span and tone of the belts that this machine has. */
function tones(bench: Bench): readonly string[] {
  return axisIds(bench).flatMap((id) => {
    const axis = bench.motion.axes[id]
    const isBelted = axis?.drive.chosen === 'belt' || axis?.drive.chosen === 'reducedBelt'
    if (axis === undefined || axis.letter === 'Z' || !isBelted) return []
    const two = axis.motors.value === 2 && bench.motion.kinematics.chosen !== 'crossed'
    const span = `motion.axes.${id}.freeSpan`
    return two ? [span, `motion.axes.${id}.toneA`, `motion.axes.${id}.toneB`] : [span, `motion.axes.${id}.toneA`]
  })
}

const NONE: AidDef = {}

/** Kinds of tasks that have something of their own. */
export const AIDED = Object.keys(AIDS)

/** What stands in a step beside its words; nothing for a task of one's own. @param kind Of a usual task. */
export function stepAid(kind: string, bench: Bench): StepAid {
  const { facts, verdicts = [], at, lists = [] } = AIDS[kind] ?? NONE
  const [part, words] = at ?? []
  return {
    facts: facts?.(bench) ?? [],
    verdicts,
    at: part === undefined || words === undefined ? null : { part, words },
    lists,
  }
}
