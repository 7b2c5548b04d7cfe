import { shownNumber } from '../../core/bench'
import { ROTARY_LETTERS } from '../../core/gcode'
import { bow, circumference, focusRoom, topLine, turnSpeed } from '../../core/rotary'
import { closingScale, patternAround, patternRoom, seam } from '../../core/work'
import { DONE, engineOf, isDone, setPlain, sheetAsUnrolled, useBenchStore, type Told } from '../../state'
import { useState } from 'react'
import { FigureRow, Findings, Panel, SelectOf, Sentence, Side, StageLink } from '../../ui'

/** Whether the order lies round the object, and what it takes for that. */
export function UnrolledGiven() {
  const bench = useBenchStore((it) => it.bench)
  const [said, say] = useState<Told>(DONE)
  if (bench === null) return null
  const { rotary } = bench
  const isRound = rotary.lays === 'round'
  const isOwn = rotary.turn.standsFor.chosen === 'own'
  const once = shownNumber(engineOf(bench).value(circumference, rotary.inHand).result)
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, the order on the object">
        <Sentence>
          The work order{' '}
          <SelectOf
            label="How the order lies"
            of={{ flat: 'is flat', round: 'lies round the object in hand' }}
            value={rotary.lays}
            choose={(it) => say(setPlain('rotary.lays', it, 'how the order lies'))}
          />
          {isRound && (
            <>
              {' '}
              and{' '}
              <SelectOf
                label="Whether it goes all the way round"
                of={{ no: 'covers a part of it', yes: 'goes all the way round and closes' }}
                value={rotary.wraps}
                choose={(it) => say(setPlain('rotary.wraps', it, 'whether the order closes'))}
              />
            </>
          )}
          .{' '}
          {isRound && isOwn && (
            <>
              The rotary’s own axis is called{' '}
              <SelectOf
                label="Letter of the rotary’s axis"
                of={Object.fromEntries(ROTARY_LETTERS.map((it) => [it, it])) as Record<(typeof ROTARY_LETTERS)[number], string>}
                value={rotary.letter}
                choose={(it) => say(setPlain('rotary.letter', it, 'the letter of the rotary’s axis'))}
              />
              .
            </>
          )}
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          The sheet of the work order is then the unrolled stretch: its left edge where the work begins, its middle on the top
          line. Set the machine’s zero there.{' '}
          {isOwn ? `Moves round it leave as degrees of ${rotary.letter}.` : 'A tapered stretch is laid as its development.'}
        </p>
        {isRound && (
          <div className="no-print flex flex-wrap items-center gap-3 py-1">
            <button type="button" className="button" onClick={() => say(sheetAsUnrolled())}>
              Make the sheet {rotary.wraps === 'yes' && once !== null ? 'once round' : 'as large as the work'}
            </button>
            <StageLink stage="work" part="order">
              To the work order
            </StageLink>
          </div>
        )}
        <Findings findings={isDone(said) ? DONE : said} />
      </Panel>
    </div>
  )
}

export function UnrolledSide() {
  const rotary = useBenchStore(({ bench }) => bench?.rotary)
  const id = rotary?.inHand ?? ''
  const hasOrder = useBenchStore(({ bench }) => Object.keys(bench?.work.pieces ?? {}).length > 0)
  return (
    <Side stage="rotary" part="unrolled">
      {rotary?.objects[id] !== undefined && (
        <Panel title="Worked, the order on the object">
          <FigureRow def={circumference} args={[id]} />
          {rotary.lays === 'round' && hasOrder && (
            <>
              <FigureRow def={patternAround} args={[id]} />
              <FigureRow def={seam} args={[id]} />
              <FigureRow def={patternRoom} args={[id]} />
              {rotary.wraps === 'yes' && <FigureRow def={closingScale} args={[id]} />}
            </>
          )}
          <FigureRow def={topLine} args={[id]} />
          <FigureRow def={focusRoom} args={[id]} />
          <FigureRow def={bow} args={[id]} />
          {rotary.holding.chosen !== 'plate' && <FigureRow def={turnSpeed} args={[id]} />}
        </Panel>
      )}
    </Side>
  )
}
