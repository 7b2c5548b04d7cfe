import { useRef, type ReactNode } from 'react'
import type { Path } from '../core/bench'
import { startEditing, stopEditing, useSession } from '../state'
import { LazyPopover } from './LazyPopover'

/**
 * What stands in a sentence or on a drawing for a fact or a choice, and the sheet at it in which it is entered.
 * @param says For those who do not see it: its label, its value, its origin.
 */
export function FieldButton(props: {
  readonly path: Path
  readonly place: string
  readonly says: string
  readonly className: string
  /** What it looks like; `open`: while the sheet at it is. */
  readonly face: (open: boolean) => ReactNode
  readonly sheet: { readonly label: string; readonly className: string; readonly is: () => ReactNode }
}) {
  const { path, place, says, className, face, sheet } = props
  const open = useSession(({ editing }) => editing?.path === path && editing.place === place)
  const button = useRef<HTMLButtonElement>(null)
  return (
    <>
      <button
        ref={button}
        type="button"
        data-fact={path}
        data-place={place}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={says}
        className={`min-h-6 px-0.5 leading-tight hover:text-teal ${className}`}
        onClick={() => (open ? stopEditing() : startEditing(path, place))}
        // Until the editor's code is here, the key stays with the field.
        onKeyDown={(event) => event.key === 'Escape' && open && stopEditing()}
      >
        {face(open)}
      </button>
      {open && (
        <LazyPopover anchor={button} label={sheet.label} className={`z-40 ${sheet.className}`} close={stopEditing}>
          {sheet.is()}
        </LazyPopover>
      )}
    </>
  )
}
