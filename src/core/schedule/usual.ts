import type { Kinematics } from '../motion'

/** A task as it is usual for a machine, by a short name that others wait for. */
export interface UsualTask {
  readonly key: string
  readonly name: string
  readonly check: string
  readonly workMin: number
  readonly waitMin: number
  readonly noisy: boolean
  readonly needs: readonly string[]
}

const task = (
  key: string,
  name: string,
  check: string,
  workMin: number,
  needs: readonly string[] = [],
  more: { readonly waitMin?: number; readonly noisy?: boolean } = {},
): UsualTask => ({ key, name, check, workMin, waitMin: 0, noisy: false, needs, ...more })

/** Building a frame and its gantry: what must go in before a joint is closed stands before the joint (common practice). */
const FRAME: readonly UsualTask[] = [
  task('cut', 'Cut the bars', 'Each within 0.5 mm of its length, ends square', 90, [], { noisy: true }),
  task('drill', 'Drill and tap the ends', 'A screw runs in by hand', 60, ['cut'], { noisy: true }),
  task('nuts', 'Slip the slot nuts in', 'Count them against the list of fasteners', 20, ['drill']),
  task('corners', 'Close the corners, loosely', 'All screws in, none tight', 40, ['nuts']),
  task('square', 'Square the frame', 'Both diagonals alike within 0.5 mm', 30, ['corners']),
  task('tighten', 'Tighten the corners', 'Diagonals still alike', 15, ['square']),
]

/** Putting a frame together from a kit: nothing is cut, but everything is sorted and laid out first (common practice). */
const KIT_FRAME: readonly UsualTask[] = [
  task('tip', 'Tip the bag out, sort and count it', 'Every kind counted, what is missing written down', 45),
  task('lay', 'Lay the frame out by its letters', 'Each bar where the drawing has it, ends by their numbers', 20, ['tip']),
  task('nuts', 'Slip the slot nuts in', 'In B, D and E first: their slots are closed by the others', 20, ['lay']),
  ...FRAME.filter(({ key }) => key === 'corners' || key === 'square' || key === 'tighten'),
]

const GANTRY: readonly UsualTask[] = [
  task('gantry', 'Set the gantry on its rails', 'It runs from end to end without a hitch', 60, ['tighten']),
  task('belts', 'Lay and tension the belts', 'Snug, neither sagging nor tight; both sides alike', 45, ['gantry']),
  task('chain', 'Pull the cables into the chain', 'All of them, with a spare, before plugs go on', 40, ['gantry']),
  task('wire', 'Wire motors, driver and diode', 'Supply off; earth continuous', 120, ['chain', 'belts']),
]

const BOX: readonly UsualTask[] = [
  task('panels', 'Cut the housing’s panels', 'Each against the cut plan, corners square', 120, [], { noisy: true }),
  task('paint', 'Paint the inside matt black', 'No bare wood shows', 45, ['panels'], { waitMin: 24 * 60 }),
  task('glaze', 'Set the certified window', 'Certificate on file, gap sealed', 30, ['paint']),
]

const LAST: readonly UsualTask[] = [
  task('interlock', 'Fit and try the interlock', 'The lid opens, the diode’s supply is off', 30, ['wire', 'glaze']),
  task('commission', 'Write the settings, burn a scale run', 'Size within the wanted accuracy', 90, ['interlock']),
]

/** Putting a module onto a router or mill, and back: the change-over (common practice). */
const RETROFIT: readonly UsualTask[] = [
  task('off', 'Switch off, pull the spindle’s plug', 'Lamp out, wait for the supply to fall', 5),
  task('spindle', 'Take the spindle out', 'Collet and cutter put away', 10, ['off']),
  task('head', 'Clamp the diode’s head in', 'It cannot turn; height by the gauge block', 15, ['spindle']),
  task('plugs', 'Plug head, earth clip and air hose', 'Earth continuous, hose tight', 10, ['head']),
  task('plate', 'Lay the plate under the work', 'Aluminium, flat, chips swept away', 5, ['spindle']),
  task('guard', 'Fit the guard and try the interlock', 'The lid opens, the diode’s supply is off', 10, ['plugs', 'plate']),
  task('settings', 'Write the beam’s settings', 'Read back and alike', 5, ['guard']),
  task('commission', 'Walk the bounds, burn a faint mark', 'Where it should be', 10, ['settings']),
]

/** A plug, clip or hose of a change-over as it is usual. */
export interface UsualPlug {
  readonly name: string
  readonly from: string
  readonly to: string
}

/** What a module on a router is joined by, and what of the router is put aside (common practice). */
const PLUGS: readonly UsualPlug[] = [
  { name: 'Spindle’s plug', from: 'router', to: 'hung up beside it, marked: not to be plugged in with the diode' },
  { name: 'Supply and signal of the head', from: 'driver of the diode', to: 'diode head' },
  { name: 'Earth clip', from: 'earth point of the router', to: 'fins of the diode head' },
  { name: 'Interlock', from: 'switch of the guard', to: 'supply of the diode' },
  { name: 'Air hose', from: 'air pump', to: 'nozzle of the diode head' },
]

/** The plugs, clips and hoses of a change-over. */
export function usualPlugs(): readonly UsualPlug[] {
  return PLUGS
}

/** The way back of a change-over: the router as it was, settings put back (common practice). */
const WAY_BACK: readonly UsualTask[] = [
  task('back-off', 'Key out, switch off, wait 30 min by the ashes', 'Nothing smoulders; crumb tray empty', 30),
  task('back-plugs', 'Unplug head, hose and earth clip', 'Caps on, lens covered', 5, ['back-off']),
  task('back-head', 'Take the diode’s head out', 'In its box, lens down on nothing', 5, ['back-plugs']),
  task('back-plate', 'Take the plate away', 'Bed clean', 5, ['back-head']),
  task('back-spindle', 'Put the spindle back in', 'It cannot turn; height as before', 10, ['back-plate']),
  task('back-settings', 'Put the router’s settings back', 'Each of the list under At the bench, read back and alike', 5, [
    'back-spindle',
  ]),
]

/** The way back from a change-over, for when the machine is to be a router again. */
export function wayBack(): readonly UsualTask[] {
  return WAY_BACK
}

/** A mirror head stands over its field; nothing of it runs on rails (common practice). */
const MIRRORS: readonly UsualTask[] = [
  task('column', 'Stand the column and its arm', 'Height over the bed within 1 mm of the plan, arm level', 60),
  task('mirrors', 'Fit both mirrors and their motors', 'Each turns freely; both in line with the beam at rest', 60, ['column']),
  task('wire', 'Wire motors, driver and diode', 'Supply off; earth continuous', 90, ['mirrors']),
]

const ROTARY = task('rotary', 'Fit the rotary, set its steps', 'One turn of the work brings the mark back on itself', 60, [
  'wire',
])
const CARRY = task(
  'carry',
  'Fit handles, and a latch that holds the lid',
  'Carried and set down, both diagonals are still alike',
  45,
  ['wire'],
)

/** What is wanted of the machine besides its kinematics. */
export interface Wanted {
  readonly rotary?: boolean
  readonly portable?: boolean
  /** From a kit: nothing is cut, everything is sorted first. */
  readonly kit?: boolean
}

/** Whether a kind is one of the usual tasks of building or changing over; the way back is nobody's but the router's. */
export function isUsualKind(kind: string): boolean {
  return [...FRAME, ...KIT_FRAME, ...GANTRY, ...BOX, ...LAST, ...RETROFIT, ...MIRRORS, ROTARY, CARRY].some(
    (it) => it.key === kind,
  )
}

/** The usual tasks of building a machine with some kinematics, for what it is wanted for. */
export function usualTasks(
  kinematics: Kinematics | null,
  { rotary = false, portable = false, kit = false }: Wanted = {},
): readonly UsualTask[] {
  if (kinematics === 'retrofit') return RETROFIT
  const built = kinematics === 'mirrors' ? MIRRORS : [...(kit ? KIT_FRAME : FRAME), ...GANTRY]
  const more = [...(rotary && kinematics !== 'mirrors' ? [ROTARY] : []), ...(portable ? [CARRY] : [])]
  const last = LAST.map((it) => (it.key === 'commission' ? { ...it, needs: [...it.needs, ...more.map(({ key }) => key)] } : it))
  return [...built, ...BOX, ...more, ...last]
}
