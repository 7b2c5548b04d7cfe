import { useId } from 'react'

/** Pictures that go with a record: taken with the tablet's camera or chosen, each named, none lost by choosing more. */
export function PicturesField(props: {
  readonly label: string
  readonly pictures: readonly File[]
  readonly change: (pictures: readonly File[]) => void
}) {
  const { label, pictures, change } = props
  const id = useId()
  return (
    <div className="no-print grid justify-items-start gap-1">
      <label htmlFor={id} className="button inline-block cursor-pointer focus-within:outline-2">
        {label}
        <input
          id={id}
          type="file"
          accept="image/png,image/jpeg,image/webp"
          multiple
          className="sr-only"
          onChange={(event) => {
            change([...pictures, ...(event.target.files ?? [])])
            event.target.value = ''
          }}
        />
      </label>
      {pictures.map((it, i) => (
        <span key={`${it.name}${i}`} className="flex items-baseline gap-2">
          <span className="min-w-0 break-all">{it.name}</span>
          <button
            type="button"
            className="link"
            aria-label={`Leave ${it.name} out`}
            onClick={() => change(pictures.filter((_, k) => k !== i))}
          >
            ×
          </button>
        </span>
      ))}
    </div>
  )
}
