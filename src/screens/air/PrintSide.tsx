import { adapterBore, adapterTakes, aScrewed, inOrder, plateFree, printedWall, screwFor } from '../../core/air'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

/** What follows for each part for the duct. */
export function PrintSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const screwed = new Set(aScrewed.each(bench).map(([id]) => id))
  return (
    <Side stage="air" part="print">
      <Panel title="Worked, all that is printed">
        <FigureRow def={printedWall} args={[]} />
      </Panel>
      {inOrder(bench.air.prints).map(([id, part]) => (
        <Panel key={id} title={`Worked, ${part.name}`}>
          {part.kind === 'adapter' ? (
            <>
              <FigureRow def={adapterBore} args={[id]} />
              <FigureRow def={adapterTakes} args={[id]} />
            </>
          ) : (
            <FigureRow def={plateFree} args={[id]} />
          )}
          {screwed.has(id) && <FigureRow def={screwFor} args={[id]} />}
        </Panel>
      ))}
    </Side>
  )
}
