import { shownNumber } from '../../core/bench'
import { anUpkeep, upkeepLeft } from '../../core/log'
import { engineOf, shownBench, useBenchStore } from '../../state'

/** How much of each interval is used up: what is over stands past the line. */
export function UpkeepPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const engine = engineOf(bench)
  const rows = anUpkeep
    .each(bench)
    .map(([id]) => {
      const left = shownNumber(engine.value(upkeepLeft, id).result)
      return { id, name: bench.log.upkeep[id]?.name ?? '', used: left === null || Number.isNaN(left) ? null : 1 - left }
    })
    .sort((p, q) => (q.used ?? -1) - (p.used ?? -1))
  if (rows.length === 0)
    return (
      <p className="my-6 max-w-[40rem] text-second" data-plate="Upkeep">
        Nothing is looked after yet. Put the usual things onto the list below: lens, rails, belts, fans, filter, tray.
      </p>
    )
  return (
    <figure className="keep-together mt-4 mb-0" data-plate="Upkeep">
      <ol className="m-0 list-none p-0">
        {rows.map(({ id, name, used }) => (
          <li key={id} className="grid grid-cols-[minmax(8rem,17rem)_1fr] items-center gap-3 py-1 text-[13.5px]">
            <span className="text-right">{name}</span>
            <span className="relative block h-5 border-y border-rule">
              {used !== null && (
                <span
                  className="absolute inset-y-0.5 left-0 block bg-ink"
                  style={{ width: `${Math.min(used, 1.5) * (100 / 1.5)}%` }}
                />
              )}
              <span className="absolute inset-y-[-3px] block border-l border-ink" style={{ left: `${100 / 1.5}%` }} />
              <span className="num absolute inset-y-0 right-1 text-[12px] leading-5 text-second">
                {used === null ? 'not known yet' : `${Math.round(used * 100)}%`}
              </span>
            </span>
          </li>
        ))}
      </ol>
      <figcaption className="pt-1 text-[12px] text-second">
        Used up of each interval; the line is where it is due. Due ones come first.
      </figcaption>
    </figure>
  )
}
