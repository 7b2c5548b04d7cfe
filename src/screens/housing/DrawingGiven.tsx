import { cutRows, sheetPlan } from '../../core/nesting'
import { useBenchStore, useFigure } from '../../state'
import { Panel, StageLink } from '../../ui'

/** What is cut, as a list; and where its numbers are changed. */
export function DrawingGiven() {
  const sheet = useBenchStore(({ bench }) => bench?.housing.sheet ?? '')
  const found = useFigure(sheetPlan, sheet)
  const plan = found?.result.known === true ? found.result.value : null
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Cut in this order">
        {plan === null ? (
          <p className="py-1.5 text-[14px] text-second">
            The list stands here once a sheet is chosen.{' '}
            <StageLink stage="housing" part="panels">
              Choose one
            </StageLink>
          </p>
        ) : (
          <p className="py-1.5 text-[14px]">
            {plan.sheets.length === 1 ? 'One sheet' : `${plan.sheets.length} sheets`}, {cutRows(plan).length} cuts from edge to
            edge; each stands on “Panels and sheets”.{' '}
            <StageLink stage="housing" part="panels">
              See the cuts
            </StageLink>
          </p>
        )}
      </Panel>
    </div>
  )
}
