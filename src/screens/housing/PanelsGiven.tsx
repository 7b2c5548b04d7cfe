import { useState } from 'react'
import { sheetCost, sheetMass, sheetsToBuy } from '../../core/nesting'
import type { Bench } from '../../core/document'
import {
  addOffcut,
  addSheet,
  addUsualSheets,
  boxOntoPlan,
  DONE,
  isDone,
  removeOfHousing,
  useBenchStore,
  useFigure,
  takeSheet,
  type Told,
} from '../../state'
import { ChoiceField, FactField, Findings, Panel, printFigure, Quantity, Sentence, StageLink, TakeAway, useUnits } from '../../ui'

/** Sheets to compare, how the box is made of the one in use, and its paint. */
export function PanelsGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <SheetList bench={bench} />
      <Offcuts bench={bench} />
      <Making bench={bench} />
      <OntoPlan />
    </div>
  )
}

const inOrder = <T extends { readonly order: number }>(rows: Readonly<Record<string, T>>): readonly (readonly [string, T])[] =>
  Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)

function SheetList({ bench }: { readonly bench: Bench }) {
  const { sheets, sheet: used } = bench.housing
  const rows = inOrder(sheets)
  return (
    <Panel title="Given, sheets to compare">
      {rows.length === 0 && (
        <p className="max-w-[46rem] py-1.5 text-[14px] text-second">
          Put sheets on the list with their prices: for each you see how many it takes, what they cost, and what the box weighs.
        </p>
      )}
      <ul className="m-0 list-none p-0" aria-label="Sheets to compare">
        {rows.map(([id, it]) => (
          <li key={id} className="border-b border-rule py-1.5 text-[14px]">
            <div className="flex items-start gap-2">
              <input
                type="radio"
                name="sheet"
                className="mt-1.5"
                aria-label={`Make the box of sheet ${it.order}`}
                checked={used === id}
                onChange={() => takeSheet(id)}
              />
              <span>
                <ChoiceField path={`housing.sheets.${id}.kind`} />, <FactField path={`housing.sheets.${id}.thickness`} /> thick,{' '}
                <FactField path={`housing.sheets.${id}.along`} /> by <FactField path={`housing.sheets.${id}.across`} />, at{' '}
                <FactField path={`housing.sheets.${id}.price`} /> each
              </span>
              <TakeAway
                what={`Take sheet ${it.order} away`}
                act={() => removeOfHousing(`housing.sheets.${id}`, 'a sheet taken away')}
              />
            </div>
            <Compared id={id} />
          </li>
        ))}
      </ul>
      <div className="no-print flex flex-wrap gap-2 py-1.5">
        {rows.length === 0 && (
          <button type="button" className="button" onClick={() => addUsualSheets()}>
            Compare 9, 12 and 18 mm
          </button>
        )}
        <button type="button" className="button" onClick={() => addSheet()}>
          Add a sheet
        </button>
      </div>
    </Panel>
  )
}

/** What a sheet comes to. */
function Compared({ id }: { readonly id: string }) {
  const system = useUnits()
  const figures = [useFigure(sheetsToBuy, id), useFigure(sheetMass, id), useFigure(sheetCost, id)]
  const words = ['sheets', 'weighs', 'costs']
  return (
    <p className="flex flex-wrap gap-x-5 pl-6 text-[13px] text-second">
      {figures.map((it, k) =>
        it === null || !it.result.known ? null : (
          <span key={words[k]}>
            {words[k]} <Quantity of={printFigure(it, system)} guessed={false} />
          </span>
        ),
      )}
    </p>
  )
}

function Offcuts({ bench }: { readonly bench: Bench }) {
  const rows = inOrder(bench.housing.offcuts)
  return (
    <Panel title="Given, offcuts that are there">
      {rows.map(([id, it]) => (
        <div key={id} className="flex items-center gap-2 border-b border-rule py-1 text-[14px]">
          <span>
            <FactField path={`housing.offcuts.${id}.along`} /> along the grain by{' '}
            <FactField path={`housing.offcuts.${id}.across`} />
          </span>
          <TakeAway
            what={`Take offcut ${it.order} away`}
            act={() => removeOfHousing(`housing.offcuts.${id}`, 'an offcut taken away')}
          />
        </div>
      ))}
      <button type="button" className="link no-print my-1" onClick={() => addOffcut()}>
        Add an offcut
      </button>
    </Panel>
  )
}

function Making({ bench }: { readonly bench: Bench }) {
  const { make } = bench.housing
  return (
    <Panel title="Given, how it is made">
      <Sentence>
        Panels meet <ChoiceField path="housing.make.joint" />
        {make.joint.chosen !== 'butt' && (
          <>
            , <FactField path="housing.make.depth" /> deep
          </>
        )}
        . The saw takes <FactField path="housing.make.kerf" />, <FactField path="housing.make.trim" /> are trimmed off each edge;
        the grain <ChoiceField path="housing.make.grain" />; in its corners <ChoiceField path="housing.make.braces" />
        {make.braces.chosen === 'yes' && (
          <>
            {' '}
            with legs of <FactField path="housing.make.brace" />
          </>
        )}
        . Screws of <FactField path="housing.make.screw" /> stand <FactField path="housing.make.spacing" /> apart at most.
        {bench.housing.window.kept.chosen === 'yes' && (
          <>
            {' '}
            Bars for the frame of the window come in lengths of <FactField path="housing.make.bar" />.
          </>
        )}
      </Sentence>
      <Sentence>
        It gets <FactField path="housing.make.coats" /> coats, painted <ChoiceField path="housing.make.bySpray" />; a litre covers{' '}
        <FactField path="housing.make.covers" /> once and costs <FactField path="housing.make.paintPrice" />.
      </Sentence>
      <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[13.5px] leading-relaxed text-second">
        <li>Screws into sheet under 12 mm pull out: glue a block behind the joint, and screw into that.</li>
        <li>Saw and sand with the dust drawn off and a mask on; the guard of the saw stays on.</li>
        <li>Paint matt black inside before the window goes in; let every coat dry as its tin says, with the window open.</li>
      </ul>
    </Panel>
  )
}

/** Sheets, paint and the work on them, onto the plan. */
function OntoPlan() {
  const [said, say] = useState<Told>(DONE)
  const [isThere, setThere] = useState(false)
  return (
    <div className="no-print">
      <button
        type="button"
        className="button"
        onClick={() => {
          const told = boxOntoPlan()
          say(told)
          setThere(isDone(told))
        }}
      >
        Put parts and work onto the plan
      </button>
      <Findings findings={said} />
      {isThere && (
        <p className="text-[13px]" role="status">
          Sheets, paint and fittings stand on the parts list, the work with its waits among the tasks.{' '}
          <StageLink stage="plan" part="parts">
            See the plan
          </StageLink>
        </p>
      )}
    </div>
  )
}
