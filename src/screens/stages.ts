import type { StageDef } from '../ui/stage'
import { air } from './air/stage'
import { beam } from './beam/stage'
import { burns } from './burns/stage'
import { controller } from './controller/stage'
import { housing } from './housing/stage'
import { motion } from './motion/stage'
import { plan } from './plan/stage'
import { power } from './power/stage'
import { rotary } from './rotary/stage'
import { work } from './work/stage'
import { safety } from './safety/stage'

/** A stage of later work: its question, and what is judged for it already. */
function later(def: Pick<StageDef, 'id' | 'name' | 'question'>): StageDef {
  return { ...def, soon: true, parts: [], domains: [], words: () => Promise.resolve({}), load: () => Promise.resolve({}) }
}

/** The route: stages in the order of the work. */
export const STAGES: readonly StageDef[] = [
  plan,
  motion,
  power,
  controller,
  beam,
  burns,
  work,
  rotary,
  housing,
  air,
  safety,
  later({
    id: 'log',
    name: 'Log',
    question: 'What happened, what is due, what did it cost?',
  }),
]

/** The stage of a name, if there is one. */
export function stageOf(id: string | undefined): StageDef | undefined {
  return STAGES.find((it) => it.id === id)
}
