import { standardUncertainty, type Fact } from '../../core/bench'
import type { KEEP_OFF, RoundObject } from '../../core/rotary'
import { useState } from 'react'
import { addKeepOff, addSection, DONE, removeOfRotary, setPlain, traceObject, useBenchStore, type Told } from '../../state'
import { ChoiceField, FactField, FileButton, Findings, Panel, SelectOf, Sentence, TakeAway } from '../../ui'
import { AddObject, Objects } from './Objects'

/** What is kept off, in words. */
const KINDS: Readonly<Record<(typeof KEEP_OFF)[number], string>> = {
  seam: 'a seam',
  bulge: 'a bulge or rim',
  neck: 'a neck',
  foot: 'a foot',
  print: 'a print',
  other: 'something else',
}

/** The object in hand as it was measured, and where its work goes. */
export function ObjectGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const id = bench.rotary.inHand
  const object = bench.rotary.objects[id]
  if (object === undefined) return null
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, the object">
        <Objects bench={bench} />
        <Shape id={id} object={object} />
      </Panel>
      <Panel title="Given, its diameters">
        <Sections id={id} object={object} />
      </Panel>
      <Panel title="Given, its work">
        <Sentence>
          The work goes from <FactField path={`rotary.objects.${id}.workFrom`} /> to{' '}
          <FactField path={`rotary.objects.${id}.workTo`} /> along it, counted from its driven end, and takes{' '}
          <FactField path={`rotary.objects.${id}.workAround`} /> around it.
        </Sentence>
        <KeepOff id={id} object={object} />
      </Panel>
      <Panel title="Another object">
        <AddObject />
      </Panel>
    </div>
  )
}

function Shape({ id, object }: { readonly id: string; readonly object: RoundObject }) {
  const at = `rotary.objects.${id}` as const
  const isHollow = object.hollow.chosen === 'driven' || object.hollow.chosen === 'far'
  return (
    <>
      <Sentence>
        It is made of <ChoiceField path={`${at}.madeOf`} />, <ChoiceField path={`${at}.hollow`} />, is{' '}
        <FactField path={`${at}.length`} /> long and weighs <FactField path={`${at}.mass`} />.{' '}
        {isHollow && (
          <>
            Its bore measures <FactField path={`${at}.bore`} /> at the mouth and is <FactField path={`${at}.boreDepth`} /> deep.
          </>
        )}
      </Sentence>
      <Sentence>
        Handles: <ChoiceField path={`${at}.handle`} />.{' '}
        {object.handle.chosen === 'one' && (
          <>
            It stands out by <FactField path={`${at}.handleOut`} />, from <FactField path={`${at}.handleFrom`} /> to{' '}
            <FactField path={`${at}.handleTo`} /> along the object, <FactField path={`${at}.handleAt`} /> from the middle of the
            work, and weighs <FactField path={`${at}.handleMass`} />.
          </>
        )}
      </Sentence>
    </>
  )
}

function Sections({ id, object }: { readonly id: string; readonly object: RoundObject }) {
  const sections = Object.entries(object.sections).sort(
    ([, p], [, q]) => (p.at.value ?? 1e9) - (q.at.value ?? 1e9) || p.order - q.order,
  )
  return (
    <>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Places are counted from the end that is driven. Measure where it changes: at both ends, where a taper begins, before and
        behind a bulge.
      </p>
      <ul className="m-0 list-none p-0">
        {sections.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1 text-[14px]">
            At <FactField path={`rotary.objects.${id}.sections.${key}.at`} small /> it measures Ø
            <FactField path={`rotary.objects.${id}.sections.${key}.diameter`} small />
            <TakeAway
              what={`Take the diameter at ${it.at.typed === '' ? 'its place' : it.at.typed} away`}
              act={() => removeOfRotary(`rotary.objects.${id}.sections.${key}`, 'a diameter taken away')}
            />
          </li>
        ))}
      </ul>
      <div className="no-print mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="button" onClick={() => addSection(id)}>
          Add a diameter
        </button>
        <FromPicture id={id} object={object} />
      </div>
    </>
  )
}

/** Diameters from a picture of the side, by the length that was measured or by the largest diameter. */
function FromPicture({ id, object }: { readonly id: string; readonly object: RoundObject }) {
  const [said, say] = useState<Told>(DONE)
  const [isBusy, setBusy] = useState(false)
  const length = object.length.value
  const widest = Object.values(object.sections)
    .map((it) => it.diameter)
    .reduce<Fact | null>((most, it) => ((it.value ?? 0) > (most?.value ?? 0) ? it : most), null)
  const by = length === null ? widest : object.length
  const known = {
    of: length === null ? 'widest' : 'length',
    mm: by?.value ?? 0,
    u: by === null ? 0 : standardUncertainty(by.doubt),
  } as const
  const take = (file: File): void => {
    setBusy(true)
    void traceObject(id, file, known)
      .then(say)
      .finally(() => setBusy(false))
  }
  return (
    <>
      <FileButton label="Side picture" accept="image/png,image/jpeg,image/webp" take={take}>
        {isBusy ? 'Tracing …' : 'From a side picture'}
      </FileButton>
      <span className="basis-full text-[12.5px] text-second">
        From far away, its axis across, driven end left, on even ground of another brightness, its handle towards you.{' '}
        {length !== null
          ? 'Its length gives the scale.'
          : widest !== null
            ? 'Its largest diameter gives the scale.'
            : 'Measure its length first: it gives the scale.'}
      </span>
      <Findings findings={said} />
    </>
  )
}

function KeepOff({ id, object }: { readonly id: string; readonly object: RoundObject }) {
  const list = Object.entries(object.keepOff).sort(([, p], [, q]) => p.order - q.order)
  return (
    <>
      <ul className="m-0 list-none p-0">
        {list.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-2 border-b border-rule py-1 text-[14px]">
            Keep off
            <SelectOf
              label={`What is kept off, ${it.order}`}
              of={KINDS}
              value={it.kind}
              choose={(kind) => setPlain(`rotary.objects.${id}.keepOff.${key}.kind`, kind, 'what is kept off')}
            />
            from <FactField path={`rotary.objects.${id}.keepOff.${key}.from`} small /> to{' '}
            <FactField path={`rotary.objects.${id}.keepOff.${key}.to`} small />
            <TakeAway
              what={`Take what is kept off, ${KINDS[it.kind]}, away`}
              act={() => removeOfRotary(`rotary.objects.${id}.keepOff.${key}`, 'a stretch to keep off taken away')}
            />
          </li>
        ))}
      </ul>
      <button type="button" className="button no-print mt-2" onClick={() => addKeepOff(id)}>
        Add a stretch to keep off
      </button>
    </>
  )
}
