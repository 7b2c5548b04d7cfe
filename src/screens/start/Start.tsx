import { useEffect, useState, type SyntheticEvent } from 'react'
import { Link, useNavigate } from 'react-router'
import { isPracticeId } from '../../core/document'
import type { Finding, Outcome, UnitSystem } from '../../core/units'
import {
  addressOf,
  benches,
  COURSE_PAGE,
  createBench,
  drawNumber,
  importFile,
  NEXT,
  openDemo,
  openPractice,
  openSecondDemo,
  wordsOf,
  type BenchSummary,
} from '../../state'
import { FileButton, Findings, Panel } from '../../ui'
import { STAGES } from '../stages'
import { BenchList } from './BenchList'

/** The start: the benches of this browser, the demo, an empty one, a file. */
export function Start() {
  const [list, setList] = useState<readonly BenchSummary[] | null>(null)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const navigate = useNavigate()
  const refresh = (): void => void benches().then(setList, (error: unknown) => setFindings([noStorage(error)]))
  useEffect(refresh, [])
  useEffect(() => {
    document.title = 'Fine Kerf'
  }, [])
  const open = (outcome: Outcome<string>, stage = 'motion'): void => {
    setFindings(outcome.findings)
    if (outcome.ok) void navigate(addressOf(outcome.value, stage))
  }
  return (
    <div className="grid min-h-full md:grid-cols-[232px_minmax(0,1fr)]">
      <Tape />
      <main className="max-w-[56rem] px-5 py-8 sm:px-10">
        <h1 className="text-[30px] font-[740] leading-tight">
          Fine<span className="text-teal">/</span>Kerf
        </h1>
        <p className="mt-1 max-w-[40rem] text-[16px] text-second">
          The measuring, arithmetic, records and judgement behind a diode laser engraver you build yourself. Works offline, in
          this browser, at the bench.
        </p>
        <Findings findings={findings} />
        <div className="mt-8 grid gap-8">
          <Panel title="On the bench">
            {list === null ? (
              <p className="py-3 text-second">Looking …</p>
            ) : (
              <Benches list={list} refresh={refresh} report={setFindings} />
            )}
          </Panel>
          <Panel title="Begin">
            <ul className="m-0 list-none p-0">
              <Way words="See how it works on a machine that is half measured: Heron, a self-built engraver in an allotment society’s shed.">
                <button type="button" className="button button-first" onClick={() => void openDemo().then((it) => open(it))}>
                  Open the demo bench
                </button>
              </Way>
              <Way words="Or on a retrofit: Plover, a diode head on a small screw-driven router that marks tool handles.">
                <button type="button" className="button" onClick={() => void openSecondDemo().then((it) => open(it))}>
                  Open the retrofit demo
                </button>
              </Way>
              <PracticeWay open={(made) => open(made, 'controller')} />
              <Way words="Or take the course: ten lessons in three grades, from setting the steps to finding what is wrong, each scored.">
                <Link to={COURSE_PAGE} className="button inline-flex items-center justify-center">
                  The practice course
                </Link>
              </Way>
              <NewBench open={(made) => open(made, NEXT)} />
              <OpenFile open={open} />
            </ul>
          </Panel>
        </div>
        <p className="mt-8 max-w-[40rem] border-t border-rule pt-3 text-[13px] text-second">
          A beam that marks wood blinds and sets fire. Fine Kerf works out figures and says which check passed; it calls nothing
          safe. Local rules, certified eyewear and licensed practice come first.
        </p>
      </main>
    </div>
  )
}

/** The benches of real machines, and apart from them those of practice. */
function Benches(props: Parameters<typeof BenchList>[0]) {
  const { list } = props
  const practised = list.filter((it) => isPracticeId(it.id))
  return (
    <>
      <BenchList {...props} list={list.filter((it) => !isPracticeId(it.id))} />
      {practised.length > 0 && (
        <details className="py-2">
          <summary className="min-h-6 cursor-pointer text-[14px]">
            Practice machines and lessons: <span className="num">{practised.length}</span>
          </summary>
          <BenchList {...props} list={practised} />
        </details>
      )}
    </>
  )
}

function noStorage(error: unknown): Finding {
  const message = wordsOf(error)
  return {
    code: 'no-storage',
    severity: 'error',
    message: `This browser lets nothing be stored here (${message}). Leave private browsing, or allow storage for this page.`,
  }
}

function Way({ words, children }: { readonly words: string; readonly children: React.ReactNode }) {
  return (
    <li className="grid gap-3 border-b border-rule py-4 sm:grid-cols-[1fr_17rem] sm:items-center sm:gap-8">
      <p>{words}</p>
      <div className="grid gap-2">{children}</div>
    </li>
  )
}

/** A machine with hidden errors and faults, to be commissioned for a score. */
function PracticeWay({ open }: { readonly open: (outcome: Outcome<string>) => void }) {
  const [grade, setGrade] = useState<'1' | '2' | '3'>('1')
  const [number, setNumber] = useState(() => String(drawNumber()))
  const isNumber = /^[1-9]\d{0,5}$/.test(number.trim())
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault()
    if (isNumber) void openPractice(Number(grade) as 1 | 2 | 3, Number(number)).then(open)
  }
  return (
    <Way words="Practise: a machine of the stand-in with errors and faults that nobody has told you. Commission it, then see the truth and your score. Nothing of it is real.">
      <form className="grid gap-2" onSubmit={submit}>
        <div className="flex gap-3">
          <label className="grid gap-1 text-[13px] text-second">
            Grade
            <select
              className="input text-[15px] text-ink"
              value={grade}
              onChange={(event) => setGrade(event.target.value as '1')}
            >
              <option value="1">1, no faults</option>
              <option value="2">2, one fault</option>
              <option value="3">3, two faults</option>
            </select>
          </label>
          <label className="grid flex-1 gap-1 text-[13px] text-second">
            Its number
            <input
              className="input num w-full text-[15px] text-ink"
              inputMode="numeric"
              value={number}
              aria-invalid={!isNumber}
              onChange={(event) => setNumber(event.target.value)}
            />
          </label>
        </div>
        {!isNumber && <p className="text-[13px]">A whole number from 1 to 999 999; the same number draws the same machine.</p>}
        <button type="submit" className="button" disabled={!isNumber}>
          Practise on it
        </button>
      </form>
    </Way>
  )
}

function NewBench({ open }: { readonly open: (outcome: Outcome<string>) => void }) {
  const [name, setName] = useState('')
  const [units, setUnits] = useState<UnitSystem>('metric')
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault()
    void createBench(name.trim() || 'My machine', units).then(open)
  }
  return (
    <Way words="Start with your own machine. Everything stands as a guess with an honest range until you measure it.">
      <form className="grid gap-2" onSubmit={submit}>
        <label className="grid gap-1 text-[13px] text-second">
          Name of the machine
          <input
            className="input text-[15px] text-ink"
            value={name}
            onChange={(event) => setName(event.target.value)}
            maxLength={60}
            placeholder="My machine"
            autoComplete="off"
          />
        </label>
        <fieldset className="flex gap-4">
          <legend className="sr-only">Figures in</legend>
          {(['metric', 'inch'] as const).map((it) => (
            <label key={it} className="flex min-h-8 items-center gap-1.5">
              <input type="radio" name="units" checked={units === it} onChange={() => setUnits(it)} />
              {it === 'metric' ? 'millimetres' : 'inches'}
            </label>
          ))}
        </fieldset>
        <button type="submit" className="button">
          Start an empty bench
        </button>
      </form>
    </Way>
  )
}

function OpenFile({ open }: { readonly open: (outcome: Outcome<string>) => void }) {
  return (
    <Way words="Go on with a bench file that was exported here or elsewhere. You can also drop it anywhere on this window.">
      <FileButton
        label="Bench file"
        accept=".zip,.json,application/zip,application/json"
        take={(file) => void importFile(file).then(open)}
      >
        Open a bench file
      </FileButton>
    </Way>
  )
}

/** The route ahead, as a tape; it becomes the way through once a bench is open. */
function Tape() {
  return (
    <aside aria-label="The route" className="hidden border-r border-ink bg-tape md:block">
      <ol className="sticky top-0 m-0 flex h-screen list-none flex-col p-0">
        {STAGES.map(({ id, name, question }, i) => (
          <li key={id} className="relative flex-1 overflow-hidden px-4 py-1">
            <span className="num mr-2 text-[11px]">{i + 1}</span>
            <span className="font-[600]">{name}</span>
            <span className="block pr-6 text-[11.5px] leading-tight text-second">{question}</span>
            <span aria-hidden className="absolute right-0 top-0 h-px w-5 bg-ink" />
            <span aria-hidden className="absolute right-0 top-1/2 h-px w-3 bg-second" />
          </li>
        ))}
      </ol>
    </aside>
  )
}
