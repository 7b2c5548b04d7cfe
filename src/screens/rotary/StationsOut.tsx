import { useMemo } from 'react'
import { stationRun, wordingOf } from '../../core/document'
import type { Finding } from '../../core/units'
import {
  doubtOfFullPower,
  engineOf,
  newId,
  setPlain,
  useBenchStore,
  useKeptPlan,
  useMachine,
  useVerdicts,
  useWorkPlan,
  DONE,
} from '../../state'
import { Findings, Panel, PlainField, StageLink, useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'

/** The work order at every station of the plate: one, some or all, with a turn and a rest between. */
export function StationsOut() {
  const bench = useBenchStore((it) => it.bench)
  const units = useUnits()
  useKeptPlan(bench)
  const program = useWorkPlan((it) => it.program)
  const isPlanning = useWorkPlan((it) => it.isPlanning)
  const isCable = useMachine((it) => it.isCable)
  const verdicts = useVerdicts('rotary')
  const run = useMemo(() => (bench === null || program === null ? null : stationRun(bench, program.text)), [bench, program])
  if (bench === null) return null
  const { rotary } = bench
  const onStations = (
    <PlainField
      label="Stations to burn"
      value={rotary.onStations}
      placeholder="all; or 1-5, 9"
      className="w-56"
      keep={(it) => setPlain('rotary.onStations', it.trim(), 'the stations that are burnt')}
    />
  )
  if (program === null)
    return (
      <Panel title="The program for its stations">
        <p className="py-1.5 text-[14px]">
          What is burnt at each station is the{' '}
          <StageLink stage="work" part="order">
            work order
          </StageLink>
          : one piece, as it lies at station 1. Take artwork in there first.
        </p>
        {onStations}
      </Panel>
    )
  const stops = verdicts
    .filter((it) => it.mark === 'stop')
    .map((it): Finding => {
      const { head, why } = wordingOf(engineOf(bench), it, units)
      return { code: it.def.id, severity: 'error', message: `${head}: ${why}` }
    })
  const doubtful = doubtOfFullPower(bench)
  const byHand = rotary.plate.turned.chosen !== 'axis'
  const noPause: readonly Finding[] =
    isCable && byHand
      ? [
          {
            code: 'no-pause',
            severity: 'warning',
            message: 'Over a cable a controller may not wait at M0: burn one station at a time, or take the program as a file.',
          },
        ]
      : []
  const worked: Worked = {
    text: run?.ok === true ? run.value.text : '',
    words: run?.ok === true ? run.value.words : '',
    findings: [...(run?.ok === false ? run.findings : []), ...(doubtful === null ? [] : [doubtful]), ...stops],
  }
  return (
    <Panel title="The program for its stations">
      <p className="max-w-[46rem] py-1.5 text-[14px]">
        The work order, as it lies at station 1, is burnt at each: dark,{' '}
        {byHand ? 'a pause to turn on and lock' : 'turned on, at rest'}, then burnt. Angles are counted from station 1, so that
        nothing adds up.
      </p>
      {onStations}
      <HandOut
        name="stations"
        steps={worked}
        bench={bench}
        prepare={() => ({ ok: true, value: { id: `stations ${newId()}`, keep: () => DONE }, findings: [] })}
        burnWords="Burn these stations"
        stage="rotary"
        isWaiting={isPlanning}
      />
      <Findings findings={noPause} />
    </Panel>
  )
}
