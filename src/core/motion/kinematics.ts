/** How the head comes to its place. */
export const KINEMATICS = {
  axes: 'one motor for each axis',
  gantry: 'a gantry with two motors',
  crossed: 'crossed belts',
  bed: 'a moving bed',
  retrofit: 'a module on a router or mill',
  mirrors: 'two turning mirrors',
} as const
export type Kinematics = keyof typeof KINEMATICS

/** What the carriage and the gantry run on. */
export const GUIDES = { wheels: 'wheels on the bars', rails: 'rails with blocks', shafts: 'round shafts in bearings' } as const
export type Guides = keyof typeof GUIDES
