import { lazy, Suspense } from 'react'
import { whyNotBurnt } from '../../core/safety'
import { depthExpected, depthPasses, depthSpeed } from '../../core/testcard'
import { cardShown, useBenchStore, useSession } from '../../state'
import { FactField, FigureRow, Panel, Sentence, Side, StageLink, useUnits } from '../../ui'
import { About, Book } from './Book'
import { CardDrawing } from './CardDrawing'
import { CellGiven } from './CellGiven'
import { useMaterial } from './chosen'
import { Kept } from './Kept'
import { pickCell, usePickedCell } from './picked'
import { useDepthFaces, useShownCard } from './useCard'

const DepthChart = lazy(async () => ({ default: (await import('./DepthChart')).DepthChart }))

/** The test card with the depths of its cells, beside the depth of a pass over its dose. */
export function DepthPlate() {
  const id = useMaterial()
  const shown = useShownCard(id)
  const faces = useDepthFaces(shown, useUnits())
  const picked = usePickedCell()
  if (id === null || shown?.id == null) {
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate="Depth by test card">
        No card of this material was burnt yet.{' '}
        <StageLink stage="burns" part="tone">
          Burn a test card
        </StageLink>
        ; then enter how deep its cells are, by a depth rod.
      </p>
    )
  }
  return (
    <div data-plate="Depth by test card" className="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-2">
      <figure className="m-0 min-w-0">
        <CardDrawing card={shown.card} bare={shown.bare} faces={faces} straight={null} picked={picked} pick={pickCell} />
        <figcaption className="mt-1 text-[12.5px] text-second">
          Card {shown.card.code}: depths as read. Press a cell to enter its own.
        </figcaption>
      </figure>
      <Suspense fallback={<p className="min-h-[260px] py-6 text-second">Loading the chart …</p>}>
        <DepthChart id={id} />
      </Suspense>
    </div>
  )
}

/** What depth is wanted, the cell that is read, what is kept. */
export function DepthGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  const chosen = useSession((it) => it.cardId)
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  const isBurnt = material !== undefined && whyNotBurnt(material.kind) === null
  const cardId = id === null ? null : cardShown(bench, id, chosen)
  return (
    <div className="mt-4 grid gap-4">
      <Book bench={bench} shown={id} />
      <Sentence>
        The depth that is wanted is <FactField path="burns.depthWanted" />. Brush the cells out and read them with the depth rod
        of the calipers.
      </Sentence>
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          {cardId !== null && isBurnt && (
            <Panel title="Given, the depth">
              <CellGiven bench={bench} id={id} cardId={cardId} />
            </Panel>
          )}
          <Kept id={id} material={material} isBurnt={isBurnt} want="depth" />
        </>
      )}
    </div>
  )
}

/** What the depths of a material say. */
export function DepthSide() {
  const id = useMaterial()
  return (
    <Side stage="burns" part="depth">
      <Panel title="Worked, the depth">
        {id === null ? (
          <p className="py-2 text-[13.5px] text-second">What the depths of a material say stands here.</p>
        ) : (
          [depthPasses, depthSpeed, depthExpected].map((def) => <FigureRow key={def.id} def={def} args={[id]} />)
        )}
      </Panel>
    </Side>
  )
}
