import { useState } from 'react'
import { proposeKeys, readListing, unitOfListed, type Listed, type Listing } from '../../core/controller'
import { shownNumber } from '../../core/bench'
import { axisIds, type Bench, type ComparedSetting } from '../../core/document'
import { steps } from '../../core/motion'
import { unitOf, type Finding } from '../../core/units'
import { engineOf, isDone, readTextFile, takeListing, useSession } from '../../state'
import { Findings } from '../../ui'

/** Keys whose meaning is a guess: the list does not say it itself. */
type Guesses = ReadonlySet<string>

/** What a line of the list is: a setting's id, or none of them. */
type Meant = Readonly<Record<string, string>>

/** Takes a list as the machine prints it, in any of the usual shapes: what each line is, is proposed and can be changed. */
export function PasteListing({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const text = useSession((it) => it.pastedListing)
  const setText = (pastedListing: string): void => useSession.setState({ pastedListing })
  const [read, setRead] = useState<{ readonly listing: Listing; readonly meant: Meant; readonly guesses: Guesses } | null>(null)
  const [said, setSaid] = useState<readonly Finding[]>([])
  const look = (): void => {
    const listing = readListing(text)
    setRead({ listing, ...meantBy(listing.entries, rows, bench) })
    setSaid(listing.entries.length === 0 ? [NOTHING] : listing.findings)
  }
  const take = (): void => {
    if (read === null) return
    const keys = Object.fromEntries(Object.entries(read.meant).map(([key, id]) => [id, key]))
    const found = takeListing(read.listing.entries, keys, text)
    setSaid([...read.listing.findings, ...found])
    // What was refused stays as it was pasted, with what was said of its lines.
    if (!isDone(found)) return
    setRead(null)
    setText('')
  }
  return (
    <section aria-label="The machine’s own list" className="no-print max-w-[52rem]">
      <label className="grid gap-1 text-[13px]">
        What the machine prints when it is asked for its settings, pasted, or its file dropped here
        <textarea
          className="input num text-[13px]"
          rows={5}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            const [file] = event.dataTransfer.files
            if (file === undefined) return
            event.preventDefault()
            event.stopPropagation()
            void readTextFile(file).then((it) => (it.ok ? setText(it.value) : setSaid(it.findings)))
          }}
          placeholder={'x/steps = 80.000\ny/steps = 80.000   ; with its comments, they say what it is'}
          spellCheck={false}
        />
      </label>
      {read === null ? (
        <button type="button" className="button button-first mt-2" onClick={look} disabled={text.trim() === ''}>
          Read it
        </button>
      ) : (
        <Proposed
          listing={read.listing}
          meant={read.meant}
          guesses={read.guesses}
          rows={rows}
          bench={bench}
          change={(meant) => setRead({ ...read, meant })}
          take={take}
          leave={() => setRead(null)}
        />
      )}
      <Findings findings={said.slice(0, 12)} />
    </section>
  )
}

const NOTHING: Finding = {
  code: 'empty',
  severity: 'error',
  message: 'No line holds a key and a value. Paste the whole list.',
}

/** What each line is: by the key that the bench knows, else by what stands beside it. */
function meantBy(
  entries: readonly Listed[],
  rows: readonly ComparedSetting[],
  bench: Bench,
): { readonly meant: Meant; readonly guesses: Guesses } {
  const known = rows.filter((row) => entries.some((it) => it.key === row.key))
  const letters = Object.fromEntries(axisIds(bench).map((id) => [id, bench.motion.axes[id]?.letter ?? '']))
  const rest = entries.filter((it) => known.every((row) => row.key !== it.key))
  const settings = rows.map((it) => it.setting)
  const engine = engineOf(bench)
  const nominal = Object.fromEntries(
    settings.flatMap(({ id, kind, axisId }) => {
      const value = kind === 'steps' && axisId !== null ? shownNumber(engine.value(steps, axisId).result) : null
      return value === null ? [] : [[id, value]]
    }),
  )
  const proposed = proposeKeys(rest, settings, letters, new Set(known.map((it) => it.setting.id)), nominal)
  const meant = Object.fromEntries([
    ...known.map((it) => [it.key, it.setting.id] as const),
    ...proposed.map((it) => [it.key, it.settingId] as const),
  ])
  return { meant, guesses: new Set(proposed.filter((it) => !it.sure).map((it) => it.key)) }
}

/** What was read, line by line, before anything is taken. */
function Proposed(props: {
  readonly listing: Listing
  readonly meant: Meant
  readonly guesses: Guesses
  readonly rows: readonly ComparedSetting[]
  readonly bench: Bench
  readonly change: (meant: Meant) => void
  readonly take: () => void
  readonly leave: () => void
}) {
  const { listing, meant, guesses, rows, bench, change, take, leave } = props
  const entries = [...new Map(listing.entries.map((it) => [it.key, it])).values()]
  const named = entries.filter((it) => meant[it.key] !== undefined)
  const missing = rows.filter((row) => !Object.values(meant).includes(row.setting.id))
  const mean = (key: string, id: string): void => {
    // One line is one setting: what was said to be it before is no longer.
    const rest = Object.fromEntries(Object.entries(meant).filter(([it, was]) => it !== key && was !== id))
    change(id === '' ? rest : { ...rest, [key]: id })
  }
  return (
    <div className="mt-3">
      <p role="status">
        {entries.length} lines, {named.length} of them settings of this bench.{' '}
        {missing.length > 0 && `Not found: ${missing.map((it) => it.setting.label).join(', ')}.`}{' '}
        {entries.length > named.length && 'The rest is kept as it stands, and leaves with “Settings as text”.'}
      </p>
      <ul className="m-0 mt-2 max-h-80 list-none overflow-y-auto p-0" tabIndex={0} aria-label="Lines of the list">
        {entries.map((entry) => (
          <li key={entry.key} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]">
            <span className="num min-w-32 flex-1 break-all">
              {entry.key} = {entry.text}
              {entry.words !== '' && (
                <span className="ml-2 font-sans tracking-normal text-second [word-spacing:normal]">{entry.words}</span>
              )}
            </span>
            {guesses.has(entry.key) && meant[entry.key] !== undefined && <span className="text-second">a guess: look</span>}
            <span className="num w-36 text-right text-second">{asTaken(entry, rows, meant[entry.key], bench)}</span>
            <select
              className="input min-h-8 w-56 py-0.5"
              aria-label={`What ${entry.key} is`}
              value={meant[entry.key] ?? ''}
              onChange={(event) => mean(entry.key, event.target.value)}
            >
              <option value="">none of these, keep it</option>
              {rows.map((row) => (
                <option key={row.setting.id} value={row.setting.id}>
                  {row.setting.label}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <button type="button" className="button button-first" disabled={named.length === 0} onClick={take}>
          Take {named.length === 1 ? 'this setting' : `these ${named.length} settings`}
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave it
        </button>
      </div>
    </div>
  )
}

/** In which unit a line's value is taken. */
function asTaken(entry: Listed, rows: readonly ComparedSetting[], id: string | undefined, bench: Bench): string {
  const row = rows.find((it) => it.setting.id === id)
  if (row === undefined) return ''
  const { symbol } = unitOf(unitOfListed(row.setting, `${entry.key} ${entry.words}`, bench.controller))
  return row.setting.kind === 'followsSpeed' ? 'yes or no' : symbol === '' ? 'a number' : `in ${symbol}`
}
