/** Longest part of a line that is listed; a line of the standard has 256 characters at most. */
const MOST_SHOWN = 400

/**
 * A program's text by its lines, as the reader counts them: a line ends at a line feed, a carriage return, or both.
 * Valid: texts of under 4 GB.
 */
export class ListedText {
  private readonly starts: Uint32Array
  /** How many lines there are; an empty text has none, and a line feed at the very end begins no further one. */
  readonly count: number

  constructor(private readonly text: string) {
    let starts = new Uint32Array(1024)
    let count = 0
    for (let at = 0; at < text.length; at = this.endOf(at)) {
      if (count === starts.length) {
        const more = new Uint32Array(2 * count)
        more.set(starts)
        starts = more
      }
      starts[count++] = at
    }
    this.starts = starts.subarray(0, count)
    this.count = count
  }

  /**
   * Some lines, without their ends; what is longer than 400 characters is cut, with an ellipsis.
   * @param first The first line wanted, from 1. @param count How many; those that are not there are left away.
   */
  lines(first: number, count: number): readonly string[] {
    const from = Math.max(1, first)
    const to = Math.min(this.count, first + count - 1)
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => this.line(from + i))
  }

  /** The line that a place of the text lies in, from 1. @param at Characters from its beginning. */
  lineAt(at: number): number {
    let [from, to] = [0, this.count]
    while (from < to) {
      const middle = (from + to) >>> 1
      if ((this.starts[middle] as number) <= at) from = middle + 1
      else to = middle
    }
    return from
  }

  private line(number: number): string {
    const start = this.starts[number - 1] as number
    const end = number < this.count ? (this.starts[number] as number) : this.text.length
    const shown = this.text.slice(start, Math.min(end, start + MOST_SHOWN + 2)).replace(/[\r\n]+$/, '')
    return shown.length > MOST_SHOWN ? `${shown.slice(0, MOST_SHOWN)} …` : shown
  }

  /** Where the line after the one at a place begins. */
  private endOf(at: number): number {
    const { text } = this
    for (let i = at; i < text.length; i++) {
      const sign = text.charCodeAt(i)
      if (sign === 10) return i + 1
      if (sign === 13) return text.charCodeAt(i + 1) === 10 ? i + 2 : i + 1
    }
    return text.length
  }
}
