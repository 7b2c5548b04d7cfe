import { useEffect } from 'react'
import type { Bench } from '../../core/document'
import { seeOrderBurnt, shownBench, useBenchStore, useOrderBurnt, useKeptPlan, useWorkPlan, travelOfBench } from '../../state'
import {
  CENTRE_LINE,
  DimensionDrawing,
  DimensionValue,
  Hatching,
  Plate,
  ScaleBar,
  usePlateFrame,
  type DimensionLine,
} from '../../ui'
import { BurntSheet } from './BurntSheet'
import { useMoment } from './chosenPiece'
import { FaultMarks } from './FaultMarks'
import { extentOf, sheetBox, sheetShapes } from './orderShapes'
import { PieceDrawing } from './PieceDrawing'
import { HeadAt, Scrub } from './Scrub'

const MARGINS = { left: 56, right: 26, top: 14, bottom: 56 }

/** The sheet as it lies on the machine, with the burn as it will look, and the head where it is at any moment. */
export function OrderPlate() {
  const bench = useBenchStore(shownBench)
  useKeptPlan(useBenchStore((it) => it.bench))
  if (bench === null) return null
  return (
    <div>
      <Plate
        title="The sheet, burnt"
        extent={extentOf(bench)}
        margins={MARGINS}
        className="keep-together mt-1 h-[clamp(260px,min(54vh,80vw),640px)] shrink-0 print:h-[380px]"
        drawing={<Drawing bench={bench} />}
        fields={<Fields bench={bench} />}
      />
      <Scrub />
    </div>
  )
}

function dimensionsOf(
  bench: Bench,
  frame: ReturnType<typeof usePlateFrame>,
): { readonly x: DimensionLine; readonly y: DimensionLine } {
  const sheet = sheetBox(bench.work)
  return {
    x: {
      path: 'work.sheetWidth',
      along: 'x',
      from: sheet.left,
      to: sheet.right,
      at: frame.y(sheet.bottom) + 30,
      extendFrom: frame.y(sheet.bottom),
    },
    y: {
      path: 'work.sheetHeight',
      along: 'y',
      from: sheet.bottom,
      to: sheet.top,
      at: frame.x(sheet.left) - 28,
      extendFrom: frame.x(sheet.left),
    },
  }
}

function Drawing({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const sheet = sheetBox(bench.work)
  const lines = dimensionsOf(bench, frame)
  const margin = bench.work.margin.value ?? 0
  const sheets = sheetShapes(bench.work)
  const burnt = sheets.filter((it) => it.isIn)
  const pieces = Object.entries(bench.work.pieces).sort(([, p], [, q]) => p.order - q.order)
  const rect = (left: number, bottom: number, right: number, top: number) => ({
    x: frame.x(left),
    y: frame.y(top),
    width: Math.max(0, (right - left) * frame.scale),
    height: Math.max(0, (top - bottom) * frame.scale),
  })
  return (
    <>
      <Hatching id="clamp-hatch" />
      <Travel bench={bench} />
      {bench.work.placedBy === 'fence' && <Fence corner={sheet} />}
      {sheets.map((it) => (
        <g key={it.id} opacity={it.isIn ? 1 : 0.45} data-place={it.isIn ? 'in' : 'out'}>
          <rect
            {...rect(it.left, it.bottom, it.right, it.top)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.4"
            strokeDasharray={sheet.isKnown ? undefined : '6 4'}
          />
          {margin > 0 && it.isIn && (
            <rect
              {...rect(it.left + margin, it.bottom + margin, it.right - margin, it.top - margin)}
              fill="none"
              stroke="var(--second)"
              strokeWidth="0.6"
              strokeDasharray="2 3"
            />
          )}
          {!it.isIn && (
            <path
              d={`M${frame.x(it.left)} ${frame.y(it.bottom)}L${frame.x(it.right)} ${frame.y(it.top)}M${frame.x(it.left)} ${frame.y(it.top)}L${frame.x(it.right)} ${frame.y(it.bottom)}`}
              stroke="var(--second)"
              strokeWidth="0.8"
            />
          )}
        </g>
      ))}
      <BarsDrawing bench={bench} />
      <ClampsDrawing bench={bench} />
      <Cuts />
      {pieces.map(([id, piece]) => (
        <PieceDrawing key={id} id={id} piece={piece} corners={burnt} />
      ))}
      <FaultMarks />
      <DimensionDrawing {...lines.x} />
      <DimensionDrawing {...lines.y} />
      {frame.width > 560 && <ScaleBar right={frame.width - 8} bottom={frame.height} />}
    </>
  )
}

/** Clamps on the sheet; those that the head runs over stand out as what must not be done. */
function ClampsDrawing({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const hit = useWorkPlan((it) => it.program?.clampsHit ?? null)
  const sheet = sheetBox(bench.work)
  const clamps = Object.entries(bench.work.clamps).sort(([, p], [, q]) => p.order - q.order)
  return clamps.map(([id, it], k) => {
    const isHit = hit?.includes(k) === true
    return (
      <g key={id} data-clamp={isHit ? 'hit' : 'clear'}>
        <rect
          x={frame.x(sheet.left + it.x)}
          y={frame.y(sheet.bottom + it.y + it.height)}
          width={Math.max(0, it.width * frame.scale)}
          height={Math.max(0, it.height * frame.scale)}
          fill="url(#clamp-hatch)"
          stroke={isHit ? 'var(--stop)' : 'var(--ink)'}
          strokeWidth={isHit ? 2.5 : 1}
        />
        {isHit && (
          <rect
            x={frame.x(sheet.left + it.x) - 5}
            y={frame.y(sheet.bottom + it.y + it.height) - 5}
            width="10"
            height="10"
            fill="var(--stop)"
          />
        )}
      </g>
    )
  })
}

/** Width of a fence as it is drawn, pixels. */
const FENCE = 7

/** The fence: its inner edges meet in the corner from which work is placed. */
function Fence({ corner }: { readonly corner: { readonly left: number; readonly bottom: number } }) {
  const frame = usePlateFrame()
  const { fenceLong, fenceHigh } = useBenchStore((it) => it.bench?.work) ?? { fenceLong: 0, fenceHigh: 0 }
  const [x, y] = [frame.x(corner.left), frame.y(corner.bottom)]
  const [along, up] = [fenceLong * frame.scale, fenceHigh * frame.scale]
  return (
    <path
      d={`M${x} ${y}h${along}v${FENCE}h${-along - FENCE}v${-up - FENCE}h${FENCE}Z`}
      fill="url(#clamp-hatch)"
      stroke="var(--ink)"
      strokeWidth="1"
      data-fence
    />
  )
}

/** Bars beneath the sheet, and the cuts that run along them. */
function BarsDrawing({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const pieces = useWorkPlan((it) => it.program?.onBars?.pieces ?? null)
  const { work } = bench
  if (work.under !== 'bars') return null
  const sheet = sheetBox(work)
  const isAlongX = work.barsAlong === 'x'
  const room = isAlongX ? sheet.top - sheet.bottom : sheet.right - sheet.left
  const middles = Array.from(
    { length: Math.min(MOST_BARS, Math.max(0, Math.floor((room - work.barsFirst) / work.barsStep) + 1)) },
    (_, k) => work.barsFirst + k * work.barsStep,
  )
  const half = work.barsWidth / 2
  return (
    <>
      {middles.map((at) => (
        <rect
          key={at}
          x={frame.x(isAlongX ? sheet.left : sheet.left + at - half)}
          y={frame.y(isAlongX ? sheet.bottom + at + half : sheet.top)}
          width={(isAlongX ? sheet.right - sheet.left : work.barsWidth) * frame.scale}
          height={(isAlongX ? work.barsWidth : sheet.top - sheet.bottom) * frame.scale}
          fill="none"
          stroke="var(--second)"
          strokeWidth="0.7"
          strokeDasharray="6 3"
        />
      ))}
      {pieces !== null && (
        <path
          d={pieces.map(([p, q]) => `M${onX(p.x)} ${onY(p.y)}L${onX(q.x)} ${onY(q.y)}`).join('')}
          fill="none"
          stroke="var(--look)"
          strokeWidth="3"
        />
      )}
    </>
  )
  function onX(x: number): number {
    return frame.x(sheet.left + x)
  }
  function onY(y: number): number {
    return frame.y(sheet.bottom + y)
  }
}

/** More bars than this are not drawn. */
const MOST_BARS = 200

/** What is cut through, tabs left out: seen as the dark that shows through. */
function Cuts() {
  const frame = usePlateFrame()
  const cuts = useWorkPlan((it) => it.program?.cuts ?? '')
  const isCame = useOrderBurnt((it) => it.came !== null)
  const isHidden = useMoment() !== null || isCame
  if (cuts === '' || isHidden) return null
  return (
    <path
      d={cuts}
      transform={`matrix(${frame.scale} 0 0 ${-frame.scale} ${frame.x(0)} ${frame.y(0)})`}
      fill="none"
      stroke="#231f1a"
      strokeWidth="1.1"
      vectorEffect="non-scaling-stroke"
    />
  )
}

/** The edges of the travel, as far as they can be seen, and zero. */
function Travel({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const { x, y } = travelOfBench(bench)
  if (x === null || y === null) return null
  return (
    // What of the travel lies beyond the plate is not seen.
    <svg width={frame.width} height={frame.height} overflow="hidden">
      <rect
        x={frame.x(0)}
        y={frame.y(y)}
        width={x * frame.scale}
        height={y * frame.scale}
        fill="none"
        stroke="var(--second)"
        strokeWidth="0.8"
        strokeDasharray={CENTRE_LINE}
      />
      <path d={`M${frame.x(0)} ${frame.y(0)}h14M${frame.x(0)} ${frame.y(0)}v-14`} stroke="var(--ink)" strokeWidth="1.6" />
    </svg>
  )
}

function Fields({ bench }: { readonly bench: Bench }) {
  const frame = usePlateFrame()
  const lines = dimensionsOf(bench, frame)
  const program = useWorkPlan((it) => it.program)
  const of = useOrderBurnt((it) => it.of)
  const share = useOrderBurnt((it) => it.share)
  const whole = useBenchStore((it) => it.bench)
  useEffect(() => {
    if (program === null || whole === null || of === program) return undefined
    const timer = setTimeout(() => void seeOrderBurnt(whole, program, frame.scale), 400)
    return () => clearTimeout(timer)
    // The scale at rest is enough: another window size does not burn it again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [program, of])
  return (
    <>
      <BurntSheet />
      <HeadAt />
      <DimensionValue {...lines.x} />
      <DimensionValue {...lines.y} />
      {share !== null && (
        <p role="status" className="no-print absolute right-2 top-1 bg-paper px-1 text-[12px] text-second">
          Burning on the screen, <span className="num">{Math.round(share * 100)}</span>%
        </p>
      )}
    </>
  )
}
