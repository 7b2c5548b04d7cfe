import { useState } from 'react'
import { Link } from 'react-router'
import { worstMark } from '../../core/bench'
import type { Finding } from '../../core/units'
import { removeBench, type BenchSummary } from '../../state'
import { exportBench, VerdictMark } from '../../ui'

/** The benches of this browser, last worked on first, each to be opened, exported or deleted. */
export function BenchList(props: {
  readonly list: readonly BenchSummary[]
  readonly refresh: () => void
  readonly report: (findings: readonly Finding[]) => void
}) {
  const { list, refresh, report } = props
  const [removed, setRemoved] = useState<{ readonly name: string; readonly restore: () => Promise<unknown> } | null>(null)
  const remove = async ({ id, name }: BenchSummary): Promise<void> => {
    const restore = await removeBench(id)
    setRemoved(restore === null ? null : { name, restore })
    refresh()
  }
  const say = (problem: string | null): void =>
    report(problem === null ? [] : [{ code: 'export', severity: 'error', message: problem }])
  return (
    <>
      {removed !== null && (
        <p role="status" className="flex items-center gap-3 border-b border-rule py-2">
          “{removed.name}” was deleted.
          <button
            type="button"
            className="link"
            onClick={() =>
              void removed
                .restore()
                .then(() => setRemoved(null))
                .then(refresh)
            }
          >
            Put it back
          </button>
        </p>
      )}
      {list.length === 0 && removed === null && (
        <p className="py-3 text-second">Nothing yet. Benches are kept in this browser, on this machine only.</p>
      )}
      <ul className="m-0 list-none p-0">
        {list.map((bench) => (
          <Row key={bench.id} bench={bench} remove={() => void remove(bench)} exported={say} />
        ))}
      </ul>
    </>
  )
}

function Row({
  bench,
  remove,
  exported,
}: {
  readonly bench: BenchSummary
  readonly remove: () => void
  readonly exported: (problem: string | null) => void
}) {
  const [asking, setAsking] = useState(false)
  const marks = Object.values(bench.marks).filter((it) => it !== null)
  return (
    <li className="grid gap-x-4 gap-y-1 border-b border-rule py-2.5 sm:grid-cols-[1fr_auto] sm:items-center">
      <div className="flex min-w-0 gap-2.5">
        <span className="pt-1.5">
          <VerdictMark mark={worstMark(marks)} />
        </span>
        <div className="min-w-0">
          <Link to={`/bench/${bench.id}/motion`} className="link text-[16px] font-[650]">
            {bench.name}
          </Link>
          <p className="truncate text-[13px] text-second">{bench.about === '' ? 'No description yet.' : bench.about}</p>
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-4 text-[13px]">
        <span className="num text-second">
          {new Date(bench.savedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}
        </span>
        {asking ? (
          <>
            <span>Delete it with its records?</span>
            <button type="button" className="link" onClick={remove}>
              Delete “{bench.name}”
            </button>
            <button type="button" className="link" onClick={() => setAsking(false)}>
              Keep it
            </button>
          </>
        ) : (
          <>
            <button
              type="button"
              className="link min-h-6"
              aria-label={`Export “${bench.name}”`}
              onClick={() => void exportBench(bench.id).then(exported)}
            >
              Export
            </button>
            <button
              type="button"
              className="link min-h-6"
              aria-label={`Delete “${bench.name}” …`}
              onClick={() => setAsking(true)}
            >
              Delete …
            </button>
          </>
        )}
      </div>
    </li>
  )
}
