import { useEffect, useRef } from 'react'

import { useBenchStore, useConsequences, type FileRow } from '../state'
import { Panel } from './Panel'

/** The records of a stage, newest first, with their pictures. */
export function Records({ stages }: { readonly stages: readonly string[] }) {
  const records = useBenchStore((it) => it.records)
  const files = useBenchStore((it) => it.files)
  const stale = new Set(useConsequences().flatMap((it) => (it.freshness === 'stale' ? [it.record.id] : [])))
  const own = records.filter((it) => stages.includes(it.stage)).sort((p, q) => q.at.localeCompare(p.at))
  if (own.length === 0) return null
  return (
    <Panel title="Written down">
      <ul className="m-0 list-none p-0">
        {own.map((record) => (
          <li key={record.id} className="keep-together border-b border-rule py-2">
            <p>
              {record.title}
              <span className="num ml-2 text-[12px] text-second">
                {record.at.slice(0, 10)}
                {stale.has(record.id) ? ', stale' : ''}
              </span>
            </p>
            {record.note !== '' && <p className="text-[13px] text-second">{record.note}</p>}
            <div className="flex flex-wrap gap-2">
              {files
                .filter((it) => it.recordId === record.id)
                .map((file) => (
                  <Picture key={file.id} file={file} />
                ))}
            </div>
          </li>
        ))}
      </ul>
    </Panel>
  )
}

function Picture({ file }: { readonly file: FileRow }) {
  const picture = useRef<HTMLImageElement>(null)
  useEffect(() => {
    const url = URL.createObjectURL(new Blob([file.bytes as Uint8Array<ArrayBuffer>], { type: file.type }))
    if (picture.current !== null) picture.current.src = url
    return () => URL.revokeObjectURL(url)
  }, [file])
  return <img ref={picture} alt={file.name} className="mt-1 max-h-24 border border-rule" />
}
