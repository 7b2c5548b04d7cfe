/** How two programs differ: what stands alike at both ends, and what stands between. */
export interface ProgramsApart {
  readonly isSame: boolean
  /** First line that differs, from 1. */
  readonly from: number
  /** Lines of either that stand between what is alike. */
  readonly before: number
  readonly now: number
  readonly alike: number
}

/**
 * Holds a program against an earlier one, line by line from both ends; remarks and blanks at the end of a line do not count.
 * Valid: any texts. Source: by definition.
 */
export function programsApart(earlier: string, later: string): ProgramsApart {
  const [p, q] = [linesOf(earlier), linesOf(later)]
  const most = Math.min(p.length, q.length)
  let head = 0
  while (head < most && p[head] === q[head]) head++
  let tail = 0
  while (tail < most - head && p[p.length - 1 - tail] === q[q.length - 1 - tail]) tail++
  const [before, now] = [p.length - head - tail, q.length - head - tail]
  return { isSame: before === 0 && now === 0, from: head + 1, before, now, alike: head + tail }
}

function linesOf(text: string): readonly string[] {
  return text
    .split(/\r\n|\n|\r/)
    .map((it) => it.trimEnd())
    .filter((it) => it !== '' && !/^\([^)]*\)$/.test(it))
}
