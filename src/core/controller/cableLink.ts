import { readListing } from './listing'
import type { After, ControllerLink } from './link'
import type { LinkCard } from './linkSlice'
import { writeSaid, type Said } from './protocol'
import { canRunOver, characters, stateReader } from './readLinkCard'

/** Text each way, in pieces as they come: a cable. */
export interface TextPort {
  send(text: string): void
  /** Hears what comes, and null when the cable is out. */
  listen(hear: (text: string | null) => void): void
  close(): void
}

/** How often the state is asked for while something runs, ms. */
const ASK_EVERY = 250
/** Answers in a row that it rests while lines are still to be acknowledged: one was lost on the way. */
const TOO_QUIET = 8
/** Longest line that is waited for; a longer one is garbage. */
const LONGEST = 4096

/**
 * A controller on a cable as a `ControllerLink`: requests become its own lines, its answers become what was said. A program is
 * kept until it is asked to run, then goes out as far as the other end holds; while it runs its state is asked for four times
 * a second. `stop` overtakes everything.
 * @param line What sets a setting, with {key} and {value}. @param after Timer of the surroundings.
 */
export function createCableLink(port: TextPort, card: LinkCard, line: string, after: After): ControllerLink {
  return new CableLink(port, card, line, after)
}

interface Waiting {
  readonly text: string
  readonly taken: () => void
  readonly refused: (words: string) => void
}

class CableLink implements ControllerLink {
  private hear: (line: string | null) => void = () => undefined
  private rest = ''
  /** Lines that went out and are not acknowledged, and those that have to wait until there is room. */
  private out: Waiting[] = []
  private queue: Waiting[] = []
  private listed: string[] | null = null
  private program: string[] = []
  private running: { readonly lines: number; taken: number; allTaken: boolean } | null = null
  private stopping = false
  /** Acknowledgements that may still come for what a stop threw away. */
  private late = 0
  /** Answers in a row that it rests, since a line was taken last. */
  private rested = 0
  private asked = false
  private callOffAsk: (() => void) | null = null
  private readonly readState: ReturnType<typeof stateReader>
  private readonly resting: ReadonlySet<string>

  constructor(
    private readonly port: TextPort,
    private readonly card: LinkCard,
    private readonly line: string,
    private readonly after: After,
  ) {
    this.readState = stateReader(card)
    this.resting = new Set(card.resting.split(/\s+/))
    port.listen((text) => this.hearText(text))
  }

  listen(hear: (line: string | null) => void): void {
    this.hear = hear
  }

  close(): void {
    this.callOffAsk?.()
    this.port.close()
  }

  send(request: string): void {
    if (request === 'stop') return this.stop()
    const [, id = '0', verb = '', words = ''] = /^(\d+) (\S+) ?(.*)$/.exec(request) ?? []
    this.carryOut(Number(id), verb, words)
  }

  private say(said: Said): void {
    this.hear(writeSaid(said))
  }

  private carryOut(id: number, verb: string, words: string): void {
    const yes = (): void => this.say({ kind: 'yes', id })
    const no = (why: string): void => this.say({ kind: 'no', id, line: 1, column: 1, words: why })
    switch (verb) {
      case 'settings':
        this.listed = []
        return this.enqueue({ text: this.card.list, taken: () => this.list(id), refused: no })
      case 'set': {
        const [key = '', value = ''] = words.split(' ')
        return this.enqueue({ text: this.line.replaceAll('{key}', key).replaceAll('{value}', value), taken: yes, refused: no })
      }
      case 'sheet':
        this.program = []
        return yes()
      case 'load':
        this.program.push(words)
        return yes()
      case 'run':
        return this.run(yes, no)
      case 'pause':
      case 'resume': {
        const template = verb === 'pause' ? this.card.pause : this.card.goOn
        if (template === '') return no(`the link card has no word for ${verb}`)
        this.sendNow(template)
        return yes()
      }
      default:
        return no(`it does not know “${verb}”`)
    }
  }

  private run(yes: () => void, no: (why: string) => void): void {
    if (!canRunOver(this.card)) return no('without its state nobody knows whether the beam is on; take the program as a file')
    if (this.running !== null) return no('it is running already')
    const lines = this.program
    if (lines.length === 0) return no('there is no program')
    const run = { lines: lines.length, taken: 0, allTaken: false }
    this.running = run
    this.stopping = false
    lines.forEach((text, i) =>
      this.enqueue({
        text,
        taken: () => {
          run.taken++
          this.rested = 0
          if (i === 0) yes()
          run.allTaken = run.taken === run.lines
        },
        refused: (why) => {
          this.queue = []
          if (i > 0) return this.say({ kind: 'garbled', text: `line ${i + 1} refused: ${why}` })
          this.running = null
          no(why)
        },
      }),
    )
    this.askState()
  }

  /** Beam off before anything that waits. */
  private stop(): void {
    this.late += this.out.length
    this.queue = []
    this.out = []
    this.listed = null
    this.stopping = true
    this.sendNow(this.card.stop)
    this.askState()
  }

  private sendNow(template: string): void {
    const text = characters(template)
    const isCharacter = text.length === 1 && text < ' '
    this.port.send(isCharacter ? text : text + this.lineEnd())
  }

  private lineEnd(): string {
    return { lf: '\n', crlf: '\r\n', cr: '\r' }[this.card.lineEnd]
  }

  private enqueue(waiting: Waiting): void {
    this.queue.push(waiting)
    this.fill()
  }

  /** Sends as far as the other end holds. */
  private fill(): void {
    const size = ({ text }: Waiting): number => text.length + this.lineEnd().length
    for (let next = this.queue[0]; next !== undefined; next = this.queue[0]) {
      const held = this.out.reduce((sum, it) => sum + size(it), 0)
      const fits = this.out.length === 0 || (this.card.holds > 0 && held + size(next) <= this.card.holds)
      if (!fits) return
      this.queue.shift()
      this.out.push(next)
      this.port.send(next.text + this.lineEnd())
    }
  }

  /** Asks for the state until it rests; one question at a time goes unanswered. */
  private askState(): void {
    this.callOffAsk?.()
    if (this.card.state === '' || (this.running === null && !this.stopping)) return
    if (!this.asked) {
      this.asked = true
      this.sendNow(this.card.state)
    }
    this.callOffAsk = this.after(ASK_EVERY, () => this.askState())
  }

  private hearText(text: string | null): void {
    if (text === null) {
      this.callOffAsk?.()
      this.hear(null)
      return
    }
    const lines = (this.rest + text).split(/\r\n|\n|\r/)
    this.rest = lines.pop() ?? ''
    if (this.rest.length > LONGEST) {
      this.say({ kind: 'garbled', text: this.rest.slice(0, 60) })
      this.rest = ''
    }
    for (const line of lines) if (line.trim() !== '') this.hearLine(line.trim())
  }

  private hearLine(line: string): void {
    const { card } = this
    const state = this.readState(line)
    if (state !== null) return this.hearState(state)
    if (isAnswer(line, card.taken)) return this.settle((it) => it.taken())
    if (isAnswer(line, card.refused)) return this.settle((it) => it.refused(line))
    if (card.greets !== '' && line.startsWith(card.greets)) {
      const isAsked = this.running !== null || this.out.length > 0 || this.listed !== null
      this.forget()
      const here: Said = { kind: 'here', name: line.slice(0, 60) }
      // One that was connected while it ran has not greeted yet: in the middle of work its first greeting is a reset all the same.
      if (isAsked) this.say(here)
      return this.say(here)
    }
    if (this.listed !== null) {
      this.listed.push(line)
      return
    }
    if (card.remarks !== '' && line.startsWith(card.remarks)) return
    this.say({ kind: 'garbled', text: line })
  }

  /** It has started anew: what it held is gone. */
  private forget(): void {
    this.queue = []
    this.out = []
    this.listed = null
    this.running = null
  }

  private settle(act: (it: Waiting) => void): void {
    const first = this.out.shift()
    if (first === undefined) {
      // After a stop the machine may still answer what went before it; else nothing had been asked.
      if (this.late > 0) this.late--
      else this.say({ kind: 'yes', id: 0 })
      return
    }
    act(first)
    this.fill()
  }

  private list(id: number): void {
    const { entries } = readListing((this.listed ?? []).join('\n'))
    this.listed = null
    for (const { key, text: value } of entries) {
      if (!/\s/.test(key) && !/\s/.test(value) && key !== '' && value !== '') this.say({ kind: 'item', id, key, text: value })
    }
    this.say({ kind: 'yes', id })
  }

  private hearState({ state, x, y, power }: NonNullable<ReturnType<ReturnType<typeof stateReader>>>): void {
    this.asked = false
    const isResting = this.resting.has(state)
    const run = this.running
    this.rested = isResting ? this.rested + 1 : 0
    const isOver = isResting && (this.stopping || ((run?.allTaken ?? false) && this.rested > 1))
    if (run !== null && !run.allTaken && !this.stopping && this.rested > TOO_QUIET) {
      return this.say({ kind: 'garbled', text: `it rests and has not answered for line ${run.taken + 1}` })
    }
    // Lines that it stores are not carried out yet: nothing is known to be done.
    const done = run === null || this.card.acknowledges === 'taken' ? 0 : run.taken / run.lines
    const report = {
      running: !isResting || (run !== null && !isOver),
      x: x ?? 0,
      y: y ?? 0,
      power: power ?? (isResting ? 0 : 1),
      done,
    }
    this.say({ kind: 'at', state: report })
    if (!isOver) return
    this.running = null
    this.callOffAsk?.()
    const wasStopped = this.stopping
    this.stopping = false
    this.say({ kind: wasStopped ? 'stopped' : 'ended' })
  }
}

/** Whether a line is an answer that begins so, and not a word that only begins alike. */
function isAnswer(line: string, begins: string): boolean {
  return line.startsWith(begins) && !/^\w/.test(line.slice(begins.length))
}
