import { alikeTo, searched, type Happening } from '../../core/log'
import { happenings, useBenchStore } from '../../state'
import { PicturesOf } from './PicturesOf'
import { useDrafts } from './drafts'

/** Repairs that were made before: those that hold a word of what is typed come first. */
export function RepairsPlate() {
  const bench = useBenchStore((it) => it.bench)
  const records = useBenchStore((it) => it.records)
  const { title, touched } = useDrafts().repair
  if (bench === null) return null
  const all = happenings(bench, records)
  const repairs = searched(all, '', new Set(['repair']))
  const alike = alikeTo(repairs, `${title} ${touched}`)
  if (repairs.length === 0)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="Repairs">
        No repair is written down yet. The first one takes a minute below; it is found again by any of its words.
      </p>
    )
  return (
    <figure className="mt-3 mb-0" data-plate="Repairs">
      <figcaption className="text-[13px] text-second">
        {alike.length > 0 && `${title}${touched}`.trim() !== ''
          ? alike.length === 1
            ? 'One repair before holds words of this one.'
            : `${alike.length} repairs before hold words of this one.`
          : 'All repairs, the newest first.'}
      </figcaption>
      <ul className="m-0 list-none p-0" aria-label="Repairs before">
        {(alike.length > 0 ? alike : repairs).slice(0, 20).map((it) => (
          <Before key={it.id} repair={it} entry={bench.log.entries[it.id]} />
        ))}
      </ul>
    </figure>
  )
}

function Before({
  repair,
  entry,
}: {
  readonly repair: Happening
  readonly entry: { readonly minutes: number | null } | undefined
}) {
  return (
    <li className="keep-together border-b border-rule py-2 text-[14px]">
      <p>
        <span className="num text-[12px] text-second">{repair.at.slice(0, 10)}</span>{' '}
        <strong className="font-[650]">{repair.title}</strong>
        {entry?.minutes != null && <span className="num text-second"> {entry.minutes} min</span>}
      </p>
      <p className="text-[13px] text-second">{repair.text}</p>
      <PicturesOf id={repair.id} />
    </li>
  )
}
