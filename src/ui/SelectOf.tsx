/** One of several words, named for those who do not see what stands around it. */
export function SelectOf<K extends string>(props: {
  readonly label: string
  /** In the order in which they are offered. */
  readonly of: Readonly<Record<K, string>>
  readonly value: K
  readonly choose: (value: K) => unknown
  readonly className?: string
}) {
  const { label, of, value, choose, className = 'min-h-8 py-0.5' } = props
  return (
    <select
      className={`input ${className}`}
      aria-label={label}
      value={value}
      onChange={(event) => choose(event.target.value as K)}
    >
      {Object.entries<string>(of).map(([key, words]) => (
        <option key={key} value={key}>
          {words}
        </option>
      ))}
    </select>
  )
}
