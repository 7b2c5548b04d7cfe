import { useState } from 'react'
import type { Bench } from '../../core/document'
import { printNumber, type Finding } from '../../core/units'
import { DONE, partProgram, told, type PartSummary, type ProgramSummary } from '../../state'
import { Findings, NumberField, Panel, SelectOf } from '../../ui'
import { MmField } from './Held'
import { HandOutMade, useMadeBy } from './MadeProgram'
import { useKept } from './programTool'
import { sayTime } from './sayTime'

const ORDERS = { own: 'in its own order', quickest: 'in the quickest order' } as const

/** A program parted into islands, so that white between them is not crossed row by row, and joined again. */
export function Parting({ bench, survey }: { readonly bench: Bench; readonly survey: ProgramSummary }) {
  const [apart, setApart] = useKept('apart', () => 3)
  const [lead, setLead] = useKept('lead', () => 5)
  const [order, setOrder] = useKept<keyof typeof ORDERS>('order', () => 'own')
  const [fullS, setFullS] = useKept('fullS', () => Math.max(bench.electrical.fullPower.value ?? 1000, survey.highestS))
  const { made, keep } = useMadeBy('part', survey, bench)
  const [summary, setSummary] = useKept<PartSummary | null>('parted', () => null)
  const [isWorking, setWorking] = useState(false)
  const [said, say] = useState<readonly Finding[]>([])
  const forget = (): typeof DONE => {
    keep(null)
    return DONE
  }
  const look = async (): Promise<void> => {
    setWorking(true)
    const done = await partProgram(bench, { apart, order, lead, fullS })
    setWorking(false)
    say(done.findings)
    setSummary(done.ok ? done.value : null)
    keep(done.ok ? done.value : null)
  }
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
      {made !== null && summary !== null && (
        <HandOutMade name="parted program" made={made} bench={bench} burnWords="Burn it parted">
          <Parted survey={survey} made={summary} />
        </HandOutMade>
      )}
    </Panel>
  )
}

function Parted({ survey, made }: { readonly survey: ProgramSummary; readonly made: PartSummary }) {
  const saved = survey.seconds - made.seconds
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
    </div>
  )
}
