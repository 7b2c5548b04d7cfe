import { searched, type Happening } from '../../core/log'
import { happenings, useBenchStore } from '../../state'
import { PicturesOf } from './PicturesOf'
import { useRepairDraft } from './repairDraft'

/** Repairs that were made before: those that hold a word of what is typed come first. */
export function RepairsPlate() {
  const bench = useBenchStore((it) => it.bench)
  const records = useBenchStore((it) => it.records)
  const { title, touched } = useRepairDraft()
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

/** Those that share a word of four letters or more, the most shared words first. */
function alikeTo(repairs: readonly Happening[], typed: string): readonly Happening[] {
  const asked = [...new Set(typed.toLowerCase().match(/[\p{L}\p{N}]{4,}/gu) ?? [])]
  return repairs
    .map((repair) => ({
      repair,
      shared: asked.filter((it) => `${repair.title} ${repair.text}`.toLowerCase().includes(it)).length,
    }))
    .filter((it) => it.shared > 0)
    .sort((p, q) => q.shared - p.shared)
    .map((it) => it.repair)
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
