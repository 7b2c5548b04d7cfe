import type { Scan, ScanLine } from './lines'

/** Pieces of one line that are burnt in one go, by their places in the scan. */
export interface Span {
  readonly line: number
  readonly first: number
  /** Behind the last. */
  readonly end: number
}

/** Lines that follow one another, each burnt in one go. */
export type Section = readonly Span[]

/**
 * Parts a scan so that no white is crossed for which stopping and beginning anew would be quicker: lines are broken at gaps, and pieces
 * that lie over one another are one section until they part or meet.
 * @param gap White up to so wide is crossed, mm; 0 or more. Valid: any scan.
 * Source: cellular decomposition by a sweeping line (Choset 2000, from memory).
 */
export function sectionsOf({ lines, pitch }: Scan, gap: number): readonly Section[] {
  const done: Section[] = []
  let open: { spans: Span[]; from: number; to: number }[] = []
  lines.forEach((line, index) => {
    const spans = spansOf(line, index, gap)
    const before = lines[index - 1]
    if (before === undefined || line.v - before.v > 1.5 * pitch) {
      done.push(...open.map((it) => it.spans))
      open = []
    }
    const meets = (p: { from: number; to: number }, q: { from: number; to: number }): boolean => p.from <= q.to && q.from <= p.to
    const next = spans.map((it) => {
      const over = open.filter((one) => meets(one, it))
      const [only] = over
      const goesOn = only !== undefined && over.length === 1 && spans.filter((one) => meets(only, one)).length === 1
      if (!goesOn) return { spans: [it.span], from: it.from, to: it.to, of: null }
      only.spans.push(it.span)
      return { spans: only.spans, from: it.from, to: it.to, of: only }
    })
    const going = new Set(next.map((it) => it.of))
    done.push(...open.filter((it) => !going.has(it)).map((it) => it.spans))
    open = next
  })
  return [...done, ...open.map((it) => it.spans)].sort((p, q) => (p[0]?.line ?? 0) - (q[0]?.line ?? 0))
}

function spansOf({ from, to }: ScanLine, line: number, gap: number) {
  const spans: { span: Span; from: number; to: number }[] = []
  let first = 0
  for (let k = 1; k <= from.length; k++) {
    if (k < from.length && (from[k] as number) - (to[k - 1] as number) <= gap) continue
    spans.push({ span: { line, first, end: k }, from: from[first] as number, to: to[k - 1] as number })
    first = k
  }
  return spans
}
