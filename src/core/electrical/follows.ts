import type { Manner } from '../gcode'

/**
 * Whether the light of a line follows the speed of the head: because the output card asks for it, or because the controller is set so.
 * @param chosen What the bench says of the controller; null: nobody has. Valid: any. Source: common practice.
 */
export function lightFollows(manner: Manner, chosen: string | null): boolean {
  return manner === 'follows' || chosen === 'yes'
}
