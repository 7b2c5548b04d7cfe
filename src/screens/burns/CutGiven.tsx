import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { nextTry, type BookMaterial } from '../../core/burn'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { displayUnit, fromCore, printNumber, sayQuantity, unitOf } from '../../core/units'
import {
  addTry,
  addTypedTry,
  DONE,
  engineOf,
  isDone,
  isThroughOnStandIn,
  removeTry,
  trySteps,
  useBenchStore,
  useMachine,
  wantedCut,
  type Told,
  type TryMade,
} from '../../state'
import { FactField, Findings, Panel, Sentence, TakeAway, useUnits } from '../../ui'
import { HandOut } from '../../ui/HandOut'
import { About, Book } from './Book'
import { useMaterial } from './chosen'
import { Kept } from './Kept'

/** The book, the material that is looked at, its tries, and what is kept of it. */
export function CutGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  return (
    <div className="mt-2 grid gap-4">
      <Book bench={bench} shown={id} />
      <Sentence>
        A line is cut with <FactField path="burns.cutPower" /> and a number of passes of <FactField path="burns.cutPasses" />; the
        first line at <FactField path="burns.firstSpeed" />.
      </Sentence>
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          {whyNotBurnt(material.kind) === null && <Try key={`try ${id}`} bench={bench} id={id} />}
          <Tries id={id} material={material} />
          <Kept id={id} material={material} isBurnt={whyNotBurnt(material.kind) === null} want="cut" />
        </>
      )}
    </div>
  )
}

/** The next line that is tried: its program, and whether it came through. */
function Try({ bench, id }: { readonly bench: Bench; readonly id: string }) {
  const unit = displayUnit('speed', useUnits())
  const [said, tell] = useState<Told>(DONE)
  const say = (mmPerS: number): string => `${printNumber(fromCore(mmPerS, unit), 2)} ${unitOf(unit).symbol}`
  const [typed, setTyped] = useState('')
  const [burnt, setBurnt] = useState<(Omit<TryMade, 'isThrough'> & { readonly run: string }) | null>(null)
  const next = shownNumber(engineOf(bench).value(nextTry, id).result)
  const isHere = useMachine((it) => burnt !== null && it.burnt === burnt.run && !it.running && it.marks.length > 0)
  const speed = next
  const write = (isThrough: boolean): void => {
    // What was burnt counts as it was burnt, whatever is asked for since.
    const { power, passes, speed: at } = burnt ?? { ...wantedCut(bench), speed }
    const outcome =
      typed.trim() === '' && at !== null ? addTry(id, { power, passes, speed: at, isThrough }) : addTypedTry(id, typed, isThrough)
    tell(outcome)
    if (!isDone(outcome)) return
    setTyped('')
    setBurnt(null)
  }
  const prepare = () => {
    const run = `try ${id} ${Object.keys(bench.burns.materials[id]?.tries ?? {}).length}`
    return {
      ok: true as const,
      value: { id: run, keep: () => (setBurnt({ run, ...wantedCut(bench), speed: speed ?? 1 }), DONE) },
      findings: [],
    }
  }
  const seen = isHere && burnt !== null ? isThroughOnStandIn(burnt.run) : null
  return (
    <Panel title="The next try">
      {speed !== null && <p className="py-1 text-[14px]">A line at {say(speed)} tells most now.</p>}
      {speed !== null && (
        <HandOut name="cutting try" steps={trySteps(bench, speed)} bench={bench} prepare={prepare} burnWords="Burn this line" />
      )}
      <div className="no-print mt-2 flex flex-wrap items-center gap-2">
        <input
          className="input num min-h-8 w-40 py-0.5"
          aria-label="Speed of the line, if another"
          placeholder={speed === null ? '' : say(speed)}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="button" className="button" onClick={() => write(true)}>
          It came through
        </button>
        <button type="button" className="button" onClick={() => write(false)}>
          It did not
        </button>
        {seen !== null && (
          <span role="status" className="text-second">
            On the stand-in’s sheet it {seen ? 'came through' : 'did not come through'}.
          </span>
        )}
      </div>
      <Findings findings={said} />
    </Panel>
  )
}

function Tries({ id, material }: { readonly id: string; readonly material: BookMaterial }) {
  const unit = displayUnit('speed', useUnits())
  const rows = Object.entries(material.tries).sort(([, p], [, q]) => p.order - q.order)
  if (rows.length === 0) return null
  return (
    <Panel title="What was tried">
      <ul className="m-0 list-none p-0">
        {rows.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5 text-[14px]">
            <span className="num text-second">{it.at.slice(0, 10)}</span>
            <span className="num">{sayQuantity(it.speed, null, unit)}</span>
            <span className="num">{Math.round(it.power * 100)}%</span>
            <span>{it.passes === 1 ? 'one pass' : `${it.passes} passes`}</span>
            <span className={it.through === 'yes' ? 'font-[650]' : ''}>
              {it.through === 'yes' ? 'came through' : 'did not come through'}
            </span>
            <TakeAway what={`Take try ${it.order} away`} act={() => removeTry(id, key)} />
          </li>
        ))}
      </ul>
    </Panel>
  )
}
