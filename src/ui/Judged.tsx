import { memo } from 'react'
import { worstFirst } from '../core/bench'
import { useVerdicts } from '../state'
import { Panel } from './Panel'
import { VerdictRow } from './VerdictRow'

/** The verdicts of a stage in a panel of their own; nothing where nothing is judged. */
export const Judged = memo(function Judged({ stage, title = 'Judged' }: { readonly stage: string; readonly title?: string }) {
  const isJudged = useVerdicts(stage).length > 0
  return isJudged ? (
    <Panel title={title}>
      <Verdicts stage={stage} />
    </Panel>
  ) : null
})

/** The verdicts of a stage, the worst first. */
export const Verdicts = memo(function Verdicts({ stage }: { readonly stage: string }) {
  const verdicts = useVerdicts(stage)
  return (
    <ul className="m-0 list-none p-0">
      {worstFirst(verdicts).map((verdict) => (
        <VerdictRow key={`${verdict.def.id}${verdict.args.join()}`} verdict={verdict} />
      ))}
    </ul>
  )
})
