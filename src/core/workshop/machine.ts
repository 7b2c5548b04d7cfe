import { writeSaid, type Said } from '../controller'
import { MOVE, readProgram } from '../gcode'
import { axisLimits, planMoves } from '../planner'
import type { Mark } from './calipers'
import { drawHidden, type Hidden, type StandInSpec } from './hidden'
import { isCommanded, Job, leaving, litShare, stretch, wayOf } from './job'
import { Lag, shareOfWay, strainOf } from './lag'
import { Sheet } from './materials'
import { lightShare } from './meter'
import { Mechanics, type Axis, type Place } from './mechanics'
import { readLie } from './spot'
import type { Fall } from './surface'
import { factorySettings, kept } from './settings'

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
  /** In place of what the number draws. */
  readonly hidden?: Hidden
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
  /** How the sheet lies, mm, as a perfect gauge would show it; null where it has no such thing. */
  board(what: 'gap' | 'lift' | 'run'): number | null
  /** Light as it fell on the sheet. */
  readonly falls: readonly Fall[]
  /** Seconds since it was switched on. */
  readonly clock: number
}

/** Corner rounding of the stand-in's own planner, mm. */
const DEVIATION = 0.02

/**
 * Switches a stand-in on. It greets first.
 * @throws {RangeError} where a program that it is sent asks for a limit that is not more than 0.
 */
export function createStandIn(options: StandInOptions): StandIn {
  return new SimulatedMachine(options)
}

/** The stand-in's protocol: lines in, lines out; what moves and what is burnt stand beside it. */
class SimulatedMachine implements StandIn {
  readonly hidden: Hidden
  readonly settings: Record<string, string>
  private readonly mechanics: Mechanics
  private readonly sheet: Sheet
  private readonly fault: StandInFault | null
  private readonly lag: Lag
  private job: Job | null = null
  private loaded: string[] = []
  private power = 0
  private paused = false
  /** Share of the last program that was carried out. */
  private done = 0
  /** Reports of the program that runs. */
  private reported = 0
  private seconds = 0
  private silent = false
  /** Requests so far, and the number of the one that is answered. */
  private asked = 0
  private asking = 0

  constructor(private readonly options: StandInOptions) {
    const { spec, number, settings, fault = null } = options
    this.hidden = options.hidden ?? drawHidden(number, spec)
    this.settings = { ...factorySettings(spec), ...settings }
    this.fault = fault
    this.sheet = new Sheet(this.hidden)
    this.lag = new Lag(this.hidden.delay)
    this.mechanics = new Mechanics(this.hidden, (axis) => this.setting(`${axis}/steps`), number)
    this.tell({ kind: 'here', name: 'stand-in' })
  }

  get resting(): boolean {
    return this.job === null
  }

  get marks(): readonly (Mark | null)[] {
    return this.sheet.marks
  }

  get falls(): readonly Fall[] {
    return this.sheet.falls
  }

  board(what: 'gap' | 'lift' | 'run'): number | null {
    return this.sheet.board(what)
  }

  get clock(): number {
    return this.seconds
  }

  receive(line: string): void {
    if (line === 'stop') {
      this.stop()
      return
    }
    const request = /^(\d+) (.*)$/.exec(line)
    if (request === null) return
    this.asking = Number(request[1])
    this.asked++
    if (!this.failsNow()) this.carryOut(request[2] ?? '')
  }

  advance(seconds: number): void {
    const { job } = this
    const left = job === null ? seconds : this.runFor(job, seconds)
    if (Number.isFinite(left)) this.seconds += left
  }

  /** Lets a program run on. @returns Seconds that were left over when it had ended. */
  private runFor(job: Job, seconds: number): number {
    if (this.paused) {
      this.report()
      return seconds
    }
    const before = job.seconds
    const left = job.advance(seconds, (move) => this.carryOutMove(job, move))
    this.seconds += job.seconds - before
    if (job.over) this.end()
    else {
      this.power = litShare(job.moves, job.at, this.setting('beam/full'))
      this.report()
    }
    return left
  }

  private carryOutMove(job: Job, i: number): void {
    const { moves } = job
    if (moves.kind[i] === MOVE.dwell) this.lag.wait(isCommanded(moves, i), moves.feed[i] as number)
    else this.pass(job, i, wayOf(moves, i, { x: this.mechanics.place('x'), y: this.mechanics.place('y') }))
  }

  private tell(said: Said): void {
    if (!this.silent) this.options.say(writeSaid(said))
  }

  private setting(key: string): number {
    return Number(this.settings[key])
  }

  private yes(): void {
    this.tell({ kind: 'yes', id: this.asking })
  }

  private refuse(line: number, column: number, words: string): void {
    this.tell({ kind: 'no', id: this.asking, line, column, words })
  }

  private report(): void {
    const { job, power, mechanics } = this
    if (job !== null) this.done = job.done
    const wild = this.goesWrong('wild')
    if (this.goesWrong('mute')) this.silent = true
    if (job !== null) this.reported++
    const x = wild ? 99_999 : mechanics.place('x')
    this.tell({ kind: 'at', state: { running: job !== null, x, y: mechanics.place('y'), power, done: this.done } })
  }

  private goesWrong(kind: 'mute' | 'wild'): boolean {
    return this.fault?.kind === kind && this.job !== null && this.reported >= this.fault.at
  }

  /** The fault that is due at this request, if it takes the request's place. */
  private failsNow(): boolean {
    if (this.fault?.at !== this.asked) return false
    switch (this.fault.kind) {
      case 'silent':
        this.silent = true
        return false
      case 'reset':
        this.reset()
        return true
      case 'garble':
        this.options.say(`${this.asking} y\u0000s \u00ff`)
        return true
      case 'refuse':
        this.refuse(1, 1, 'not now')
        return true
      default:
        return false
    }
  }

  private carryOut(words: string): void {
    const [verb = '', ...rest] = words.split(' ')
    switch (verb) {
      case 'settings':
        for (const [key, text] of Object.entries(this.settings)) this.tell({ kind: 'item', id: this.asking, key, text })
        this.yes()
        break
      case 'set':
        this.set(rest[0] ?? '', rest[1] ?? '')
        break
      case 'load':
        this.load(rest.join(' '))
        break
      case 'run':
        if (this.job === null) this.start()
        else this.refuse(1, 1, 'it is running already')
        break
      case 'pause':
      case 'resume':
        this.paused = this.job !== null && verb === 'pause'
        this.yes()
        if (this.paused) this.power = 0
        this.report()
        break
      case 'sheet':
        this.lay(rest)
        break
      default:
        this.refuse(1, 1, `it does not know “${verb.slice(0, 20)}”`)
    }
  }

  private set(key: string, text: string): void {
    if (this.settings[key] === undefined) return this.refuse(1, 5, `there is no setting ${key}`)
    if (this.job !== null) return this.refuse(1, 1, 'it is running; stop it first')
    const value = kept(key, text)
    if (value === null) return this.refuse(1, 6 + key.length, `${key} cannot be “${text}”`)
    const forgets = this.fault?.kind === 'forget' && this.asked >= this.fault.at
    if (!forgets) this.settings[key] = value
    this.yes()
  }

  private lay(words: readonly string[]): void {
    const lie = readLie(words)
    if (lie === null) return this.refuse(1, 1, `a sheet cannot lie “${words.join(' ').slice(0, 40)}”`)
    this.sheet.change(lie)
    this.yes()
  }

  private load(line: string): void {
    if (this.job !== null) return this.refuse(1, 1, 'it is running; stop it first')
    this.loaded.push(line)
    this.yes()
  }

  private start(): void {
    const { moves, findings } = readProgram(this.loaded.join('\n'))
    this.loaded = []
    const bad = findings.find((it) => it.severity === 'error')
    if (bad !== undefined) return this.refuse(bad.line ?? 1, bad.column ?? 1, bad.message)
    const outside = leaving(moves, { x: this.setting('x/travel'), y: this.setting('y/travel') })
    if (outside !== null) return this.refuse(outside.line, 1, outside.words)
    const axis = (name: Axis) => ({
      speed: this.setting(`${name}/speed`),
      acceleration: this.setting(`${name}/acceleration`),
    })
    const still = { speed: 1e6, acceleration: 1e6 }
    const plan = planMoves(moves, axisLimits({ x: axis('x'), y: axis('y'), z: still }, DEVIATION))
    this.yes()
    this.reported = 0
    this.lag.off()
    this.job = new Job(moves, plan)
  }

  /** Burns, or passes in the dark, from where the spot is along a way, its places as far apart as one another. */
  private pass({ moves, plan }: Job, i: number, way: readonly Place[]): void {
    const { mechanics, sheet } = this
    const to = way.at(-1)
    if (to === undefined) return
    const share = litShare(moves, i, this.setting('beam/full'))
    const start = { x: mechanics.place('x'), y: mechanics.place('y') }
    const { lit, glows } = this.lag.pass(share > 0, plan.seconds[i] as number, (seconds) => shareOfWay(plan, i, seconds))
    if (glows > 0)
      for (const at of stretch(start, way, 0, Math.min(glows, 1))) {
        mechanics.moveTo(at)
        sheet.goOn(mechanics.spot())
      }
    if (lit > 0) for (const at of stretch(start, way, Math.max(glows, 0), Math.min(lit, 1))) mechanics.moveTo(at)
    const speed = moves.feed[i] as number
    const since = sheet.falls.length
    for (const at of stretch(start, way, Math.min(Math.max(lit, glows, 0), 1), 1)) {
      const from = mechanics.spot()
      mechanics.moveTo(at, at === to ? strainOf(plan, i, start, to) : null)
      if (share > 0 && lit < 1)
        sheet.burn(from, mechanics.spot(), {
          energy: (this.options.spec.power * lightShare(share, this.options.number)) / speed,
          speed,
          pulse: speed / this.setting('beam/frequency'),
          raised: moves.z[i] as number,
          since,
        })
    }
    if (share > 0 && lit >= 1) sheet.miss()
  }

  private end(): void {
    this.rest()
    this.done = 1
    this.report()
    this.tell({ kind: 'ended' })
  }

  private stop(): void {
    const { job, mechanics } = this
    // What was burnt of the line that was cut off stays on the material.
    if (job !== null) this.pass(job, job.at, job.cutOff({ x: mechanics.place('x'), y: mechanics.place('y') }))
    this.lag.off()
    this.rest()
    this.loaded = []
    this.tell({ kind: 'stopped' })
    this.report()
  }

  private reset(): void {
    this.rest()
    this.loaded = []
    this.tell({ kind: 'here', name: 'stand-in' })
  }

  private rest(): void {
    this.job = null
    this.paused = false
    this.power = 0
  }
}
