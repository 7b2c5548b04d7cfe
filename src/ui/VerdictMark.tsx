import type { Mark } from '../core/bench'

/** What a mark is called where it cannot be seen. */
export const MARK_WORDS: Readonly<Record<Mark, string>> = { good: 'good', look: 'look', stop: 'stop', unknown: 'not known yet' }

/** A verdict's mark: shape and colour say the same. Good a disc, look a triangle, stop a square, not known a ring. */
export function VerdictMark({
  mark,
  pale = false,
  label,
}: {
  readonly mark: Mark | null
  readonly pale?: boolean
  readonly label?: string
}) {
  const words = label ?? (mark === null ? 'nothing judged' : MARK_WORDS[mark])
  return (
    <svg
      viewBox="0 0 12 12"
      width="12"
      height="12"
      {...(words === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': words })}
      className="shrink-0"
      opacity={pale ? 0.5 : 1}
    >
      {mark === 'good' && <circle cx="6" cy="6" r="5" fill="var(--good)" />}
      {mark === 'look' && <path d="M6 0.8 11.6 10.8H0.4Z" fill="var(--look)" />}
      {mark === 'stop' && <rect x="1" y="1" width="10" height="10" fill="var(--stop)" />}
      {mark === 'unknown' && (
        <circle cx="6" cy="6" r="4.8" fill="none" stroke="var(--second)" strokeWidth="1.4" strokeDasharray="2.4 1.9" />
      )}
      {mark === null && <path d="M4 6h4" stroke="var(--second)" strokeWidth="1" />}
    </svg>
  )
}
