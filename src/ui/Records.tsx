import { memo, useEffect, useMemo, useRef } from 'react'
import type { BenchRecord } from '../core/bench'
import { useBenchStore, useConsequences, type FileRow } from '../state'
import { download } from './download'
import { LongList } from './LongList'
import { Panel } from './Panel'

/** Height of a record without a note or a picture, px. */
const ROW = 40

/** The records of some stages, newest first, with their pictures. @param stages Their ids, joined by blanks. */
export const Records = memo(function Records({ stages }: { readonly stages: string }) {
  const records = useBenchStore((it) => it.records)
  const files = useBenchStore((it) => it.files)
  const consequences = useConsequences()
  const stale = useMemo(
    () => new Set(consequences.filter((it) => it.freshness === 'stale').map((it) => it.record.id)),
    [consequences],
  )
  const own = useMemo(() => newestOf(records, stages.split(' ')), [records, stages])
  if (own.length === 0) return null
  return (
    <Panel title="Written down">
      <LongList
        of={own}
        keyOf={(it) => it.id}
        row={(it) => <RecordRow key={it.id} record={it} files={files} stale={stale.has(it.id)} />}
        height={ROW}
        what="records"
      />
    </Panel>
  )
})

function newestOf(records: readonly BenchRecord[], stages: readonly string[]): readonly BenchRecord[] {
  return records.filter((it) => stages.includes(it.stage)).sort((p, q) => q.at.localeCompare(p.at))
}

const RecordRow = memo(function RecordRow(props: {
  readonly record: BenchRecord
  readonly files: readonly FileRow[]
  readonly stale: boolean
}) {
  const { record, files, stale } = props
  return (
    <li className="keep-together border-b border-rule py-2">
      <p>
        {record.title}
        <span className="num ml-2 text-[12px] text-second">
          {record.at.slice(0, 10)}
          {stale ? ', stale' : ''}
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
  )
})

/** A file of a record: a picture as it looks, anything else by its name. */
function Picture({ file }: { readonly file: FileRow }) {
  return file.type.startsWith('image/') ? <Shown file={file} /> : <Named file={file} />
}

function Named({ file: { name, type, bytes } }: { readonly file: FileRow }) {
  const size = bytes.length < 10_000 ? `${bytes.length} bytes` : `${Math.round(bytes.length / 1000)} kB`
  return (
    <button type="button" className="link no-print text-[13px]" onClick={() => download(name, bytes, type)}>
      {name}, {size}
    </button>
  )
}

function Shown({ file }: { readonly file: FileRow }) {
  const picture = useRef<HTMLImageElement>(null)
  useEffect(() => {
    const url = URL.createObjectURL(new Blob([file.bytes as Uint8Array<ArrayBuffer>], { type: file.type }))
    if (picture.current !== null) picture.current.src = url
    return () => URL.revokeObjectURL(url)
  }, [file])
  return <img ref={picture} alt={file.name} className="mt-1 max-h-24 border border-rule" />
}
