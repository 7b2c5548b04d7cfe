import { useState } from 'react'
import { machineLimits, type Bench } from '../../core/document'
import { MENDINGS, runUpFor, type MendWish, type Zone } from '../../core/refit'
import { printNumber, sayQuantity, displayUnit, type Finding } from '../../core/units'
import { delaysOf, DONE, engineOf, mendProgram, told, type MendSummary, type ProgramSummary, type Told } from '../../state'
import { Findings, NumberField, Panel, SelectOf, useUnits } from '../../ui'
import { Held, MmField } from './Held'
import { LineLink } from './LineLink'
import { HandOutMade, useMadeBy } from './MadeProgram'
import { useKept } from './programTool'
import { programTravel } from './ProgramPlate'
import { sayTime } from './sayTime'

const SCALES = {
  asIs: 'as they are',
  toInch: 'inches that were read as millimetres',
  fromInch: 'millimetres that were read as inches',
} as const
const SCALE_OF = { asIs: 1, toInch: 25.4, fromInch: 1 / 25.4 } as const
const WAITS = { dark: 'go dark', lit: 'stay lit' } as const
const LATE = { left: 'are left', made: 'are made up for' } as const
const CLIPS = { all: 'all of it', bed: 'only what lies on the bed', zone: 'only what lies in a zone' } as const
const ARCS = { asIs: 'as they are', lines: 'short lines in place of arcs', fit: 'arcs in place of short lines' } as const
const ZONED = { no: 'the same everywhere', yes: 'other in a zone' } as const

interface Given {
  readonly fullS: number
  readonly scale: keyof typeof SCALES
  readonly waits: keyof typeof WAITS
  readonly lead: number
  readonly runOut: number
  readonly late: keyof typeof LATE
  readonly clip: keyof typeof CLIPS
  readonly clipZone: Zone
  readonly zoned: keyof typeof ZONED
  readonly zone: Zone
  readonly power: number
  readonly speed: number
  readonly arcs: keyof typeof ARCS
  readonly within: number
}

/** A program that has the beam’s words already, put right: what is to be other than it is, and what came of it. */
export function Mending({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const { made, keep } = useMadeBy('mend', survey, bench)
  const [given, setGiven] = useKept('mend', () => givenFor(bench, survey))
  const [summary, setSummary] = useKept<MendSummary | null>('mended', () => null)
  const [isWorking, setWorking] = useState(false)
  const [said, say] = useState<readonly Finding[]>([])
  const set = (part: Partial<Given>): Told => {
    setGiven((was) => ({ ...was, ...part }))
    keep(null)
    return DONE
  }
  const act = async (): Promise<void> => {
    const wish = wishOf(given, bench)
    if ('said' in wish) {
      say(wish.said)
      return
    }
    setWorking(true)
    const done = await mendProgram(bench, { wish, asLines: given.arcs === 'lines' })
    setWorking(false)
    say(done.findings)
    setSummary(done.ok ? done.value : null)
    keep(done.ok ? done.value : null)
  }
  return (
    <Panel title="Put right">
      <Sentences bench={bench} survey={survey} given={given} set={set} />
      <button type="button" className="button no-print mt-1" disabled={isWorking} onClick={() => void act()}>
        {isWorking ? 'Working …' : 'Put it right'}
      </button>
      <Findings findings={said} />
      {made !== null && summary !== null && (
        <HandOutMade name="program put right" made={made} bench={bench} burnWords="Burn it put right">
          <Done summary={summary} survey={survey} />
        </HandOutMade>
      )}
    </Panel>
  )
}

function givenFor(bench: Bench, survey: ProgramSummary): Given {
  const box = survey.burntBounds
  const zone = { left: box?.minX ?? 0, bottom: box?.minY ?? 0, right: box?.maxX ?? 100, top: box?.maxY ?? 100 }
  return {
    fullS: Math.max(bench.electrical.fullPower.value ?? 1000, survey.highestS),
    scale: 'asIs',
    waits: 'dark',
    lead: 0,
    runOut: 0,
    late: 'left',
    clip: 'all',
    clipZone: zone,
    zoned: 'no',
    zone,
    power: 1,
    speed: 1,
    arcs: 'asIs',
    within: 0.02,
  }
}

/** What is wanted; or what stands in its way. */
function wishOf(given: Given, bench: Bench): MendWish | { readonly said: Told } {
  const { x, y } = programTravel(bench)
  if (given.clip === 'bed' && (x === null || y === null))
    return { said: told('How large the bed is, is not known: enter the travel of X and Y on Motion.') }
  const bed = { left: 0, bottom: 0, right: x ?? 0, top: y ?? 0 }
  const zones = [...(given.clip === 'zone' ? [given.clipZone] : []), ...(given.zoned === 'yes' ? [given.zone] : [])]
  if (zones.some((it) => it.right <= it.left || it.top <= it.bottom))
    return { said: told('A zone goes from left to right and from the bottom to the top: its second number is the larger one.') }
  return {
    fullS: given.fullS,
    scale: SCALE_OF[given.scale],
    waits: given.waits,
    lead: given.lead,
    runOut: given.runOut,
    ...(given.late === 'made' ? latenessOf(bench) : { onDelay: 0, offDelay: 0 }),
    clip: given.clip === 'all' ? null : given.clip === 'bed' ? bed : given.clipZone,
    zone: given.zoned === 'no' ? null : { box: given.zone, power: given.power, speed: given.speed },
    fit: given.arcs === 'fit' ? given.within : null,
  }
}

interface SentencesProps {
  readonly bench: Bench
  readonly survey: ProgramSummary
  readonly given: Given
  readonly set: (part: Partial<Given>) => Told
}

function Sentences({ bench, survey, given, set }: SentencesProps) {
  return (
    <>
      <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
        It is written anew through the output card “{bench.output.card.name}”: the beam is turned off before every dark move,
        before every wait and at the end
        {bench.output.card.afterOn > 0 ? `, and waits ${bench.output.card.afterOn} s once it is on` : ''}.
      </p>
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        Its power word at full power is{' '}
        <NumberField
          label="Power word at full power"
          hideLabel
          above
          value={given.fullS}
          className="w-20"
          keep={(it) =>
            (it ?? 0) < survey.highestS
              ? told(`This program goes up to S${survey.highestS}: full power is no less.`)
              : set({ fullS: it ?? given.fullS })
          }
        />
        ; its lengths are <SelectOf label="Its lengths" of={SCALES} value={given.scale} choose={(scale) => set({ scale })} />.
        Waits with the beam on{' '}
        <SelectOf label="Waits with the beam on" of={WAITS} value={given.waits} choose={(waits) => set({ waits })} />. Before each
        stretch that is burnt it gets a run-up of{' '}
        <MmField label="Run-up" valueMm={given.lead} keep={(mm) => set({ lead: mm ?? 0 })} /> and behind it a run-out of{' '}
        <MmField label="Run-out" valueMm={given.runOut} keep={(mm) => set({ runOut: mm ?? 0 })} />
        <RunUpThatIsNeeded bench={bench} survey={survey} take={(mm) => set({ lead: mm, runOut: mm })} />.{' '}
        <Lateness bench={bench} value={given.late} choose={(late) => set({ late })} /> It is burnt{' '}
        <SelectOf label="What of it is burnt" of={CLIPS} value={given.clip} choose={(clip) => set({ clip })} />
        {given.clip === 'zone' && (
          <ZoneFields what="What is burnt" zone={given.clipZone} keep={(clipZone) => set({ clipZone })} />
        )}
        , its power and speed are{' '}
        <SelectOf label="Power and speed" of={ZONED} value={given.zoned} choose={(zoned) => set({ zoned })} />
        {given.zoned === 'yes' && (
          <>
            <ZoneFields what="Other power and speed" zone={given.zone} keep={(zone) => set({ zone })} />: there{' '}
            <Times label="Power in the zone, %" value={given.power} keep={(power) => set({ power })} /> of its power and{' '}
            <Times label="Speed in the zone, %" value={given.speed} keep={(speed) => set({ speed })} /> of its speed
          </>
        )}
        , and arcs are <SelectOf label="Arcs and short lines" of={ARCS} value={given.arcs} choose={(arcs) => set({ arcs })} />
        {given.arcs === 'fit' && (
          <>
            {' '}
            where they are no further off than{' '}
            <MmField label="Arcs are off by at most" above valueMm={given.within} keep={(mm) => set({ within: mm ?? 0.02 })} />
          </>
        )}
        .
      </p>
    </>
  )
}

/** By how much the light comes and goes behind its words, s, less what the card waits anyway. */
function latenessOf(bench: Bench): { readonly onDelay: number; readonly offDelay: number } {
  const { onDelay, offDelay } = delaysOf(bench)
  return { onDelay: Math.max(0, (onDelay ?? 0) - bench.output.card.afterOn), offDelay: Math.max(0, offDelay ?? 0) }
}

/** Delays that were read may be made up for; where none were, it is said where they are read. */
function Lateness(props: {
  readonly bench: Bench
  readonly value: keyof typeof LATE
  readonly choose: (to: keyof typeof LATE) => void
}) {
  const { bench, value, choose } = props
  const { onDelay, offDelay } = latenessOf(bench)
  if (onDelay === 0 && offDelay === 0) return null
  const ms = (seconds: number): string => sayQuantity(Math.round(seconds * 1e5) / 100, null, 'ms')
  return (
    <>
      Delays of the light that were read, {ms(onDelay)} on and {ms(offDelay)} off,{' '}
      <SelectOf label="Delays of the light" of={LATE} value={value} choose={choose} />.
    </>
  )
}

/** The run-up that the fastest burnt move needs for its speed, v²/2a. */
function RunUpThatIsNeeded(props: {
  readonly bench: Bench
  readonly survey: ProgramSummary
  readonly take: (mm: number) => Told
}) {
  const { bench, survey, take } = props
  const unit = displayUnit('length', useUnits())
  const limits = machineLimits(engineOf(bench))
  // Of those that move the head across the work.
  const across = limits?.motors.filter(({ per }) => per[0] !== 0 || per[1] !== 0) ?? []
  const slowest = Math.min(...across.map((it) => it.acceleration))
  if (!Number.isFinite(slowest) || survey.topBurningSpeed === 0) return null
  const mm = runUpFor(survey.topBurningSpeed, slowest)
  return (
    <>
      {' '}
      (its fastest line needs{' '}
      <button type="button" className="link no-print" onClick={() => take(mm)}>
        {sayQuantity(mm, null, unit)}
      </button>
      )
    </>
  )
}

function Times({
  label,
  value,
  keep,
}: {
  readonly label: string
  readonly value: number
  readonly keep: (times: number) => Told
}) {
  return (
    <Held unit="%">
      <NumberField
        label={label}
        hideLabel
        above
        value={Math.round(value * 1000) / 10}
        className="w-14"
        keep={(it) => ((it ?? 0) > 1000 ? told('No more than ten times: 1000 %.') : keep((it ?? 100) / 100))}
      />
    </Held>
  )
}

/** The sides of a zone. */
function ZoneFields({ what, zone, keep }: { readonly what: string; readonly zone: Zone; readonly keep: (zone: Zone) => Told }) {
  const side = (name: keyof Zone, words: string) => (
    <MmField label={`${what}: ${words}`} signed valueMm={zone[name]} keep={(mm) => keep({ ...zone, [name]: mm ?? 0 })} />
  )
  return (
    <>
      {' '}
      from X {side('left', 'left')} to {side('right', 'right')} and Y {side('bottom', 'bottom')} to {side('top', 'top')}
    </>
  )
}

function Done({ summary, survey }: { readonly summary: MendSummary; readonly survey: ProgramSummary }) {
  const unit = displayUnit('length', useUnits())
  return (
    <div className="mt-2 max-w-[46rem] text-[14px]">
      <p role="status">
        It takes <strong className="num font-[600]">{sayTime(summary.seconds)}</strong> in place of{' '}
        <span className="num">{sayTime(survey.seconds)}</span>.
      </p>
      <ul className="m-0 list-none p-0 text-[13.5px]" aria-label="What was put right">
        {summary.mended.map(({ what, count, line }) => (
          <li key={what} className="border-b border-rule py-1.5" data-mended={what}>
            {MENDINGS[what].words}
            {what === 'ends' || what === 'scaled' ? '' : ': '}
            {what === 'ends' || what === 'scaled' ? null : (
              <span className="num">
                {MENDINGS[what].isLength ? sayQuantity(Math.round(count * 10) / 10, null, unit) : printNumber(count)}
              </span>
            )}
            {line > 0 && (
              <>
                , first <LineLink line={line} />
              </>
            )}
          </li>
        ))}
        {summary.mended.length === 0 && <li className="py-1.5">Nothing had to be changed but its words.</li>}
      </ul>
    </div>
  )
}
