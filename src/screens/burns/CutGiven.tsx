import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { nextTry, type BookMaterial } from '../../core/burn'
import type { Bench } from '../../core/document'
import { MATERIALS, whyNotBurnt, type MaterialId } from '../../core/safety'
import { displayUnit, fromCore, printNumber, sayQuantity, unitOf } from '../../core/units'
import {
  addMaterial,
  addTry,
  addTypedTry,
  choose,
  DONE,
  engineOf,
  isDone,
  isThroughOnStandIn,
  keepSetting,
  removeMaterial,
  removeSetting,
  removeTry,
  renameMaterial,
  setMaterialKind,
  trySteps,
  useBenchStore,
  useMachine,
  wantedCut,
  type Told,
  type TryMade,
} from '../../state'
import { FactField, Findings, Panel, PlainField, Sentence, TakeAway, useUnits } from '../../ui'
import { HandOut } from '../../ui/HandOut'
import { useMaterial } from './chosen'

/** The book, the material that is looked at, its tries, and what is kept of it. */
export function CutGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  return (
    <div className="mt-2 grid gap-4">
      <Book bench={bench} shown={id} />
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          {whyNotBurnt(material.kind) === null && <Try key={`try ${id}`} bench={bench} id={id} />}
          <Tries id={id} material={material} />
          <Kept id={id} material={material} isBurnt={whyNotBurnt(material.kind) === null} />
        </>
      )}
    </div>
  )
}

/** Materials of the book, and one more. */
function Book({ bench, shown }: { readonly bench: Bench; readonly shown: string | null }) {
  const [name, setName] = useState('')
  const [said, say] = useState<Told>(DONE)
  const rows = Object.entries(bench.burns.materials).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="The book">
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 py-1 text-[14px]" role="group" aria-label="Materials">
        {rows.map(([id, it]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === shown}
            className={`min-h-7 px-1 ${id === shown ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
            onClick={() => choose(`burns.materials.${id}`)}
          >
            {it.name}
          </button>
        ))}
      </div>
      <form
        className="no-print mt-1 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          const made = addMaterial(name)
          say(made.said)
          if (!isDone(made.said)) return
          choose(`burns.materials.${made.id}`)
          setName('')
        }}
      >
        <input
          className="input min-h-8 w-64 py-0.5"
          aria-label="Name of a material"
          placeholder="Birch plywood, 3 mm"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className={`button ${rows.length === 0 ? 'button-first' : ''}`} disabled={name.trim() === ''}>
          Put it into the book
        </button>
      </form>
      <Findings findings={said} />
    </Panel>
  )
}

/** What the material is, and what is said against burning it. */
function About({ id, material }: { readonly id: string; readonly material: BookMaterial }) {
  const against = whyNotBurnt(material.kind)
  const known = material.kind in MATERIALS ? MATERIALS[material.kind as MaterialId] : null
  return (
    <Panel title={`Given, ${material.name}`}>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 py-1 text-[14px]">
        <PlainField label="Name" words value={material.name} keep={(it) => renameMaterial(id, it)} />
        <label className="inline-flex flex-col text-[12px] text-second">
          What it is
          <select
            className="input min-h-8 py-0.5 text-[13.5px] text-ink"
            value={material.kind}
            onChange={(event) => setMaterialKind(id, event.target.value)}
          >
            <option value="">not said yet</option>
            {Object.entries(MATERIALS).map(([key, it]) => (
              <option key={key} value={key}>
                {it.name}
              </option>
            ))}
          </select>
        </label>
        <span>
          <FactField path={`burns.materials.${id}.thickness`} /> thick
        </span>
        <TakeAway what={`Take ${material.name} out of the book`} act={() => removeMaterial(id)} />
      </div>
      {against !== null && known !== null && (
        <p role="alert" className="border-l-4 border-stop py-1 pl-3 text-[13.5px]">
          <strong className="font-[650]">Never burn this.</strong> {against}. No program is handed out for it.
        </p>
      )}
      {known?.burning === 'condition' && <p className="py-1 text-[13.5px] text-second">On a condition: {known.why}.</p>}
      {material.kind === '' && (
        <p className="py-1 text-[13.5px] text-second">
          Say what it is: what nobody knows is not burnt, and no program is handed out until then.
        </p>
      )}
    </Panel>
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
      <Sentence>
        A line is cut with <FactField path="burns.cutPower" /> and a number of passes of <FactField path="burns.cutPasses" />; the
        first line at <FactField path="burns.firstSpeed" />. {speed !== null && <>Now at {say(speed)}, which tells most.</>}
      </Sentence>
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

function Kept(props: { readonly id: string; readonly material: BookMaterial; readonly isBurnt: boolean }) {
  const { id, material, isBurnt } = props
  const unit = displayUnit('speed', useUnits())
  const [said, say] = useState<Told>(DONE)
  const rows = Object.entries(material.settings).sort(([, p], [, q]) => q.order - p.order)
  if (!isBurnt && rows.length === 0) return null
  return (
    <Panel title="Kept in the book">
      <ul className="m-0 list-none p-0">
        {rows.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5 text-[14px]">
            <span className="num text-second">{it.at.slice(0, 10)}</span>
            <span className="num">{sayQuantity(it.speed, null, unit)}</span>
            <span className="num">{Math.round(it.power * 100)}%</span>
            <span>{it.passes === 1 ? 'one pass' : `${it.passes} passes`}</span>
            <span className="text-second">learnt from tries</span>
            <TakeAway what={`Take the setting of ${it.at.slice(0, 10)} out`} act={() => removeSetting(id, key)} />
          </li>
        ))}
      </ul>
      {isBurnt && (
        <button type="button" className="button no-print mt-2" onClick={() => void keepSetting(id).then(say)}>
          Keep the speed that cuts 95 of 100
        </button>
      )}
      <Findings findings={said} />
    </Panel>
  )
}
