import {
  AIR_KIND_WORDS,
  CHANGES,
  fanGives,
  fanWay,
  fastest,
  flowOfWay,
  helps,
  inOrder,
  noise,
  partTakes,
  shareLeft,
  slowest,
  smokeWay,
} from '../../core/air'
import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { FactLink, FigureRow, Panel, Side } from '../../ui'
import { wayShown } from './DuctPlate'

/** Where fan and duct meet, what each part costs, and what would help. */
export function DuctSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const [fan] = fanWay.each(bench)[0] ?? []
  const [smoke] = smokeWay.each(bench)[0] ?? []
  const shown = wayShown(bench)
  return (
    <Side stage="air" part="duct">
      {fan !== undefined && (
        <Panel title="Worked, where fan and duct meet">
          {inOrder(bench.air.ways).map(([id, it]) => (
            <FigureRow key={id} def={flowOfWay} args={[id]} label={`Flow, ${it.name}`} />
          ))}
          <FigureRow def={fanGives} args={[fan]} />
          <FigureRow def={shareLeft} args={[fan]} />
          {smoke !== undefined && [slowest, fastest].map((def) => <FigureRow key={def.id} def={def} args={[smoke]} />)}
          <FigureRow def={noise} args={[fan]} />
        </Panel>
      )}
      {smoke !== undefined && <Helps bench={bench} way={smoke} />}
      {shown !== null && (
        <Panel title={`Worked, what each part of “${bench.air.ways[shown]?.name ?? ''}” takes`}>
          {inOrder(bench.air.ways[shown]?.parts ?? {}).map(([id, it]) => (
            <FigureRow key={id} def={partTakes} args={[shown, id]} label={`${it.order}, ${AIR_KIND_WORDS[it.kind]}`} />
          ))}
        </Panel>
      )}
    </Side>
  )
}

/** Where a change is made: the field that says it. */
const FIELD = {
  stretch: 'slack',
  smooth: 'wall',
  wider: 'diameter',
  gentler: 'diameter',
  open: 'opening',
  clean: 'takes',
} as const

/** The three changes that add most to the flow. */
function Helps({ bench, way }: { readonly bench: Bench; readonly way: string }) {
  const figure = useFigure(helps, way)
  if (figure?.result.known !== true) return null
  const unit = displayUnit('flow', bench.units)
  const best = bestOf(figure.result.value)
  if (best.length === 0) return null
  return (
    <Panel title="Worked, what would help most">
      <ol className="m-0 list-none p-0">
        {best.map((it) => {
          const part = bench.air.ways[it.branch]?.parts[it.partId]
          const way = bench.air.ways[it.branch]
          const name = part === undefined ? 'the room’s own opening' : `${way?.name ?? ''}, ${AIR_KIND_WORDS[part.kind]}`
          const path =
            part === undefined
              ? 'air.room.supply'
              : `air.ways.${it.branch}.parts.${it.partId}.${part.kind === 'bend' ? 'bend' : part.kind === 'end' ? 'end' : part.kind === 'grille' || part.kind === 'gate' ? 'free' : FIELD[it.kind]}`
          return (
            <li
              key={`${it.branch}${it.partId}${it.kind}`}
              className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5"
            >
              <FactLink path={path}>
                {name}: {part?.kind === 'grille' || part?.kind === 'gate' ? 'open it further' : CHANGES[it.kind]}
              </FactLink>
              <span className="num whitespace-nowrap">
                +{printNumber(fromCore(it.gain, unit), 2)} {unitOf(unit).symbol}
              </span>
            </li>
          )
        })}
      </ol>
    </Panel>
  )
}

/** The best change of each part, the three largest. */
function bestOf<T extends { readonly branch: string; readonly partId: string; readonly gain: number }>(
  all: readonly T[],
): readonly T[] {
  const most = all[0]?.gain ?? 0
  return all
    .filter((it, k) => all.findIndex((other) => other.branch === it.branch && other.partId === it.partId) === k)
    .filter((it) => it.gain > Math.max(0, most / 50))
    .slice(0, 3)
}
