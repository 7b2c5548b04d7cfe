import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { printNumber, type Finding } from '../../core/units'
import { chooseTo, linesOfProgram, lookAtLine, told, useProgram, type ProgramSummary, type Told } from '../../state'
import { NumberField } from '../../ui'
import { Searching } from './Searching'

/** Height of a line, px. */
const ROW = 18
/** A window is scrolled over no more than this, px: browsers draw nothing beyond some 30 million. */
const MOST_HEIGHT = 12_000_000
/** Lines that are there beyond what is seen, so that a quick hand meets no gap. */
const SPARE = 20

/** The program's own lines, read only: the one in hand is marked here and in the drawing. Only what is seen is there. */
export function Listing({ survey }: { readonly survey: ProgramSummary }) {
  const { listed } = survey
  const line = useProgram((it) => it.line)
  const lineTo = useProgram((it) => it.lineTo)
  const window = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState({ first: 1, count: 40, shift: 0 })
  const lines = useLines(survey, seen.first, seen.count)
  const severities = useSeverities(survey.findings)
  const look = (): void => {
    const node = window.current
    if (node === null) return
    const rows = Math.ceil(node.clientHeight / ROW)
    const at = topLine(node.scrollTop, node.clientHeight, listed)
    // A program too long to be scrolled px by px is drawn about the window's edge.
    const shift = listed * ROW <= MOST_HEIGHT ? 0 : node.scrollTop - at * ROW
    setSeen({ first: Math.max(1, Math.floor(at) - SPARE), count: rows + 2 * SPARE, shift })
  }
  useEffect(look, [listed])
  useEffect(() => {
    const node = window.current
    const shown = lineTo ?? line
    if (node === null || shown === null) return
    const rows = Math.floor(node.clientHeight / ROW)
    const at = topLine(node.scrollTop, node.clientHeight, listed)
    if (shown < at + 1 || shown > at + rows - 2) node.scrollTop = scrollFor(shown - rows / 2, node.clientHeight, listed)
    node.scrollIntoView({ block: 'nearest' })
  }, [line, lineTo, listed])
  const onKeyDown = (event: KeyboardEvent): void => {
    const to = goesTo(event.key, lineTo ?? line ?? 0, listed)
    if (to === null) return
    event.preventDefault()
    void (event.shiftKey ? chooseTo(to) : lookAtLine(to))
  }
  return (
    <section aria-label="The program’s lines" className="no-print flex min-h-0 min-w-0 flex-1 flex-col">
      <GoTo listed={listed} line={line} />
      <Searching />
      <div
        ref={window}
        role="listbox"
        aria-label={`${printNumber(listed)} lines`}
        aria-multiselectable
        aria-activedescendant={line === null ? undefined : `line-${lineTo ?? line}`}
        tabIndex={0}
        className="relative min-h-40 flex-1 overflow-auto border border-rule"
        onScroll={look}
        onKeyDown={onKeyDown}
      >
        <div className="relative w-max min-w-full" style={{ height: Math.min(listed * ROW, MOST_HEIGHT) }}>
          {lines.map(({ number, text }) => (
            <Line
              key={number}
              number={number}
              text={text}
              of={listed}
              chosen={isChosen(number, line, lineTo)}
              severity={severities.get(number)}
              top={(number - 1) * ROW + seen.shift}
            />
          ))}
        </div>
      </div>
    </section>
  )
}

interface LineProps {
  readonly number: number
  readonly text: string
  readonly of: number
  readonly chosen: boolean
  readonly severity: Finding['severity'] | undefined
  readonly top: number
}

const BAR = { error: 'bg-stop', warning: 'bg-look' } as const

function Line({ number, text, of, chosen, severity, top }: LineProps) {
  return (
    <div
      id={`line-${number}`}
      role="option"
      aria-selected={chosen}
      aria-posinset={number}
      aria-setsize={of}
      className={`num absolute left-0 flex min-w-full cursor-pointer items-center gap-2 whitespace-pre pr-3 text-[12px] ${chosen ? 'bg-tape text-ink' : ''}`}
      style={{ top, height: ROW }}
      // With Shift lines are chosen, not the letters between.
      onMouseDown={(event) => event.shiftKey && event.preventDefault()}
      onClick={(event) => void (event.shiftKey ? chooseTo(number) : lookAtLine(number))}
    >
      <span className={`h-full w-1 shrink-0 ${severity === undefined ? '' : BAR[severity]}`} aria-hidden />
      <span className="w-14 shrink-0 select-none text-right text-second">{number}</span>
      <span>{text === '' ? ' ' : text}</span>
      {severity !== undefined && <span className="sr-only">, {severity === 'error' ? 'an error' : 'a remark'}</span>}
    </div>
  )
}

function isChosen(number: number, line: number | null, lineTo: number | null): boolean {
  if (line === null) return false
  const to = lineTo ?? line
  return number >= Math.min(line, to) && number <= Math.max(line, to)
}

/** A field that goes to a line by its number. */
function GoTo({ listed, line }: { readonly listed: number; readonly line: number | null }) {
  const go = (to: number | null): Told => {
    if (to !== null && (to < 1 || to > listed)) return told(`The program has the lines 1 to ${printNumber(listed)}.`)
    void lookAtLine(to)
    return []
  }
  return (
    <div className="flex items-center gap-2 pb-1.5 text-[13px]">
      <span aria-hidden>Line</span>
      <NumberField label="Line that is looked at" hideLabel whole above value={line} empty="none" className="w-24" keep={go} />
      <span className="text-second">of {printNumber(listed)}</span>
    </div>
  )
}

/** The lines around what is seen; they come from the worker that holds the text. */
function useLines(survey: ProgramSummary, first: number, count: number) {
  const [shown, setShown] = useState<{ readonly from: number; readonly texts: readonly string[] }>({ from: 1, texts: [] })
  useEffect(() => {
    let here = true
    void linesOfProgram(first, count).then((texts) => {
      if (here) setShown({ from: first, texts })
    })
    return () => {
      here = false
    }
  }, [survey, first, count])
  return shown.texts.map((text, i) => ({ number: shown.from + i, text }))
}

/** The worst that was found in each line. */
function useSeverities(findings: readonly Finding[]): ReadonlyMap<number, Finding['severity']> {
  const [known, setKnown] = useState({ findings, worst: worstOf(findings) })
  if (known.findings !== findings) setKnown({ findings, worst: worstOf(findings) })
  return known.worst
}

function worstOf(findings: readonly Finding[]): ReadonlyMap<number, Finding['severity']> {
  const worst = new Map<number, Finding['severity']>()
  for (const { line, severity } of findings) {
    if (line !== undefined && worst.get(line) !== 'error') worst.set(line, severity)
  }
  return worst
}

/** Where a key leads from the line in hand; null for a key that leads nowhere. */
function goesTo(key: string, line: number, listed: number): number | null {
  const within = (to: number): number => Math.min(listed, Math.max(1, to))
  switch (key) {
    case 'ArrowDown':
      return within(line + 1)
    case 'ArrowUp':
      return within(line - 1)
    case 'PageDown':
      return within(line + 20)
    case 'PageUp':
      return within(line - 20)
    case 'Home':
      return 1
    case 'End':
      return listed
    default:
      return null
  }
}

/** How far a window can be scrolled, px, and over how many lines. */
function span(clientHeight: number, listed: number) {
  const px = Math.max(0, Math.min(listed * ROW, MOST_HEIGHT) - clientHeight)
  return { px, lines: Math.max(0, listed - clientHeight / ROW) }
}

/** The lines that lie above the window's edge; of very long programs the edge moves by many lines a px. */
function topLine(scrollTop: number, clientHeight: number, listed: number): number {
  const { px, lines } = span(clientHeight, listed)
  return px === 0 ? 0 : (scrollTop / px) * lines
}

function scrollFor(line: number, clientHeight: number, listed: number): number {
  const { px, lines } = span(clientHeight, listed)
  return lines === 0 ? 0 : (Math.max(0, line) / lines) * px
}
