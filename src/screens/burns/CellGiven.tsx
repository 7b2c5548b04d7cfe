import { useState } from 'react'
import type { Bench } from '../../core/document'
import { EYE_U, eyeTones, lightness, luminanceOf } from '../../core/testcard'
import { bareToneOf, cardCells } from '../../core/burn'
import { parseQuantity } from '../../core/units'
import { DONE, sayCells, told, type CellSaid, type Told } from '../../state'
import { Findings, LengthField, PlainField, useUnits } from '../../ui'
import { sayVariable } from './CardValue'
import { pickCell, usePickedCell } from './picked'

/** The cell that is picked on the plate: what it was burnt with, and what is said of it by eye, by number or by rule. */
export function CellGiven({ bench, id, cardId }: { readonly bench: Bench; readonly id: string; readonly cardId: string }) {
  const picked = usePickedCell()
  const system = useUnits()
  const [said, say] = useState<Told>(DONE)
  const material = bench.burns.materials[id]
  const card = material?.cards[cardId]
  const cell = card === undefined ? undefined : cardCells(card).find((it) => it.id === picked)
  if (material === undefined || card === undefined || cell === undefined) {
    return (
      <p className="mt-2 text-[13px] text-second">
        By eye or by rule: press a cell of the card above, or
        <button type="button" className="link ml-1" onClick={() => pickCell('1-1')}>
          begin with the first
        </button>
        .
      </p>
    )
  }
  const bare = bareToneOf(material)
  const read = card.cells[cell.id]
  const tell = (it: CellSaid): Told => {
    const outcome = sayCells(id, cardId, { [cell.id]: it })
    say(outcome)
    return outcome
  }
  const tone = read?.share == null ? '' : lightness(read.share * luminanceOf(bare)).toFixed(0)
  const typeTone = (typed: string): Told => {
    if (typed.trim() === '') return tell({ tone: null })
    const number = parseQuantity(typed, 'lightness', 'tone')
    if (!number.ok) return number.findings
    const { value } = number.value
    return value >= 1 && value <= 99 ? tell({ tone: { value, u: 1.5, by: 'hand' } }) : told('A tone lies between 1 and 99 L*.')
  }
  return (
    <div className="mt-3 border-l-2 border-teal pl-3" role="group" aria-label={`Cell ${cell.column + 1}/${cell.row + 1}`}>
      <p className="text-[13.5px]">
        <strong className="font-[650]">
          Cell {cell.column + 1}/{cell.row + 1}
        </strong>
        : {sayVariable('power', cell.power, system)} at {sayVariable('speed', cell.speed, system)}, lines{' '}
        {sayVariable('pitch', cell.pitch, system)} apart, {sayVariable('passes', cell.passes, system)}
        {read?.by === 'picture' && read.u !== null && (
          <span className="text-second">; read from a picture, ± {(2 * read.u).toFixed(1)} L*</span>
        )}
        {read?.by === 'eye' && <span className="text-second">; by eye, ± {2 * EYE_U} L*</span>}
      </p>
      {card.does === 'cut' ? (
        <Cut through={read?.through ?? ''} tell={tell} />
      ) : (
        <>
          <div className="no-print mt-1 flex flex-wrap items-center gap-1" role="group" aria-label="By eye">
            {eyeTones(bare).map((it) => (
              <button
                key={it.words}
                type="button"
                className="button"
                onClick={() => tell({ tone: { value: it.tone, u: EYE_U, by: 'eye' } })}
              >
                {it.words}
              </button>
            ))}
          </div>
          <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1">
            <PlainField label="Tone, L*" value={tone} className="w-20" keep={typeTone} />
            <LengthField
              label="Depth"
              valueMm={read?.depth ?? null}
              empty="not read"
              className="w-24"
              keep={(depth) => tell({ depth })}
            />
            {read !== undefined && (
              <button type="button" className="link min-h-8" onClick={() => tell({ tone: null, depth: null })}>
                Take it back
              </button>
            )}
          </div>
        </>
      )}
      <Findings findings={said} />
    </div>
  )
}

/** Whether a cell that was cut along its edge fell out. */
function Cut({ through, tell }: { readonly through: string; readonly tell: (it: CellSaid) => Told }) {
  return (
    <div className="no-print mt-1 flex flex-wrap items-center gap-1" role="group" aria-label="Did it fall out?">
      {(
        [
          ['It fell out', 'yes', true],
          ['It held', 'no', false],
          ['Not looked at', '', null],
        ] as const
      ).map(([words, is, isThrough]) => (
        <button key={words} type="button" className="button" aria-pressed={through === is} onClick={() => tell({ isThrough })}>
          {words}
        </button>
      ))}
    </div>
  )
}
