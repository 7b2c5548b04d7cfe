import { useState, type SyntheticEvent } from 'react'
import { useNavigate } from 'react-router'
import { enterFact, showFact, type Fact } from '../../core/bench'
import { benchFactSpec, type Bench } from '../../core/document'
import { KINEMATICS, type Kinematics } from '../../core/motion'
import { MATERIAL_IDS, type MaterialId } from '../../core/safety'
import { BUILDS } from '../../core/schedule'
import type { Finding, Outcome, UnitSystem } from '../../core/units'
import { addressOf, isDone, NEXT, setUp, useBenchStore } from '../../state'
import { Findings, Panel, SelectOf, useUnits } from '../../ui'
import { MaterialBoxes } from './MaterialBoxes'

/** Lengths and money as they are typed, by the key of the goal. */
type Typed = Readonly<Record<'workWidth' | 'workDepth' | 'workHeight' | 'budget', string>>

const FIRST: Readonly<Record<UnitSystem, Typed>> = {
  metric: { workWidth: '400', workDepth: '300', workHeight: '', budget: '' },
  inch: { workWidth: '16', workDepth: '12', workHeight: '', budget: '' },
}

/** What is to be built: the answers set a bench up, every guess assumed with an honest range; they stay open to change. */
export function SetUp() {
  const bench = useBenchStore((it) => it.bench)
  // Another bench, or another answer by its own field, begins the form anew.
  if (bench === null) return null
  const form = <SetUpForm key={`${bench.id} ${JSON.stringify(answersOf(bench))}`} bench={bench} />
  if (bench.plan.goals.workWidth.value === null) return <div className="mt-3">{form}</div>
  return (
    <details className="no-print mt-3">
      <summary className="cursor-pointer py-1 text-second">Set the bench up again, from other answers</summary>
      {form}
    </details>
  )
}

interface Answers {
  readonly kinematics: Kinematics
  readonly build: keyof typeof BUILDS
  readonly typed: Typed
  readonly materials: readonly MaterialId[]
  readonly rotary: boolean
  readonly portable: boolean
}

/** What was said before; where nothing was, what is usual. */
function answersOf({ motion, plan, units }: Bench): Answers {
  const { goals } = plan
  const said = (key: keyof Typed): string => {
    const { text, unit } = showFact(goals[key])
    return text === '' ? (goals.workWidth.value === null ? FIRST[units][key] : '') : `${text} ${unit}`.trim()
  }
  return {
    kinematics: motion.kinematics.origin === 'stated' ? (motion.kinematics.chosen ?? 'gantry') : 'gantry',
    build: plan.build.chosen ?? 'new',
    typed: { workWidth: said('workWidth'), workDepth: said('workDepth'), workHeight: said('workHeight'), budget: said('budget') },
    materials: goals.workWidth.value === null ? ['wood'] : MATERIAL_IDS.filter((id) => goals.materials[id] === true),
    rotary: goals.rotary.chosen === 'yes',
    portable: goals.portable.chosen === 'yes',
  }
}

function SetUpForm({ bench }: { readonly bench: Bench }) {
  const system = useUnits()
  const navigate = useNavigate()
  const unit = system === 'metric' ? 'mm' : 'in'
  const [before] = useState(() => answersOf(bench))
  const [kinematics, setKinematics] = useState(before.kinematics)
  const [build, setBuild] = useState(before.build)
  const [typed, setTyped] = useState(before.typed)
  const [materials, setMaterials] = useState(before.materials)
  const [rotary, setRotary] = useState(before.rotary)
  const [portable, setPortable] = useState(before.portable)
  const [findings, setFindings] = useState<readonly Finding[]>([])
  const isAgain = bench.plan.goals.workWidth.value !== null
  const submit = (event: SyntheticEvent): void => {
    event.preventDefault()
    const read = readGoals(typed, system)
    if (!read.ok) {
      setFindings(read.findings)
      return
    }
    const said = setUp({ kinematics, build, materials, rotary, portable, ...read.value })
    setFindings(said)
    if (isDone(said)) void navigate(addressOf(bench.id, NEXT))
  }
  const field = (key: keyof Typed, label: string) => (
    <input
      className="input num w-24 leading-tight"
      aria-label={label}
      value={typed[key]}
      placeholder={key === 'workWidth' || key === 'workDepth' ? '' : '–'}
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
    />
  )
  return (
    <Panel title="What is to be built">
      <form className="no-print mt-2 grid max-w-[46rem] gap-2 text-[15px]" onSubmit={submit}>
        <p className="leading-[2.75]">
          A machine <SelectOf className="leading-tight" label="How it is built" of={BUILDS} value={build} choose={setBuild} />,
          moved by{' '}
          <SelectOf className="leading-tight" label="How it is moved" of={KINEMATICS} value={kinematics} choose={setKinematics} />
          , for work of up to {field('workWidth', 'Width of the largest work')} ×{' '}
          {field('workDepth', 'Depth of the largest work')} <span className="num">{unit}</span>, up to{' '}
          {field('workHeight', 'Height of the thickest work')} <span className="num">{unit}</span> thick. It may cost{' '}
          {field('budget', 'What it may cost')}.
        </p>
        <p className="flex flex-wrap gap-x-6 gap-y-1">
          <Tick label="Round things are turned under the beam" value={rotary} set={setRotary} />
          <Tick label="It is carried to where it burns" value={portable} set={setPortable} />
        </p>
        <MaterialBoxes ticked={materials} change={setMaterials} />
        <p className="text-[13px] text-second">
          Travel, axes, drives and tasks are set from that, each assumed until you measure it; what you have stated or measured
          stays. One step back undoes it.
        </p>
        <Findings findings={findings} />
        <button type="submit" className="button button-first justify-self-start">
          {isAgain ? 'Set the bench up again' : 'Set the bench up'}
        </button>
      </form>
    </Panel>
  )
}

type Goals = Record<'width' | 'depth', Fact> & Record<'height' | 'budget', Fact | null>

/** The goals as facts, or what is wrong with each, under its own name. */
function readGoals(typed: Typed, system: UnitSystem): Outcome<Goals> {
  const findings: Finding[] = []
  const read = (key: keyof Typed): Fact | null => {
    const spec = benchFactSpec(`plan.goals.${key}`)
    if (spec === undefined) return null
    const entered = enterFact({ typed: typed[key], origin: 'stated' }, spec, system)
    if (entered.ok) return entered.value
    findings.push(...entered.findings.map((it) => ({ ...it, message: `${spec.label}: ${it.message}` })))
    return null
  }
  const optional = (key: keyof Typed): Fact | null => (typed[key].trim() === '' ? null : read(key))
  const [width, depth] = [read('workWidth'), read('workDepth')]
  const [height, budget] = [optional('workHeight'), optional('budget')]
  if (width === null || depth === null || findings.length > 0) return { ok: false, findings }
  return { ok: true, value: { width, depth, height, budget }, findings: [] }
}

function Tick({
  label,
  value,
  set,
}: {
  readonly label: string
  readonly value: boolean
  readonly set: (value: boolean) => void
}) {
  return (
    <label className="flex min-h-6 items-center gap-2">
      <input
        type="checkbox"
        className="h-4 w-4 accent-[var(--teal)]"
        checked={value}
        onChange={(event) => set(event.target.checked)}
      />
      {label}
    </label>
  )
}
