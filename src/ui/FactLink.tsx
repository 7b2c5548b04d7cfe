import type { ReactNode } from 'react'
import type { Path } from '../core/bench'
import { revealFact } from '../state'

/** Words that lead to a fact: its stage or cell comes into view and its editor opens. */
export function FactLink({ path, children }: { readonly path: Path; readonly children: ReactNode }) {
  return (
    <a
      className="link"
      href={`#${path}`}
      onClick={(event) => {
        event.preventDefault()
        revealFact(path)
      }}
    >
      {children}
    </a>
  )
}
