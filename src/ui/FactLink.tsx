import type { ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import type { Next, Path } from '../core/bench'
import { addressOf, addressOfFact, choose, isOnNameplate, revealFact, useBenchStore } from '../state'

/** Words that lead to a fact: its part of its stage, or its cell of the nameplate, comes into view and its editor opens. */
export function FactLink({ path, children }: { readonly path: Path; readonly children: ReactNode }) {
  const navigate = useNavigate()
  const benchId = useBenchStore((it) => it.bench?.id ?? '')
  const to = addressOfFact(benchId, path)
  return (
    <a
      className="link"
      href={`${to}#${path}`}
      onClick={(event) => {
        event.preventDefault()
        if (!isOnNameplate(path) && window.location.pathname !== to && !standsHere(path)) void navigate(to)
        revealFact(path)
      }}
    >
      {children}
    </a>
  )
}

function standsHere(path: Path): boolean {
  return document.querySelector(`[data-fact="${CSS.escape(path)}"][data-place="given"]`) !== null
}

/** Words that lead to where a verdict's next step is done. */
export function NextLink({ next, children }: { readonly next: Next; readonly children: ReactNode }) {
  const benchId = useBenchStore((it) => it.bench?.id ?? '')
  if ('path' in next) return <FactLink path={next.path}>{children}</FactLink>
  const [stage = '', part] = next.part.split('/')
  const { thing } = next
  return (
    <Link className="link" to={addressOf(benchId, stage, part)} onClick={() => thing !== undefined && choose(thing)}>
      {children}
    </Link>
  )
}
