/** How a card states subroutines, as templates: `M98 P{number} L{times}`, `O{number}`, `M99`. None of them is of the standard. */
export interface SubroutineWords {
  readonly call: string
  readonly begins: string
  readonly ends: string
}

/** What a line is to subroutines: a call, the beginning or the end of one. */
export type SubroutineLine =
  | { readonly kind: 'call'; readonly number: number; readonly times: number }
  | { readonly kind: 'begins'; readonly number: number }
  | { readonly kind: 'ends' }

/** Where a subroutine's first line stands. */
export interface Body {
  readonly at: number
  /** From 1. */
  readonly line: number
}

/** Subroutines inside subroutines, at most: a machine has no more. */
export const DEEPEST_CALL = 10
/** Lines carried out in all, at most: more is no program but one that goes round for ever. */
export const MOST_CARRIED = 5_000_000
const MOST_TIMES = 9999

/** Finds subroutines in a program's text, as a card states them. */
export class Subroutines {
  private readonly call: RegExp
  private readonly begins: RegExp
  private readonly ends: RegExp
  private readonly bodies = new Map<number, Body>()

  /** @param text Line feeds at the ends of its lines. */
  constructor(text: string, words: SubroutineWords) {
    this.call = patternOf(words.call)
    this.begins = patternOf(words.begins)
    this.ends = patternOf(words.ends)
    let line = 0
    for (let at = 0; at < text.length;) {
      const next = text.indexOf('\n', at)
      const end = next < 0 ? text.length : next
      line++
      // A line that is far too long begins nothing, and is not looked at character by character.
      const read = end - at > 400 ? null : this.read(text.slice(at, end))
      if (read?.kind === 'begins' && !this.bodies.has(read.number)) this.bodies.set(read.number, { at: end + 1, line: line + 1 })
      at = end + 1
    }
  }

  /** What a line is to subroutines; null where it is an ordinary line. */
  read(line: string): SubroutineLine | null {
    const bare = bareOf(line).replace(/^N\d+/, '')
    if (this.ends.test(bare)) return { kind: 'ends' }
    const begins = this.begins.exec(bare)
    if (begins !== null) return { kind: 'begins', number: Number(begins[1]) }
    const call = this.call.exec(bare)
    if (call === null) return null
    return { kind: 'call', number: Number(call[1]), times: Math.min(MOST_TIMES, Number(call[2] ?? 1)) }
  }

  /** Where a subroutine begins; undefined where the program has none of that number. */
  bodyOf(number: number): Body | undefined {
    return this.bodies.get(number)
  }
}

/** A line without remarks and blanks, upper case. */
function bareOf(line: string): string {
  return line
    .replace(/\([^)]*\)|;.*$/g, '')
    .replace(/\s+/g, '')
    .toUpperCase()
}

function patternOf(template: string): RegExp {
  const bare = template
    .replace(/\s+/g, '')
    .split(/(\{\w+\})/)
    .map((it) => (it.startsWith('{') ? it : it.toUpperCase()))
    .join('')
  const escaped = bare.replace(/[.*+?^$()|[\]\\]/g, '\\$&')
  // How often is said where it is more than once.
  const words = escaped.replace(/([A-Z]+)\{times\}/, '(?:$1(\\d{1,6}))?').replace('{number}', '(\\d{1,6})')
  return new RegExp(`^${words}$`)
}

/**
 * Whether templates state subroutines as they can be read. @returns What is wrong, in words; null where nothing is.
 * Valid: any texts. Source: by definition.
 */
export function wrongWithSubroutines({ call, begins, ends }: SubroutineWords): string | null {
  const given = [call, begins, ends].filter((it) => it.trim() !== '').length
  if (given === 0) return null
  if (given < 3) return 'Subroutines need all three: how one is called, how it begins, how it ends. Or leave all three empty.'
  if (!call.includes('{number}') || !begins.includes('{number}'))
    return 'A call and the beginning of a subroutine need {number}, such as M98 P{number} L{times} and O{number}.'
  return null
}
