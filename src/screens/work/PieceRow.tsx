import type { Bench } from '../../core/document'
import { sizeOfPiece, type Piece } from '../../core/work'
import { changeArtwork, dropPiece, gridAgain, putEarlier, setPiece, sizePiece, useWorkFiles, type Told } from '../../state'
import { FileButton, NumberField, PlainField, SelectOf, TakeAway } from '../../ui'
import { choosePiece, useChosenPiece } from './chosenPiece'
import { Earlier, Held, MmField } from './Held'
import { WayRow } from './WayRow'

/** What one unit of a drawing that names none may be, mm. */
const UNITS = {
  '1': 'a millimetre',
  '10': 'a centimetre',
  '25.4': 'an inch',
  '0.352778': 'a point, 1/72 in',
} as const

interface PieceProps {
  readonly id: string
  readonly piece: Piece
  readonly bench: Bench
  readonly say: (said: Told) => void
}

/** A piece: where it lies, how large, how often, and what is done with each part of it. */
export function PieceRow({ id, piece, bench, say }: PieceProps) {
  const chosen = useChosenPiece() === id
  const lost = useWorkFiles((it) => it.lost[piece.print])
  const ways = Object.entries(piece.ways).sort(([, p], [, q]) => p.order - q.order)
  const keep = (part: Partial<Piece>): Told => setPiece(id, part)
  return (
    <li
      className={`border-b border-rule py-2.5 ${chosen ? 'border-l-2 border-l-teal pl-3' : ''}`}
      aria-label={piece.name}
      onFocus={() => choosePiece(id)}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <PlainField
          label="Name of the piece"
          hideLabel
          words
          value={piece.name}
          className="w-44 font-[650]"
          keep={(name) => keep({ name: name.trim() })}
        />
        <Tick
          words="burnt this time"
          checked={piece.isIn === 'yes'}
          set={(isIn) => keep({ isIn: isIn ? 'yes' : 'no' })}
          label={`${piece.name} is burnt this time`}
        />
        <span className="no-print ml-auto">
          <FileButton label={`Another file for ${piece.name}`} take={(file) => void changeArtwork(id, file).then(say)}>
            Another file
          </FileButton>
        </span>
        {bench.work.sequence === 'listed' && <Earlier what={piece.name} act={() => putEarlier(id)} />}
        <TakeAway what={`Take ${piece.name} out of the order`} act={() => dropPiece(id)} />
      </div>
      <Placing id={id} piece={piece} keep={keep} />
      {lost !== undefined && (
        <p role="alert" className="mt-1 text-[13px]">
          {lost}
        </p>
      )}
      <ul className="m-0 mt-1 list-none p-0">
        {ways.map(([wayId, way]) => (
          <WayRow key={wayId} pieceId={id} wayId={wayId} way={way} piece={piece} bench={bench} />
        ))}
      </ul>
    </li>
  )
}

function Tick(props: {
  readonly words: string
  readonly label: string
  readonly checked: boolean
  readonly set: (checked: boolean) => unknown
}) {
  const { words, label, checked, set } = props
  return (
    <label className="inline-flex min-h-7 items-center gap-1.5 text-[13.5px]">
      <input type="checkbox" aria-label={label} checked={checked} onChange={(event) => set(event.target.checked)} />
      {words}
    </label>
  )
}

/** Size, place, turn and copies, as sentences. */
function Placing(props: { readonly id: string; readonly piece: Piece; readonly keep: (part: Partial<Piece>) => Told }) {
  const { id, piece, keep } = props
  const { width, height } = sizeOfPiece(piece)
  const { name } = piece
  const spots = Object.keys(piece.spots).length
  return (
    <p className="in-words text-[14px] leading-[2]">
      {piece.hasUnits === 'no' && piece.kind === 'drawing' && (
        <>
          Its file names no unit: one of it is{' '}
          <SelectOf
            label={`Unit of ${name}`}
            of={UNITS}
            value={(String(piece.unit) in UNITS ? String(piece.unit) : '1') as keyof typeof UNITS}
            choose={(it) => keep({ unit: Number(it) })}
          />
          .{' '}
        </>
      )}
      {piece.hasUnits === 'no' && piece.kind === 'picture' && 'Its file does not say its size: say how large it is to be. '}
      It is <MmField
        label={`${name}, across`}
        above
        valueMm={round(width)}
        keep={(mm) => sizePiece(id, 'width', mm ?? width)}
      />{' '}
      by <MmField label={`${name}, up`} above valueMm={round(height)} keep={(mm) => sizePiece(id, 'height', mm ?? height)} />{' '}
      large, lies <MmField label={`${name}, from the left`} signed valueMm={piece.x} keep={(x) => keep({ x: x ?? 0 })} /> from the
      left and <MmField label={`${name}, from below`} signed valueMm={piece.y} keep={(y) => keep({ y: y ?? 0 })} /> from below,
      turned by{' '}
      <Held unit="°">
        <NumberField
          label={`${name}, turned, °`}
          hideLabel
          signed
          value={piece.turn}
          className="w-14"
          keep={(turn) => keep({ turn: turn ?? 0 })}
        />
      </Held>{' '}
      and{' '}
      <SelectOf
        label={`${name}, which way round`}
        of={{ no: 'as drawn', yes: 'mirrored' }}
        value={piece.mirrored}
        choose={(mirrored) => keep({ mirrored })}
      />
      ;{' '}
      {spots > 0 ? (
        <>
          its {spots === 1 ? 'one copy was' : `${spots} copies were`} laid out one by one{' '}
          <button type="button" className="link no-print" onClick={() => gridAgain(id)}>
            back to a grid
          </button>
        </>
      ) : (
        <Grid piece={piece} keep={keep} />
      )}
      .
    </p>
  )
}

/** How many copies there are, side by side. */
function Grid({ piece, keep }: { readonly piece: Piece; readonly keep: (part: Partial<Piece>) => Told }) {
  const { name } = piece
  return (
    <>
      there are{' '}
      <NumberField
        label={`${name}, columns`}
        hideLabel
        whole
        above
        value={piece.columns}
        className="w-11"
        keep={(it) => keep({ columns: it ?? 1 })}
      />{' '}
      ×{' '}
      <NumberField
        label={`${name}, rows`}
        hideLabel
        whole
        above
        value={piece.rows}
        className="w-11"
        keep={(it) => keep({ rows: it ?? 1 })}
      />{' '}
      of it
      {(piece.columns > 1 || piece.rows > 1) && (
        <>
          , <MmField label={`${name}, gap across`} valueMm={piece.gapX} keep={(it) => keep({ gapX: it ?? 0 })} /> and{' '}
          <MmField label={`${name}, gap up`} valueMm={piece.gapY} keep={(it) => keep({ gapY: it ?? 0 })} /> apart
        </>
      )}
    </>
  )
}

function round(mm: number): number {
  return Math.round(mm * 100) / 100
}
