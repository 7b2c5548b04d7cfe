import { memo } from 'react'
import { figureUnit, shownNumber, type Consequence } from '../core/bench'
import { labelAt, type Bench } from '../core/document'
import { sayQuantity, type UnitSystem } from '../core/units'
import { engineOf, useComparedBench, useConsequences } from '../state'
import { useUnits } from './Quantity'
import { Panel } from './Panel'

/** Records that what was just changed has spoilt or touched, in the order in which to redo them. */
export const Consequences = memo(function Consequences() {
  const found = useConsequences()
  const bench = useComparedBench()
  const system = useUnits()
  if (bench === null || found.length === 0) return null
  const stale = found.filter((it) => it.freshness === 'stale')
  const touched = found.filter((it) => it.freshness === 'touched')
  return (
    <Panel title="To do again">
      <ol className="m-0 list-none p-0">
        {stale.map((it, i) => (
          <li key={it.record.id} className="keep-together flex gap-2 border-b border-rule py-2">
            <span className="num w-4 shrink-0 text-second">{i + 1}</span>
            <Stale consequence={it} bench={bench} system={system} />
          </li>
        ))}
        {touched.map((it) => (
          <li key={it.record.id} className="keep-together border-b border-rule py-2 pl-6 text-second">
            {it.record.title}: still holds, though {it.touched.map(({ path }) => labelAt(bench, path)).join(', ')} moved.
          </li>
        ))}
      </ol>
    </Panel>
  )
})

function Stale({
  consequence,
  bench,
  system,
}: {
  readonly consequence: Consequence
  readonly bench: Bench
  readonly system: UnitSystem
}) {
  const { record, moved, because } = consequence
  return (
    <div>
      <p>
        <strong className="font-[650]">{record.title}</strong>{' '}
        <span className="text-second">({record.at.slice(0, 10)}) is stale.</span> {record.redo}
      </p>
      {moved.map(({ figure, args, then, now }) => {
        const engine = engineOf(bench)
        if (!engine.has(figure)) return <Gone key={`${figure}${args.join()}`} figure={figure} />
        const is = engine.byId(figure, args)
        const unit = figureUnit(is, system)
        const letter = bench.motion.axes[args[0] ?? '']?.letter
        return (
          <p key={`${figure}${args.join()}`} className="text-[13px] text-second">
            {is.def.label}
            {letter === undefined ? '' : `, ${letter}`}: <span className="num">{sayQuantity(then, null, unit)}</span> then,{' '}
            <span className="num">
              {now === null || shownNumber(is.result) === null ? 'not known' : sayQuantity(now, null, unit)}
            </span>{' '}
            now.
          </p>
        )
      })}
      {because.length > 0 && <p className="text-[13px] text-second">Rests on: {because.join(', ')}.</p>}
    </div>
  )
}

/** A figure that a record names and that this version does not work: said, so that nobody takes it for proved. */
function Gone({ figure }: { readonly figure: string }) {
  return (
    <p className="text-[13px] text-second">
      It rests on a figure called <code>{figure}</code>, which this version of Fine Kerf does not work; whether it still holds is
      not known.
    </p>
  )
}
