/** The parts of a stage in the order of the work; one is open. */
export function Parts<P extends string>(props: {
  readonly of: string
  readonly parts: readonly { readonly id: P; readonly name: string }[]
  readonly open: P
  readonly choose: (part: P) => void
}) {
  const { of, parts, open, choose } = props
  return (
    <div
      className="no-print mt-3 flex shrink-0 gap-1 overflow-x-auto border-b border-ink"
      role="group"
      aria-label={`Parts of ${of}`}
    >
      {parts.map(({ id, name }, i) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === open}
          className={`min-h-9 whitespace-nowrap border-b-2 px-3 ${id === open ? 'border-teal font-[650]' : 'border-transparent text-second hover:text-teal'}`}
          onClick={() => choose(id)}
        >
          <span className="num mr-1.5 text-[12px]">{i + 1}</span>
          {name}
        </button>
      ))}
    </div>
  )
}
