import { useState } from 'react'
import {
  blockVolts,
  blockWatts,
  inputAmps,
  sourceHeat,
  isActuated,
  roleOf,
  sourceAmps,
  sourceVolts,
  stripAmps,
  type Block,
  type WiringFinding,
} from '../../core/electrical'
import type { Bench } from '../../core/document'
import { editBlock } from '../../state'
import { useDrag, VerdictMark } from '../../ui'
import { BlockShape } from './blockShapes'
import { useChosenBlock } from './chosenBlock'
import { useSaid, useWorst } from './said'
import { boxOf, CELL, GRID, isSmall, onGrid, onTwoLines, type Box } from './wiringShapes'

/** A block's place while it is dragged, in columns and rows. */
export interface Moved {
  readonly id: string
  readonly x: number
  readonly y: number
}

/** How a block stands in a state of the chain. */
export interface InChain {
  readonly isLive: boolean
  readonly isFault: boolean
  /** Of a contact: whether it is closed. */
  readonly isClosed: boolean
  /** Of a head: whether it can give light. */
  readonly isOn: boolean
}

interface Props {
  readonly id: string
  readonly block: Block
  readonly bench: Bench
  readonly place: Moved
  readonly finding: WiringFinding | null
  readonly chain: InChain | null
  readonly reads: boolean
  readonly move: (it: Moved | null) => void
}

/** A block as a drawn part: its shape, its name, its volts and amps; dragged, or moved by the arrow keys. */
export function BlockFigure(props: Props) {
  const { id, block, bench, place, finding, chain } = props
  const [chosen, choose] = useChosenBlock(bench)
  const mark = useWorst(id)
  const volts = useVolts(bench, id, block)
  const drag = useMoving(props, choose)
  const box = boxOf(block.kind, place.x, place.y)
  const edge = edgeOf(chain, chosen === id)
  return (
    <g
      transform={`translate(${box.x} ${box.y})`}
      tabIndex={0}
      role="button"
      aria-pressed={chosen === id}
      aria-label={`${block.name}${volts === '' ? '' : `, ${volts}`}; arrow keys move it, Enter opens what its label says`}
      data-block={block.name}
      data-live={chain?.isLive}
      style={{ cursor: 'move', touchAction: 'none' }}
      {...drag}
      onKeyDown={(event) => {
        if (event.key === 'Enter') choose(id)
        drag.onKeyDown(event)
      }}
    >
      <rect
        width={box.w}
        height={box.h}
        fill="var(--paper)"
        stroke={edge}
        strokeWidth={edge === 'var(--ink)' ? 1.3 : chain?.isOn === true ? 4 : 2.4}
        strokeDasharray={chain !== null && !chain.isLive ? '4 3' : undefined}
      />
      {isSmall(block.kind) ? <SmallFace {...props} box={box} /> : <WideFace {...props} volts={volts} />}
      <g transform={`translate(${box.w - 17} ${isSmall(block.kind) ? 5 : box.h - 17})`}>
        {finding !== null ? (
          <VerdictMark mark="stop" label={finding.message} />
        ) : (
          chain === null && mark !== null && <VerdictMark mark={mark} />
        )}
      </g>
    </g>
  )
}

/** What is broken, a head that can be on, the block that is brought out, or none of these. */
function edgeOf(chain: InChain | null, isChosen: boolean): string {
  if (chain?.isFault === true) return 'var(--stop)'
  if (chain?.isOn === true) return 'var(--ember)'
  return isChosen && chain === null ? 'var(--teal)' : 'var(--ink)'
}

function useVolts(bench: Bench, id: string, { kind, volts }: Block): string {
  const role = roleOf(kind)
  const isSource = role === 'source' || role === 'converter'
  const said = useSaid(bench, isSource ? sourceVolts : blockVolts, id, 'V', 3)
  if (role === 'mains') return volts.value === null ? '' : `${volts.value} V`
  return said
}

function useMoving({ id, block, move }: Props, choose: (id: string) => void) {
  const [scale, setScale] = useState(1)
  const drop = (x: number, y: number): void => {
    move(null)
    const to = onGrid(x, y)
    if (to.x !== block.x || to.y !== block.y) editBlock(id, to, `“${block.name}” moved`)
  }
  return useDrag({
    begin: (event) => {
      choose(id)
      setScale(event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1)
    },
    move: ({ dx, dy }) => move({ id, x: block.x + dx / scale / CELL.w, y: block.y + dy / scale / CELL.h }),
    drop: ({ dx, dy }) => drop(block.x + dx / scale / CELL.w, block.y + dy / scale / CELL.h),
    cancel: () => move(null),
    step: (right, up) => drop(block.x + right / GRID.x, block.y - up / GRID.y),
  })
}

/** A supply, a load: its name over its shape, its numbers beside it. */
function WideFace(props: Props & { readonly volts: string }) {
  const { block, volts } = props
  const [name = '', more] = onTwoLines(block.name, 19)
  return (
    <>
      <text
        x="9"
        y="20"
        fontSize="14"
        fontWeight="650"
        fill="var(--ink)"
        style={{ fontStretch: name.length > 15 ? '75%' : '100%' }}
      >
        {more === undefined ? name : `${name}…`}
      </text>
      <BlockShape kind={block.kind} at="translate(3 24) scale(0.86)" />
      <g fontSize="12.5" className="num">
        <text x="55" y="43" fill="var(--ink)" fontSize="13.5">
          {volts === '' ? 'label?' : volts}
        </text>
        <Numbers {...props} />
      </g>
    </>
  )
}

/** What stands under the volts of a block: amps, watts and heat, what was read, or what a head does in a state of the chain. */
function Numbers({ id, block, bench, chain, reads }: Props) {
  const role = roleOf(block.kind)
  const isSource = role === 'source' || role === 'converter'
  const amps = useSaid(bench, isSource ? sourceAmps : inputAmps, id, 'A', 2)
  const watts = useSaid(bench, isSource ? sourceHeat : blockWatts, id, 'W', 2)
  const lines = ((): readonly string[] => {
    if (reads) return [block.reading.value === null ? 'not read' : `read ${block.reading.value}`]
    if (chain !== null) return block.kind === 'head' ? [chain.isOn ? 'can be on' : 'dark'] : []
    if (isSource) return [amps, watts === '' ? '' : `heat ${watts}`]
    return [amps, watts]
  })()
  return lines.map((line, i) => (
    <text key={i} x="55" y={59 + 15 * i} fill={chain === null ? 'var(--second)' : 'var(--ink)'}>
      {line}
    </text>
  ))
}

/** A contact, or what stands on the mains: its shape over its name. */
function SmallFace({ id, block, bench, chain, box }: Props & { readonly box: Box }) {
  const isContact = roleOf(block.kind) === 'contact'
  const amps = useSaid(bench, stripAmps, id, 'A', 2)
  const lines = onTwoLines(block.name, isContact ? 11 : 13)
  return (
    <>
      <BlockShape kind={block.kind} at="translate(10 -5) scale(0.72)" />
      {isContact && <ContactSign isClosed={chain?.isClosed ?? (isActuated(block.kind) && block.sense === 'opens')} />}
      <text
        x={box.w / 2}
        y={isContact ? 66 : 52}
        fontSize="11.5"
        textAnchor="middle"
        fill="var(--ink)"
        style={{ fontStretch: '75%', fontWeight: 600 }}
      >
        {lines.map((line, i) => (
          <tspan key={i} x={box.w / 2} dy={i === 0 ? 0 : 12}>
            {line}
          </tspan>
        ))}
      </text>
      {!isContact && (
        <text x={box.w / 2} y={box.h - 7} fontSize="11.5" textAnchor="middle" className="num" fill="var(--second)">
          {amps}
        </text>
      )}
    </>
  )
}

/** A contact as it is drawn in a circuit (IEC 60617): a lever on two ends, closed or open. */
function ContactSign({ isClosed }: { readonly isClosed: boolean }) {
  return (
    <path
      d={`M10 50H22M42 50H54M22 50L42 ${isClosed ? 50 : 41}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.8"
      pointerEvents="none"
      aria-hidden
    />
  )
}
