import { useMemo, useState } from 'react'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { printNumber, refused, sayQuantity, type Finding, type Outcome } from '../../core/units'
import { leavesTravel } from '../../core/work'
import { DONE, newId, partProgram, told, type PartSummary, type ProgramSummary, type RunDraft } from '../../state'
import { Findings, NumberField, Panel, SelectOf, useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'
import { MmField } from './Held'
import { machineKey } from './machineKey'
import { programTravel } from './ProgramPlate'
import { sayTime } from './sayTime'

const ORDERS = { own: 'in its own order', quickest: 'in the quickest order' } as const

/** A program parted into islands, so that white between them is not crossed row by row, and joined again. */
export function Parting({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const [apart, setApart] = useState(3)
  const [lead, setLead] = useState(5)
  const [order, setOrder] = useState<keyof typeof ORDERS>('own')
  const [fullS, setFullS] = useState(Math.max(bench.electrical.fullPower.value ?? 1000, survey.highestS))
  const [found, setFound] = useState<{
    readonly of: ProgramSummary
    readonly machine: string
    readonly made: PartSummary
  } | null>(null)
  const [isWorking, setWorking] = useState(false)
  const [said, say] = useState<readonly Finding[]>([])
  const machine = useMemo(() => machineKey(bench), [bench])
  const forget = (): typeof DONE => {
    setFound(null)
    return DONE
  }
  const look = async (): Promise<void> => {
    setWorking(true)
    const made = await partProgram(bench, { apart, order, lead, fullS })
    setWorking(false)
    say(made.findings)
    setFound(made.ok ? { of: survey, machine, made: made.value } : null)
  }
  // A program that was written for another machine or card is not this one's.
  const made = found?.of === survey && found.machine === machine ? found.made : null
  return (
    <Panel title="Parted and joined again">
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        What lies no further than{' '}
        <MmField label="Islands are further apart than" valueMm={apart} keep={(mm) => (setApart(mm ?? 0), forget())} /> apart is
        one island, burnt whole before the next, its stretches{' '}
        <SelectOf label="Order within an island" of={ORDERS} value={order} choose={(it) => (setOrder(it), forget())} />. Run-ups
        of up to <MmField label="Longest run-up" valueMm={lead} keep={(mm) => (setLead(mm ?? 0), forget())} /> of its dark ways
        are kept. Its power word at full power is{' '}
        <NumberField
          label="Power word at full power"
          hideLabel
          above
          value={fullS}
          className="w-20"
          keep={(it) =>
            (it ?? 0) < survey.highestS
              ? told(`This program goes up to S${survey.highestS}: full power is no less.`)
              : (setFullS(it ?? fullS), forget())
          }
        />
        .
      </p>
      {order === 'quickest' && (
        <p className="max-w-[46rem] text-[13.5px] text-second">
          In the quickest order a part may come loose before what lies in it is burnt: cuts keep their own order.
        </p>
      )}
      <button type="button" className="button no-print mt-1" disabled={isWorking} onClick={() => void look()}>
        {isWorking ? 'Parting …' : 'Part it'}
      </button>
      <Findings findings={said} />
      {made !== null && <Parted bench={bench} survey={survey} made={made} />}
    </Panel>
  )
}

function Parted({ bench, survey, made }: { readonly bench: Bench; readonly survey: ProgramSummary; readonly made: PartSummary }) {
  const units = useUnits()
  const length = sayQuantity(Math.round(made.burntLength), null, units === 'metric' ? 'mm' : 'in')
  const saved = survey.seconds - made.seconds
  const worked: Worked = {
    text: made.text,
    words: `${length} with the beam on.`,
    findings: leavesTravel(made.bounds, programTravel(bench)),
  }
  const prepare = (): Outcome<RunDraft> => {
    const against = whyNotBurnt(bench.burns.materials[bench.work.material]?.kind ?? '')
    if (against !== null)
      return refused(
        'not-burnt',
        `This sheet is not burnt. ${against}. Say on the work order which material of the book the sheet is.`,
      )
    return { ok: true, value: { id: `parted ${newId()}`, keep: () => DONE }, findings: [] }
  }
  return (
    <div className="mt-2 max-w-[46rem] text-[14px]">
      <p role="status">
        {made.islands === 1 ? 'It is one island' : `It has ${printNumber(made.islands)} islands`} of {printNumber(made.runs)}{' '}
        {made.runs === 1 ? 'stretch' : 'stretches'}, and takes{' '}
        <strong className="num font-[600]" data-parted={Math.round(made.seconds)}>
          {sayTime(made.seconds)}
        </strong>{' '}
        in place of <span className="num">{sayTime(survey.seconds)}</span>
        {saved > 1 ? '' : ': nothing is gained by it'}. What is burnt is the same.
      </p>
      <HandOut name="parted program" steps={worked} bench={bench} prepare={prepare} burnWords="Burn it parted" stage="work" />
    </div>
  )
}
