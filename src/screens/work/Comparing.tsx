import { useState } from 'react'
import type { Bench } from '../../core/document'
import { displayUnit, printNumber, sayQuantity, type Finding } from '../../core/units'
import { compareProgram, type CompareSummary, type ProgramSummary } from '../../state'
import { FileButton, Findings, NumberField, Panel, usePlateFrame, useUnits } from '../../ui'
import { LineLink } from './LineLink'
import { useKept, useProgramTool } from './programTool'
import { sayTime } from './sayTime'

/** The program that is open, held against another: by what they burn, whatever the order, and by their lines. */
export function Comparing({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const compared = useProgramTool((it) => it.compared)
  const [full, setFull] = useKept('compareS', () => Math.max(bench.electrical.fullPower.value ?? 1000, survey.highestS))
  const [otherFull, setOther] = useKept('compareOtherS', () => full)
  const [said, say] = useState<readonly Finding[]>([])
  const take = async (file: File): Promise<void> => {
    const done = await compareProgram(bench, file, [full, otherFull])
    say(done.findings)
    useProgramTool.setState({ compared: done.ok ? { of: survey, name: file.name, found: done.value } : null })
  }
  const word = (label: string, value: number, set: (it: number) => void) => (
    <NumberField label={label} hideLabel above value={value} className="w-20" keep={(it) => (set(it ?? value), [])} />
  )
  return (
    <Panel title="Held against another">
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        The power word at full power is {word('Power word of this one', full, setFull)} here and{' '}
        {word('Power word of the other', otherFull, setOther)} in the other.
      </p>
      <div className="no-print">
        <FileButton label="Program to hold against it" take={(file) => void take(file)}>
          Choose the other program
        </FileButton>
      </div>
      <Findings findings={said} />
      {compared?.of === survey && <Apart name={compared.name} found={compared.found} survey={survey} />}
    </Panel>
  )
}

function Apart(props: { readonly name: string; readonly found: CompareSummary; readonly survey: ProgramSummary }) {
  const { name, found, survey } = props
  const unit = displayUnit('length', useUnits())
  const length = (mm: number): string => sayQuantity(Math.round(mm * 10) / 10, null, unit)
  const isAlike = found.onlyFirst === 0 && found.onlySecond === 0 && found.otherwise === 0
  const rows = [
    ['Both burn', length(found.both), null],
    ['Of that with another power or speed', length(found.otherwise), null],
    ['Only this one burns', length(found.onlyFirst), 'bg-ember'],
    [`Only “${name}” burns`, length(found.onlySecond), 'bg-teal'],
    ['Time here and there', `${sayTime(survey.seconds)}, ${sayTime(found.seconds)}`, null],
  ] as const
  const { lines } = found
  return (
    <div className="mt-2 max-w-[46rem] text-[14px]" data-compared>
      <p role="status">
        <strong className="font-[650]">{isAlike ? 'They burn the same.' : 'They do not burn the same.'}</strong>{' '}
        {found.errorCount > 0 && (
          <>
            {printNumber(found.errorCount)} {found.errorCount === 1 ? 'line' : 'lines'} of “{name}” were refused, and are not
            counted.{' '}
          </>
        )}
        {found.firstLine > 0 && (
          <>
            The first that differs here is <LineLink line={found.firstLine} />
            {found.secondLine > 0 && ', '}
          </>
        )}
        {found.secondLine > 0 && (
          <>
            {found.firstLine > 0 ? '' : 'The first that differs '}there line {printNumber(found.secondLine)}
          </>
        )}
        {found.firstLine > 0 || found.secondLine > 0 ? '.' : ''}
      </p>
      {rows.map(([label, value, mark]) => (
        <div key={label} className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
          <span className="flex min-w-0 items-center gap-2">
            {mark !== null && <span aria-hidden className={`h-1 w-4 shrink-0 ${mark}`} />}
            <span className="min-w-0 break-words">{label}</span>
          </span>
          <span className="num shrink-0 text-right">{value}</span>
        </div>
      ))}
      <p className="pt-1.5 text-[13.5px]">
        {lines.isSame ? (
          'Line by line they are the same, remarks and blanks aside.'
        ) : (
          <>
            Line by line, remarks and blank lines aside,{' '}
            {lines.from === 1 ? 'they differ from the first line on' : `the first ${printNumber(lines.from - 1)} are alike`}; then{' '}
            <span className="num">{printNumber(lines.before)}</span> here stand against{' '}
            <span className="num">{printNumber(lines.now)}</span> there.
          </>
        )}
      </p>
    </div>
  )
}

/** What only one of two programs burns, over the drawing of the one that is open. */
export function OnlyWays({ survey }: { readonly survey: ProgramSummary }) {
  const compared = useProgramTool((it) => it.compared)
  const { width, height, x, y } = usePlateFrame()
  if (compared?.of !== survey) return null
  const path = (ways: CompareSummary['waysOfFirst']): string =>
    ways.map((way) => `M${way.map(([px, py]) => `${x(px)} ${y(py)}`).join('L')}`).join('')
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="pointer-events-none absolute inset-0 h-full w-full" data-only>
      <path d={path(compared.found.waysOfFirst)} fill="none" stroke="var(--ember)" strokeWidth="3.5" opacity="0.9" />
      <path d={path(compared.found.waysOfSecond)} fill="none" stroke="var(--teal)" strokeWidth="2.5" strokeDasharray="7 3" />
    </svg>
  )
}
