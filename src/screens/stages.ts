import type { StageDef } from '../ui/stage'
import { controller } from './controller/stage'
import { motion } from './motion/stage'
import { plan } from './plan/stage'
import { power } from './power/stage'
import { work } from './work/stage'
import { safety } from './safety/stage'

/** A stage of later work: its question, what it will take over, and what is judged for it already. */
function later(def: Pick<StageDef, 'id' | 'name' | 'question'> & { readonly soon: string }): StageDef {
  return { ...def, parts: [], domains: [], words: () => Promise.resolve({}), load: () => Promise.resolve({}) }
}

/** The route: stages in the order of the work. */
export const STAGES: readonly StageDef[] = [
  plan,
  motion,
  power,
  controller,
  later({
    id: 'beam',
    name: 'Beam',
    question: 'Where is focus, how big is the spot, what does 40 % really give?',
    soon: 'It will take over finding focus, measuring the spot, and what a commanded power really gives.',
  }),
  later({
    id: 'burns',
    name: 'Burns',
    question: 'What power and speed for this material?',
    soon: 'It will take over test cards and their reading, and remember power and speed for each material.',
  }),
  work,
  later({
    id: 'rotary',
    name: 'Rotary',
    question: 'How does it hold, turn, and stay in focus?',
    soon: 'It will take over chucks, rollers and holders: steps, clearance, focus and torque.',
  }),
  later({
    id: 'housing',
    name: 'Housing',
    question: 'What box, what panels, what window, from which sheets?',
    soon: 'It will take over the box from the machine’s reach: panels, window, lid strut and cut plan.',
  }),
  later({
    id: 'air',
    name: 'Air',
    question: 'Will the smoke leave, and where does fresh air come in?',
    soon: 'It will take over the duct against the fan, the face speed, the time to clear, and the air that must come in.',
  }),
  safety,
  later({
    id: 'log',
    name: 'Log',
    question: 'What happened, what is due, what did it cost?',
    soon: 'It will take over what happened, what is due, and what it cost.',
  }),
]

/** The stage of a name, if there is one. */
export function stageOf(id: string | undefined): StageDef | undefined {
  return STAGES.find((it) => it.id === id)
}
