import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { maskNext, type BookMaterial } from '../../core/burn'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { displayUnit, sayQuantity } from '../../core/units'
import {
  addMaskTry,
  addTypedMaskTry,
  DONE,
  engineOf,
  isDone,
  removeMaskTry,
  trySteps,
  useBenchStore,
  type Told,
} from '../../state'
import { FactField, Findings, Panel, Sentence, TakeAway, useUnits } from '../../ui'
import { HandOut } from '../../ui/HandOut'
import { About, Book } from './Book'
import { useMaterial } from './chosen'
import { Kept } from './Kept'

/** What became of a line: three of four can be; tape whole and a mark beneath is none of them. */
const OUTCOMES = [
  ['Cut, nothing beneath', true, false],
  ['Cut, and marked beneath', true, true],
  ['Not cut through', false, false],
] as const

/** The material beneath, the next try of its mask, what was tried, what is kept. */
export function MaskGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  const isBurnt = material !== undefined && whyNotBurnt(material.kind) === null
  return (
    <div className="mt-2 grid gap-4">
      <Book bench={bench} shown={id} />
      <Sentence>
        A line is cut through the tape with <FactField path="burns.maskPower" />.
      </Sentence>
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          <p className="max-w-[46rem] text-[13px] text-second">
            The tape burns too: vinyl tape is never cut. Paper and painter’s tape only, and its data sheet comes first.
          </p>
          {isBurnt && <Try key={`try ${id}`} bench={bench} id={id} />}
          <Tries id={id} material={material} />
          <Kept id={id} material={material} isBurnt={isBurnt} want="mask" />
        </>
      )}
    </div>
  )
}

function Try({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const unit = displayUnit('speed', useUnits())
  const [said, tell] = useState<Told>(DONE)
  const [typed, setTyped] = useState('')
  const [burnt, setBurnt] = useState<{ readonly power: number; readonly speed: number } | null>(null)
  const speed = shownNumber(engineOf(bench).value(maskNext, id).result)
  const power = bench.burns.maskPower.value
  const write = (isCut: boolean, isMarked: boolean): void => {
    const made = burnt ?? (speed === null || power === null ? null : { power, speed })
    const outcome =
      typed.trim() === '' && made !== null
        ? addMaskTry(id, { ...made, isCut, isMarked })
        : addTypedMaskTry(id, typed, isCut, isMarked)
    tell(outcome)
    if (!isDone(outcome)) return
    setTyped('')
    setBurnt(null)
  }
  return (
    <Panel title="The next try of the mask">
      {speed !== null && <p className="py-1 text-[14px]">A line at {sayQuantity(speed, null, unit)} tells most now.</p>}
      {speed !== null && power !== null && (
        <HandOut
          name="mask try"
          steps={trySteps(bench, speed, { power, passes: 1 })}
          bench={bench}
          burnWords="Burn this line"
          prepare={() => ({
            ok: true,
            value: { id: `mask ${id}`, keep: () => (setBurnt({ power, speed }), DONE) },
            findings: [],
          })}
        />
      )}
      <p className="pt-2 text-[13px] text-second">Peel the tape, look at what lies beneath, and say what became of the line:</p>
      <div className="no-print mt-1 flex flex-wrap items-center gap-2">
        <input
          className="input num min-h-8 w-40 py-0.5"
          aria-label="Speed of the line, if another"
          placeholder={speed === null ? '' : sayQuantity(speed, null, unit)}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        {OUTCOMES.map(([words, isCut, isMarked]) => (
          <button key={words} type="button" className="button" onClick={() => write(isCut, isMarked)}>
            {words}
          </button>
        ))}
      </div>
      <Findings findings={said} />
    </Panel>
  )
}

function Tries({ id, material }: { readonly id: string; readonly material: BookMaterial }) {
  const unit = displayUnit('speed', useUnits())
  const rows = Object.entries(material.maskTries).sort(([, p], [, q]) => p.order - q.order)
  if (rows.length === 0) return null
  return (
    <Panel title="What was tried through the tape">
      <ul className="m-0 list-none p-0">
        {rows.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5 text-[14px]">
            <span className="num text-second">{it.at.slice(0, 10)}</span>
            <span className="num">{sayQuantity(it.speed, null, unit)}</span>
            <span className="num">{Math.round(it.power * 100)}%</span>
            <span>{it.cut === 'yes' ? 'cut' : 'not cut through'}</span>
            <span>{it.marked === 'yes' ? 'marked beneath' : 'nothing beneath'}</span>
            <TakeAway what={`Take mask try ${it.order} away`} act={() => removeMaskTry(id, key)} />
          </li>
        ))}
      </ul>
    </Panel>
  )
}
