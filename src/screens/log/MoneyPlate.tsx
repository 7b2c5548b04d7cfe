import { shownNumber, type FigureDef } from '../../core/bench'
import type { Bench } from '../../core/document'
import { jobCost, jobHands, jobPrice, jobWear, spentInAll } from '../../core/log'
import { printQuantity } from '../../core/units'
import { engineOf, shownBench, useBenchStore } from '../../state'

/** Two bars: what was spent against the bought thing, and what a piece is made of. */
export function MoneyPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const value = (def: FigureDef<Bench, []>): number | null => {
    const found = shownNumber(engineOf(bench).value(def).result)
    return found === null || !Number.isFinite(found) ? null : found
  }
  const [inAll, wear, cost, price] = [value(spentInAll), value(jobWear), value(jobCost), value(jobPrice)]
  const ready = bench.plan.readyPrice.value
  const own = value(jobHands)
  const { material } = bench.log.job
  const isMissing = material.value === null || wear === null || own === null || cost === null || price === null
  return (
    <figure className="keep-together mt-4 mb-0 grid gap-4" data-plate="Money">
      <Bars
        title="Spent in all, against the bought thing"
        rows={[
          { words: 'spent in all', parts: [[inAll ?? 0, 'bg-ink']] },
          ...(ready === null ? [] : [{ words: 'the bought thing', parts: [[ready, 'bg-second']] as const }]),
        ]}
      />
      {isMissing ? (
        <p className="text-[13.5px] text-second">
          What a piece costs is drawn once its beam time, hands, material, an hour of own work, head and filter have their prices.
        </p>
      ) : (
        <Bars
          title="A good piece, and what to ask for it"
          legend={PIECE_KEY}
          rows={[
            {
              words: 'costs',
              parts: [
                [material.value, 'bg-ink'],
                [wear, 'bar-hatched'],
                [own, 'bg-second'],
                [cost - material.value - wear - own, 'bar-open'],
              ],
            },
            { words: 'to ask', parts: [[price, 'bg-ink']] },
          ]}
        />
      )}
    </figure>
  )
}

interface Bar {
  readonly words: string
  readonly parts: readonly (readonly [value: number, fill: string])[]
}

const PIECE_KEY = [
  ['material', 'bg-ink'],
  ['wear and current', 'bar-hatched'],
  ['own hands', 'bg-second'],
  ['what is spoilt', 'bar-open'],
] as const

function Bars(props: {
  readonly title: string
  readonly rows: readonly Bar[]
  readonly legend?: readonly (readonly [words: string, fill: string])[]
}) {
  const { title, rows, legend = [] } = props
  const sum = (row: Bar): number => row.parts.reduce((total, [value]) => total + value, 0)
  const most = Math.max(1e-9, ...rows.map(sum))
  return (
    <div>
      <p className="text-[12px] text-second">{title}</p>
      {rows.map((row) => (
        <div key={row.words} className="grid grid-cols-[8rem_1fr] items-center gap-3 py-1 text-[13.5px]">
          <span className="text-right">{row.words}</span>
          <span className="flex h-5 items-center">
            {row.parts.map(([value, fill], k) => (
              <span key={k} className={`block h-5 ${fill}`} style={{ width: `${(value / most) * 82}%` }} />
            ))}
            <span className="num pl-2">{printQuantity(sum(row), null, 'money').value}</span>
          </span>
        </div>
      ))}
      {legend.length > 0 && (
        <p className="flex flex-wrap gap-x-4 pl-[8.75rem] text-[12px] text-second">
          {legend.map(([words, fill]) => (
            <span key={words} className="inline-flex items-center gap-1.5">
              <span className={`block h-2.5 w-2.5 ${fill}`} /> {words}
            </span>
          ))}
        </p>
      )}
    </div>
  )
}
