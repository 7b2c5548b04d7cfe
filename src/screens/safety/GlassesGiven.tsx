import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import type { Bench } from '../../core/document'
import {
  glassesDense,
  glassesLabel,
  glassesWithstand,
  PROOF_WORDS,
  readLabel,
  type Claim,
  type GlassesFacts,
  type LabelAt,
} from '../../core/safety'
import { DONE, addGlasses, engineOf, lookThrough, removeOfReach, setGlasses, useBenchStore, wearGlasses } from '../../state'
import { ChoiceField, FactField, Findings, Panel, PlainField, SelectOf, TakeAway, VerdictMark } from '../../ui'

/** Labels of eyewear, each read by its parts and held against both tests; those that pass first, the clearest first. */
export function GlassesGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const rows = Object.entries(bench.safety.glasses)
    .map(([id, glasses]) => ({ id, glasses, tested: testOf(bench, id) }))
    .sort((p, q) => rank(q) - rank(p) || p.glasses.order - q.glasses.order)
  return (
    <Panel title="Given, what their labels say">
      {rows.length === 0 && (
        <p className="max-w-[46rem] py-1.5 text-[14px] text-second">
          Copy a label letter by letter, as “D 315–534 LB6” or “OD 6+ 190–540 nm”: it is taken apart and held against both tests,
          at the wavelength of your diode, and again whenever that changes.
        </p>
      )}
      <ul className="m-0 list-none p-0" aria-label="Eyewear">
        {rows.map(({ id, glasses, tested }) => (
          <Pair
            key={id}
            id={id}
            glasses={glasses}
            tested={tested}
            isWorn={bench.safety.worn === id}
            isWindow={bench.safety.window === id}
          />
        ))}
      </ul>
      <div className="no-print py-1.5">
        <button type="button" className="button" onClick={() => addGlasses()}>
          Add a label
        </button>
      </div>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Those that pass stand first, and of them the ones that let most daylight through: clear for all but a narrow band is worn
        gladly, dark and broad is taken off to see. Two layers are not added up: the better one counts, until a certificate says
        what they are together.
      </p>
    </Panel>
  )
}

interface Tested {
  readonly at: LabelAt | null
  readonly dense: number | null
  readonly withstands: number | null
}

function testOf(bench: Bench, id: string): Tested {
  const engine = engineOf(bench)
  const label = engine.value(glassesLabel, id).result
  const least = (def: typeof glassesDense): number | null => {
    const { result, doubt } = engine.withDoubt(def, id)
    return doubt?.low ?? shownNumber(result)
  }
  return { at: label.known ? label.value : null, dense: least(glassesDense), withstands: least(glassesWithstand) }
}

const passes = ({ dense, withstands }: Tested): boolean => dense !== null && withstands !== null && dense >= 0 && withstands >= 0

function rank({ glasses, tested }: { readonly glasses: GlassesFacts; readonly tested: Tested }): number {
  return (passes(tested) ? 10 : 0) + (glasses.light.value ?? 0)
}

interface PairProps {
  readonly id: string
  readonly glasses: GlassesFacts
  readonly tested: Tested
  readonly isWorn: boolean
  readonly isWindow: boolean
}

function Pair({ id, glasses, tested, isWorn, isWindow }: PairProps) {
  const [told, setTold] = useState(DONE)
  const read = readLabel(glasses.label)
  const isDark = (glasses.light.value ?? 1) < 0.2
  return (
    <li className="border-b border-rule py-2 text-[14px]">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <PlainField label="Which" words value={glasses.name} className="w-36" keep={(it) => setGlasses(id, { name: it })} />
        <PlainField
          label="Its label, letter by letter"
          value={glasses.label}
          className="w-[22rem] max-w-full"
          keep={(it) => setGlasses(id, { label: it })}
        />
        <TakeAway what={`Take ${glasses.name} away`} act={() => removeOfReach(`safety.glasses.${id}`, 'a label taken away')} />
      </div>
      <p className="pt-1">
        Behind it stands{' '}
        <SelectOf
          label={`What stands behind the label of ${glasses.name}`}
          of={PROOF_WORDS}
          value={glasses.proof}
          choose={(proof) => setTold(setGlasses(id, { proof }))}
        />
        {glasses.proof === 'certificate' && (
          <>
            ,{' '}
            <PlainField
              label={`Number and day of the certificate of ${glasses.name}`}
              hideLabel
              words
              placeholder="its number, laboratory, day"
              value={glasses.certificate}
              className="w-56"
              keep={(certificate) => setGlasses(id, { certificate })}
            />
          </>
        )}
        . Its filter is of <ChoiceField path={`safety.glasses.${id}.filter`} />; it lets{' '}
        <FactField path={`safety.glasses.${id}.light`} /> of daylight through
        {isDark && <span className="text-second">: dark; light the room more brightly</span>}.
      </p>
      <ul className="m-0 list-none p-0 text-[13.5px]" aria-label={`What the label of ${glasses.name} says`}>
        {tested.at?.said.map(({ claim, counts, why }, k) => (
          <li key={k} className={counts ? '' : 'text-second'}>
            <span className="num">{sayClaim(claim)}</span>: {why}
          </li>
        ))}
        {read.bare.map((it) => (
          <li key={it} className="text-second">
            <span className="num">{it}</span>: names no wavelength, and is nothing
          </li>
        ))}
        {glasses.label !== '' && read.claims.length + read.bare.length === 0 && (
          <li className="text-second">Nothing on it is a scale number or a density with its wavelengths: it counts as none.</li>
        )}
      </ul>
      {tested.at !== null && glasses.label !== '' && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pt-1">
          <Test words={sayDensity(tested.at)} least={tested.dense} isOpen={tested.at.toldDensity > tested.at.density} />
          <Test words={sayScale(tested.at)} least={tested.withstands} isOpen={tested.at.toldScale > tested.at.scale} />
          {isWorn ? (
            <span className="font-semibold">These are worn.</span>
          ) : (
            <button type="button" className="button no-print" onClick={() => setTold(wearGlasses(id))}>
              These are worn
            </button>
          )}
          {isWindow ? (
            <span className="font-semibold">This is the window of the box.</span>
          ) : (
            <button type="button" className="button no-print" onClick={() => setTold(lookThrough(id))}>
              This is the window’s
            </button>
          )}
        </div>
      )}
      <Findings findings={told} />
    </li>
  )
}

function Test({ words, least, isOpen }: { readonly words: string; readonly least: number | null; readonly isOpen: boolean }) {
  const mark = least === null || (least < 0 && isOpen) ? 'unknown' : least >= 0 ? 'good' : 'stop'
  return (
    <span className="inline-flex items-center gap-1.5">
      <VerdictMark mark={mark} />
      {words}
      {TESTED[mark]}
    </span>
  )
}
const TESTED = { good: ' passes', look: '', stop: ' is not enough', unknown: ': not shown' } as const

const sayDensity = ({ density, toldDensity }: LabelAt): string =>
  toldDensity > density ? `density ${density} certified, ${toldDensity} by a seller` : `density ${density}`
const sayScale = ({ scale, toldScale }: LabelAt): string =>
  toldScale > scale ? `LB ${toldScale} by a seller` : scale === 0 ? 'no scale number' : `LB ${scale}`

const sayClaim = ({ from, to, kind, value, modes }: Claim): string =>
  `${from === to ? from : `${from}–${to}`} nm, ${kind === 'scale' ? `${modes === '' ? '' : `${modes} `}LB ${value}` : `OD ${value}`}`
