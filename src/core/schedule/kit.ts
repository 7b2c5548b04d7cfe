import type { Into, ThreadName } from '../fasteners'
import { cutListOf, type Drive, type Guides, type Kinematics } from '../motion'
import type { KindId } from './kindIds'

/** What of a machine says what a kit of it has. */
export interface KitMachine {
  readonly kinematics: Kinematics | null
  readonly guides: Guides | null
  /** Width of the bars and thickness of the plates, mm. */
  readonly barWidth: number
  readonly plateThickness: number
  readonly axes: readonly { readonly letter: 'X' | 'Y' | 'Z'; readonly drive: Drive | null; readonly motors: number }[]
}

/** How many of a kind a machine takes: from the least that serves to what is usual at most. */
export interface KitWant {
  readonly least: number
  readonly most: number
}

/** Plates with wheels: one that carries the head and one on each end of the gantry. */
const WHEELED = 3
/** Wheels of a plate, of which one or two sit on eccentrics. */
const WHEELS = { least: 3, most: 4 }
/** Corners of a frame, and the brackets that join one. */
const CORNERS = 4
const BRACKETS = 2

/**
 * How many of each kind a machine takes, as far as its make tells; kinds that it does without are left away.
 * Valid: frames of bars; a module on a router and two mirrors take what their makers give. Source: how such machines are
 * made (common practice).
 */
export function kitWants(machine: KitMachine): Readonly<Partial<Record<KindId, KitWant>>> {
  const { kinematics, guides } = machine
  const motors = motorsOf(machine)
  const electric = { board: one(1), head: one(1), supply: one(1), motor: one(motors), endSwitch: { least: 0, most: motors } }
  const isFramed = cutListOf(kinematics, guides).bars.length > 0
  if (!isFramed) return electric
  const belted = beltedMotors(machine)
  const onWheels = guides === 'wheels'
  return {
    bar: one(5),
    plate: { least: WHEELED, most: WHEELED + motors },
    angle: { least: CORNERS, most: CORNERS * BRACKETS },
    ...electric,
    ...(belted === 0
      ? {}
      : {
          pulley: one(belted),
          idler: { least: idlersOf(machine, belted), most: 2 * idlersOf(machine, belted) },
          belt: { least: 1, most: belted },
        }),
    ...(onWheels
      ? {
          wheel: { least: WHEELED * WHEELS.least, most: WHEELED * WHEELS.most },
          eccentric: { least: WHEELED, most: 2 * WHEELED },
          spacer: { least: WHEELED * 2, most: WHEELED * WHEELS.most },
        }
      : {}),
    foot: { least: 4, most: 6 },
    chain: { least: 0, most: 2 },
  }
}

function one(count: number): KitWant {
  return { least: count, most: count }
}

function motorsOf({ axes }: KitMachine): number {
  return axes.reduce((sum, it) => sum + it.motors, 0)
}

function beltedMotors({ axes }: KitMachine): number {
  return axes.filter((it) => it.drive === 'belt' || it.drive === 'reducedBelt').reduce((sum, it) => sum + it.motors, 0)
}

/** A plain belt turns round one idler; each crossed belt goes round four. */
function idlersOf({ kinematics }: KitMachine, belts: number): number {
  return kinematics === 'crossed' ? 4 * belts : belts
}

/** A kind of which fewer were counted than the machine takes, or more than it has a place for. */
export interface KitGap {
  readonly kind: KindId
  readonly want: KitWant
  readonly counted: number
}

/** The kinds of which too few were counted. @param counted By kind; what was not counted is none. */
export function kitGaps(
  wants: ReturnType<typeof kitWants>,
  counted: Readonly<Partial<Record<KindId, number>>>,
): readonly KitGap[] {
  return (Object.entries(wants) as [KindId, KitWant][])
    .map(([kind, want]) => ({ kind, want, counted: counted[kind] ?? 0 }))
    .filter((it) => it.counted < it.want.least)
}

/** A joint that such a machine has; its screws follow from it. */
export interface ProposedJoint {
  readonly name: string
  readonly count: number
  readonly thread: ThreadName
  readonly stackMm: number
  readonly into: Into
  readonly holeDepthMm: number | null
}

/** Thickness of a bracket's leg, of a wheel with its bearings, of a spacer, of a washer, mm (common practice). */
const THICK = { bracket: 3, wheel: 11, spacer: 6, washer: 1, foot: 5, switch: 5, idler: 9 }
/** Depth of the threads in the face of a motor, mm (common practice). */
const MOTOR_THREAD = 4.5

/**
 * The joints of a machine on bars, each with its screws: what to hold the bag against before anything is closed. Names,
 * counts and stacks are to be looked over: they are of the usual kind of frame.
 * @returns Nothing for a machine without bars.
 * Source: how such frames are made (common practice).
 */
export function proposedJoints(machine: KitMachine): readonly ProposedJoint[] {
  const { kinematics, guides, barWidth, plateThickness: plate } = machine
  if (cutListOf(kinematics, guides).bars.length === 0) return []
  const thread = threadOfBar(barWidth)
  const motors = motorsOf(machine)
  const belts = beltedMotors(machine)
  const joint = (
    name: string,
    count: number,
    of: ThreadName,
    stackMm: number,
    into: Into,
    holeDepthMm: number | null = null,
  ): ProposedJoint[] => (count === 0 ? [] : [{ name, count, thread: of, stackMm, into, holeDepthMm }])
  return [
    ...joint('Corner brackets of the frame', 2 * CORNERS * BRACKETS, thread, THICK.bracket, 'slotNut', slotOf(barWidth)),
    ...joint('Gantry beam in its end plates', 4, thread, plate, 'aluminium'),
    ...joint('Motors on their plates', 4 * motors, 'M3', plate, 'steel', MOTOR_THREAD),
    ...(guides === 'wheels'
      ? joint('Wheels', WHEELED * WHEELS.least, 'M5', plate + THICK.spacer + THICK.wheel + THICK.washer, 'nut')
      : []),
    ...joint('Idlers', belts === 0 ? 0 : idlersOf(machine, belts), 'M5', plate + THICK.idler, 'nut'),
    ...joint('Belt clamps', 2 * belts, 'M3', plate + 2, 'nut'),
    ...joint('Head on its plate', 4, 'M3', plate, 'aluminium'),
    ...joint('Feet', 4, thread, THICK.foot, 'slotNut', slotOf(barWidth)),
    ...joint('End switches', 4, 'M3', THICK.switch, 'slotNut', slotOf(barWidth)),
  ]
}

/** Threads that go with slotted bars of a width (common practice). */
function threadOfBar(barWidth: number): ThreadName {
  return barWidth < 18 ? 'M3' : barWidth < 28 ? 'M5' : barWidth < 38 ? 'M6' : 'M8'
}

/** Depth of a slot, from the face of a bar to its floor, mm: about 0.3 of its width (common practice). */
function slotOf(barWidth: number): number {
  return Math.round(barWidth * 0.3 * 10) / 10
}

/** A bar of the frame as it is laid out: its letter, and the numbers of its ends. */
export interface LaidBar {
  readonly letter: string
  readonly name: string
  readonly ends: readonly [number, number]
  /** Nuts that slide into its slots for the joints of the frame. */
  readonly nuts: number
  /** Its slots are closed by other bars: what slides in goes in before the corner is closed. */
  readonly closed: boolean
}

/**
 * The frame of bars laid out on the floor: which bar is which, its ends numbered round, and the nuts that go into it
 * first. The sides stand between front and back, so that their slots are closed at both ends.
 * Source: the dimension chain of the frame; two brackets a corner and two feet a long bar (common practice).
 */
export const LAID_OUT: readonly LaidBar[] = [
  { letter: 'A', name: 'Front bar', ends: [1, 2], nuts: 2 * BRACKETS + 2, closed: false },
  { letter: 'B', name: 'Right side', ends: [3, 4], nuts: 2 * BRACKETS + 1, closed: true },
  { letter: 'C', name: 'Back bar', ends: [5, 6], nuts: 2 * BRACKETS + 2, closed: false },
  { letter: 'D', name: 'Left side', ends: [7, 8], nuts: 2 * BRACKETS + 1, closed: true },
  { letter: 'E', name: 'Gantry beam', ends: [9, 10], nuts: 1, closed: true },
]
