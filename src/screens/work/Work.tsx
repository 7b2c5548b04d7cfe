import { useEffect, useState, type ReactNode } from 'react'
import { machineLimits, type Bench } from '../../core/document'
import { subroutinesOf, type SubroutineWords } from '../../core/gcode'
import type { Limits } from '../../core/planner'
import { displayUnit, printNumber, sayQuantity, type Finding, type UnitSystem } from '../../core/units'
import { closeProgram, engineOf, openProgram, surveyAgain, useBenchStore, useProgram, type ProgramSummary } from '../../state'
import { FileButton, Findings, Panel, Sheet, StageLink, useUnits } from '../../ui'
import { JudgedProgram } from './JudgedProgram'
import { LineLink } from './LineLink'
import { LineInHand } from './LineInHand'
import { Listing } from './Listing'
import { ProgramPlate } from './ProgramPlate'
import { ProgramScrub } from './ProgramScrub'
import { ProgramTools } from './ProgramTools'
import { sayTime } from './sayTime'
import { Strangers } from './Strangers'

/** Work, as far as it is built: a program from elsewhere is looked at before the beam is on. */
export function Work({ parts }: { readonly parts: ReactNode }) {
  const { name, reading, survey, refused } = useProgram()
  const bench = useBenchStore((it) => it.bench)
  useReworkedLimits(bench)
  if (bench === null) return null
  if (survey === null) {
    return (
      <div className="max-w-[46rem] px-4 py-4 sm:px-6">
        {parts}
        <h1 className="mt-4 text-[22px] font-[680] leading-tight">What will this program do?</h1>
        <p className="mt-3 py-1">
          A G-code program from elsewhere is looked at before the beam is on: drop it anywhere on this window, or choose it.
          Artwork is taken in at{' '}
          <StageLink stage="work" part="order">
            the work order
          </StageLink>
          .
        </p>
        <Findings findings={refused} />
        <div className="mt-4">
          {reading === null ? <ChooseProgram bench={bench} /> : <Reading name={name} lines={reading.lines} />}
        </div>
      </div>
    )
  }
  return (
    <Sheet
      question="What will this program do?"
      about={`${name}: ember where the beam is on, thin where it is not. Press on a way, or on a line, to see which belongs to which.`}
      plate={
        <>
          {parts}
          <div className="mt-2 grid shrink-0 gap-4 sm:h-[clamp(260px,min(60vh,90vw),680px)] sm:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] print:block print:h-auto">
            <div className="h-[min(60vh,90vw)] sm:h-full">
              <ProgramPlate survey={survey} />
            </div>
            <div className="flex h-72 min-h-0 flex-col sm:h-full">
              <Listing survey={survey} />
            </div>
          </div>
          <ProgramScrub />
        </>
      }
      given={
        <div className="mt-3 grid gap-5">
          <Given name={name} bench={bench} reading={reading?.lines ?? null} />
          {survey.errorCount === 0 && survey.burntLength > 0 ? (
            <ProgramTools bench={bench} survey={survey} name={name} />
          ) : (
            <p id="tools" className="max-w-[46rem] text-[15px] text-second">
              {survey.errorCount > 0
                ? 'Lines of it were refused: leave out the words that are named beside, or mend the file; then it can be put right, parted, joined or held against another.'
                : 'It burns nothing, for no move has the beam on: there is nothing to put right. A cutter’s program is made one for the beam under From a cutter.'}
            </p>
          )}
        </div>
      }
      side={<Side survey={survey} bench={bench} />}
    />
  )
}

/** A program that is open is timed again when a limit of the machine has changed. */
function useReworkedLimits(bench: Bench | null): void {
  const how = bench === null ? {} : { limits: machineLimits(engineOf(bench)), subroutines: subroutinesOf(bench.output.card) }
  const key = JSON.stringify(how)
  useEffect(() => {
    const { limits, subroutines } = JSON.parse(key) as { readonly limits?: Limits | null; readonly subroutines?: SubroutineWords }
    void surveyAgain(limits ?? null, subroutines)
  }, [key])
}

export function ChooseProgram({ bench }: { readonly bench: Bench }) {
  const take = (file: File): void => void openProgram(file, machineLimits(engineOf(bench)), subroutinesOf(bench.output.card))
  return (
    <FileButton label="Program file" first take={take}>
      Choose a program
    </FileButton>
  )
}

export function Reading({ name, lines }: { readonly name: string; readonly lines: number }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-4">
      Reading “{name}”: <span className="num">{printNumber(lines)}</span> lines so far
      <button type="button" className="button" onClick={closeProgram}>
        Stop
      </button>
    </p>
  )
}

function Given({ name, bench, reading }: { readonly name: string; readonly bench: Bench; readonly reading: number | null }) {
  return (
    <Panel title="Given, the program">
      <p className="max-w-[46rem] py-2 text-[15px]">
        “{name}” is looked at, not kept with the bench. The beam counts as on while the spindle turns, S is above 0 and the move
        is not a rapid one; that is common practice and not in the standard. Speeds and accelerations are those of Motion; corners
        may be cut by 0.02 mm.
      </p>
      <div className="no-print flex flex-wrap gap-2">
        <ChooseProgram bench={bench} />
        <button type="button" className="button" onClick={closeProgram}>
          Put it away
        </button>
        {reading !== null && <Reading name={name} lines={reading} />}
      </div>
    </Panel>
  )
}

function Side({ survey, bench }: { readonly survey: ProgramSummary; readonly bench: Bench }) {
  const system = useUnits()
  const { bounds, burntBounds } = survey
  const speed = (mmPerS: number): string => sayQuantity(mmPerS, null, displayUnit('speed', system))
  const length = (mm: number): string => sayQuantity(mm, null, system === 'metric' ? (mm >= 10_000 ? 'm' : 'mm') : 'in')
  const timed = survey.topSpeed > 0 && survey.errorCount === 0
  const box = (bounds: NonNullable<ProgramSummary['bounds']>): string =>
    survey.errorCount === 0 ? sayBox(bounds, system) : NOT_KNOWN
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <Panel title="Judged">
        <JudgedProgram survey={survey} bench={bench} />
      </Panel>
      <LineInHand />
      <Strangers bench={bench} survey={survey} />
      <FoundList survey={survey} />
      <Panel title="Worked">
        <Row label="Lines" value={printNumber(survey.lines)} />
        <Row label="Moves" value={printNumber(survey.moves)} />
        <Row label="Time" value={sayWhole(survey, timed)} />
        <Row
          label="Beam on"
          value={
            survey.errorCount > 0
              ? NOT_KNOWN
              : timed
                ? `${length(survey.burntLength)} in ${sayTime(survey.burntSeconds)}`
                : length(survey.burntLength)
          }
        />
        <Row label="Way in all" value={survey.errorCount > 0 ? NOT_KNOWN : length(survey.wayLength)} />
        {timed && <Row label="Top speed reached" value={speed(survey.topSpeed)} />}
        {timed && <Row label="With the beam on" value={speed(survey.topBurningSpeed)} />}
        <Row label="Highest S with the beam on" value={printNumber(survey.highestS)} />
        {bounds !== null && <Row label="Moves over" value={box(bounds)} />}
        {burntBounds !== null && <Row label="Burns over" value={box(burntBounds)} />}
      </Panel>
    </div>
  )
}

/** Of what rests on every line, while some were refused. */
const NOT_KNOWN = 'not known: lines were refused'

function sayWhole(survey: ProgramSummary, timed: boolean): string {
  if (survey.errorCount > 0) return NOT_KNOWN
  return timed ? sayTime(survey.seconds) : 'enter speed and acceleration on Motion'
}

function Row({ label, value }: { readonly label: string; readonly value: string }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <span>{label}</span>
      <span className="num text-right">{value}</span>
    </div>
  )
}

/** Findings shown at once; more on demand. */
const SHOWN = 30

function FoundList({ survey }: { readonly survey: ProgramSummary }) {
  const [shown, setShown] = useState(SHOWN)
  const { findings, findingCount } = survey
  if (findingCount === 0) return null
  return (
    <Panel title={`Found, ${printNumber(findingCount)}`}>
      <ol className="m-0 list-none p-0">
        {findings.slice(0, shown).map((it, i) => (
          <Found key={i} finding={it} />
        ))}
      </ol>
      {shown < findings.length && (
        <button type="button" className="link" onClick={() => setShown(shown + 200)}>
          Show more
        </button>
      )}
    </Panel>
  )
}

function Found({ finding: { severity, message, line, column } }: { readonly finding: Finding }) {
  return (
    <li className="flex gap-3 border-b border-rule py-1.5 text-[13px]">
      <span className="w-24 shrink-0 text-second">
        {line === undefined ? null : <LineLink line={line} />}
        {column === undefined ? null : <span className="num">, {column}</span>}
      </span>
      <span aria-hidden className={`mt-[3px] h-3 w-1 shrink-0 ${severity === 'error' ? 'bg-stop' : 'bg-look'}`} />
      <span className="min-w-0 break-words">{message}</span>
    </li>
  )
}

function sayBox(box: NonNullable<ProgramSummary['bounds']>, system: UnitSystem): string {
  const unit = displayUnit('length', system)
  const side = (min: number, max: number): string => `${sayQuantity(min, null, unit)} … ${sayQuantity(max, null, unit)}`
  return `X ${side(box.minX, box.maxX)}, Y ${side(box.minY, box.maxY)}`
}
