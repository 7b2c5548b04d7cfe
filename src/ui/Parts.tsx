import { NavLink } from 'react-router'
import { addressOf, useBenchStore } from '../state'
import { partsFor, type StageDef } from './stage'

/** The parts of a stage in the order of the work; one is open, and stands in the address. */
export function Parts({ of, open }: { readonly of: StageDef; readonly open: string }) {
  const benchId = useBenchStore((it) => it.bench?.id ?? '')
  const shown = useBenchStore(({ bench }) =>
    partsFor(of, bench)
      .map((it) => it.id)
      .join(),
  )
  return (
    <nav className="no-print mt-3 flex shrink-0 flex-wrap gap-x-1 border-b border-ink" aria-label={`Parts of ${of.name}`}>
      {of.parts
        .filter((it) => shown.split(',').includes(it.id) || it.id === open)
        .map(({ id, name }, i) => (
          <NavLink
            key={id}
            to={addressOf(benchId, of.id, id)}
            aria-current={id === open ? 'page' : undefined}
            className={`flex min-h-9 items-center whitespace-nowrap border-b-2 px-3 ${id === open ? 'border-teal font-[650]' : 'border-transparent text-second hover:text-teal'}`}
          >
            <span className="num mr-1.5 text-[12px]">{i + 1}</span>
            {name}
          </NavLink>
        ))}
    </nav>
  )
}
