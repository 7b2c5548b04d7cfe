import { useState, type ReactNode } from 'react'
import { wiringFindings, type WiringFinding } from '../../core/electrical'
import type { Bench } from '../../core/document'
import { shownBench, useBenchStore } from '../../state'
import { BlockFigure, type InChain, type Moved } from './BlockFigure'
import { WireLine } from './WireLine'
import { boxOf, type Box } from './wiringShapes'

const EDGE = 22

/** A state of the safety chain, as it is laid over the drawing. */
export interface ShownChain {
  readonly block: (id: string) => InChain
  readonly wire: (id: string) => { readonly isLive: boolean; readonly isFault: boolean }
}

/** The wiring: blocks joined by wires, with volts, amps and what is lost written on them, live. */
export function WiringPlate() {
  const bench = useBenchStore(shownBench)
  return bench === null ? null : <Drawing bench={bench} chain={null} />
}

/** The drawing of the wiring, at work or in a state of its chain. */
export function Drawing(props: {
  readonly bench: Bench
  readonly chain: ShownChain | null
  /** Whether what was read stands on it, in place of what is given. */
  readonly reads?: boolean
  readonly empty?: ReactNode
}) {
  const { bench, chain, reads = false, empty } = props
  const [moved, setMoved] = useState<Moved | null>(null)
  const { blocks, wires } = bench.electrical
  if (Object.keys(blocks).length === 0) {
    return (
      empty ?? (
        <p className="my-8 max-w-[40rem] text-second">
          Nothing is drawn yet. Begin with a usual wiring below and make it yours, or add a supply, then what it feeds, and join
          them: volts, amps and what each wire loses stand here as soon as the labels are entered.
        </p>
      )
    )
  }
  const placeOf = (id: string): Moved => (moved?.id === id ? moved : { id, x: blocks[id]?.x ?? 0, y: blocks[id]?.y ?? 0 })
  const boxes = new Map(
    Object.entries(blocks).map(([id, { kind }]): [string, Box] => [id, boxOf(kind, placeOf(id).x, placeOf(id).y)]),
  )
  const all = [...boxes.values()]
  const [left, top] = [Math.min(...all.map((it) => it.x)) - EDGE, Math.min(...all.map((it) => it.y)) - EDGE]
  const [right, bottom] = [Math.max(...all.map((it) => it.x + it.w)) + EDGE, Math.max(...all.map((it) => it.y + it.h)) + EDGE]
  const found = findingsOf(bench)
  return (
    <div className="mt-2 shrink-0 overflow-auto" data-plate={chain === null ? 'The wiring' : 'The safety chain'}>
      <svg
        viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
        style={{ minWidth: Math.min(right - left, 520), maxHeight: 560 }}
        className="plate h-auto w-full print:max-h-[420px]"
        role="group"
        aria-label={chain === null ? 'The wiring' : 'The safety chain'}
      >
        {inOrder(wires).map(([id, wire]) => {
          const [a, b] = [boxes.get(wire.from), boxes.get(wire.to)]
          if (a === undefined || b === undefined) return null
          const finding = found.find((it) => it.wire === id) ?? null
          return (
            <WireLine
              key={id}
              id={id}
              wire={wire}
              bench={bench}
              boxes={[a, b]}
              finding={finding}
              chain={chain?.wire(id) ?? null}
            />
          )
        })}
        {inOrder(blocks).map(([id, block]) => (
          <BlockFigure
            key={id}
            id={id}
            block={block}
            bench={bench}
            place={placeOf(id)}
            finding={found.find((it) => it.block === id) ?? null}
            chain={chain?.block(id) ?? null}
            reads={reads}
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
