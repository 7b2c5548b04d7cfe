import { useState } from 'react'
import type { Bench } from '../../core/document'
import { fenceSteps, placesOf, sheetsOf, templateSteps } from '../../core/work'
import { DONE, keepFence, newId, setPlace, setPlacing } from '../../state'
import { FactField, NumberField, SelectOf, Sentence } from '../../ui'
import { HandOut } from '../../ui/HandOut'
import { Held, MmField, SpeedField } from './Held'

const PLACED = { measured: 'where it was measured', fence: 'in the corner of a fence' } as const

/** Where the sheet lies: as it was measured, or in a fence; alone, or one of many blanks side by side. */
export function PlacingGiven({ bench }: { readonly bench: Bench }) {
  const { work } = bench
  const isMany = work.placeColumns > 1 || work.placeRows > 1
  return (
    <>
      <Sentence>
        It lies{' '}
        <SelectOf
          label="What it is placed by"
          of={PLACED}
          value={work.placedBy}
          choose={(placedBy) => setPlacing({ placedBy })}
        />
        {work.placedBy === 'measured' && (
          <>
            : its left edge <FactField path="work.sheetX" /> from zero, its lower edge <FactField path="work.sheetY" />
          </>
        )}
        {work.placedBy === 'fence' && <Corner words=", whose inner edges meet" />}.
      </Sentence>
      <Fence bench={bench} />
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        There are <Count label="Places across" value={work.placeColumns} keep={(placeColumns) => setPlacing({ placeColumns })} />{' '}
        × <Count label="Places up" value={work.placeRows} keep={(placeRows) => setPlacing({ placeRows })} />{' '}
        {isMany ? 'places for blanks like it' : 'of it'}
        {work.placeColumns > 1 && (
          <>
            ,{' '}
            <MmField
              label="From place to place across"
              above
              valueMm={work.placeStepX}
              keep={(mm) => setPlacing({ placeStepX: mm ?? 100 })}
            />{' '}
            from one to the next across
          </>
        )}
        {work.placeRows > 1 && (
          <>
            ,{' '}
            <MmField
              label="From place to place up"
              above
              valueMm={work.placeStepY}
              keep={(mm) => setPlacing({ placeStepY: mm ?? 100 })}
            />{' '}
            from one to the next up
          </>
        )}
        {isMany ? '; all that lies on the first is burnt on each.' : '.'}
      </p>
      {isMany && <PlacesFilled bench={bench} />}
      {isMany && <Template bench={bench} />}
    </>
  )
}

function Count(props: {
  readonly label: string
  readonly value: number
  readonly keep: (it: number) => ReturnType<typeof setPlacing>
}) {
  const { label, value, keep } = props
  return <NumberField label={label} hideLabel whole above value={value} className="w-11" keep={(it) => keep(it ?? 1)} />
}

/** Which of the places have a blank this time. */
function PlacesFilled({ bench }: { readonly bench: Bench }) {
  const places = placesOf(bench.work)
  const columns = bench.work.placeColumns
  return (
    <fieldset className="mt-1 text-[13.5px]">
      <legend className="pb-1">Places with a blank this time, as they lie:</legend>
      <div className="grid w-fit gap-1" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 2.6rem))` }}>
        {[...places.keys()]
          .sort((p, q) => Math.floor(q / columns) - Math.floor(p / columns) || p - q)
          .map((k) => {
            const { id, isIn } = places[k] as (typeof places)[number]
            return (
              <label
                key={id}
                className={`flex min-h-8 items-center justify-center gap-1 border ${isIn ? 'border-ink' : 'border-dashed border-rule text-second'}`}
              >
                <input
                  type="checkbox"
                  aria-label={`Place ${k + 1} has a blank`}
                  checked={isIn}
                  onChange={(event) => setPlace(id, event.target.checked)}
                />
                <span className="num">{k + 1}</span>
              </label>
            )
          })}
      </div>
    </fieldset>
  )
}

/** Power and speed of lines that only say where something lies. */
function LayingNumbers({ bench }: { readonly bench: Bench }) {
  const { layPower, laySpeed } = bench.work
  return (
    <>
      <Held unit="%">
        <NumberField
          label="Power of laying lines, %"
          hideLabel
          above
          value={Math.round(layPower * 1000) / 10}
          className="w-14"
          keep={(it) => setPlacing({ layPower: (it ?? 0) / 100 })}
        />
      </Held>{' '}
      and <SpeedField label="Speed of laying lines" value={laySpeed} keep={(it) => setPlacing({ laySpeed: it })} />
    </>
  )
}

/** Where the fence's inner edges meet. */
function Corner({ words }: { readonly words: string }) {
  return (
    <>
      {words} <FactField path="work.fenceX" /> from zero along X and <FactField path="work.fenceY" /> along Y
    </>
  )
}

/** The lines along which a fence is laid. */
function Fence({ bench }: { readonly bench: Bench }) {
  const { work } = bench
  const corner = { x: work.fenceX.value ?? 0, y: work.fenceY.value ?? 0 }
  const laying = { power: work.layPower, speed: work.laySpeed }
  const isUsed = work.placedBy === 'fence'
  return (
    <details className="max-w-[46rem] pb-1 text-[14px]" open={isUsed && work.fenceBurnt === 'no'}>
      <summary className="cursor-pointer text-teal">{isUsed ? 'Burn the lines of the fence' : 'Lay a fence on the bed'}</summary>
      <p className="in-words leading-[2.1]">
        {!isUsed && (
          <>
            <Corner words="Its inner edges meet" />.{' '}
          </>
        )}
        Put tape or card on the bed where its corner comes. Two lines are burnt,{' '}
        <MmField label="Fence along X" above valueMm={work.fenceLong} keep={(mm) => setPlacing({ fenceLong: mm ?? 120 })} /> along
        X and <MmField label="Fence along Y" above valueMm={work.fenceHigh} keep={(mm) => setPlacing({ fenceHigh: mm ?? 80 })} />{' '}
        along Y, at <LayingNumbers bench={bench} />. Then screw the fence down with its inner edges along them: from then on a
        sheet is pushed into the corner, and the same place is met again and again.
        {isUsed && (
          <>
            {' '}
            Without a fence a sheet lies where it was measured: its left edge <FactField path="work.sheetX" /> from zero, its
            lower edge <FactField path="work.sheetY" />.
          </>
        )}
      </p>
      <HandOut
        name="lines of the fence"
        steps={fenceSteps(corner, work.fenceLong, work.fenceHigh, laying)}
        bench={bench}
        prepare={() => ({ ok: true, value: { id: `fence ${newId()}`, keep: () => keepFence(corner) }, findings: [] })}
        burnWords="Burn the lines"
        stage="work"
      />
    </details>
  )
}

/** Outlines of all places, so that blanks find them. */
function Template({ bench }: { readonly bench: Bench }) {
  const [isOpen, open] = useState(false)
  const { work } = bench
  const [width, height] = [work.sheetWidth.value, work.sheetHeight.value]
  return (
    <details className="max-w-[46rem] py-1 text-[14px]" open={isOpen} onToggle={(event) => open(event.currentTarget.open)}>
      <summary className="cursor-pointer text-teal">Burn the outlines of the places</summary>
      {width === null || height === null ? (
        <p className="py-1">
          Measure a blank first: it is <FactField path="work.sheetWidth" /> by <FactField path="work.sheetHeight" />.
        </p>
      ) : (
        <>
          <p className="in-words leading-[2.1]">
            Fix card or thin wood to the bed. The outline of a blank is burnt at each place, at <LayingNumbers bench={bench} />;
            lay the blanks into them, or cut them out for a template that holds them.
          </p>
          {isOpen && (
            <HandOut
              name="outlines of places"
              steps={templateSteps(sheetsOf(work), { width, height }, { power: work.layPower, speed: work.laySpeed })}
              bench={bench}
              prepare={() => ({ ok: true, value: { id: `places ${newId()}`, keep: () => DONE }, findings: [] })}
              burnWords="Burn the outlines"
              stage="work"
            />
          )}
        </>
      )}
    </details>
  )
}
