import { useEffect, useMemo, useRef, type KeyboardEvent } from 'react'
import { cardCells, type CardShape, type Cell } from '../../core/burn'
import { layoutCard, letters, MARK, middleOf, MODULE } from '../../core/testcard'
import { modulesOfCode } from '../../state'

/** What a cell shows: its tone, L*, and the words on it; null where nothing is known of it. */
export interface CellFace {
  readonly tone: number | null
  readonly text: string
  /** Said to those who do not see it. */
  readonly says: string
}

/** From an L* the ink on it is dark. */
const DARK_INK_FROM = 52

/** A test card to scale, seen straight on: as it would be burnt, or as it was read, its picture beneath. */
export function CardDrawing(props: {
  readonly card: CardShape
  readonly bare: number
  readonly faces: Readonly<Record<string, CellFace>>
  readonly straight: ImageBitmap | null
  readonly picked: string | null
  /** Without it nothing can be picked. */
  readonly pick?: (cellId: string) => void
}) {
  const { card, bare, faces, straight, picked, pick } = props
  const layout = useMemo(() => layoutCard(card), [card])
  const cells = useMemo(() => cardCells(card), [card])
  const { width, height } = layout
  const flip = (y: number): number => height - y
  const move = (event: KeyboardEvent, { column, row }: Cell): void => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
    if (pick === undefined) return
    if (event.key === 'Enter' || event.key === ' ') pick(`${column + 1}-${row + 1}`)
    else if (way !== undefined) {
      const to = [column + (way[0] as number), row + (way[1] as number)] as const
      if (to[0] < 0 || to[1] < 0 || to[0] >= card.columns || to[1] >= card.rows) return
      const next = `${to[0] + 1}-${to[1] + 1}`
      pick(next)
      document.querySelector<SVGGElement>(`[data-cell="${next}"]`)?.focus()
    } else return
    event.preventDefault()
  }
  return (
    <div className="relative w-full" style={{ aspectRatio: `${width} / ${height}`, maxWidth: `calc(52vh * ${width / height})` }}>
      <Straight bitmap={straight} />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="absolute inset-0 h-full w-full"
        role="group"
        aria-label={`Test card ${card.code}`}
      >
        {straight === null && <rect width={width} height={height} fill={lab(bare)} stroke="var(--rule)" strokeWidth={0.2} />}
        {straight === null && <Burnt card={card} />}
        {cells.map((cell, i) => {
          const face = faces[cell.id]
          const at = middleOf(layout, cell.column, cell.row)
          const { cell: side } = layout
          const isPicked = cell.id === picked
          const tone = face?.tone ?? null
          return (
            <g
              key={cell.id}
              data-cell={cell.id}
              {...(pick === undefined
                ? { 'aria-hidden': true }
                : {
                    role: 'button',
                    tabIndex: isPicked || (picked === null && i === 0) ? 0 : -1,
                    'aria-label': face?.says ?? `Cell ${cell.id}`,
                    'aria-pressed': isPicked,
                    onClick: () => pick(cell.id),
                    onKeyDown: (event: KeyboardEvent) => move(event, cell),
                  })}
              className={pick === undefined ? '' : 'cursor-pointer outline-none'}
            >
              <rect
                x={at.x - side / 2}
                y={flip(at.y) - side / 2}
                width={side}
                height={side}
                fill={tone === null ? 'none' : straight === null ? lab(tone) : 'transparent'}
                stroke={isPicked ? 'var(--teal)' : tone === null ? 'var(--second)' : 'none'}
                strokeWidth={isPicked ? 0.6 : 0.15}
                strokeDasharray={tone === null && !isPicked ? '0.6 0.6' : undefined}
              />
              <text
                x={at.x}
                y={flip(at.y) + side * 0.14}
                textAnchor="middle"
                fontSize={Math.min(2.1, side * 0.4)}
                className="num"
                fill={(tone ?? bare) >= DARK_INK_FROM ? '#231f1a' : '#f6f2e9'}
              >
                {face?.text ?? ''}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

/** The card as it was seen, straightened. */
function Straight({ bitmap }: { readonly bitmap: ImageBitmap | null }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const at = canvas.current
    if (at === null || bitmap === null) return
    at.width = bitmap.width
    at.height = bitmap.height
    at.getContext('2d')?.drawImage(bitmap, 0, 0)
  }, [bitmap])
  return bitmap === null ? null : <canvas ref={canvas} className="absolute inset-0 h-full w-full" aria-hidden />
}

/** A colour of the material for an L*: wood stays warm. */
function lab(tone: number): string {
  return `lab(${Math.round(tone)}% 3 16)`
}

/** Marks, code and words as they are burnt. */
function Burnt({ card }: { readonly card: CardShape }) {
  const layout = useMemo(() => layoutCard(card), [card])
  const modules = useMemo(() => modulesOfCode(card.code), [card.code])
  const flip = (y: number): number => layout.height - y
  const burnt = lab(30)
  return (
    <g fill={burnt} aria-hidden>
      {layout.marks.map(({ x, y }) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={flip(y)} r={MARK.dot} />
          <circle
            cx={x}
            cy={flip(y)}
            r={(MARK.inner + MARK.outer) / 2}
            fill="none"
            stroke={burnt}
            strokeWidth={MARK.outer - MARK.inner}
          />
        </g>
      ))}
      <path
        d={modules
          .flatMap((row, j) =>
            row.flatMap((isDark, i) =>
              isDark
                ? [
                    `M${layout.code.x + i * MODULE} ${flip(layout.code.y + (modules.length - j) * MODULE)}h${MODULE}v${MODULE}h${-MODULE}z`,
                  ]
                : [],
            ),
          )
          .join('')}
      />
      <path
        fill="none"
        stroke={burnt}
        strokeWidth={0.2}
        d={layout.words
          .flatMap(({ text, x, y, height }) => letters(text, x, y, height))
          .map((line) => `M${line.map(([x, y]) => `${x.toFixed(2)} ${flip(y).toFixed(2)}`).join('L')}`)
          .join('')}
      />
    </g>
  )
}
