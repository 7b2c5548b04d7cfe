import { writeSaid, type Said } from '../controller'
import { MOVE, readProgram, SPINDLE, type Moves } from '../gcode'
import { axisLimits, planMoves, type TimedPlan } from '../planner'
import type { Mark } from './calipers'
import { drawHidden, type Hidden, type StandInSpec } from './hidden'

/**
 * Something that goes wrong, for practice and for tests, at the n-th thing it is asked; `mute` and `wild` at the n-th
 * report of a program that runs; `forget`: from then on what is set is said to be set and is not.
 */
export interface StandInFault {
  readonly kind: 'silent' | 'reset' | 'garble' | 'refuse' | 'mute' | 'wild' | 'forget'
  readonly at: number
}

export interface StandInOptions {
  readonly spec: StandInSpec
  /** Draws what is hidden. */
  readonly number: number
  /** What was set before; else as the machine comes. */
  readonly settings?: Readonly<Record<string, string>>
  readonly fault?: StandInFault | null
  /** Hears each line the machine says. */
  readonly say: (line: string) => void
}

/** A machine without hardware, on a clock of its own. */
export interface StandIn {
  /** Takes one line of the protocol. */
  receive(line: string): void
  /** Lets time pass, s; Infinity until it rests. */
  advance(seconds: number): void
  readonly resting: boolean
  /** Burnt lines in the order of burning; null for one that left no mark. */
  readonly marks: readonly (Mark | null)[]
  readonly settings: Readonly<Record<string, string>>
  readonly hidden: Hidden
  /** Seconds since it was switched on. */
  readonly clock: number
}

/** Settings as the machine comes: right for its nominal drive train, with a maker's usual guesses for the rest. */
function factorySettings({ nominalSteps, travel }: StandInSpec): Record<string, string> {
  return {
    'x/steps': nominalSteps.x.toFixed(3),
    'x/speed': '200.0',
    'x/acceleration': '500.0',
    'x/travel': travel.x.toFixed(1),
    'y/steps': nominalSteps.y.toFixed(3),
    'y/speed': '200.0',
    'y/acceleration': '500.0',
    'y/travel': travel.y.toFixed(1),
    'beam/full': '1000',
    'beam/frequency': '1000',
    'beam/follows': '0',
  }
}

type Axis = 'x' | 'y'

/** A program on its way. */
interface Job {
  readonly moves: Moves
  readonly plan: TimedPlan
  next: number
  /** Seconds already spent in the present move. */
  spent: number
  elapsed: number
}

/** Corner rounding of the stand-in's own planner, mm. */
const DEVIATION = 0.02
const DECIMALS: Readonly<Record<string, number>> = { steps: 3, speed: 1, acceleration: 1, travel: 1 }

/**
 * Switches a stand-in on. It greets first.
 * @throws {RangeError} where a program that it is sent asks for a limit that is not more than 0.
 */
export function createStandIn({ spec, number, settings: given, fault = null, say }: StandInOptions): StandIn {
  const hidden = drawHidden(number, spec)
  const settings: Record<string, string> = { ...factorySettings(spec), ...given }
  const marks: (Mark | null)[] = []
  const motor = { x: 0, y: 0 }
  /** Where the head hangs, mm; it follows the motor through the play. */
  const head = { x: -hidden.play.x, y: -hidden.play.y }
  let loaded: string[] = []
  let job: Job | null = null
  let power = 0
  let asked = 0
  /** Share of the last program that was carried out. */
  let done = 0
  /** Reports of the program that runs. */
  let reported = 0
  let clock = 0
  let silent = false

  const tell = (said: Said): void => {
    if (!silent) say(writeSaid(said))
  }
  const setting = (key: string): number => Number(settings[key])
  const stepsPerMm = (axis: Axis): number => setting(`${axis}/steps`)

  const report = (): void => {
    if (job !== null) done = job.plan.totalSeconds === 0 ? 0 : Math.min(1, job.elapsed / job.plan.totalSeconds)
    const place = (axis: Axis): number => motor[axis] / stepsPerMm(axis)
    const wild = goesWrong('wild')
    if (goesWrong('mute')) silent = true
    if (job !== null) reported++
    tell({ kind: 'at', state: { running: job !== null, x: wild ? 99_999 : place('x'), y: place('y'), power, done } })
  }
  const goesWrong = (kind: 'mute' | 'wild'): boolean => fault?.kind === kind && job !== null && reported >= fault.at

  /** Turns a motor to a commanded place in whole steps and pulls the head along. */
  const turn = (axis: Axis, mm: number): void => {
    motor[axis] = Math.round(mm * stepsPerMm(axis))
    const pulled = motor[axis] * hidden.mmPerStep[axis]
    head[axis] = Math.min(Math.max(head[axis], pulled - hidden.play[axis]), pulled)
  }

  /** Where the spot is on the material, mm: the Y axis leans over by the skew. */
  const spot = (): { x: number; y: number } => ({
    x: head.x + head.y * Math.sin(hidden.skewRad),
    y: head.y * Math.cos(hidden.skewRad),
  })

  const moveTo = (to: { x: number; y: number }): void => {
    turn('x', to.x)
    turn('y', to.y)
  }

  const start = (): void => {
    if (job !== null) return
    const program = readProgram(loaded.join('\n'))
    const { moves } = program
    loaded = []
    const bad = program.findings.find((it) => it.severity === 'error')
    if (bad !== undefined) {
      refuse(bad.line ?? 1, bad.column ?? 1, bad.message)
      return
    }
    const outside = leaving(moves, { x: setting('x/travel'), y: setting('y/travel') })
    if (outside !== null) {
      refuse(outside.line, 1, outside.words)
      return
    }
    const axis = (name: Axis) => ({ speed: setting(`${name}/speed`), acceleration: setting(`${name}/acceleration`) })
    const still = { speed: 1e6, acceleration: 1e6 }
    const plan = planMoves(moves, axisLimits({ x: axis('x'), y: axis('y'), z: still }, DEVIATION))
    tell({ kind: 'yes', id: asking })
    reported = 0
    job = { moves, plan, next: 0, spent: 0, elapsed: 0 }
  }

  let asking = 0
  const refuse = (line: number, column: number, words: string): void => tell({ kind: 'no', id: asking, line, column, words })

  /** Burns, or passes in the dark, from where the spot is to a place. */
  const pass = ({ moves }: Job, i: number, to: { x: number; y: number }): void => {
    const share = litShare(moves, i, setting('beam/full'))
    const from = spot()
    moveTo(to)
    if (share > 0) marks.push(burnt(from, spot(), (spec.power * share) / (moves.feed[i] as number), hidden))
  }

  const advance = (seconds: number): void => {
    let left = seconds
    while (job !== null && left > 0) {
      const running = job
      const { moves, plan } = running
      if (running.next >= moves.count) break
      const rest = (plan.seconds[running.next] as number) - running.spent
      if (rest > left) {
        running.spent += left
        running.elapsed += left
        clock += left
        power = litShare(moves, running.next, setting('beam/full'))
        left = 0
      } else {
        left -= rest
        running.elapsed += rest
        clock += rest
        if (moves.kind[running.next] !== MOVE.dwell) pass(running, running.next, endOf(moves, running.next))
        running.next++
        running.spent = 0
      }
    }
    if (job !== null && job.next >= job.moves.count) {
      job = null
      power = 0
      done = 1
      report()
      tell({ kind: 'ended' })
    } else if (job !== null) report()
    if (Number.isFinite(left)) clock += Math.max(0, left)
  }

  const stop = (): void => {
    if (job !== null && job.next < job.moves.count && job.moves.kind[job.next] !== MOVE.dwell) {
      // What was burnt of the line that was cut off stays on the material.
      const { moves, plan, next, spent } = job
      const whole = plan.seconds[next] as number
      const part = whole > 0 ? spent / whole : 0
      const to = endOf(moves, next)
      const [x, y] = [motor.x / stepsPerMm('x'), motor.y / stepsPerMm('y')]
      pass(job, next, { x: x + (to.x - x) * part, y: y + (to.y - y) * part })
    }
    job = null
    power = 0
    loaded = []
    tell({ kind: 'stopped' })
    report()
  }

  const reset = (): void => {
    job = null
    power = 0
    loaded = []
    tell({ kind: 'here', name: 'stand-in' })
  }

  const set = (key: string, text: string): void => {
    const old = settings[key]
    const value = Number(text)
    if (old === undefined) return refuse(1, 5, `there is no setting ${key}`)
    if (job !== null) return refuse(1, 1, 'it is running; stop it first')
    if (text === '' || !Number.isFinite(value) || value < 0 || (value === 0 && key !== 'beam/follows')) {
      return refuse(1, 6 + key.length, `${key} cannot be “${text}”`)
    }
    const forgets = fault?.kind === 'forget' && asked >= fault.at
    if (!forgets) settings[key] = value.toFixed(DECIMALS[key.split('/')[1] ?? ''] ?? 0)
    tell({ kind: 'yes', id: asking })
  }

  const carryOut = (words: string): void => {
    const [verb = '', ...rest] = words.split(' ')
    switch (verb) {
      case 'settings':
        for (const [key, text] of Object.entries(settings)) tell({ kind: 'item', id: asking, key, text })
        return tell({ kind: 'yes', id: asking })
      case 'set':
        return set(rest[0] ?? '', rest[1] ?? '')
      case 'load':
        if (job !== null) return refuse(1, 1, 'it is running; stop it first')
        loaded.push(rest.join(' '))
        return tell({ kind: 'yes', id: asking })
      case 'run':
        return job === null ? start() : refuse(1, 1, 'it is running already')
      case 'sheet':
        marks.length = 0
        return tell({ kind: 'yes', id: asking })
      default:
        return refuse(1, 1, `it does not know “${verb.slice(0, 20)}”`)
    }
  }

  const receive = (line: string): void => {
    if (line === 'stop') return stop()
    const request = /^(\d+) (.*)$/.exec(line)
    if (request === null) return
    asking = Number(request[1])
    asked++
    if (fault?.at === asked) {
      if (fault.kind === 'silent') silent = true
      if (fault.kind === 'reset') return reset()
      if (fault.kind === 'garble') return say(`${asking} y\u0000s \u00ff`)
      if (fault.kind === 'refuse') return refuse(1, 1, 'not now')
    }
    carryOut(request[2] ?? '')
  }

  tell({ kind: 'here', name: 'stand-in' })
  return {
    receive,
    advance,
    get resting() {
      return job === null
    },
    marks,
    settings,
    hidden,
    get clock() {
      return clock
    },
  }
}

function endOf(moves: Moves, i: number): { x: number; y: number } {
  return { x: moves.x[i] as number, y: moves.y[i] as number }
}

/** The power in a move as a share of full power: the spindle turns, S is above 0, and the move is not a rapid one. */
function litShare(moves: Moves, i: number, fullPower: number): number {
  const dark = moves.kind[i] === MOVE.rapid || moves.kind[i] === MOVE.dwell || moves.spindle[i] === SPINDLE.off
  return dark ? 0 : Math.min(1, Math.max(0, (moves.s[i] as number) / fullPower))
}

/** The mark that a line leaves; none where its energy is below the threshold. */
function burnt(from: { x: number; y: number }, to: { x: number; y: number }, energy: number, hidden: Hidden): Mark | null {
  const over = energy / hidden.threshold
  if (!(over > 1)) return null
  const width = 2 * hidden.radius * Math.sqrt(0.5 * Math.log(over))
  return { x0: from.x, y0: from.y, x1: to.x, y1: to.y, width, tone: 1 - 1 / over }
}

/** The first move that would leave the travel the machine is set to, if one does. */
function leaving(moves: Moves, travel: { x: number; y: number }): { line: number; words: string } | null {
  for (let i = 0; i < moves.count; i++) {
    for (const axis of ['x', 'y'] as const) {
      const to = moves[axis][i] as number
      if (to < -1e-9 || to > travel[axis] + 1e-9) {
        const words = `${axis.toUpperCase()} would go to ${to.toFixed(3)} mm, beyond its travel of 0 to ${travel[axis]} mm`
        return { line: moves.line[i] as number, words }
      }
    }
  }
  return null
}
