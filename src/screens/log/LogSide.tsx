import { anUpkeep, perHour, runningCost, upkeepLeft } from '../../core/log'
import { useBenchStore } from '../../state'
import { FactField, FigureRow, Panel, Sentence, Side } from '../../ui'

/** Hours run, what is due, and what was spent. */
export function LogSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const upkeep = anUpkeep.each(bench)
  return (
    <Side stage="log">
      <Panel title="Worked">
        <Sentence>
          Hours run: <FactField path="calibrate.hours" />.
        </Sentence>
        <FigureRow def={runningCost} args={[]} />
        <FigureRow def={perHour} args={[]} />
      </Panel>
      {upkeep.length > 0 && (
        <Panel title="Worked, what of each interval is left">
          {upkeep.map(([id]) => (
            <FigureRow key={id} def={upkeepLeft} args={[id]} label={bench.log.upkeep[id]?.name ?? id} />
          ))}
        </Panel>
      )}
    </Side>
  )
}
