import { anUpkeep, dueIn, pace, upkeepLeft } from '../../core/log'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What of each interval is left, and when it is due at this pace. */
export function UpkeepSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <Side stage="log" part="upkeep">
      <Panel title="Worked">
        <FigureRow def={pace} args={[]} />
        {anUpkeep.each(bench).map(([id]) => (
          <div key={id}>
            <p className="pt-2 text-[13px] font-[650]">{bench.log.upkeep[id]?.name}</p>
            <FigureRow def={upkeepLeft} args={[id]} label="Of its interval" />
            <FigureRow def={dueIn} args={[id]} label="Due" />
          </div>
        ))}
      </Panel>
    </Side>
  )
}
