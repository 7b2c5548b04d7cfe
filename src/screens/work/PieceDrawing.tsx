import { useEffect, useRef } from 'react'
import type { Piece, Way } from '../../core/work'
import { movePiece, useOrderBurnt, useVerdicts, useWorkFiles, useWorkPlan } from '../../state'
import { useDrag, usePlateFrame } from '../../ui'
import { choosePiece, useChosenPiece } from './chosenPiece'
import { copyShapes } from './orderShapes'

/** How what is done with a way is drawn: what is cut heavy, what is marked light, what is left faint. */
const LOOK: Readonly<Record<Way['does'], { readonly width: number; readonly dash?: string; readonly opacity: number }>> = {
  cut: { width: 1.5, opacity: 1 },
  part: { width: 1.2, dash: '5 3', opacity: 1 },
  mark: { width: 0.8, opacity: 1 },
  fill: { width: 0.5, opacity: 0.9 },
  leave: { width: 0.6, dash: '1 3', opacity: 0.5 },
}

/** A piece with all its copies: what is drawn, and a frame by which it is chosen and moved. */
export function PieceDrawing(props: {
  readonly id: string
  readonly piece: Piece
  /** Lower left corners of the sheets that it is burnt on. */
  readonly corners: readonly { readonly left: number; readonly bottom: number }[]
}) {
  const { id, piece, corners } = props
  const frame = usePlateFrame()
  const taken = useWorkFiles((it) => it.taken[piece.print])
  const chosen = useChosenPiece() === id
  const of = useOrderBurnt((it) => it.of)
  const program = useWorkPlan((it) => it.program)
  const isBurnt = of !== null && of === program && piece.isIn === 'yes'
  const copies = corners.flatMap((it) => copyShapes(piece, it))
  const ways = Object.values(piece.ways)
  const isOut = piece.isIn === 'no'
  const onPlate = ([a, b, c, d, e, f]: readonly number[]): string =>
    `matrix(${[a, -(b as number), c, -(d as number)].map((it) => (it as number) * frame.scale).join(' ')} ${frame.x(e as number)} ${frame.y(f as number)})`
  return (
    <g opacity={isOut ? 0.35 : 1}>
      {copies.map(({ map, box }, k) => (
        <g key={k}>
          {taken?.kind === 'picture' && taken.shown !== null && !isBurnt && (
            <Thumb shown={taken.shown} map={onPlate(map)} piece={piece} />
          )}
          <g transform={onPlate(map)}>
            {ways.map((way) => (
              <path
                key={way.key}
                d={taken?.paths[way.key] ?? ''}
                fill="none"
                stroke={way.does === 'leave' || isOut ? 'var(--second)' : 'var(--ink)'}
                strokeWidth={LOOK[way.does].width}
                strokeDasharray={LOOK[way.does].dash}
                opacity={isBurnt && way.does !== 'leave' ? 0 : LOOK[way.does].opacity}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </g>
          {k === 0 && <Badge id={id} box={box} />}
          {k === 0 && <Grip id={id} piece={piece} chosen={chosen} box={box} />}
        </g>
      ))}
    </g>
  )
}

/** Marks of verdicts that are worth a look, the worst first. */
const WORST = ['stop', 'look'] as const

/** The worst verdict of a piece, at its upper left corner: which of them will not come out as it should. */
function Badge({ id, box }: { readonly id: string; readonly box: { readonly left: number; readonly top: number } }) {
  const frame = usePlateFrame()
  const own = useVerdicts('work').filter((it) => it.args[0] === id)
  const mark = WORST.find((it) => own.some((that) => that.mark === it))
  if (mark === undefined) return null
  const count = own.filter((it) => it.mark === mark).length
  return (
    <g transform={`translate(${frame.x(box.left) - 6} ${frame.y(box.top) - 6})`} data-badge={mark} stroke="var(--paper)">
      <title>{`${count === 1 ? 'One verdict' : `${count} verdicts`} beside the plate: ${mark}`}</title>
      {mark === 'look' ? (
        <path d="M6 0.8 11.6 10.8H0.4Z" fill="var(--look)" />
      ) : (
        <rect x="1" y="1" width="10" height="10" fill="var(--stop)" />
      )}
    </g>
  )
}

function Thumb({ shown, map, piece }: { readonly shown: ImageBitmap; readonly map: string; readonly piece: Piece }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const node = canvas.current
    if (node === null) return
    node.width = shown.width
    node.height = shown.height
    node.getContext('2d')?.drawImage(shown, 0, 0)
  }, [shown])
  // The burn itself is laid under it: the picture only says where it lies, and how.
  return (
    <g transform={map} opacity="0.25">
      <foreignObject width={piece.width} height={piece.height} transform={`matrix(1 0 0 -1 0 ${piece.height})`}>
        <canvas ref={canvas} style={{ width: '100%', height: '100%', display: 'block' }} aria-hidden />
      </foreignObject>
    </g>
  )
}

/** The frame of a piece's first copy: pressed it is chosen, dragged it moves, the arrow keys move it by a millimetre. */
function Grip(props: {
  readonly id: string
  readonly piece: Piece
  readonly chosen: boolean
  readonly box: { readonly left: number; readonly bottom: number; readonly right: number; readonly top: number }
}) {
  const { id, piece, chosen, box } = props
  const { x, y, scale } = usePlateFrame()
  const ghost = useRef<SVGRectElement>(null)
  const show = (dx: number, dy: number): void => ghost.current?.setAttribute('transform', `translate(${dx} ${dy})`)
  const move = (dx: number, dy: number): void => {
    show(0, 0)
    if (Math.hypot(dx, dy) >= 0.05) movePiece(id, dx, dy)
  }
  const drag = useDrag({
    move: ({ dx, dy }) => show(dx, dy),
    drop: ({ dx, dy }) => move(dx / scale, -dy / scale),
    cancel: () => show(0, 0),
    step: (right, up) => move(right, up),
  })
  return (
    <rect
      ref={ghost}
      x={x(box.left)}
      y={y(box.top)}
      width={Math.max(6, (box.right - box.left) * scale)}
      height={Math.max(6, (box.top - box.bottom) * scale)}
      fill="transparent"
      stroke={chosen ? 'var(--teal)' : 'transparent'}
      strokeWidth="1"
      strokeDasharray="4 3"
      className="cursor-move hover:stroke-[var(--teal)] focus-visible:outline-2"
      tabIndex={0}
      role="button"
      aria-label={`Move ${piece.name}`}
      aria-pressed={chosen}
      data-piece={id}
      onClick={() => choosePiece(id)}
      {...drag}
    />
  )
}
