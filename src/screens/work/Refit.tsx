import { useEffect, useMemo, useState, type ReactNode } from 'react'
import type { Bench } from '../../core/document'
import { CHANGES } from '../../core/refit'
import { whyNotBurnt } from '../../core/safety'
import { displayUnit, printNumber, refused, sayQuantity, type Finding, type Outcome } from '../../core/units'
import { leavesTravel } from '../../core/work'
import {
  beginRefit,
  DONE,
  drawMade,
  newId,
  openQuestions,
  programFile,
  useBenchStore,
  useProgram,
  useRefit,
  type ProgramSummary,
  type RefitSummary,
  type RunDraft,
} from '../../state'
import { Findings, Panel, Plate, SelectOf, Sheet, usePlateFrame, useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'
import { CameOut } from './CameOut'
import { InHand, programExtent, ProgramPath, programTravel, ProgramTravel } from './ProgramPlate'
import { LineLink } from './LineLink'
import { MadeBefore } from './MadeBefore'
import { RefitGiven } from './RefitGiven'
import { sayTime } from './sayTime'
import { machineKey } from './machineKey'
import { ChooseProgram, Reading } from './Work'

const MARGINS = { left: 30, right: 30, top: 16, bottom: 44 }

/** A program for a cutter, made one for the beam: what lies below the surface is burnt. */
export function Refit({ parts }: { readonly parts: ReactNode }) {
  const { name, reading, survey, refused: unread } = useProgram()
  const bench = useBenchStore((it) => it.bench)
  useBegun(bench, survey)
  if (bench === null) return null
  if (survey === null) {
    return (
      <div className="max-w-[46rem] px-4 py-4 sm:px-6">
        {parts}
        <h1 className="mt-4 text-[22px] font-[680] leading-tight">How does a cutter’s program become one for the beam?</h1>
        <p className="mt-3 py-1">
          A program for a router or mill goes down into the material and up again. Here what lies below the surface is burnt,
          moves that come to it on their way are parted there, plunges vanish and holes become dots. Choose the program.
        </p>
        <Findings findings={unread} />
        <div className="mt-4">
          {reading === null ? <ChooseProgram bench={bench} /> : <Reading name={name} lines={reading.lines} />}
        </div>
        <MadeBefore bench={bench} />
      </div>
    )
  }
  const travel = programTravel(bench)
  return (
    <Sheet
      question="How does a cutter’s program become one for the beam?"
      about={`${name}: thin as the cutter goes, ember what the beam burns of it.`}
      plate={
        <>
          {parts}
          <Plate
            title="As the cutter goes, and as the beam burns"
            extent={programExtent(survey, travel)}
            margins={MARGINS}
            className="keep-together mt-1 h-[clamp(260px,min(54vh,80vw),640px)] shrink-0 print:h-[380px]"
            drawing={<ProgramTravel travel={travel} />}
            fields={<Drawn />}
          />
        </>
      }
      given={<RefitGiven bench={bench} name={name} />}
      side={<Side bench={bench} survey={survey} />}
    />
  )
}

/** Another program is begun anew; with another machine or card it is made again. */
function useBegun(bench: Bench | null, survey: ProgramSummary | null): void {
  const machine = useMemo(() => (bench === null ? '' : machineKey(bench)), [bench])
  const has = bench !== null && survey !== null
  useEffect(() => {
    if (has) void beginRefit(bench)
    // Of the bench only the machine and its output card matter.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [survey, has, machine])
}

function Drawn() {
  const made = useRefit((it) => it.made)
  const { width, height, x, y } = usePlateFrame()
  return (
    <>
      <Path made={made} />
      <InHand />
      <svg viewBox={`0 0 ${width} ${height}`} className="pointer-events-none absolute inset-0 h-full w-full">
        {made?.dots.map((it) => (
          <circle key={`${it.x} ${it.y}`} cx={x(it.x)} cy={y(it.y)} r="2.5" fill="var(--ember)" data-dot />
        ))}
      </svg>
    </>
  )
}

function Path({ made }: { readonly made: RefitSummary | null }) {
  return <ProgramPath of={made} draw={drawMade} label="The cutter’s way, thin, and what the beam burns of it, ember" />
}

function Side({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const { made, findings, isWorking } = useRefit()
  return (
    <div className="grid gap-5 sm:grid-cols-2 sm:items-start sm:gap-x-8 wide:grid-cols-1">
      <Panel title="The program for the beam">
        {isWorking && made === null && (
          <p role="status" className="py-2 text-[13.5px] text-second">
            Working …
          </p>
        )}
        {made !== null && <Made made={made} survey={survey} />}
        {made === null && <Findings findings={findings} />}
        {made !== null && <Out made={made} bench={bench} />}
      </Panel>
      {made !== null && made.changes.length > 0 && (
        <Panel title="What was changed">
          <ul className="m-0 list-none p-0 text-[13.5px]">
            {made.changes.map(({ what, count, line }) => (
              <li key={what} className="border-b border-rule py-1.5">
                {CHANGES[what]}: <span className="num">{printNumber(count)}</span>, first <LineLink line={line} />
              </li>
            ))}
            <li className="border-b border-rule py-1.5">
              Heights, spindle, coolant and tool words are gone; the beam’s words are those of the output card.
            </li>
          </ul>
        </Panel>
      )}
    </div>
  )
}

function Made({ made, survey }: { readonly made: RefitSummary; readonly survey: ProgramSummary }) {
  const unit = displayUnit('length', useUnits())
  const rows = [
    ['It takes', made.seconds > 0 ? sayTime(made.seconds) : 'speeds of Motion are not known'],
    ['The cutter took', survey.seconds > 0 ? sayTime(survey.seconds) : '-'],
    ['Burnt', sayQuantity(Math.round(made.burntLength), null, unit)],
    ['Lines', printNumber(made.lines)],
  ] as const
  return (
    <>
      {rows.map(([label, value]) => (
        <div key={label} className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
          <span>{label}</span>
          <span className="num text-right">{value}</span>
        </div>
      ))}
    </>
  )
}

const QUESTIONS = {
  level: 'Say at which height the surface lies: this program does not go above and below zero.',
  rapids: 'Say what rapid moves below the surface are: dark or burnt.',
  still: 'Say whether moves below the surface are burnt while the spindle stands.',
} as const

/** The ways out, once all is answered. */
function Out({ made, bench }: { readonly made: RefitSummary; readonly bench: Bench }) {
  const state = useRefit()
  const units = useUnits()
  const [materialId, setMaterial] = useState(bench.work.material)
  const asked = openQuestions(state).map((it): Finding => ({ code: `asked-${it}`, severity: 'error', message: QUESTIONS[it] }))
  const beyond = leavesTravel(made.bounds, programTravel(bench))
  const wrong = made.findings.filter((it) => it.severity === 'error')
  const length = sayQuantity(Math.round(made.burntLength), null, units === 'metric' ? 'mm' : 'in')
  const worked: Worked = {
    text: made.text,
    words: `${made.seconds > 0 ? `${sayTime(made.seconds)}, ` : ''}${length} with the beam on.`,
    findings: [...asked, ...beyond, ...wrong],
  }
  const materials = Object.entries(bench.burns.materials).sort(([, p], [, q]) => p.order - q.order)
  const options = Object.fromEntries([['', 'not said yet'], ...materials.map(([id, it]) => [id, it.name])]) as Record<
    string,
    string
  >
  const prepare = (): Outcome<RunDraft> => {
    const against = whyNotBurnt(bench.burns.materials[materialId]?.kind ?? '')
    if (against !== null)
      return refused('not-burnt', `This sheet is not burnt. ${against}. Say which material of the book it is.`)
    return { ok: true, value: { id: `refit ${newId()}`, keep: () => DONE }, findings: [] }
  }
  return (
    <>
      <p className="in-words pt-2 text-[13.5px]">
        The sheet is{' '}
        <SelectOf
          label="Material that is burnt"
          of={options}
          value={materialId in options ? materialId : ''}
          choose={setMaterial}
        />
        .
      </p>
      <HandOut
        name="program made for the beam"
        steps={worked}
        bench={bench}
        prepare={prepare}
        burnWords="Burn it"
        stage="work"
        isWaiting={state.isWorking}
        madeOf={programFile}
      />
      <CameOut
        name="program made for the beam"
        materialId={materialId}
        power={made.power}
        speed={made.speed}
        passes={state.wish.times}
      />
      <Findings findings={made.findings.filter((it) => it.severity === 'warning')} />
    </>
  )
}
