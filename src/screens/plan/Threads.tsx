import { THREAD_NAMES, type ThreadName } from '../../core/fasteners'

/** The threads there are, one of them chosen. */
export function Threads({
  value,
  label,
  choose,
}: {
  readonly value: ThreadName
  readonly label: string
  readonly choose: (thread: ThreadName) => unknown
}) {
  return (
    <select
      className="input min-h-8 py-0.5"
      aria-label={label}
      value={value}
      onChange={(event) => choose(event.target.value as ThreadName)}
    >
      {THREAD_NAMES.map((it) => (
        <option key={it}>{it}</option>
      ))}
    </select>
  )
}
