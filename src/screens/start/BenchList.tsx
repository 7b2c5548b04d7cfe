import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { worstMark } from '../../core/bench'
import type { Finding, Outcome } from '../../core/units'
import { belongings, DONE, isDone, removeBench, type BenchSummary, type Told } from '../../state'
import { exportBench, takeOutRaw, VerdictMark, Findings } from '../../ui'

/** The benches of this browser, last worked on first, each to be opened, exported or deleted. */
export function BenchList(props: {
  readonly list: readonly BenchSummary[]
  readonly refresh: () => void
  readonly report: (findings: readonly Finding[]) => void
}) {
  const { list, refresh, report } = props
  const [removed, setRemoved] = useState<{ readonly name: string; readonly restore: () => Promise<Outcome<string>> } | null>(null)
  const remove = async ({ id, name }: BenchSummary): Promise<void> => {
    const removal = await removeBench(id)
    report(removal.findings)
    if (removal.ok) setRemoved(removal.value === null ? null : { name, restore: removal.value })
    refresh()
  }
  /** Until it is back, the way back stays. */
  const putBack = async (restore: () => Promise<Outcome<string>>): Promise<void> => {
    const back = await restore()
    report(back.findings)
    if (back.ok) setRemoved(null)
    refresh()
  }
  return (
    <>
      {removed !== null && (
        <p role="status" className="flex items-center gap-3 border-b border-rule py-2">
          “{removed.name}” was deleted.
          <button type="button" className="link" onClick={() => void putBack(removed.restore)}>
            Put it back
          </button>
        </p>
      )}
      {list.length === 0 && removed === null && (
        <p className="py-3 text-second">Nothing yet. Benches are kept in this browser, on this machine only.</p>
      )}
      <ul className="m-0 list-none p-0">
        {list.map((bench) => (
          <Row key={bench.id} bench={bench} remove={() => void remove(bench)} exported={report} />
        ))}
      </ul>
    </>
  )
}

/** One that cannot be read here is taken out as it is stored. */
async function exportListed(id: string): Promise<Told> {
  const said = await exportBench(id)
  return isDone(said) ? said : takeOutRaw(id)
}

/** What goes with a bench that is deleted, and whether it can be read here at all. */
function WhatIsLost({ id }: { readonly id: string }) {
  const [lost, setLost] = useState<Awaited<ReturnType<typeof belongings>>>(null)
  const [said, say] = useState(DONE)
  useEffect(() => void belongings(id).then(setLost), [id])
  if (lost === null) return <span>Delete it with its records?</span>
  const of = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`
  return (
    <span>
      Delete it with {of(lost.records, 'record')} and {of(lost.pictures, 'picture')}?
      {!lost.readable && (
        <>
          {' '}
          This Fine Kerf cannot read it.{' '}
          <button type="button" className="link" onClick={() => void takeOutRaw(id).then(say)}>
            Take it out as a file first
          </button>
          .
          <Findings findings={said} />
        </>
      )}
    </span>
  )
}

function Row({
  bench,
  remove,
  exported,
}: {
  readonly bench: BenchSummary
  readonly remove: () => void
  readonly exported: (said: Told) => void
}) {
  const [asking, setAsking] = useState(false)
  const marks = Object.values(bench.marks).filter((it) => it !== null)
  return (
    <li className={`grid gap-x-4 gap-y-1 border-b border-rule py-2.5 ${asking ? '' : 'sm:grid-cols-[1fr_auto] sm:items-center'}`}>
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
            <WhatIsLost id={bench.id} />
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
              onClick={() => void exportListed(bench.id).then(exported)}
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
