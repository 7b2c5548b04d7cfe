import { useMemo } from 'react'
import { readStations } from '../../core/rotary'
import type { Bench } from '../../core/document'
import type { Finding } from '../../core/units'
import {
  DONE,
  newId,
  refusedMaterial,
  setPlain,
  useBenchStore,
  useKeptPlan,
  useMachine,
  useStationProgram,
  useVerdicts,
  useWorkPlan,
  whyOrderStays,
  type PlannedProgram,
} from '../../state'
import { Panel, PlainField, StageLink, useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'
import { StationWalk } from './StationWalk'

/** The work order at every station of the plate: one, some or all, with a turn and a rest between. */
export function StationsOut() {
  const bench = useBenchStore((it) => it.bench)
  useKeptPlan(bench)
  const program = useWorkPlan((it) => it.program)
  if (bench === null) return null
  return (
    <Panel title="The program for its stations">
      {program === null ? (
        <p className="py-1.5 text-[14px]">
          What is burnt at each station is the{' '}
          <StageLink stage="work" part="order">
            work order
          </StageLink>
          : one piece, as it lies at station 1. Take artwork in there first.
        </p>
      ) : (
        <p className="max-w-[46rem] py-1.5 text-[14px]">
          The work order, as it lies at station 1, is burnt at each: dark,{' '}
          {isByHand(bench) ? 'a pause to turn on and lock' : 'turned on, at rest'}, then burnt. Angles are counted from station 1,
          so that nothing adds up.
        </p>
      )}
      <PlainField
        label="Stations to burn"
        value={bench.rotary.onStations}
        placeholder="all; or 1-5, 9"
        className="w-56"
        keep={(it) => setPlain('rotary.onStations', it.trim(), 'the stations that are burnt')}
      />
      <StationWalk bench={bench} />
      {program !== null && <Out bench={bench} program={program} />}
    </Panel>
  )
}

const isByHand = ({ rotary }: Bench): boolean => rotary.plate.turned.chosen !== 'axis'

/** The way out of what is chosen; over a link that cannot wait for a hand, station by station. */
function Out({ bench, program }: { readonly bench: Bench; readonly program: PlannedProgram }) {
  const units = useUnits()
  const isPlanning = useWorkPlan((it) => it.isPlanning)
  const isLinked = useMachine((it) => it.link === 'open')
  const isRunning = useMachine((it) => it.running)
  const verdicts = useVerdicts()
  const { ask, text } = useStationProgram(bench, program.text)
  const chosen = ask.ok ? ask.value.chosen : NONE
  const stations = ask.ok ? ask.value.plate.stations : 1
  const waits = isLinked && isByHand(bench) && chosen.length > 1
  const worked = useMemo((): Worked => {
    const counted = verdicts.filter((it) => it.def.stage === 'work' || it.def.stage === 'rotary')
    const one: readonly Finding[] = waits
      ? [
          {
            code: 'no-pause',
            severity: 'error',
            message:
              'Over a link the machine does not wait for your hand: burn one station at a time, or take the program as a file without a link.',
          },
        ]
      : []
    const unwritten = text?.ok === false ? text.findings : []
    return {
      text: text?.ok === true ? text.value : '',
      words: chosen.length === stations ? `All ${stations} stations, one after the other.` : sayChosen(chosen, stations),
      findings: [...(ask.ok ? [] : ask.findings), ...unwritten, ...one, ...whyOrderStays(bench, program, counted, units)],
    }
  }, [ask, text, waits, chosen, stations, bench, program, verdicts, units])
  return (
    <>
      {isLinked && isByHand(bench) && <StationByStation chosen={chosen} stations={stations} isRunning={isRunning} />}
      <HandOut
        name="stations"
        steps={worked}
        bench={bench}
        prepare={() =>
          refusedMaterial(bench) ?? { ok: true, value: { id: `stations ${newId()}`, keep: () => DONE }, findings: [] }
        }
        burnWords={chosen.length === 1 ? `Burn station ${chosen[0] ?? 1}` : 'Burn these stations'}
        stage="rotary"
        isWaiting={isPlanning || (ask.ok && text === null)}
      />
    </>
  )
}

const NONE: readonly number[] = []

function sayChosen(chosen: readonly number[], stations: number): string {
  return `${chosen.length} of ${stations} ${chosen.length === 1 ? 'station' : 'stations'}: ${chosen.join(', ')}.`
}

/** Which station is turned to now, and the next one. */
function StationByStation(props: { readonly chosen: readonly number[]; readonly stations: number; readonly isRunning: boolean }) {
  const { chosen, stations, isRunning } = props
  const now = chosen.length === 1 ? (chosen[0] ?? 1) : null
  const next = now === null ? (chosen[0] ?? 1) : now + 1
  const go = (): void => void setPlain('rotary.onStations', String(next), 'the station that is burnt')
  return (
    <div className="no-print flex flex-wrap items-center gap-2 pt-2 text-[14px]">
      {now !== null && (
        <span>
          Turn the plate to station <span className="num">{now}</span> and lock it; supply of the beam off while your hand is
          there.
        </span>
      )}
      {readStations(String(next), stations).ok && (
        <button type="button" className="button" disabled={isRunning} onClick={go}>
          {now === null ? `Begin with station ${next}` : `Next: station ${next}`}
        </button>
      )}
    </div>
  )
}
