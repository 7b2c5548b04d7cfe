import type { StageId } from '../core/document'

/** Stages that have their sheet. A new one is added here and in `BenchPage`. */
export const BUILT: readonly StageId[] = ['plan', 'motion', 'power', 'controller', 'work']
