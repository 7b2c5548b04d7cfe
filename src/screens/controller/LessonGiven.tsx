import { useState, type ReactNode } from 'react'
import { lessonOf, nameOf, seenOfWrong, type LessonTry } from '../../core/course'
import { CULPRITS, SYMPTOM_SEEN, SYMPTOMS, type Culprit } from '../../core/faults'
import { displayUnit, sayExact, sayReading, type Quantity } from '../../core/units'
import { drawFans, drawGlasses, drawMug } from '../../core/workshop'
import { DONE, nameCause, switchHeadOn, useBenchStore, usePractised } from '../../state'
import { Findings, Panel, StageLink, useUnits } from '../../ui'
import { Spanner } from './Spanner'

/** What lies on the table of a lesson, and what can be done there that belongs to no stage. */
export function LessonGiven() {
  const id = useBenchStore((it) => it.bench?.id ?? '')
  const found = lessonOf(id)
  if (found === null) return null
  const { lesson, number } = found
  return (
    <div className="mt-3 grid gap-4">
      {(lesson === 'square' || lesson === 'delay') && <Spanner />}
      {lesson === 'eyewear' && <Glasses number={number} />}
      {lesson === 'mug' && <Mug number={number} />}
      {lesson === 'fan' && <Fans number={number} />}
      {lesson === 'head' && <SwitchOn />}
      {lesson === 'wrong' && <Wrong number={number} />}
      <p className="text-[13.5px] text-second">
        Number <span className="num">{number}</span>: the same lesson and number draw the same on any computer. Nothing of it
        reaches a bench of your own.
      </p>
    </div>
  )
}

const CELL = 'py-1.5 pr-4'

/** Things on the table, each with what can be read of it. */
function Lying(props: {
  readonly title: string
  readonly heads: readonly string[]
  readonly rows: readonly (readonly [string, ...ReactNode[]])[]
  readonly children?: ReactNode
}) {
  const { title, heads, rows, children } = props
  return (
    <Panel title={title}>
      <table className="w-full max-w-[46rem] border-collapse text-[14px]">
        <thead>
          <tr className="border-b border-rule text-left text-[12px] text-second">
            {heads.map((it) => (
              <th key={it} className={`${CELL} font-normal`}>
                {it}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, ...cells]) => (
            <tr key={name} className="border-b border-rule align-baseline">
              <td className={CELL}>{name}</td>
              {cells.map((it, k) => (
                <td key={heads[k + 1]} className={`${CELL} num`}>
                  {it}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {children}
    </Panel>
  )
}

function Glasses({ number }: { readonly number: number }) {
  const { pairs, wavelength, watts } = drawGlasses(number)
  return (
    <Lying
      title="On the table"
      heads={['Pair', 'Printed on it', 'Daylight let through']}
      rows={pairs.map((it) => [it.name, it.label, `${Math.round(it.light * 100)} %`])}
    >
      <p className="max-w-[46rem] py-2 text-[13.5px] text-second">
        The head burns at {wavelength} nm with {watts.toFixed(1)} W. The five stand on{' '}
        <StageLink stage="safety" part="eyewear">
          Eyewear and labels
        </StageLink>
        , their labels blank: copy them there.
      </p>
    </Lying>
  )
}

function Mug({ number }: { readonly number: number }) {
  const { read, work } = drawMug(number)
  const unit = displayUnit('length', useUnits())
  const say = (value: number, toWhat: number): string => sayReading(value, toWhat, unit)
  return (
    <Lying
      title="The mug, as calipers, rule and scales say"
      heads={['What', 'Read']}
      rows={[
        ...read.sections.map(({ at, diameter }): [string, string] => [
          `Diameter ${say(at, 1)} from its mouth`,
          say(diameter, 0.01),
        ]),
        ['Its length', say(read.length, 0.1)],
        ['Bore at its mouth, which is driven', say(read.bore, 0.01)],
        ['Depth of the bore', say(read.boreDepth, 0.1)],
        ['Its mass', `${Math.round(read.mass * 1000)} g`],
        [
          'Its handle stands out, from where to where',
          `${say(read.handleOut, 0.1)}, ${say(read.handleFrom, 0.1)} to ${say(read.handleTo, 0.1)}`,
        ],
      ]}
    >
      <p className="max-w-[46rem] py-2 text-[13.5px] text-second">
        It is of enamelled steel. The work goes from {say(work.from, 1)} to {say(work.to, 1)}, {say(60, 1)} around. Three discs,
        measured, are on the shelf on{' '}
        <StageLink stage="rotary" part="holders">
          Parts
        </StageLink>
        .
      </p>
    </Lying>
  )
}

function Fans({ number }: { readonly number: number }) {
  const { offers } = drawFans(number)
  const system = useUnits()
  const say = (value: number, quantity: Quantity): string => sayExact(value, displayUnit(quantity, system), 4)
  return (
    <Lying
      title="Fans on offer, by their labels"
      heads={['Fan', 'Into free air', 'Mouth shut', 'Noise at 1 m']}
      rows={offers.map((it) => [it.name, say(it.freeFlow, 'flow'), say(it.shutOff, 'pressure'), `${it.noise} dB`])}
    >
      <p className="max-w-[46rem] py-2 text-[13.5px] text-second">
        A fan’s curve runs straight between its two ends. What stands before and behind the fan, a carbon filter among it, was
        read by a water column and is entered on{' '}
        <StageLink stage="air" part="duct">
          Fan and duct
        </StageLink>
        . The fan that blows while you measure is borrowed.
      </p>
    </Lying>
  )
}

function useTries(): readonly LessonTry[] {
  const id = useBenchStore((it) => it.bench?.id ?? '')
  return usePractised((it) => it.byBench[id]?.tries) ?? NO_TRIES
}
const NO_TRIES: readonly LessonTry[] = []

function SwitchOn() {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState(DONE)
  const tries = useTries()
  if (bench === null) return null
  const ons = tries.flatMap((it) => (it.kind === 'on' ? [it] : []))
  return (
    <Panel title="At the bench, with the plug in your hand">
      <p className="max-w-[46rem] py-1 text-[13.5px] text-second">
        The head is plugged in and everything is switched on, as the drawing has it now. At a real one: glasses on, lens cap on,
        low voltage wired by you and mains by a professional.
      </p>
      <div className="no-print py-1">
        <button type="button" className="button" onClick={() => say(switchHeadOn(bench))}>
          Switch it on
        </button>
      </div>
      <ol className="m-0 list-none p-0 text-[14px]" role="status" aria-label="What happened">
        {ons.map((it) => (
          <li key={it.at} className="border-b border-rule py-1">
            <span className="num">{it.volts.toFixed(2)} V</span>{' '}
            {it.died ? 'reached the head: it is dead. Another one is fitted.' : 'reach the head: it lives.'}
          </li>
        ))}
      </ol>
      <Findings findings={said} />
    </Panel>
  )
}

function Wrong({ number }: { readonly number: number }) {
  const bench = useBenchStore((it) => it.bench)
  const [culprit, choose] = useState<Culprit | ''>('')
  const tries = useTries()
  if (bench === null) return null
  const seen = seenOfWrong(number)
  const there = SYMPTOMS.filter((it) => seen[it])
  const names = tries.flatMap((it) => (it.kind === 'named' ? [it] : []))
  return (
    <>
      <Panel title="The burn of this machine, as it looks">
        <ul className="m-0 list-none p-0 text-[14px]">
          {there.map((it) => (
            <li key={it} className="border-b border-rule py-1">
              {SYMPTOM_SEEN[it].name}
            </li>
          ))}
          {there.length === 0 && <li className="py-1">Nothing strikes the eye.</li>}
        </ul>
        <p className="max-w-[46rem] py-2 text-[13.5px] text-second">
          Say so on{' '}
          <StageLink stage="burns" part="wrong">
            What is wrong
          </StageLink>
          ; there each reading can be taken from this burn.
        </p>
      </Panel>
      <Panel title="Name what is wrong">
        <div className="no-print flex flex-wrap items-end gap-3 py-2">
          <label className="grid gap-1 text-[13px] text-second">
            What it is
            <select
              className="input text-[14px] text-ink"
              value={culprit}
              onChange={(event) => choose(event.target.value as Culprit | '')}
            >
              <option value="">choose</option>
              {CULPRITS.map((it) => (
                <option key={it} value={it}>
                  {nameOf(it)}
                </option>
              ))}
            </select>
          </label>
          <button
            type="button"
            className="button"
            disabled={culprit === ''}
            onClick={() => culprit !== '' && nameCause(bench, culprit)}
          >
            Name it
          </button>
        </div>
        <ol className="m-0 list-none p-0 text-[14px]" role="status" aria-label="What was named">
          {names.map((it) => (
            <li key={it.at} className="border-b border-rule py-1">
              {nameOf(it.culprit)}
            </li>
          ))}
        </ol>
      </Panel>
    </>
  )
}
