import { useState } from 'react'
import { setAt } from '../../core/bench'
import { lineOfSetting, otherLines, SPEED_UNITS } from '../../core/controller'
import { compareSettings, type Bench, type ComparedSetting } from '../../core/document'
import type { Finding } from '../../core/units'
import {
  editBench,
  engineOf,
  keysFromFile,
  keysToFile,
  nameKey,
  readSettings,
  told,
  useBenchStore,
  useMachine,
  writeSettings,
  type Told,
} from '../../state'
import { Listings } from './Listings'
import { PasteListing } from './PasteListing'
import { ChoiceField, download, FactField, FileButton, Findings, Panel, PlainField, Sentence } from '../../ui'

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
      <Listings bench={bench} />
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

/** Without a link: the machine's list is pasted; where nothing is read yet that stands above the table. */
function ByHandAll({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const nothingRead = rows.every((it) => it.inMachine === null)
  const [pasting, setPasting] = useState(false)
  return (
    <div className="no-print grid gap-3">
      {pasting && !nothingRead && <PasteListing rows={rows} bench={bench} />}
      <div className="flex flex-wrap gap-2">
        {!nothingRead && (
          <button type="button" className="button" onClick={() => setPasting(!pasting)} aria-expanded={pasting}>
            Paste the machine’s list
          </button>
        )}
        <AsText rows={rows} bench={bench} />
      </div>
    </div>
  )
}

/** Settings as the lines that the machine takes, in a file or on paper; what rests on a guess is left out and named. */
function AsText({ rows, bench }: { readonly rows: readonly ComparedSetting[]; readonly bench: Bench }) {
  const known = rows.filter(({ wanted, unchecked }) => wanted !== null && unchecked === null)
  const guessed = rows.filter(({ wanted, unchecked }) => wanted !== null && unchecked !== null)
  const others = otherLines(bench.controller)
  const lines = [...known.map(({ setting, wanted }) => lineOfSetting(setting, wanted ?? '', bench.controller)), ...others]
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
          As text {known.length === 0 ? 'no setting leaves yet' : `${known.length} of ${rows.length} leave`}
          {others.length > 0 && `, and ${others.length} other lines of the machine’s own list`}: left out is what rests on a
          guess, {guessed.map(({ setting }) => setting.label).join(', ')}.
        </p>
      )}
    </>
  )
}

/** The names as a file: for another bench with the same controller. */
function KeysFile() {
  const [said, say] = useState<Told>([])
  const save = (): void => void keysToFile().then((it) => download('keys.json', new TextEncoder().encode(it), 'application/json'))
  return (
    <div className="mt-3">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={save}>
          Save these names as a file
        </button>
        <FileButton label="File of names" accept=".json,application/json" take={(file) => void keysFromFile(file).then(say)}>
          Take them from a file
        </FileButton>
      </div>
      <Findings findings={said} />
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
      <KeysFile />
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
