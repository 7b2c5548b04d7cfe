import { useMemo, useState } from 'react'
import { machineLimits, type Bench } from '../core/document'
import type { Step } from '../core/gcode'
import { surveyProgram } from '../core/planner'
import { printNumber, sayQuantity, type Finding, type Outcome } from '../core/units'
import {
  askCautions,
  engineOf,
  programFileName,
  recordBurn,
  recordHandOut,
  runProgram,
  scanIds,
  useMachine,
  writeThroughCard,
  type KeptProgram,
  type RunDraft,
  DONE,
  isDone,
  type Told,
} from '../state'
import { download } from './download'
import { Findings } from './Findings'

/**
 * A program on its way out: burnt on the stand-in, or as a file, or on paper. Before it leaves, the cautions are asked
 * for, and what the program would do is worked.
 */
export function HandOut(props: {
  readonly name: string
  /** A long program is made when it leaves, not with every edit; one that was written elsewhere comes with what it would do. */
  readonly steps: readonly Step[] | (() => readonly Step[]) | Worked
  readonly bench: Bench
  /** Called when it is about to leave: lays out what its marks will be known by, or says what stands in the way. */
  readonly prepare: () => Outcome<RunDraft>
  readonly burnWords: string
  /** The program is not the present one's yet: nothing leaves until it is. */
  readonly isWaiting?: boolean
  /** Where it is written down that it left, and the program kept with it; else with the controller, without it. */
  readonly stage?: string
  /** The file that it was made of; kept with it. */
  readonly madeOf?: () => File | null
}) {
  const { name, steps, bench, prepare, burnWords, isWaiting = false, stage, madeOf } = props
  const linked = useMachine((it) => it.link === 'open')
  const running = useMachine((it) => it.running)
  const done = useMachine((it) => it.report?.done ?? 0)
  const worked = useMemo(
    () => (typeof steps === 'function' ? null : 'words' in steps ? steps : workOut(bench, steps)),
    [bench, steps],
  )
  const ways = useWaysOut(
    name,
    () => worked ?? workOut(bench, typeof steps === 'function' ? steps() : []),
    prepare,
    stage,
    madeOf,
  )
  const barred = (worked !== null && worked.findings.length > 0) || running || isWaiting
  const shown = worked ?? ways.made
  return (
    <div className="pt-2">
      {shown !== null && shown.findings.length === 0 && <p className="text-[13px] text-second">{shown.words}</p>}
      <div className="no-print mt-2 flex flex-wrap items-center gap-2">
        {linked && (
          <button type="button" className="button button-first" disabled={barred} onClick={ways.burn}>
            {burnWords}
          </button>
        )}
        <button type="button" className={`button ${linked ? '' : 'button-first'}`} disabled={barred} onClick={ways.file}>
          Get the program
        </button>
        <button type="button" className="button" disabled={barred} onClick={ways.print}>
          Print it
        </button>
        {running && (
          <p role="status" className="num text-second">
            {Math.round(done * 100)}% burnt
          </p>
        )}
      </div>
      <Findings findings={[...(shown?.findings ?? []), ...ways.findings]} />
      {shown?.text != null && <Listing name={name} text={shown.text} open={ways.listed} list={ways.list} />}
    </div>
  )
}

/** A program written out, what it would do, and what stands in its way. */
export interface Worked {
  readonly text: string | null
  readonly words: string
  readonly findings: readonly Finding[]
}

function workOut(bench: Bench, steps: readonly Step[]): Worked {
  const written = writeThroughCard(bench, steps)
  if (!written.ok) return { text: null, words: '', findings: written.findings }
  const { words, finding } = judge(written.value, bench)
  return { text: written.value, words, findings: finding === null ? [] : [finding] }
}

/** The ways out of a program: over the link, as a file, on paper; each after the cautions, each written down. */
function useWaysOut(
  name: string,
  make: () => Worked,
  prepare: () => Outcome<RunDraft>,
  stage: string | undefined,
  madeOf: (() => File | null) | undefined,
) {
  const kept = (program: string, words: string): KeptProgram =>
    stage === undefined ? {} : { stage, program, words, madeOf: madeOf === undefined ? null : madeOf() }
  const [made, setMade] = useState<Worked | null>(null)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const [listed, list] = useState(false)
  const say = (unkept: Told, finding: Finding | null): void => {
    // The program itself went its way; what stays is that it is not written down.
    const warnings = unkept.map((it): Finding => ({ ...it, code: 'not-recorded', severity: 'warning' }))
    setFindings([...warnings, ...(finding === null ? [] : [finding])])
  }
  /** Asks for the cautions, then lays out what is to be burnt. */
  const begin = async (): Promise<{ readonly draft: RunDraft; readonly text: string; readonly words: string } | null> => {
    const work = make()
    setMade(work)
    const { text } = work
    if (text === null || work.findings.length > 0 || !(await askCautions())) return null
    const draft = prepare()
    setFindings(draft.ok ? [] : draft.findings)
    return draft.ok ? { draft: draft.value, text, words: work.words } : null
  }
  const burn = async (): Promise<void> => {
    const begun = await begin()
    if (begun === null) return
    const end = await runProgram(begun.text, begun.draft.id, begun.draft.sheet)
    // What was burnt to its end is a run; what was interrupted or never began is not, and is written down as what it was.
    const unkept = end.kind === 'burnt' ? begun.draft.keep() : DONE
    const recorded = await recordBurn(name, end, kept(begun.text, begun.words))
    say([...recorded, ...unkept], 'finding' in end ? end.finding : null)
  }
  const handOut = async (how: string, act: (text: string) => Promise<void> | void): Promise<void> => {
    const begun = await begin()
    if (begun === null) return
    const unkept = begun.draft.keep()
    await act(begun.text)
    say(isDone(unkept) ? await recordHandOut(name, how, kept(begun.text, begun.words)) : unkept, null)
  }
  const save = (it: string): void => download(programFileName(name), new TextEncoder().encode(it), 'text/plain')
  const print = async (): Promise<void> => {
    list(true)
    // The program stands on the sheet before it is printed.
    await new Promise((resolve) => setTimeout(resolve, 50))
    window.print()
  }
  return {
    made,
    findings,
    listed,
    list,
    burn: () => void burn(),
    file: () => void handOut('Taken as a file.', save),
    print: () => {
      const { text } = make()
      const lines = text === null ? 0 : linesOf(text)
      const message = `This program has ${printNumber(lines)} lines, too many to print and type. Get it as a file.`
      if (lines > LONGEST) setFindings([{ code: 'too-long', severity: 'error', message }])
      else void handOut('Printed.', print)
    },
  }
}

/** More lines than this are not shown, nor printed: nobody types them. */
const LONGEST = 4000

function linesOf(text: string): number {
  let count = 0
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) count++
  return count
}

function firstLines(text: string, count: number): string {
  let at = -1
  for (let k = 0; k < count; k++) {
    at = text.indexOf('\n', at + 1)
    if (at < 0) return text
  }
  return text.slice(0, at)
}

function Listing(props: {
  readonly name: string
  readonly text: string
  readonly open: boolean
  readonly list: (open: boolean) => void
}) {
  const { name, text, open, list } = props
  const lines = useMemo(() => linesOf(text), [text])
  const shown = useMemo(() => (open ? firstLines(text, LONGEST) : ''), [open, text])
  return (
    <details className="mt-3 text-[13px]" open={open} onToggle={(event) => list(event.currentTarget.open)}>
      <summary className="cursor-pointer text-second">
        The program, <span className="num">{printNumber(lines)}</span> lines
      </summary>
      <pre
        className="num mt-1 max-h-56 overflow-auto border border-rule p-2 text-[12px] leading-snug print:max-h-none print:columns-3 print:border-0"
        tabIndex={0}
        role="region"
        aria-label={`The program: ${name}`}
      >
        {shown}
      </pre>
      {lines > LONGEST && <p className="pt-1 text-second">The first {printNumber(LONGEST)} of them; all of it is in the file.</p>}
    </details>
  )
}

/** What a short program would do on this machine, or why it must not leave. */
function judge(text: string, bench: Bench): { readonly words: string; readonly finding: Finding | null } {
  const survey = surveyProgram(text, machineLimits(engineOf(bench)))
  const { x, y } = scanIds(bench)
  const travel = { X: bench.motion.axes[x]?.travel.value ?? null, Y: bench.motion.axes[y]?.travel.value ?? null }
  const { bounds } = survey
  const reach = { X: [bounds?.minX ?? 0, bounds?.maxX ?? 0], Y: [bounds?.minY ?? 0, bounds?.maxY ?? 0] } as const
  const over = (['X', 'Y'] as const).find((it) => reach[it][0] < 0 || reach[it][1] > (travel[it] ?? Infinity))
  const length = (mm: number): string => sayQuantity(mm, null, bench.units === 'metric' ? 'mm' : 'in')
  const error = survey.findings.find((it) => it.severity === 'error')
  const finding: Finding | null =
    error !== undefined
      ? {
          code: 'card-reads-badly',
          severity: 'error',
          message: `Through this output card the program cannot be read back, line ${error.line ?? 0}: ${error.message} Mend the card.`,
        }
      : over !== undefined
        ? {
            code: 'leaves-travel',
            severity: 'error',
            message: `The program goes to ${length(reach[over][1])} on ${over}, beyond the travel of ${length(travel[over] ?? 0)}. Let the marks begin nearer to the origin.`,
          }
        : null
  const time = survey.seconds > 0 ? `${sayQuantity(Math.round(survey.seconds), null, 's')}, ` : ''
  const words = `${time}${length(Math.round(survey.burntLength))} with the beam on, over X ${length(reach.X[0])} to ${length(reach.X[1])}, Y ${length(reach.Y[0])} to ${length(reach.Y[1])}.`
  return { words, finding }
}
