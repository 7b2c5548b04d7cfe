import { useMemo } from 'react'
import { passportOf } from '../../core/document'
import { useBenchStore } from '../../state'
import { HandOn } from './HandOn'

/** The passport as it is printed. */
export function PassportPlate() {
  const bench = useBenchStore((it) => it.bench)
  const records = useBenchStore((it) => it.records)
  const sections = useMemo(() => (bench === null ? [] : passportOf(bench, records)), [bench, records])
  if (bench === null) return null
  return (
    <figure className="mt-3 mb-0" data-plate="Passport">
      <HandOn />
      <figcaption className="flex flex-wrap items-baseline gap-x-4">
        <strong className="text-[18px] font-[680]">{bench.name}</strong>
        <span className="text-second">{bench.about}</span>
        <span className="num text-[12px] text-second">{new Date().toISOString().slice(0, 10)}</span>
      </figcaption>
      {sections.length === 0 && (
        <p className="my-4 max-w-[40rem] text-second">
          Nothing was measured or stated yet: the passport fills by itself with what is entered at the other stages.
        </p>
      )}
      <div className="mt-2 columns-1 gap-8 lg:columns-2 print:columns-2">
        {sections.map(({ title, rows }) => (
          <section key={title} aria-label={title} className="mb-4">
            <h2 className="border-b border-ink py-1 text-[13px] font-[650]">{title}</h2>
            <dl className="m-0">
              {rows.map(({ label, value, known, day }, k) => (
                <div
                  key={k}
                  className="keep-together flex items-baseline justify-between gap-3 border-b border-rule py-0.5 text-[12.5px]"
                >
                  <dt className="min-w-0">{label}</dt>
                  <dd className="m-0 text-right">
                    <span className="num">{value}</span>{' '}
                    <span className="whitespace-nowrap text-[11px] text-second">
                      {[known, day].filter((it) => it !== '').join(' ')}
                    </span>
                  </dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </figure>
  )
}
