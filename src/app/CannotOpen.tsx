import { useState } from 'react'
import type { Finding } from '../core/units'
import { Findings, takeOutRaw } from '../ui'
import { DONE } from '../state'

/** What stands at the address of a bench that cannot be opened: why, the bench as it is stored, and a way back. */
export function CannotOpen({ id, findings }: { readonly id: string; readonly findings: readonly Finding[] }) {
  const [said, say] = useState(DONE)
  const isHere = !findings.some((it) => it.code === 'not-found')
  return (
    <main className="mx-auto max-w-[40rem] p-8">
      <h1 className="text-[22px] font-[680]">This bench cannot be opened</h1>
      <Findings findings={findings.slice(0, 12)} />
      {findings.length > 12 && <p className="text-second">And {findings.length - 12} more of the kind.</p>}
      <Findings findings={said} />
      <div className="mt-4 flex flex-wrap gap-2">
        {isHere && (
          <button type="button" className="button button-first" onClick={() => void takeOutRaw(id).then(say)}>
            Take it out as a file, as it is stored
          </button>
        )}
        <button type="button" className="button" onClick={() => location.reload()}>
          Try again
        </button>
        <a className="button inline-flex items-center" href="/">
          All benches
        </a>
      </div>
    </main>
  )
}
