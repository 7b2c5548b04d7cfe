import type { StageDef } from '../ui/stage'
import { air } from './air/stage'
import { beam } from './beam/stage'
import { burns } from './burns/stage'
import { controller } from './controller/stage'
import { housing } from './housing/stage'
import { log } from './log/stage'
import { motion } from './motion/stage'
import { plan } from './plan/stage'
import { power } from './power/stage'
import { rotary } from './rotary/stage'
import { work } from './work/stage'
import { safety } from './safety/stage'

/** The route: stages in the order of the work. */
export const STAGES: readonly StageDef[] = [plan, motion, power, controller, beam, burns, work, rotary, housing, air, safety, log]

/** The stage of a name, if there is one. */
export function stageOf(id: string | undefined): StageDef | undefined {
  return STAGES.find((it) => it.id === id)
}
