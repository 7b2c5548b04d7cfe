import { useState } from 'react'
import { shownNumber, type AnyFigure, type FigureDef } from '../../core/bench'
import {
  blockVolts,
  roleOf,
  sourceAmps,
  sourceVolts,
  wireAmps,
  wireDrop,
  wiringFindings,
  type Block,
  type Wire,
  type WireKind,
  type WiringFinding,
} from '../../core/electrical'
import type { Bench } from '../../core/document'
import { sayExact, type UnitId } from '../../core/units'
import { editBlock, engineOf, useBenchStore, useVerdicts } from '../../state'
import { useDrag, VerdictMark } from '../../ui'
import { BlockShape } from './blockShapes'
import { useChosenBlock } from './chosenBlock'

/** A column and a row of the drawing, and a block in it, px. */
const CELL = { w: 262, h: 124 }
const BLOCK = { w: 166, h: 84 }
const EDGE = 26
/** Of a name, drawn together as far as it can be read. */
const MOST_LETTERS = 19

/** The wiring: blocks joined by wires, with volts, amps and what is lost written on them, live. */
export function WiringPlate() {
  const bench = useBenchStore((it) => it.bench)
  const [moved, setMoved] = useState<{ readonly id: string; readonly x: number; readonly y: number } | null>(null)
  if (bench === null) return null
  const { blocks, wires } = bench.electrical
  if (Object.keys(blocks).length === 0) {
    return (
      <p className="my-8 max-w-[40rem] text-second">
        Nothing is drawn yet. Add a supply below, then what it feeds, and join them: volts, amps and what each wire loses stand
        here as soon as the labels are entered.
      </p>
    )
  }
  const at = (id: string): { readonly x: number; readonly y: number } => {
    const block = moved?.id === id ? moved : blocks[id]
    return { x: (block?.x ?? 0) * CELL.w, y: (block?.y ?? 0) * CELL.h }
  }
  const all = Object.keys(blocks).map(at)
  const [left, top] = [Math.min(...all.map((it) => it.x)) - EDGE, Math.min(...all.map((it) => it.y)) - EDGE]
  const [right, bottom] = [
    Math.max(...all.map((it) => it.x)) + BLOCK.w + EDGE,
    Math.max(...all.map((it) => it.y)) + BLOCK.h + EDGE,
  ]
  const found = findingsOf(bench)
  return (
    <div className="mt-2 shrink-0 overflow-auto" data-plate="The wiring">
      <svg
        viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
        style={{ minWidth: Math.min(right - left, 520), maxHeight: 560 }}
        className="plate h-auto w-full touch-none print:max-h-[420px]"
        role="group"
        aria-label="The wiring"
      >
        {inOrder(wires).map(([id, wire]) => (
          <WireLine key={id} id={id} wire={wire} bench={bench} at={at} finding={found.find((it) => it.wire === id) ?? null} />
        ))}
        {inOrder(blocks).map(([id, block]) => (
          <BlockFigure
            key={id}
            id={id}
            block={block}
            bench={bench}
            place={at(id)}
            finding={found.find((it) => it.block === id) ?? null}
            move={setMoved}
          />
        ))}
      </svg>
    </div>
  )
}

/** Everything that is wrong with how the blocks are joined. */
export function findingsOf({ electrical }: Bench): readonly WiringFinding[] {
  return wiringFindings(
    Object.entries(electrical.blocks).map(([id, { kind, name }]) => ({ id, kind, name })),
    Object.entries(electrical.wires).map(([id, { from, to, kind }]) => ({ id, from, to, kind })),
  )
}

export function inOrder<T extends { readonly order: number }>(
  rows: Readonly<Record<string, T>>,
): readonly (readonly [string, T])[] {
  return Object.entries(rows).sort(([, p], [, q]) => p.order - q.order)
}

/** A figure of one thing as it is written on the drawing; empty while it is not known. */
function useSaid(bench: Bench, def: AnyFigure, id: string, unit: UnitId, digits: number): string {
  const value = shownNumber(engineOf(bench).value(def as FigureDef<Bench, readonly [string]>, id).result)
  return value === null ? '' : sayExact(Number(value.toPrecision(digits)), unit)
}

type Move = (it: { readonly id: string; readonly x: number; readonly y: number } | null) => void

/** A block as a drawn part: its shape, its name, its volts and amps; dragged, or moved by the arrow keys. */
function BlockFigure(props: {
  readonly id: string
  readonly block: Block
  readonly bench: Bench
  readonly place: { readonly x: number; readonly y: number }
  readonly finding: WiringFinding | null
  readonly move: Move
}) {
  const { id, block, bench, place, finding, move } = props
  const [chosen, choose] = useChosenBlock(bench)
  const mark = useWorst(id)
  const role = roleOf(block.kind)
  const isSource = role === 'source' || role === 'converter'
  const volts = useSaid(bench, isSource ? sourceVolts : blockVolts, id, 'V', 3)
  const amps = useSaid(bench, sourceAmps, id, 'A', 2)
  const scaleOf = (event: { readonly currentTarget: SVGElement }): number =>
    event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1
  const [scale, setScale] = useState(1)
  const drop = (x: number, y: number): void => {
    move(null)
    const [column, row] = [Math.round(x * 2) / 2, Math.round(y * 2) / 2]
    if (column !== block.x || row !== block.y) editBlock(id, { x: column, y: row }, `“${block.name}” moved`)
  }
  const drag = useDrag({
    begin: (event) => {
      choose(id)
      setScale(scaleOf(event))
    },
    move: ({ dx, dy }) => move({ id, x: block.x + dx / scale / CELL.w, y: block.y + dy / scale / CELL.h }),
    drop: ({ dx, dy }) => drop(block.x + dx / scale / CELL.w, block.y + dy / scale / CELL.h),
    cancel: () => move(null),
    step: (right, up) => drop(block.x + right / 2, block.y - up / 2),
  })
  const isChosen = chosen === id
  return (
    <g
      transform={`translate(${place.x} ${place.y})`}
      tabIndex={0}
      role="button"
      aria-pressed={isChosen}
      aria-label={`${block.name}${volts === '' ? '' : `, ${volts}`}; arrow keys move it, Enter opens what its label says`}
      data-block={block.name}
      style={{ cursor: 'move' }}
      {...drag}
      onKeyDown={(event) => {
        if (event.key === 'Enter') choose(id)
        drag.onKeyDown(event)
      }}
    >
      <rect
        width={BLOCK.w}
        height={BLOCK.h}
        fill="var(--paper)"
        stroke={isChosen ? 'var(--teal)' : 'var(--ink)'}
        strokeWidth={isChosen ? 2.4 : 1.3}
      />
      <BlockShape kind={block.kind} />
      <text
        x="66"
        y="22"
        fontSize="12.5"
        fontWeight="650"
        fill="var(--ink)"
        style={block.name.length > 14 ? { fontStretch: '75%', letterSpacing: '-0.02em' } : undefined}
      >
        {block.name.length > MOST_LETTERS ? `${block.name.slice(0, MOST_LETTERS - 1)}…` : block.name}
      </text>
      <text x="66" y="42" fontSize="12" className="num" fill="var(--ink)">
        {volts === '' ? 'label?' : volts}
      </text>
      {isSource && (
        <text x="66" y="58" fontSize="12" className="num" fill="var(--second)">
          {amps === '' ? '' : `gives ${amps}`}
        </text>
      )}
      <g transform={`translate(${BLOCK.w - 20} ${BLOCK.h - 20})`}>
        {finding !== null ? <VerdictMark mark="stop" label={finding.message} /> : mark !== null && <VerdictMark mark={mark} />}
      </g>
    </g>
  )
}

/** The worst verdict about one block. */
function useWorst(id: string): 'good' | 'look' | 'stop' | 'unknown' | null {
  const marks = useVerdicts('power')
    .filter((it) => it.args[0] === id)
    .map((it) => it.mark)
  return (['stop', 'unknown', 'look', 'good'] as const).find((it) => marks.includes(it)) ?? null
}

const DASH: Readonly<Record<WireKind, string | undefined>> = { rail: undefined, signal: '3 3', earth: '12 3 3 3', mains: '14 4' }
const WIDTH: Readonly<Record<WireKind, number>> = { rail: 2, signal: 1.2, earth: 1.2, mains: 3 }

/** A pair of wires between two blocks, drawn round corners, with its current and what it loses. */
function WireLine(props: {
  readonly id: string
  readonly wire: Wire
  readonly bench: Bench
  readonly at: (id: string) => { readonly x: number; readonly y: number }
  readonly finding: WiringFinding | null
}) {
  const { id, wire, bench, at, finding } = props
  const amps = useSaid(bench, wireAmps, id, 'A', 2)
  const drop = useSaid(bench, wireDrop, id, 'V', 2)
  const mark = useWorst(id)
  const { blocks } = bench.electrical
  if (blocks[wire.from] === undefined || blocks[wire.to] === undefined) return null
  const [a, b] = [at(wire.from), at(wire.to)]
  const [x0, y0] = [a.x + BLOCK.w, a.y + BLOCK.h / 2]
  const [x1, y1] = [b.x, b.y + BLOCK.h / 2]
  const turn = x1 > x0 ? x1 - 86 : Math.max(x0, x1) + 24
  const isBad = finding !== null || mark === 'stop'
  const colour = isBad ? 'var(--stop)' : 'var(--ink)'
  return (
    <g data-wire={id} pointerEvents="none">
      <path
        d={`M${x0} ${y0}H${turn}V${y1}H${x1}`}
        fill="none"
        stroke={colour}
        strokeWidth={WIDTH[wire.kind]}
        strokeDasharray={DASH[wire.kind]}
      />
      <circle cx={x1} cy={y1} r="3" fill={colour} />
      {wire.kind === 'rail' && amps !== '' && (
        <text x={x1 - 6} y={y1 - 6} textAnchor="end" fontSize="11" className="num" fill="var(--ink)">
          {amps}
          <tspan x={x1 - 6} dy="18" fill={mark === 'look' ? 'var(--ink)' : 'var(--second)'}>
            −{drop}
          </tspan>
        </text>
      )}
      {finding !== null && (
        <g transform={`translate(${turn - 6} ${(y0 + y1) / 2 - 6})`}>
          <VerdictMark mark="stop" label={finding.message} />
        </g>
      )}
    </g>
  )
}
