import { beltsOf, type Belts } from './cutList'
import type { Motion } from './slice'

/** The belts that are cut for a machine as it was entered. */
export function beltsOfMachine({ kinematics, axes }: Pick<Motion, 'kinematics' | 'axes'>): readonly Belts[] {
  const entered = Object.entries(axes).map(([id, { letter, drive, motors }]) => {
    return { id, letter, drive: drive.chosen, motors: motors.value }
  })
  return beltsOf(kinematics.chosen, entered)
}
