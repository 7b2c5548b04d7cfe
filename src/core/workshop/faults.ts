import { between, normal, seeded, type Random } from './random'

/** What is really wrong with a machine of the stand-in; one thing, or nothing. */
export const HIDDEN_FAULTS = [
  'nothing',
  'play',
  'belt',
  'pulley',
  'steps',
  'square',
  'delay',
  'power',
  'focus',
  'dirt',
  'supply',
  'corners',
  'holder',
  'warp',
  'air',
] as const
export type HiddenFault = (typeof HIDDEN_FAULTS)[number]

/** A machine as it really is, and what its owner burns to find out. Lengths in mm, times in s. */
export interface FaultyMachine {
  readonly fault: HiddenFault
  readonly side: number
  readonly slow: number
  readonly fast: number
  readonly passes: number
  readonly acceleration: number
  /** Way of four full steps. */
  readonly cycle: number
  /** Gap between the stops of each axis, and whether what hangs between them runs on by itself. */
  readonly slack: number
  readonly runsOn: boolean
  /** Left behind at each reversal. */
  readonly slip: number
  /** Cycles that are lost on the way, when it goes fast. */
  readonly losses: number
  readonly lean: number
  readonly late: number
  /** Light that is left: always, and while everything runs. */
  readonly light: number
  readonly busyLight: number
  /** Widths of the spot: in the middle and at the worst corner. */
  readonly blur: number
  readonly worstBlur: number
  /** Share of the speed that corners are taken at, where the power does not follow. */
  readonly cornerSpeed: number | null
  /** How depth grows with dose: its power. */
  readonly depthPower: number
  /** Light thrown about, as a share. */
  readonly scattered: number
  readonly soot: number
  /** Left at one turn of the object. */
  readonly turnLeft: number
  /** Dose of a line over the least that shows. */
  readonly over: number
}

/**
 * Draws a machine with a fault. @param number The same number, the same machine.
 */
export function drawFaulty(fault: HiddenFault, number: number): FaultyMachine {
  const random = seeded(number * 61 + HIDDEN_FAULTS.indexOf(fault) * 7919)
  const is = (it: HiddenFault, bad: () => number, fine: () => number): number => (fault === it ? bad() : fine())
  const slow = between(random, 12, 25)
  return {
    fault,
    side: 60,
    slow,
    fast: slow * between(random, 4, 7),
    passes: 5,
    acceleration: between(random, 900, 2500),
    cycle: between(random, 0.6, 1),
    slack:
      fault === 'play' ? between(random, 0.18, 0.6) : fault === 'belt' ? between(random, 0.2, 0.65) : between(random, 0, 0.05),
    runsOn: fault === 'belt',
    slip: is(
      'pulley',
      () => between(random, 0.05, 0.2),
      () => 0,
    ),
    losses: is(
      'steps',
      () => 1 + Math.floor(4 * random()),
      () => 0,
    ),
    lean: is(
      'square',
      () => between(random, 0.008, 0.035),
      () => between(random, -0.001, 0.001),
    ),
    late: is(
      'delay',
      () => between(random, 0.0018, 0.006),
      () => between(random, 0, 0.0003),
    ),
    light:
      is(
        'power',
        () => between(random, 0.5, 0.76),
        () => between(random, 0.95, 1.05),
      ) *
      is(
        'dirt',
        () => between(random, 0.5, 0.78),
        () => 1,
      ),
    busyLight: is(
      'supply',
      () => between(random, 0.55, 0.78),
      () => between(random, 0.96, 1),
    ),
    blur: is(
      'focus',
      () => between(random, 1.45, 2.4),
      () => between(random, 1, 1.05),
    ),
    worstBlur: is(
      'warp',
      () => between(random, 1.5, 2.4),
      () => between(random, 1, 1.06),
    ),
    cornerSpeed: fault === 'corners' ? between(random, 0.15, 0.45) : null,
    depthPower: between(random, 0.6, 0.9),
    scattered: is(
      'dirt',
      () => between(random, 0.2, 0.5),
      () => 0.01,
    ),
    soot: is(
      'air',
      () => between(random, 0.65, 2),
      () => between(random, 0, 0.2),
    ),
    turnLeft: is(
      'holder',
      () => between(random, 0.6, 4),
      () => between(random, -0.08, 0.08),
    ),
    over: between(random, 5, 12),
  }
}

/** One axis: a motor, what it is mounted by, and a head that hangs behind it between two stops. */
class Axis {
  private motor = 0
  private left = 0
  private speed = 0
  private way = 0
  head: number

  constructor(private readonly machine: FaultyMachine) {
    this.head = -machine.slack / 2
  }

  /** Moves the motor on by a little in a time. */
  step(by: number, seconds: number): void {
    const { slack, slip, runsOn } = this.machine
    const way = Math.sign(by)
    if (way !== 0) {
      if (this.way !== 0 && way !== this.way) this.left += slip
      this.way = way
    }
    this.motor += by
    const at = this.motor - this.left
    const motorSpeed = by / seconds
    const [low, high] = [at - slack / 2, at + slack / 2]
    if (runsOn) {
      // Between its stops it slides on by itself and is braked by friction alone.
      const braked = Math.sign(this.speed) * Math.max(0, Math.abs(this.speed) - FRICTION * seconds)
      this.speed = braked
      this.head += this.speed * seconds
    }
    if (this.head < low) {
      this.head = low
      this.speed = motorSpeed
    } else if (this.head > high) {
      this.head = high
      this.speed = motorSpeed
    }
  }

  /** A motor that falls behind. */
  lose(way: number): void {
    this.left += way
  }
}

/** What friction brakes a sliding head by, mm/s². */
const FRICTION = 500
/** How finely a move is followed, s. */
const TICK = 0.001

interface Track {
  readonly x: number
  readonly y: number
}

/** Drives both axes along a straight line from rest to rest. @returns Where the head went. */
function drive(axes: { readonly x: Axis; readonly y: Axis }, by: Track, speed: number, acceleration: number): readonly Track[] {
  const length = Math.hypot(by.x, by.y)
  const [ux, uy] = [by.x / length, by.y / length]
  const ramp = Math.min(length / 2, (speed * speed) / (2 * acceleration))
  const top = Math.sqrt(2 * acceleration * ramp)
  const track: Track[] = []
  let [way, v] = [0, 0]
  while (way < length - 1e-9) {
    const left = length - way
    v = left <= ramp ? Math.sqrt(Math.max(1e-3, 2 * acceleration * left)) : Math.min(top, v + acceleration * TICK)
    const step = Math.min(left, Math.max(v * TICK, 1e-4))
    way += step
    axes.x.step(ux * step, TICK)
    axes.y.step(uy * step, TICK)
    track.push({ x: axes.x.head, y: axes.y.head })
  }
  return track
}

/** Burns squares one over the other. @returns The first and last corner of each, and how far a line swung past its corner. */
function squares(machine: FaultyMachine, speed: number, isFast: boolean, random: Random) {
  const axes = { x: new Axis(machine), y: new Axis(machine) }
  const { side, passes, acceleration, cycle, losses } = machine
  // Warmed up by a move along both ways, as anybody does.
  drive(axes, { x: -5, y: -5 }, speed, acceleration)
  drive(axes, { x: 5, y: 5 }, speed, acceleration)
  const starts: Track[] = []
  const ends: Track[] = []
  let swing = 0
  // Somewhere between the second square and the last: what the first one lost shows in none of those after it.
  const lossAt = new Set(Array.from({ length: losses }, () => 4 + Math.floor(random() * (passes - 2) * 4)))
  let lost = 0
  for (let pass = 0; pass < passes; pass++) {
    starts.push({ x: axes.x.head, y: axes.y.head })
    const sides: readonly Track[] = [
      { x: side, y: 0 },
      { x: 0, y: side },
      { x: -side, y: 0 },
      { x: 0, y: -side },
    ]
    sides.forEach((by, k) => {
      if (isFast && lossAt.has(pass * 4 + k) && lost < losses) {
        axes.x.lose(cycle)
        lost++
      }
      const track = drive(axes, by, speed, acceleration)
      const along = by.x !== 0 ? 'x' : 'y'
      const last = track.at(-1)?.[along] ?? 0
      // How far the head stood ahead of where friction alone would have left it.
      const middle = track[Math.floor(track.length / 2)]?.[along] ?? 0
      const sign = Math.sign(by[along])
      const travelled = Math.abs(last - middle)
      swing = Math.max(swing, travelled - side / 2 - Math.abs(track.length % 2) * 0.01, 0 * sign)
    })
    ends.push({ x: axes.x.head, y: axes.y.head })
  }
  // What never came in the fast passes comes in the last.
  const rest = isFast ? (losses - lost) * cycle : 0
  return { starts, ends, swing, rest }
}

/** How far lines there and back miss each other at a speed. */
function missed(machine: FaultyMachine, speed: number): number {
  const axis = new Axis(machine)
  const other = new Axis(machine)
  const axes = { x: axis, y: other }
  drive(axes, { x: -20, y: -20 }, speed, machine.acceleration)
  drive(axes, { x: 20, y: 20 }, speed, machine.acceleration)
  // The middle of the way, there and back, by the motor's own count.
  const there = drive(axes, { x: 60, y: 0 }, speed, machine.acceleration)
  const back = drive(axes, { x: -60, y: 0 }, speed, machine.acceleration)
  const half = (track: readonly Track[]): number => track[Math.floor(track.length / 2)]?.x ?? 0
  const mechanical = Math.abs(half(there) - half(back))
  // Light that comes late lies further on in either way.
  return Math.abs(mechanical - 2 * speed * machine.late) < 1e-9 ? 0 : Math.abs(2 * speed * machine.late - mechanical)
}

/** Width of a line as a share of what it was, by the dose that is left. */
function widthOf(over: number, share: number, blur: number): number {
  const now = (over * share) / blur
  if (now <= 1.02) return 0.1
  return (blur * Math.sqrt(Math.log(now))) / Math.sqrt(Math.log(over))
}

/** What an owner reads of such a machine, noise and all; the keys are those of the readings. */
export type FaultReading = Readonly<Record<string, number>>

/**
 * What is really there to be read of the proof pattern, before any instrument.
 * @param machine The machine. @param random Draws what chance decides.
 */
export function truthOf(machine: FaultyMachine, random: Random): FaultReading {
  const {
    side,
    slow,
    fast,
    lean,
    late,
    light,
    busyLight,
    blur,
    worstBlur,
    cornerSpeed,
    depthPower,
    scattered,
    soot,
    turnLeft,
    over,
  } = machine
  const calm = squares(machine, slow, false, random)
  const quick = squares(machine, fast, true, random)
  const apart = (p: Track | undefined, q: Track | undefined): number =>
    Math.hypot((p?.x ?? 0) - (q?.x ?? 0), (p?.y ?? 0) - (q?.y ?? 0))
  // A leaning square: both diagonals by the law of cosines.
  const [long, short] = [Math.sqrt(2 * side * side * (1 + Math.sin(lean))), Math.sqrt(2 * side * side * (1 - Math.sin(lean)))]
  const everything = light * (1 - 0.35 * (1 - busyLight))
  const width = widthOf(over, everything, blur)
  const halo = scattered > 0.05 ? 1.2 * Math.sqrt(Math.max(0, 0.5 * Math.log(14 * scattered))) : 0
  return {
    gap: apart(calm.starts[0], calm.ends[0]),
    // The first square is laid down out of another way in: those after it are compared.
    shiftSlow: apart(calm.starts[1], calm.starts.at(-1)),
    shiftFast: apart(quick.starts[1], quick.starts.at(-1)) + quick.rest,
    slant: Math.abs(long - short),
    doubleSlow: missed(machine, slow),
    doubleFast: missed(machine, fast),
    missing: fast * late,
    swing: quick.swing,
    cornerDark: cornerSpeed === null ? 0 : -depthPower * Math.log(cornerSpeed),
    width: Math.log(width),
    wedge: Math.log(widthOf(over, everything, blur * worstBlur) / width),
    dark: Math.log(blur / everything),
    uneven: -Math.log(busyLight),
    rim: Math.max(soot, halo),
    seam: Math.abs(turnLeft),
  }
}

/**
 * What calipers and eye make of it. @param truth What is there, mm or a logarithm. @param isLength Which of the two. @param random Draws the noise.
 * Valid: any reading. Source: calipers to 0.05 mm, shares to 8 % (common practice).
 * @example readFault(0.3, true, () => 0.5) // 0.241
 */
export function readFault(truth: number, isLength: boolean, random: Random): number {
  return truth + (isLength ? 0.05 : 0.08) * normal(random)
}
