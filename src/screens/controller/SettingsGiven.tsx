import { useState } from 'react'
import { setAt } from '../../core/bench'
import { lineOfSetting, readListing, SPEED_UNITS, type Listing } from '../../core/controller'
import { compareSettings, type Bench, type ComparedSetting } from '../../core/document'
import type { Finding } from '../../core/units'
import {
  editBench,
  engineOf,
  nameKey,
  readSettings,
  takeListing,
  useBenchStore,
  useMachine,
  writeSettings,
  told,
} from '../../state'
import { ChoiceField, download, FactField, Findings, Panel, PlainField, Sentence } from '../../ui'

/** What is done with all settings at once, how the machine names and takes them, and what the bench says of the beam. */
export function SettingsGiven() {
  const bench = useBenchStore((it) => it.bench)
  const linked = useMachine((it) => it.link === 'open')
  if (bench === null) return null
  const rows = compareSettings(engineOf(bench))
  return (
    <div className="mt-4 grid gap-4">
      {linked ? <OverTheLink rows={rows} bench={bench} /> : <ByHandAll rows={rows} bench={bench} />}
      <Panel title="Given, the beam’s settings">
        <Sentence>
          The full power word is <FactField path="electrical.fullPower" />, the power signal runs at{' '}
          <FactField path="electrical.pwmFrequency" />, and the power <ChoiceField path="electrical.followsSpeed" />.
        </Sentence>
      </Panel>
      <Names rows={rows} bench={bench} />
    </div>
  )
}

function OverTheLink({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const [asking, setAsking] = useState(false)
  const differing = rows.filter((it) => it.standing === 'differs')
  const write = (): void => {
    setAsking(false)
    void writeSettings(differing.map(({ setting }) => setting.id)).then(setFindings)
  }
  return (
    <div className="no-print">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => void readSettings().then(setFindings)}>
          Read the settings
        </button>
        <AsText rows={rows} bench={bench} />
        {differing.length > 0 && !asking && (
          <button type="button" className="button button-first" onClick={() => setAsking(true)}>
            Write {differing.length === 1 ? 'the one that differs' : `all ${differing.length} that differ`} …
          </button>
        )}
      </div>
      {asking && differing.length > 0 && (
        <section aria-label="What will change" className="mt-3 border border-ink p-3">
          <p className="font-[650]">This will change in the machine:</p>
          <ul className="m-0 mt-1 list-none p-0">
            {differing.map(({ setting, inMachine, wanted }) => (
              <li key={setting.id} className="flex justify-between gap-4 border-b border-rule py-1">
                <span>{setting.label}</span>
                <span className="num">
                  {inMachine} → {wanted}
                </span>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex gap-2">
            <button type="button" className="button button-first" onClick={write}>
              Write {differing.length === 1 ? 'it' : 'them'}
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

function ByHandAll({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const [pasting, setPasting] = useState(false)
  return (
    <div className="no-print">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => setPasting(!pasting)} aria-expanded={pasting}>
          Paste the machine’s list
        </button>
        <AsText rows={rows} bench={bench} />
      </div>
      {pasting && <PasteListing rows={rows} />}
    </div>
  )
}

/** Settings as the lines that the machine takes, in a file or on paper; what rests on a guess is left out and named. */
function AsText({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const known = rows.filter(({ wanted, unchecked }) => wanted !== null && unchecked === null)
  const guessed = rows.filter(({ wanted, unchecked }) => wanted !== null && unchecked !== null)
  const lines = known.map(({ setting, wanted }) => lineOfSetting(setting, wanted ?? '', bench.controller))
  const bytes = (): Uint8Array => new TextEncoder().encode(`${lines.join('\n')}\n`)
  return (
    <>
      <button
        type="button"
        className="button"
        disabled={lines.length === 0}
        onClick={() => download('settings.txt', bytes(), 'text/plain')}
      >
        Settings as text
      </button>
      <button type="button" className="button" onClick={() => window.print()}>
        Print
      </button>
      {guessed.length > 0 && (
        <p className="basis-full text-[13px] text-second">
          As text {lines.length === 0 ? 'nothing leaves yet' : `${lines.length} of ${rows.length} leave`}: left out is what rests
          on a guess, {guessed.map(({ setting }) => setting.label).join(', ')}.
        </p>
      )}
    </>
  )
}

/** Takes a list as the machine prints it, in any of the usual shapes. */
function PasteListing({ rows }: { readonly rows: readonly ComparedSetting[] }) {
  const [text, setText] = useState('')
  const [read, setRead] = useState<{ readonly listing: Listing; readonly findings: readonly Finding[] } | null>(null)
  const take = (): void => {
    const listing = readListing(text)
    const byKey = new Map(listing.entries.map((it) => [it.key, it.text]))
    const findings =
      byKey.size === 0
        ? [{ code: 'empty', severity: 'error' as const, message: 'No line holds a key and a value. Paste the whole list.' }]
        : takeListing(byKey)
    setRead({ listing, findings: [...listing.findings, ...findings] })
  }
  const unnamed = read === null ? [] : rows.filter((row) => !read.listing.entries.some((it) => it.key === row.key))
  return (
    <div className="mt-3 border-l-2 border-rule pl-3">
      <label className="grid gap-1 text-[13px]">
        What the machine prints when it is asked for its settings
        <textarea
          className="input num text-[13px]"
          rows={7}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder={'x/steps = 80.000\ny/steps = 80.000'}
          spellCheck={false}
        />
      </label>
      <button type="button" className="button mt-2" onClick={take} disabled={text.trim() === ''}>
        Read it
      </button>
      {read !== null && (
        <p className="mt-2" role="status">
          {read.listing.entries.length} settings stand there; {rows.length - unnamed.length} of {rows.length} are known by name.
        </p>
      )}
      {read !== null && read.listing.entries.length > 0 && unnamed.length > 0 && (
        <div className="mt-2 grid gap-1 text-[13px]">
          {unnamed.map((row) => (
            <label key={row.setting.id} className="flex items-center justify-between gap-3">
              {row.setting.label} is
              <select
                className="input min-h-8 py-0.5"
                value=""
                onChange={(event) => {
                  nameKey(row.setting.id, event.target.value)
                  take()
                }}
              >
                <option value="">not chosen</option>
                {read.listing.entries.map((it) => (
                  <option key={it.key} value={it.key}>{`${it.key}: ${it.text}`}</option>
                ))}
              </select>
            </label>
          ))}
        </div>
      )}
      {read !== null && <Findings findings={read.findings.slice(0, 12)} />}
    </div>
  )
}

/** How the machine names its settings, counts speed and wants a line. */
function Names({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  return (
    <details className="no-print">
      <summary className="cursor-pointer text-[13px] font-[650]">How this machine names and takes its settings</summary>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <PlainField
          label="Line that sets one: {key} and {value} are filled in"
          value={bench.controller.line}
          className="w-64"
          keep={(line) =>
            line.includes('{key}') && line.includes('{value}')
              ? editBench('the line that sets a setting', (it) => setAt(it, 'controller.line', line))
              : told('Put {key} and {value} where they belong in the line.')
          }
        />
        <label className="grid text-[12px] text-second">
          It counts speed in
          <select
            className="input min-h-8 py-0.5 text-[13.5px]"
            value={bench.controller.speedUnit}
            onChange={(event) => editBench('the unit of speed', (it) => setAt(it, 'controller.speedUnit', event.target.value))}
          >
            {SPEED_UNITS.map((it) => (
              <option key={it}>{it}</option>
            ))}
          </select>
        </label>
      </div>
      <div className="mt-3 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        {rows.map(({ setting, key }) => (
          <PlainField
            key={setting.id}
            label={setting.label}
            value={key}
            className="w-full"
            keep={(typed) => (typed.trim() === '' ? told('A setting needs a key.') : nameKey(setting.id, typed.trim()))}
          />
        ))}
      </div>
    </details>
  )
}
