import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { machineLimits, type Bench } from '../../core/document'
import { subroutinesOf } from '../../core/gcode'
import { addressOf, engineOf, openProgram, programFileName, useBenchStore, type FileRow } from '../../state'
import { Panel } from '../../ui'

/** Programs that were made of others before, each with what it was made of. */
export function MadeBefore({ bench }: { readonly bench: Bench }) {
  const records = useBenchStore((it) => it.records)
  const files = useBenchStore((it) => it.files)
  const go = useNavigate()
  const rows = useMemo(
    () =>
      records
        .filter((it) => it.stage === 'work')
        .sort((p, q) => q.at.localeCompare(p.at))
        .flatMap((record) => {
          const own = files.filter((it) => it.recordId === record.id && it.type === 'text/plain')
          const after = own.find((it) => it.name === programFileName(record.title.replace(/^[^:]*: /, '')))
          const before = own.find((it) => it !== after)
          return before === undefined || after === undefined ? [] : [{ record, before, after }]
        }),
    [records, files],
  )
  if (rows.length === 0) return null
  const open = (file: FileRow, part: 'refit' | 'program'): void => {
    void openProgram(
      new File([file.bytes as BlobPart], file.name, { type: file.type }),
      machineLimits(engineOf(bench)),
      subroutinesOf(bench.output.card),
    )
    void go(addressOf(bench.id, 'work', part))
  }
  return (
    <div className="mt-8">
      <Panel title="Made before">
        <ul className="m-0 list-none p-0">
          {rows.map(({ record, before, after }) => (
            <li key={record.id} className="border-b border-rule py-1.5 text-[14px]">
              <p className="flex flex-wrap items-baseline gap-x-3">
                <span className="num text-second">{record.at.slice(0, 10)}</span>
                <strong className="font-[600]">{before.name}</strong>
                <button
                  type="button"
                  className="link no-print"
                  aria-label={`Open ${before.name} as it was`}
                  onClick={() => open(before, 'refit')}
                >
                  open it as it was
                </button>
                <button
                  type="button"
                  className="link no-print"
                  aria-label={`Look at what was made of ${before.name}`}
                  onClick={() => open(after, 'program')}
                >
                  look at what was made of it
                </button>
              </p>
              {record.note !== '' && <p className="text-[13px] text-second">{record.note}</p>}
            </li>
          ))}
        </ul>
      </Panel>
    </div>
  )
}
