import { useState } from 'react'
import { listingChanges, readListing, type Controller, type ListingChange } from '../../core/controller'
import { listingByBench, type Bench } from '../../core/document'
import type { Finding } from '../../core/units'
import { engineOf, restoreListing, useMachine } from '../../state'
import { download, Findings, Panel, SelectOf } from '../../ui'

type Kept = Controller['listings'][string]

/** The lists that were taken from the machine: what changed between any two, the way back, and out in the same shape. */
export function Listings({ bench }: { readonly bench: Bench }) {
  const kept = Object.entries(bench.controller.listings).sort(([, p], [, q]) => q.order - p.order)
  const [newest, second] = kept
  if (newest === undefined) return null
  return (
    <Panel title="The machine’s lists, as they were taken">
      <SameShape bench={bench} text={newest[1].text} />
      {second !== undefined && <Between key={newest[0]} kept={kept} />}
    </Panel>
  )
}

/** The newest list with what the bench says in place of what differs. */
function SameShape({ bench, text }: { readonly bench: Bench; readonly text: string }) {
  const { text: written, changed } = listingByBench(engineOf(bench), text)
  const save = (): void => download('listing.txt', new TextEncoder().encode(written), 'text/plain')
  return (
    <div className="flex flex-wrap items-center gap-3 py-2">
      <button type="button" className="button no-print" onClick={save}>
        Its list, by the bench
      </button>
      <span className="text-[13px] text-second" role="status">
        {changed.length === 0
          ? 'In the shape that it prints; nothing in it differs.'
          : `In the shape that it prints; changed: ${changed.map((it) => it.setting.label).join(', ')}.`}
      </span>
    </div>
  )
}

/** What changed between two lists, and the way back to the earlier one. */
function Between({ kept }: { readonly kept: readonly (readonly [string, Kept])[] }) {
  const names = Object.fromEntries(kept.map(([id, it]) => [id, `taken ${sayWhen(it.at)}`]))
  const [earlier, setEarlier] = useState(kept[1]?.[0] ?? '')
  const [later, setLater] = useState(kept[0]?.[0] ?? '')
  const textOf = (id: string): string => kept.find(([it]) => it === id)?.[1].text ?? ''
  const changes = listingChanges(readListing(textOf(earlier)).entries, readListing(textOf(later)).entries)
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-2 py-1 text-[13.5px]">
        From the list <SelectOf label="Earlier list" of={names} value={earlier} choose={setEarlier} />
        to the one <SelectOf label="Later list" of={names} value={later} choose={setLater} />
      </div>
      {changes.length === 0 ? (
        <p className="py-1 text-second">Nothing changed between them.</p>
      ) : (
        <ul className="m-0 list-none p-0" aria-label="What changed between the lists">
          {changes.slice(0, MOST_SHOWN).map((it) => (
            <Change key={it.key} change={it} />
          ))}
        </ul>
      )}
      {changes.length > MOST_SHOWN && <p className="py-1 text-[13px] text-second">and {changes.length - MOST_SHOWN} more</p>}
      <Back id={earlier} name={names[earlier] ?? ''} changes={changes} />
    </>
  )
}

const MOST_SHOWN = 60

function sayWhen(at: string): string {
  return new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'medium' })
}

function Change({ change: { key, before, after } }: { readonly change: ListingChange }) {
  return (
    <li className="flex justify-between gap-4 border-b border-rule py-1 text-[13.5px]">
      <span className="num break-all">{key}</span>
      <span className="num text-right">
        {before ?? 'was not there'} → {after ?? 'is gone'}
      </span>
    </li>
  )
}

/** The way back: over the link line by line, or as the lines to type. */
function Back({ id, name, changes }: { readonly id: string; readonly name: string; readonly changes: readonly ListingChange[] }) {
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const [asking, setAsking] = useState(false)
  const linked = useMachine((it) => it.link === 'open' && !it.running)
  const lines = changes.flatMap(({ key, before }) => (before === null ? [] : [`${key} = ${before}`]))
  const restore = (): void => {
    setAsking(false)
    void restoreListing(id).then(setFindings)
  }
  return (
    <div className="no-print py-2">
      <div className="flex flex-wrap gap-2">
        {linked && !asking && (
          <button type="button" className="button" onClick={() => setAsking(true)}>
            Put the machine back to it …
          </button>
        )}
        {lines.length > 0 && (
          <button
            type="button"
            className="button"
            onClick={() => download('back.txt', new TextEncoder().encode(`${lines.join('\n')}\n`), 'text/plain')}
          >
            The lines that lead back
          </button>
        )}
      </div>
      {asking && (
        <section aria-label="Put back" className="mt-2 border border-ink p-3">
          <p>
            What the machine lists otherwise now is set as it was in the list {name}, line by line, and read back. What you
            calibrated since is overwritten in the machine, not on the bench.
          </p>
          <div className="mt-2 flex gap-2">
            <button type="button" className="button button-first" onClick={restore}>
              Put it back
            </button>
            <button type="button" className="button" onClick={() => setAsking(false)}>
              Leave the machine as it is
            </button>
          </div>
        </section>
      )}
      <Findings findings={findings} />
    </div>
  )
}
