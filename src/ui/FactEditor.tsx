import { useId, useState, type SyntheticEvent } from 'react'
import { offeredUnit, type Fact, type FactSpec, type Origin, type Path } from '../core/bench'
import { hintAt, labelAt, type Bench } from '../core/document'
import { printQuantity, unitOf, unitsOf, type Finding } from '../core/units'
import { dropDraft, keepDraft, rememberTool, setFact, stopEditing, useBenchStore, useSession, type Draft, isDone } from '../state'
import { draftOf, proposed, readDraft, sayKept, today } from './factDraft'
import { Findings } from './Findings'

const ORIGINS: readonly { readonly id: Origin; readonly words: string; readonly hint: string }[] = [
  { id: 'measured', words: 'measured', hint: 'read by you, with an instrument' },
  { id: 'stated', words: 'stated', hint: 'from a label, a data sheet, or chosen' },
  { id: 'assumed', words: 'assumed', hint: 'a guess nobody has checked' },
]

interface Edited {
  readonly path: Path
  readonly fact: Fact
  readonly spec: FactSpec
  readonly bench: Bench
}

/** The editor of one fact: value, where it comes from, how far it may be off. What is typed is never lost. */
export function FactEditor(of: Omit<Edited, 'bench'>) {
  const bench = useBenchStore((it) => it.bench)
  return bench === null ? null : <Editor {...of} bench={bench} />
}

function Editor(edited: Edited) {
  const { path, spec, bench } = edited
  const id = useId()
  const hint = hintAt(path)
  const { draft, findings, change, submit, abandon } = useDraft(edited)
  const isMeasured = draft.origin === 'measured'
  return (
    <form onSubmit={submit} onKeyDown={(event) => event.key === 'Escape' && abandon()} noValidate>
      <label htmlFor={`${id}-value`} className="block font-[650]">
        {labelAt(bench, path)}
      </label>
      {hint !== undefined && <p className="mt-0.5 text-[13px] text-second">{hint}</p>}
      <ValueInput id={id} draft={draft} change={change} spec={spec} bench={bench} findings={findings} />
      <OriginChoice id={id} draft={draft} change={change} />
      <DoubtInput draft={draft} change={change} whole={spec.whole === true} />
      <Kept draft={draft} spec={spec} bench={bench} />
      {isMeasured && <ReadWith draft={draft} change={change} spec={spec} bench={bench} />}
      {isMeasured && (
        <label className={ROW}>
          <span className="text-[13px]">On</span>
          <input type="date" className="input num" value={draft.day} onChange={(event) => change({ day: event.target.value })} />
        </label>
      )}
      <div id={`${id}-findings`}>
        <Findings findings={findings} />
      </div>
      <div className="mt-3 flex justify-end gap-2">
        <button type="button" className="button" onClick={abandon}>
          Leave as it was
        </button>
        <button type="submit" className="button button-first">
          Enter
        </button>
      </div>
    </form>
  )
}

const ROW = 'mt-2 flex items-center justify-between gap-2'

type Change = (next: Partial<Draft>) => void

/** What is typed, kept as it is typed, and what is wrong with it once somebody has pressed Enter. */
function useDraft({ path, fact, spec, bench }: Edited) {
  const kept = useSession(({ drafts }) => drafts[path])
  const [draft, setDraft] = useState<Draft>(() => kept ?? draftOf(fact))
  const [findings, setFindings] = useState<readonly Finding[]>(() =>
    kept === undefined ? [] : readDraft(kept, spec, bench).findings,
  )
  const [untouched, setUntouched] = useState(kept === undefined)
  const tool = useSession(({ lastTools }) => lastTools[spec.quantity] ?? '')
  const change: Change = (next) => {
    const changed = { ...draft, ...proposed(draft, next, { spec, bench, tool, today: today(), untouched }), ...next }
    setUntouched(false)
    setDraft(changed)
    keepDraft(path, changed)
    if (findings.length > 0) setFindings(readDraft(changed, spec, bench).findings)
  }
  const abandon = (): void => {
    dropDraft(path)
    stopEditing()
  }
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault()
    const read = readDraft(draft, spec, bench)
    if (!read.ok) return setFindings(read.findings)
    const said = setFact(path, read.value, labelAt(bench, path))
    if (!isDone(said)) return setFindings(said)
    const { instrument } = read.value
    if (instrument !== undefined) rememberTool(spec.quantity, instrument)
    abandon()
  }
  return { draft, findings, change, submit, abandon }
}

interface Part {
  readonly draft: Draft
  readonly change: Change
}

function ValueInput(
  props: Part & Pick<Edited, 'spec' | 'bench'> & { readonly id: string; readonly findings: readonly Finding[] },
) {
  const { id, draft, change, spec, bench, findings } = props
  const unit = offeredUnit(spec, bench.units)
  return (
    <>
      <div className="mt-2 flex items-center gap-2">
        <input
          id={`${id}-value`}
          className="input num min-w-0 flex-1 text-[16px]"
          value={draft.typed}
          onChange={(event) => change({ typed: event.target.value })}
          onFocus={(event) => event.target.select()}
          autoFocus
          autoComplete="off"
          inputMode="text"
          aria-describedby={`${id}-unit ${id}-findings`}
          aria-invalid={findings.some((it) => it.severity === 'error')}
        />
        <span id={`${id}-unit`} className="num text-second">
          {unitOf(unit).symbol}
        </span>
      </div>
      <OtherUnits spec={spec} unit={unit} />
    </>
  )
}

function OriginChoice({ id, draft, change }: Part & { readonly id: string }) {
  return (
    <fieldset className="mt-3">
      <legend className="text-[13px] text-second">Where it comes from</legend>
      <div className="mt-1 flex gap-4">
        {ORIGINS.map(({ id: origin, words, hint }) => (
          <label key={origin} title={hint} className="flex min-h-8 items-center gap-1.5">
            <input type="radio" name={`${id}-origin`} checked={draft.origin === origin} onChange={() => change({ origin })} />
            <span className={`origin-${origin}`}>{words}</span>
          </label>
        ))}
      </div>
    </fieldset>
  )
}

function DoubtInput({ draft, change, whole }: Part & { readonly whole: boolean }) {
  return (
    <label className={ROW}>
      <span className="text-[13px]">{doubtWords(draft.origin, whole)}</span>
      <span className="flex items-center gap-1.5">
        <span className="num text-second">±</span>
        <input
          className="input num w-24"
          value={draft.doubtTyped}
          placeholder={whole ? 'exact' : 'usual'}
          onChange={(event) => change({ doubtTyped: event.target.value })}
          autoComplete="off"
        />
      </span>
    </label>
  )
}

/** The ± that will be kept, and where it comes from: no reading takes one in silence. */
function Kept({ draft, spec, bench }: Pick<Part, 'draft'> & Pick<Edited, 'spec' | 'bench'>) {
  const kept = sayKept(draft, spec, bench)
  return (
    <p className="mt-1 min-h-5 text-[12px] text-second" role="status">
      {kept}
    </p>
  )
}

function ReadWith({ draft, change, spec, bench }: Part & Pick<Edited, 'spec' | 'bench'>) {
  const instruments = Object.entries(bench.instruments).filter(([, it]) => it.quantity === spec.quantity)
  const unit = offeredUnit(spec, bench.units)
  if (instruments.length === 0) return null
  return (
    <label className={ROW}>
      <span className="text-[13px]">Read with</span>
      <select
        className="input max-w-52"
        value={draft.instrumentId}
        onChange={(event) => change({ instrumentId: event.target.value, doubtTyped: '' })}
      >
        <option value="">something else</option>
        {instruments.map(([key, { name, max }]) => (
          <option key={key} value={key}>{`${name}, to ${printQuantity(max, null, unit).value} ${unitOf(unit).symbol}`}</option>
        ))}
      </select>
    </label>
  )
}

function OtherUnits({ spec, unit }: { readonly spec: FactSpec; readonly unit: ReturnType<typeof offeredUnit> }) {
  const others = unitsOf(spec.quantity).filter((it) => it !== unit)
  if (others.length === 0) return null
  return <p className="mt-1 text-[12px] text-second">or type the unit: {others.map((it) => unitOf(it).symbol).join(', ')}</p>
}

function doubtWords(origin: Origin, whole: boolean): string {
  if (whole) return 'Could be off by'
  return origin === 'measured' ? 'One reading scatters by (u)' : 'Certainly within'
}
