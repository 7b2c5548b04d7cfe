import type { Gathered } from './findings'
import type { Scanner } from './scan'
import { DEEPEST_CALL, MOST_CARRIED, Subroutines, type Body, type SubroutineWords } from './subroutines'

/** A subroutine that is under way. */
interface Call {
  readonly number: number
  /** The line that called it. */
  readonly line: number
  readonly back: Body
  readonly body: Body
  times: number
}

/** Follows a program through its subroutines: where it goes on, and what is wrong with them. */
export class Calls {
  private readonly subs: Subroutines
  private readonly open: Call[] = []

  constructor(
    private readonly scan: Scanner,
    words: SubroutineWords,
    private readonly found: Gathered,
  ) {
    this.subs = new Subroutines(scan.text, words)
  }

  /** Whether so many lines were carried out that the program goes round for ever; that is said at the line in hand. */
  isEndless(carried: number, line: number): boolean {
    if (carried <= MOST_CARRIED) return false
    const message = `More than ${MOST_CARRIED} lines were carried out: its subroutines go round for ever, or far too often.`
    this.found.report('error', 'endless', message, Math.max(1, line), 1)
    return true
  }

  /** Says which subroutine the text ended in. */
  sayOpen(): void {
    const call = this.open.at(-1)
    if (call === undefined) return
    this.found.report(
      'error',
      'no-end-of-subroutine',
      `The subroutine ${call.number} that is called here has no end.`,
      call.line,
      1,
    )
  }

  /** Follows a line that calls, begins or ends a subroutine. @returns Its number, from 1; 0 where the next line is an ordinary one. */
  follow(): number {
    const { scan, subs } = this
    const text = scan.peek()
    const read = text === null ? null : subs.read(text)
    if (read === null) return 0
    const { line } = scan.place()
    scan.skip()
    if (read.kind === 'call') this.call(read.number, read.times, line)
    else if (read.kind === 'ends') this.end(line)
    return line
  }

  private wrong(code: string, message: string, line: number): void {
    this.found.report('error', code, message, line, 1)
  }

  private end(line: number): void {
    const { open, scan } = this
    const call = open.at(-1)
    if (call === undefined) {
      const message = 'This is the end of a subroutine, and none was called: the program would begin again for ever.'
      this.wrong('no-call', message, line)
      return
    }
    call.times--
    if (call.times === 0) open.pop()
    scan.jump(call.times > 0 ? call.body : call.back)
  }

  private call(number: number, times: number, line: number): void {
    const { open, scan, subs } = this
    const body = subs.bodyOf(number)
    if (body === undefined)
      this.wrong('no-subroutine', `The program has no subroutine ${number}. Add it, or mend the number.`, line)
    else if (open.length >= DEEPEST_CALL)
      this.wrong('too-deep', `Subroutines call one another more than ${DEEPEST_CALL} deep here.`, line)
    else if (times > 0) {
      open.push({ number, line, back: scan.place(), body, times })
      scan.jump(body)
    }
  }
}
