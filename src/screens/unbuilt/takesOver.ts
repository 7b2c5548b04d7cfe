import type { StageId } from '../../core/document'

/** What each stage of later work will take over, in one sentence. */
export const TAKES_OVER: Readonly<Record<StageId, string>> = {
  plan: 'It schedules the work and keeps parts, cuts and fasteners.',
  motion: 'It works steps, speed and squareness.',
  power: 'It will take over supplies, wire, fuses, driver and the signal that carries the power, and whether they stay cool.',
  controller: 'It holds the machine’s settings against the bench and runs the scale calibration.',
  beam: 'It will take over finding focus, measuring the spot, and what a commanded power really gives.',
  burns: 'It will take over test cards and their reading, and remember power and speed for each material.',
  work: 'It will take over artwork, its operations and its program, and simulate the burn before the beam is on.',
  rotary: 'It will take over chucks, rollers and holders: steps, clearance, focus and torque.',
  housing: 'It will take over the box from the machine’s reach: panels, window, lid strut and cut plan.',
  air: 'It will take over the duct against the fan, the face speed, the time to clear, and the air that must come in.',
  safety: 'It will take over the reach of the beam, eyewear and windows, fire, and what is still open before a burn.',
  log: 'It will take over what happened, what is due, and what it cost.',
}
