import { useState } from 'react'
import type { Bench } from '../../core/document'
import { sayQuantity } from '../../core/units'
import {
  addClamp,
  DONE,
  layOutOrder,
  setClamp,
  setScans,
  setTurns,
  setUnder,
  setWorkMaterial,
  takeArtwork,
  useBenchStore,
  useWorkFiles,
  useWorkPlan,
  type Told,
} from '../../state'
import { FactField, FileButton, Findings, LengthField, Panel, SelectOf, Sentence, StageLink, TakeAway, useUnits } from '../../ui'
import { MmField } from './Held'
import { KeptOrders } from './KeptOrders'
import { PieceRow } from './PieceRow'
import { PlacingGiven } from './PlacingGiven'
import { Sequence } from './Sequence'

/** The sheet, what lies on it, and what is done with it. */
export function OrderGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Artwork bench={bench} />
      <SheetGiven bench={bench} />
      <Clamps bench={bench} />
      <KeptOrders bench={bench} />
    </div>
  )
}

const ACCEPT = '.svg,.dxf,.nc,.ngc,.gcode,.tap,.png,.jpg,.jpeg,.webp,image/svg+xml,image/png,image/jpeg,image/webp'

function Artwork({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const reading = useWorkFiles((it) => it.reading)
  const pieces = Object.entries(bench.work.pieces).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="Artwork, and what is done with it">
      {pieces.length === 0 && (
        <p className="max-w-[46rem] py-2 text-[15px]">
          Take in an outline or a picture: SVG, DXF, a program, PNG, JPEG or WebP. It lies on the sheet in its own size, and you
          say what is cut, marked or filled.
        </p>
      )}
      <ul className="m-0 list-none p-0">
        {pieces.map(([id, piece]) => (
          <PieceRow key={id} id={id} piece={piece} bench={bench} say={say} />
        ))}
      </ul>
      <div className="no-print mt-2 flex flex-wrap items-center gap-3">
        <FileButton
          label="Artwork file"
          accept={ACCEPT}
          first={pieces.length === 0}
          take={(file) => void takeArtwork(file).then(say)}
        >
          Take in artwork
        </FileButton>
        {reading !== null && (
          <p role="status" className="text-second">
            Reading “{reading}” …
          </p>
        )}
      </div>
      {pieces.length > 0 && <Sequence bench={bench} />}
      {pieces.length > 0 && <LayOut bench={bench} say={say} />}
      <Findings findings={said} />
    </Panel>
  )
}

/** Lays all copies out on the sheet, so that what is left over is one piece. */
function LayOut({ bench, say }: { readonly bench: Bench; readonly say: (said: Told) => void }) {
  const [gap, setGap] = useState(3)
  return (
    <p className="in-words no-print mt-2 text-[14px] leading-[2.1]">
      <button type="button" className="button" onClick={() => void layOutOrder(gap).then(say)}>
        Lay all copies out on the sheet
      </button>{' '}
      <MmField label="Between copies" valueMm={gap} keep={(mm) => (setGap(mm ?? 0), DONE)} /> apart, parts{' '}
      <SelectOf
        label="Whether parts are turned"
        of={{ free: 'turned by a quarter where that saves', kept: 'as they lie, with the grain' }}
        value={bench.work.turns}
        choose={setTurns}
      />
      . What is left over stays one piece.
    </p>
  )
}

function SheetGiven({ bench }: { readonly bench: Bench }) {
  const { work, burns } = bench
  const materials = Object.entries(burns.materials).sort(([, p], [, q]) => p.order - q.order)
  const options = Object.fromEntries([['', 'not said yet'], ...materials.map(([id, it]) => [id, it.name])]) as Record<
    string,
    string
  >
  return (
    <Panel title="Given, the sheet">
      <Sentence>
        The sheet is{' '}
        <SelectOf
          label="Material of the sheet"
          of={options}
          value={work.material in options ? work.material : ''}
          choose={setWorkMaterial}
        />{' '}
        of <FactField path="work.sheetWidth" /> by <FactField path="work.sheetHeight" />; <FactField path="work.margin" /> along
        its edges stay free.
      </Sentence>
      {materials.length === 0 && (
        <p className="py-1 text-[13.5px] text-second">
          The material book is empty.{' '}
          <StageLink stage="burns" part="cut">
            Put the sheet into the book
          </StageLink>
          : what cuts it is learnt there.
        </p>
      )}
      <PlacingGiven bench={bench} />
      <Under bench={bench} />
      <Sentence>
        Scan lines go{' '}
        <SelectOf
          label="How lines are scanned"
          of={{ both: 'there and back', one: 'one way only' }}
          value={work.scans}
          choose={setScans}
        />
        ; curves are followed to <FactField path="work.tolerance" />. Where no kerf was measured, <FactField path="work.kerf" />{' '}
        is counted.
      </Sentence>
    </Panel>
  )
}

const UNDER = { table: 'a closed table', honeycomb: 'an open honeycomb', bars: 'bars', plate: 'a plate of metal' } as const

/** What the sheet lies on; bars with their places. */
function Under({ bench }: { readonly bench: Bench }) {
  const { work } = bench
  const onBars = useWorkPlan((it) => it.program?.onBars ?? null)
  return (
    <p className="in-words max-w-[46rem] pt-1.5 text-[15px] leading-[2.1]">
      It lies on <SelectOf label="What the sheet lies on" of={UNDER} value={work.under} choose={(under) => setUnder({ under })} />
      {work.under === 'bars' && (
        <>
          {' '}
          that run{' '}
          <SelectOf
            label="Which way the bars run"
            of={{ x: 'along X', y: 'along Y' }}
            value={work.barsAlong}
            choose={(barsAlong) => setUnder({ barsAlong })}
          />
          , <MmField label="Width of the bars" above valueMm={work.barsWidth} keep={(mm) => setUnder({ barsWidth: mm ?? 4 })} />{' '}
          wide,{' '}
          <MmField
            label="From one bar to the next"
            above
            valueMm={work.barsStep}
            keep={(mm) => setUnder({ barsStep: mm ?? 40 })}
          />{' '}
          from one to the next, the first{' '}
          <MmField label="First bar from the edge" valueMm={work.barsFirst} keep={(mm) => setUnder({ barsFirst: mm ?? 0 })} />{' '}
          from the edge
        </>
      )}
      .
      {onBars !== null && onBars.length > 0 && (
        <OnBars length={onBars.length} best={onBars.bestLength} first={onBars.bestFirst} />
      )}
    </p>
  )
}

/** Cuts that run along bars, and where the bars would be better. */
function OnBars({ length, best, first }: { readonly length: number; readonly best: number; readonly first: number }) {
  const units = useUnits()
  const say = (mm: number): string => sayQuantity(Math.round(mm), null, units === 'metric' ? 'mm' : 'in')
  const to = Math.round(first * 10) / 10
  return (
    <span role="status">
      {' '}
      <strong className="font-[600]">{say(length)} of cuts run along a bar</strong>: it is burnt, and the part may not come loose.{' '}
      {best < length - 0.5 && (
        <button type="button" className="link no-print" onClick={() => setUnder({ barsFirst: to })}>
          Put the first bar {sayQuantity(to, null, 'mm')} from the edge: {best < 0.5 ? 'none does then' : `${say(best)} do then`}
        </button>
      )}
    </span>
  )
}

function Clamps({ bench }: { readonly bench: Bench }) {
  const clamps = Object.entries(bench.work.clamps).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="Clamps and weights">
      <ul className="m-0 list-none p-0">
        {clamps.map(([id, it], k) => (
          <li key={id} className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[14px]">
            <span className="pb-1">Clamp {k + 1}</span>
            {(['x', 'y'] as const).map((key) => (
              <LengthField
                key={key}
                label={key === 'x' ? 'From the left edge' : 'From the lower edge'}
                signed
                valueMm={it[key]}
                className="w-24"
                keep={(mm) => setClamp(id, { ...it, [key]: mm ?? 0 })}
              />
            ))}
            {(['width', 'height'] as const).map((key) => (
              <LengthField
                key={key}
                label={key === 'width' ? 'Across' : 'Up'}
                above
                valueMm={it[key]}
                className="w-20"
                keep={(mm) => setClamp(id, { ...it, [key]: mm ?? it[key] })}
              />
            ))}
            <TakeAway what={`Take clamp ${k + 1} away`} act={() => setClamp(id, null)} />
          </li>
        ))}
      </ul>
      <p className="no-print flex flex-wrap items-center gap-3 pt-2 text-[13.5px] text-second">
        <button type="button" className="button" onClick={addClamp}>
          Lay a clamp on the sheet
        </button>
        Nothing of the program may run over them.
      </p>
    </Panel>
  )
}
