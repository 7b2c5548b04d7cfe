import { useMemo, useState } from 'react'
import { shownNumber } from '../../core/bench'
import { newestTrial, pointerX, pointerY } from '../../core/calibrate'
import { printNumber, sayQuantity, type Outcome } from '../../core/units'
import { boundsSteps, boxAround } from '../../core/work'
import {
  DONE,
  engineOf,
  isStandInThere,
  lookAtForetold,
  lookAtOutcome,
  refusedMaterial,
  whyOrderStays,
  newId,
  useBenchStore,
  useMachine,
  useOrderBurnt,
  useProgramsApart,
  useVerdicts,
  useWorkPlan,
  type PlannedProgram,
  type RunDraft,
  type Told,
} from '../../state'
import { Findings, SelectOf, useUnits } from '../../ui'
import { HandOut, type Worked } from '../../ui/HandOut'

/** The ways out of a planned order: its bounds first, then the program. */
export function WorkOut({ program }: { readonly program: PlannedProgram }) {
  const bench = useBenchStore((it) => it.bench)
  const units = useUnits()
  const verdicts = useVerdicts('work')
  const isPlanning = useWorkPlan((it) => it.isPlanning)
  const worked = useMemo((): Worked => {
    const findings = bench === null ? [] : whyOrderStays(bench, program, verdicts, units)
    const length = (mm: number): string => sayQuantity(Math.round(mm), null, units === 'metric' ? 'mm' : 'in')
    return { text: program.text, words: `${length(program.burntLength)} with the beam on.`, findings }
  }, [program, bench, units, verdicts])
  if (bench === null) return null
  const prepare = (): Outcome<RunDraft> => {
    const against = refusedMaterial(bench)
    if (against !== null) return against
    return { ok: true, value: { id: `work ${newId()}`, keep: () => DONE }, findings: [] }
  }
  return (
    <>
      <Bounds program={program} />
      <SinceLast text={program.text} />
      <HandOut
        name="work order"
        steps={worked}
        bench={bench}
        prepare={prepare}
        burnWords="Burn the order"
        stage="work"
        isWaiting={isPlanning}
      />
      <CameOut />
    </>
  )
}

/** What differs from the program that left last. */
function SinceLast({ text }: { readonly text: string }) {
  const records = useBenchStore((it) => it.records)
  const files = useBenchStore((it) => it.files)
  const last = useMemo(() => {
    const own = records
      .filter((it) => it.stage === 'work' && /: work order$/.test(it.title))
      .sort((p, q) => q.at.localeCompare(p.at))
    return own
      .map((record) => ({ record, file: files.find((it) => it.recordId === record.id) }))
      .find((it) => it.file !== undefined)
  }, [records, files])
  const apart = useProgramsApart(last?.file ?? null, text)
  if (last === undefined || apart === null) return null
  const when = `${last.record.at.slice(0, 10)}, ${last.record.at.slice(11, 16)}`
  return (
    <p className="text-[13px] text-second" data-apart={apart.isSame ? 'same' : 'other'}>
      {apart.isSame
        ? `The same program as left on ${when}.`
        : `Since the program of ${when}: from line ${printNumber(apart.from)} on ${printNumber(apart.now)} lines stand in place of ${printNumber(apart.before)}; ${printNumber(apart.alike)} are as they were.`}
    </p>
  )
}

/** The stand-in's sheet held against what was foretold. */
function CameOut() {
  const hasStandIn = useMachine((it) => isStandInThere(it) && !it.running)
  const came = useOrderBurnt((it) => it.came)
  const [said, say] = useState<Told>(DONE)
  if (!hasStandIn) return null
  return (
    <div className="no-print mt-3 border-t border-rule pt-2 text-[13.5px]">
      {came === null ? (
        <button type="button" className="button" onClick={() => void lookAtOutcome().then(say)}>
          Look at the stand-in’s sheet from above
        </button>
      ) : (
        <p role="status" className="flex flex-wrap items-center gap-x-3">
          <span data-likeness={came.likeness.toFixed(3)}>
            The plate shows how it came out: alike to <span className="num">{came.likeness.toFixed(2)}</span> of 1 with what was
            foretold.
          </span>
          <button type="button" className="link" onClick={lookAtForetold}>
            Show what was foretold
          </button>
        </p>
      )}
      <Findings findings={said} />
    </div>
  )
}

const ALONG = { hull: 'close around all that will be burnt', box: 'around the box of all that will be burnt' } as const
const BY = { beam: 'with the beam, at sighting power', dark: 'with the beam off' } as const

/** Walks around what will be burnt before it is. */
function Bounds({ program }: { readonly program: PlannedProgram }) {
  const isPlanning = useWorkPlan((it) => it.isPlanning)
  const bench = useBenchStore((it) => it.bench)
  const [by, setBy] = useState<keyof typeof BY | 'pointer'>('beam')
  const [along, setAlong] = useState<keyof typeof ALONG>('hull')
  if (bench === null || program.hull.length < 2) return null
  const trial = newestTrial(bench.calibrate.trials, 'pointer')
  const engine = engineOf(bench)
  const offset = trial === null ? null : [pointerX, pointerY].map((def) => shownNumber(engine.value(def, trial).result) ?? 0)
  const options = offset === null ? BY : { ...BY, pointer: 'with the pointer, its offset counted' }
  const [dx, dy] = by === 'pointer' && offset !== null ? (offset as [number, number]) : [0, 0]
  const power = by === 'beam' ? (bench.calibrate.sightPower.value ?? 0) : 0
  const steps = boundsSteps(
    (along === 'box' ? boxAround(program.hull) : program.hull).map(({ x, y }) => ({ x: x - dx, y: y - dy })),
    power,
    bench.calibrate.markSpeed.value ?? 20,
  )
  return (
    <details className="mt-2 border-t border-rule pt-2 text-[13.5px]">
      <summary className="cursor-pointer text-teal">Walk the bounds first</summary>
      <p className="pt-1">
        The head goes <SelectOf label="Along what the bounds are walked" of={ALONG} value={along} choose={setAlong} />{' '}
        <SelectOf
          label="How the bounds are walked"
          of={options as Readonly<Record<typeof by, string>>}
          value={by}
          choose={setBy}
        />
        . Watch with eyewear on whether it stays on the sheet and clear of clamps.
      </p>
      <HandOut
        name="bounds of the work order"
        steps={steps}
        bench={bench}
        prepare={() => ({ ok: true, value: { id: `bounds ${newId()}`, keep: () => DONE }, findings: [] })}
        burnWords="Walk them"
        isWaiting={isPlanning}
      />
    </details>
  )
}
