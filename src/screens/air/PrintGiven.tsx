import { useState } from 'react'
import { inOrder, PRINT_WORDS, type PrintFacts, type PrintKind } from '../../core/air'
import { addPrint, removeOfAir, setPrint, useBenchStore } from '../../state'
import { FactField, Panel, PlainField, SelectOf, Sentence, TakeAway } from '../../ui'

const GOES = { over: 'over a pipe, measured outside', into: 'into a socket, measured inside' } as const

/** Parts for the duct by what was measured, and how they are printed. */
export function PrintGiven() {
  const air = useBenchStore(({ bench }) => bench?.air)
  const [kind, setKind] = useState<PrintKind>('adapter')
  if (air === undefined) return null
  return (
    <div className="mt-2 grid gap-4">
      {inOrder(air.prints).map(([id, part]) => (
        <Panel
          key={id}
          title={`Given, ${part.name}`}
          aside={
            <TakeAway
              what={`Take ${part.name} away`}
              act={() => removeOfAir(`air.prints.${id}`, 'a part for the duct taken away')}
            />
          }
        >
          <div className="py-1">
            <PlainField label="Its name" words value={part.name} className="w-52" keep={(it) => setPrint(id, { name: it })} />
          </div>
          {part.kind === 'adapter' ? <AdapterGiven id={id} part={part} /> : <PlateGiven id={id} part={part} />}
        </Panel>
      ))}
      <div className="no-print flex flex-wrap items-center gap-2 text-[14px]">
        <SelectOf label="Kind of part for the duct" of={PRINT_WORDS} value={kind} choose={setKind} />
        <button type="button" className="button" onClick={() => addPrint(kind)}>
          Add it
        </button>
      </div>
      <Panel title="Given, how it is printed">
        <Sentence>
          The nozzle is <FactField path="air.printing.nozzle" />, a wall has <FactField path="air.printing.lines" /> lines, and
          fits have <FactField path="air.printing.play" /> of play.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          Measure what it goes on, not what it is sold as: what is sold as 100 mm measures 98 to 102. Print a ring of 10 mm first
          and try the fit. Printed plastic burns and softens: never the first part behind the work.
        </p>
      </Panel>
    </div>
  )
}

function AdapterGiven({ id, part }: { readonly id: string; readonly part: PrintFacts }) {
  const at = `air.prints.${id}` as const
  return (
    <Sentence>
      Its lower end goes{' '}
      <SelectOf
        label={`Lower end of ${part.name} goes`}
        of={GOES}
        value={part.lowGoes}
        choose={(lowGoes) => setPrint(id, { lowGoes })}
      />{' '}
      at Ø<FactField path={`${at}.low`} />, by <FactField path={`${at}.lowLength`} />. Its upper end goes{' '}
      <SelectOf
        label={`Upper end of ${part.name} goes`}
        of={GOES}
        value={part.highGoes}
        choose={(highGoes) => setPrint(id, { highGoes })}
      />{' '}
      at Ø<FactField path={`${at}.high`} />, by <FactField path={`${at}.highLength`} />.
    </Sentence>
  )
}

function PlateGiven({ id, part }: { readonly id: string; readonly part: PrintFacts }) {
  const at = `air.prints.${id}` as const
  return (
    <Sentence>
      The plate is <FactField path={`${at}.width`} /> by <FactField path={`${at}.height`} />, <FactField path={`${at}.thick`} />{' '}
      thick; through it goes Ø<FactField path={`${at}.hole`} />.
      {part.kind === 'flange' && (
        <>
          {' '}
          Its grille has bars of <FactField path={`${at}.bars`} /> with <FactField path={`${at}.between`} /> between them.
        </>
      )}
      {part.kind !== 'insert' && (
        <>
          {' '}
          It takes <FactField path={`${at}.screws`} /> screws through holes of <FactField path={`${at}.screwHole`} />,{' '}
          <FactField path={`${at}.pitch`} /> from screw to screw across, through <FactField path={`${at}.behind`} /> behind it.
        </>
      )}
      {part.kind === 'bracket' && (
        <>
          {' '}
          For the wire it has a notch of <FactField path={`${at}.notch`} />.
        </>
      )}
    </Sentence>
  )
}
