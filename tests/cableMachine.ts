import { readSaid } from '../src/core/controller'
import { createStandIn, type StandIn } from '../src/core/workshop'
import { HERON_SPEC } from './handMachine'

/**
 * A controller on a cable as the plain link card has it, around a stand-in: lines are acknowledged as they are stored, a program runs
 * when its end has come, `state` is answered at any time, `stop` overtakes all.
 */
export class CableMachine {
  readonly standIn: StandIn
  private rest = ''
  private asked = 0
  private isStored = false
  private isRefused = false
  private at = { x: 0, y: 0, power: 0 }

  /** @param write Hears every line the machine says, without its end. @param saw Hears what the stand-in inside says. */
  constructor(
    private readonly write: (line: string) => void,
    number = 41,
    saw: (line: string) => void = () => undefined,
  ) {
    this.standIn = createStandIn({
      spec: HERON_SPEC,
      number,
      say: (line) => {
        saw(line)
        const said = readSaid(line)
        if (said.kind === 'at') this.at = said.state
        if (said.kind === 'item') this.write(`${said.key} = ${said.text}`)
        if (said.kind !== 'no') return
        this.isRefused = true
        this.write(`error ${said.words}`)
      },
    })
  }

  /** Takes text as it comes over the cable. */
  receive(text: string): void {
    const lines = (this.rest + text).split('\n')
    this.rest = lines.pop() ?? ''
    for (const line of lines) this.receiveLine(line)
  }

  private receiveLine(line: string): void {
    const setting = /^(\S+) = (\S+)$/.exec(line)
    if (line === 'state') {
      const { x, y, power } = this.at
      const state = this.standIn.resting && !this.isStored ? 'rest' : 'run'
      return this.write(`state ${state} x ${x.toFixed(3)} y ${y.toFixed(3)} power ${state === 'rest' ? '0' : power.toFixed(4)}`)
    }
    if (line === 'stop') {
      this.isStored = false
      this.standIn.receive('stop')
      return
    }
    if (line === 'pause' || line === 'go on') {
      this.ask(line === 'pause' ? 'pause' : 'resume')
      return
    }
    if (line === 'list') {
      this.ask('settings')
    } else if (setting !== null) {
      if (!this.ask(`set ${setting[1]} ${setting[2]}`)) return
    } else {
      this.isStored = true
      this.ask(`load ${line}`)
      if (line === 'M2') {
        this.isStored = false
        if (!this.ask('run')) return
      }
    }
    this.write('ok')
  }

  /** @returns Whether the stand-in inside took it; what it refuses is said at once. */
  private ask(words: string): boolean {
    this.isRefused = false
    this.standIn.receive(`${++this.asked} ${words}`)
    return !this.isRefused
  }
}
