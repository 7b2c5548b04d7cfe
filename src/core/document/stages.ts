/** The route: stages in the order of the work. What a stage asks and shows is said once, in its `stage.ts`. */
export const STAGE_IDS = [
  'plan',
  'motion',
  'power',
  'controller',
  'beam',
  'burns',
  'work',
  'rotary',
  'housing',
  'air',
  'safety',
  'log',
] as const

export type StageId = (typeof STAGE_IDS)[number]
