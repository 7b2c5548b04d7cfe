import { useEffect, useState } from 'react'
import { benchFactSpec } from '../../core/document'
import type { Finding } from '../../core/units'
import { burningSeconds, kerfNow, sheetRoom } from '../../core/work'
import { giveUpPlan, planOrder, useBenchStore, useOrderBurnt, useWorkPlan } from '../../state'
import { FactLink, FigureRow, Findings, Panel, Side } from '../../ui'
import { Faults } from './Faults'
import { Savings } from './Savings'
import { TimeOfOrder } from './TimeOfOrder'
import { WorkOut } from './WorkOut'

/** Planning that takes longer than this is said, ms. */
const LONG = 1500

/** What the order comes to: time, what was found, and the ways out of the program. */
export function OrderSide() {
  const isEmpty = useBenchStore(({ bench }) => Object.keys(bench?.work.pieces ?? {}).length === 0)
  const { program, findings, isPlanning } = useWorkPlan()
  const burnt = useOrderBurnt((it) => it.said)
  return (
    <Side stage="work" part="order">
      <Panel title="The program">
        {isEmpty && (
          <p className="py-2 text-[13.5px] text-second">
            Take in artwork: the program, its time and what is wrong with it stand here.
          </p>
        )}
        {!isEmpty && program === null && findings.length === 0 && (
          <p className="py-2 text-[13.5px] text-second" role="status">
            {isPlanning ? 'Planning …' : 'Say what is cut, marked or filled: all of it is left out now.'}
          </p>
        )}
        <Planning />
        {program !== null && <TimeOfOrder program={program} isPlanning={isPlanning} />}
        {program !== null && <Faults program={program} />}
        {program !== null && <Savings program={program} />}
        {/* What bars the program stands where it would leave. */}
        <Found findings={[...findings.filter((it) => program === null || it.severity === 'warning'), ...burnt]} />
        {program !== null && <WorkOut program={program} />}
      </Panel>
      {!isEmpty && (
        <Panel title="Worked, the order">
          <FigureRow def={burningSeconds} args={[]} />
          <FigureRow def={kerfNow} args={[]} />
          <FigureRow def={sheetRoom} args={[]} />
        </Panel>
      )}
    </Side>
  )
}

/** Planning that takes longer than a glance may be given up, and begun again. */
function Planning() {
  const isPlanning = useWorkPlan((it) => it.isPlanning)
  const isGivenUp = useWorkPlan((it) => it.findings.some(({ code }) => code === 'given-up'))
  const bench = useBenchStore((it) => it.bench)
  const isLong = useHolds(isPlanning, LONG)
  if (isGivenUp && bench !== null) {
    return (
      <button type="button" className="button no-print my-1" onClick={() => void planOrder(bench)}>
        Plan it again
      </button>
    )
  }
  if (!isLong) return null
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-3 py-1 text-[13.5px]">
      Planning the order as it is now …
      <button type="button" className="button" onClick={giveUpPlan}>
        Give it up
      </button>
    </p>
  )
}

/** Whether something has held for so many ms. */
function useHolds(isSo: boolean, ms: number): boolean {
  const [holds, setHolds] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setHolds(isSo), isSo ? ms : 0)
    return () => clearTimeout(timer)
  }, [isSo, ms])
  return holds && isSo
}

/** What was found, with the way to the field that mends it where there is one. */
function Found({ findings }: { readonly findings: readonly Finding[] }) {
  const path = findings.find((it) => it.path !== undefined && benchFactSpec(it.path) !== undefined)?.path
  return (
    <>
      <Findings findings={findings} />
      {path !== undefined && (
        <p className="no-print pt-1 text-[13px]">
          <FactLink path={path}>Go to the field</FactLink>
        </p>
      )}
    </>
  )
}
