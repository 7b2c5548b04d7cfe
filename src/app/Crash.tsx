import { useState } from 'react'
import { useBenchStore, DONE } from '../state'
import { exportBench, takeOutRaw, Findings } from '../ui'

/** What stands there when the page itself breaks: the bench file, and a way back. */
export function Crash({ message }: { readonly message: string }) {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState(DONE)
  // Where nothing is open, the address still says which bench it was about.
  const stored = /^\/bench\/([^/]+)/.exec(location.pathname)?.[1]
  return (
    <main className="mx-auto max-w-[40rem] p-8">
      <h1 className="text-[22px] font-[680]">This page broke</h1>
      <p role="alert" className="mt-2">
        {message}. What you entered is kept in this browser.
      </p>
      <Findings findings={said} />
      <div className="mt-4 flex flex-wrap gap-2">
        {bench !== null && (
          <button type="button" className="button button-first" onClick={() => void exportBench(bench.id).then(say)}>
            Export “{bench.name}” as a file
          </button>
        )}
        {bench === null && stored !== undefined && (
          <button type="button" className="button button-first" onClick={() => void takeOutRaw(stored).then(say)}>
            Take the bench out as a file
          </button>
        )}
        <button type="button" className="button" onClick={() => location.reload()}>
          Load the page again
        </button>
        <a className="button inline-flex items-center" href="/">
          All benches
        </a>
      </div>
    </main>
  )
}
