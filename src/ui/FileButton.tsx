import { useRef, type ReactNode } from 'react'

/** A button that asks for one file; choosing the same again counts again. */
export function FileButton(props: {
  readonly children: ReactNode
  /** What the file is, for whoever cannot see the button. */
  readonly label: string
  /** Endings and types that are offered; without it, all. */
  readonly accept?: string
  readonly first?: boolean
  readonly take: (file: File) => void
}) {
  const { children, label, accept, first = false, take } = props
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className={first ? 'button button-first' : 'button'} onClick={() => input.current?.click()}>
        {children}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file !== undefined) take(file)
        }}
      />
    </>
  )
}
